<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration
{
    public function up(): void
    {
        Schema::create('shelf_blocks', static function (Blueprint $table): void {
            $table->id();
            $table->string('name');
            $table->text('document');
            $table->string('order')->default('rows');
            $table->string('style')->default('nest');
            $table->string('equal_parts')->default('apart');
            $table->string('rest')->default('stays');
            // All by order of sewing: what was said of one order is there again when the quilter comes back to it.
            $table->json('locks')->default('{}');
            $table->json('two_piles')->default('{}');
            $table->json('steps_done')->default('{}');
            $table->unsignedInteger('version')->default(1);
            $table->timestamps();
            $table->softDeletes();
        });
    }

    public function down(): void
    {
        Schema::drop('shelf_blocks');
    }
};
