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
            $table->string('chain')->default('row-by-row');
            // Milliseconds of the browser's clock when the work was put down; null while it goes on.
            $table->unsignedBigInteger('paused_at')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('shelf_blocks', static fn (Blueprint $table) => $table->dropColumn(['chain', 'paused_at']));
    }
};
