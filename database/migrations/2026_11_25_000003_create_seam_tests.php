<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration
{
    public function up(): void
    {
        // One quilter's machine is used for many blocks, so tests belong to no block.
        Schema::create('seam_tests', static function (Blueprint $table): void {
            $table->id();
            $table->string('units');
            $table->unsignedInteger('strips');
            $table->string('width');
            $table->string('measured');
            $table->string('take_up');
            $table->string('notes')->default('');
            $table->timestamp('created_at')->useCurrent();
        });
        Schema::table('shelf_blocks', static function (Blueprint $table): void {
            $table->string('take_up')->nullable();
            $table->string('square_up')->default('units');
        });
    }

    public function down(): void
    {
        Schema::drop('seam_tests');
        Schema::table('shelf_blocks', static fn (Blueprint $table) => $table->dropColumn(['take_up', 'square_up']));
    }
};
