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
            $table->json('rules')->default('[]');
            $table->unsignedInteger('lump')->default(10);
            $table->boolean('own_way')->default(true);
            $table->json('own_orders')->default('{}');
            $table->unsignedInteger('press_edit_number')->default(0);
        });
        // The wall and the press station each take back what was done there.
        Schema::table('block_edits', static function (Blueprint $table): void {
            $table->string('station')->default('wall');
            $table->dropUnique(['shelf_block_id', 'number']);
            $table->unique(['shelf_block_id', 'station', 'number']);
        });
    }
};
