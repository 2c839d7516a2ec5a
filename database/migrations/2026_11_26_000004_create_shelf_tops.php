<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration
{
    public function up(): void
    {
        Schema::create('shelf_tops', static function (Blueprint $table): void {
            $table->id();
            $table->string('name');
            $table->longText('document');
            // Which block of the shelf each of its blocks is, by its key in the document.
            $table->json('blocks')->default('{}');
            // The documents before its last changes, the latest last, with what the change was.
            $table->json('earlier')->default('[]');
            $table->unsignedInteger('version')->default(1);
            $table->timestamps();
            $table->softDeletes();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('shelf_tops');
    }
};
