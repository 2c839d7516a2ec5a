<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration
{
    public function up(): void
    {
        Schema::create('photographs', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('shelf_block_id')->unique()->constrained()->cascadeOnDelete();
            $table->binary('image');
            $table->unsignedInteger('width');
            $table->unsignedInteger('height');
            // As the quilter put them; null where they are found by themselves.
            $table->json('corners')->nullable();
            // What was read, and of which file of the block.
            $table->json('reading')->nullable();
            $table->string('read_of')->default('');
            // Cells about which she said never mind.
            $table->json('never_mind')->default('[]');
            // Units laid wrong on purpose in a made picture; null for a photograph.
            $table->json('planted')->nullable();
            $table->json('guess')->nullable();
            $table->timestamp('taken_at')->useCurrent();
        });
        Schema::create('looking_lessons', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('shelf_block_id')->constrained()->cascadeOnDelete();
            $table->boolean('quilter_was_right');
            $table->boolean('program_was_right');
            $table->timestamp('at')->useCurrent();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('looking_lessons');
        Schema::dropIfExists('photographs');
    }
};
