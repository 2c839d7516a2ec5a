<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\BlockFiles\BlockFileReader;
use App\Models\ShelfBlock;
use App\Models\ShelfTop;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;

/** Puts the demo blocks, and a top of them, on a shelf that never had a block. A demo the quilter took away stays away. */
final class DatabaseSeeder extends Seeder
{
    public function run(BlockFileReader $reader): void
    {
        // All or none: a start that is killed after the first block would else take the shelf for a used one.
        DB::transaction(static function () use ($reader): void {
            if (ShelfBlock::query()->withTrashed()->exists()) {
                return;
            }
            foreach ((array) glob(database_path('demo/*.keenseam.json')) as $file) {
                $text = (string) file_get_contents((string) $file);
                ShelfBlock::query()->create([
                    'name' => $reader->read($text)->name,
                    'document' => $text,
                ]);
            }
            foreach ((array) glob(database_path('demo/*.keentop.json')) as $file) {
                $text = (string) file_get_contents((string) $file);
                $top = (array) json_decode($text, true);
                $blocks = ShelfBlock::query()->whereIn('name', array_keys((array) $top['blocks']))->get()->keyBy('name');
                ShelfTop::query()->create(['name' => $top['name'], 'document' => $text, 'blocks' => $blocks->map(ShelfTop::taken(...))->all()]);
            }
        });
    }
}
