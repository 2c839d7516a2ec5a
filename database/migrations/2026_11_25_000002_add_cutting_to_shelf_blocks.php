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
            // How the quilter wants it cut, and what of it lies ready; see CuttingChoices.
            $table->json('cutting')->default('{}');
            $table->json('cut_done')->default('[]');
        });
    }

    public function down(): void
    {
        Schema::table('shelf_blocks', static fn (Blueprint $table) => $table->dropColumn(['cutting', 'cut_done']));
    }
};
