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
            $table->json('locks');
            $table->string('rest');
            $table->unsignedInteger('steps_done')->default(0);
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
