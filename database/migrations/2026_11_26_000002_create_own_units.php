<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration
{
    public function up(): void
    {
        Schema::create('own_units', static function (Blueprint $table): void {
            $table->id();
            $table->string('name');
            // As a cell of a block file, in fabrics f, g and s.
            $table->text('unit');
            // Width to height.
            $table->double('ratio');
            $table->timestamps();
            $table->softDeletes();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('own_units');
    }
};
