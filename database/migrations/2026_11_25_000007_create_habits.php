<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration
{
    public function up(): void
    {
        Schema::create('habits', static function (Blueprint $table): void {
            $table->string('name')->primary();
            $table->string('value');
        });
    }

    public function down(): void
    {
        Schema::drop('habits');
    }
};
