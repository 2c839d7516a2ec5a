<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration
{
    public function up(): void
    {
        Schema::table('shelf_blocks', static function (Blueprint $table): void {
            $table->text('picture')->nullable();
            $table->json('meant')->default('[]');
            $table->json('swatches')->default('{}');
            $table->unsignedInteger('edit_number')->default(0);
        });
        Schema::create('block_edits', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('shelf_block_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('number');
            $table->string('words');
            $table->text('state');
            $table->timestamp('created_at')->useCurrent();
            $table->unique(['shelf_block_id', 'number']);
        });
        // Pictures of cloth are kept under the hash of their bytes, so that undoing a change finds the old one again.
        Schema::create('swatches', static function (Blueprint $table): void {
            $table->string('hash')->primary();
            $table->binary('image');
            $table->timestamp('created_at')->useCurrent();
        });
    }

    public function down(): void
    {
        Schema::drop('swatches');
        Schema::drop('block_edits');
        Schema::table('shelf_blocks', static fn (Blueprint $table) => $table->dropColumn(['picture', 'meant', 'swatches', 'edit_number']));
    }
};
