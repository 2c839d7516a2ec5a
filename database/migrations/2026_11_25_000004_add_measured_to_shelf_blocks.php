<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration
{
    public function up(): void
    {
        // Raw width and height of parts the quilter measured, by the number of the join that made them, by order of sewing.
        Schema::table('shelf_blocks', static function (Blueprint $table): void {
            $table->json('measured_parts')->default('{}');
            // What miss is left alone and what is eased, as it was typed; the usual ones if null.
            $table->string('leave')->nullable();
            $table->string('ease')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('shelf_blocks', static fn (Blueprint $table) => $table->dropColumn(['measured_parts', 'leave', 'ease']));
    }
};
