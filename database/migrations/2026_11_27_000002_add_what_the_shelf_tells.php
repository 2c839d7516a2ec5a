<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class () extends Migration
{
    public function up(): void
    {
        Schema::table('shelf_blocks', static function (Blueprint $table): void {
            $table->json('tags')->default('[]');
            // How many steps there are in all, as of the last one done.
            $table->unsignedInteger('steps_in_all')->nullable();
            $table->boolean('order_chosen')->default(false);
        });
        Schema::table('shelf_tops', static function (Blueprint $table): void {
            $table->json('tags')->default('[]');
        });
        DB::table('shelf_blocks')->where('order', '!=', 'rows')->update(['order_chosen' => true]);
    }

    public function down(): void
    {
        Schema::table('shelf_blocks', static fn (Blueprint $table) => $table->dropColumn(['tags', 'steps_in_all', 'order_chosen']));
        Schema::table('shelf_tops', static fn (Blueprint $table) => $table->dropColumn('tags'));
    }
};
