<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration
{
    public function up(): void
    {
        Schema::table('shelf_tops', static function (Blueprint $table): void {
            $table->string('order')->default('rows');
            $table->string('sashes')->default('between');
            $table->string('chain')->default('row-by-row');
            $table->string('preference')->default('least-cloth');
            // Places, piles and seams that the planner leaves as they are, by where they lie.
            $table->json('holds')->default('{"places":[],"piles":[],"seams":[]}');
            // Raw sizes of blocks that came out otherwise, by place.
            $table->json('made')->default('{}');
            // The plan that is held since the work began, by where seams lie, and how often each step was done.
            $table->json('work')->default('{"held":null,"times":{},"deeds":[]}');
        });
    }

    public function down(): void
    {
        Schema::table('shelf_tops', static function (Blueprint $table): void {
            $table->dropColumn(['order', 'sashes', 'chain', 'preference', 'holds', 'made', 'work']);
        });
    }
};
