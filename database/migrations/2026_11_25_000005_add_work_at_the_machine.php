<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration
{
    public function up(): void
    {
        // What is sewn, pressed and done, by the seams it was done along: another layout has its own, and undo finds the old one again.
        Schema::table('shelf_blocks', static fn (Blueprint $table) => $table->json('work')->default('{}'));
        Schema::create('work_events', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('shelf_block_id')->constrained()->cascadeOnDelete();
            // Given by the browser, so that what is sent twice is done once.
            $table->string('uuid')->unique();
            $table->string('kind');
            $table->json('data');
            // Milliseconds of the browser's clock when the key was pressed.
            $table->unsignedBigInteger('at');
            $table->index(['shelf_block_id', 'at']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('work_events');
        Schema::table('shelf_blocks', static fn (Blueprint $table) => $table->dropColumn('work'));
    }
};
