<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Shelf\Copies;
use Illuminate\Console\Command;

final class ShelfBringBack extends Command
{
    protected $signature = 'shelf:bring-back {copy : a copy of the database, from storage/copies}';

    protected $description = 'Put a copy of the database in its place; the one that stands there is set aside. Stop Keen Seam first.';

    public function handle(): int
    {
        $copy = $this->argument('copy');
        $copies = Copies::ofTheShelf();
        if ($copies === null || ! is_file($copy)) {
            $this->error('There is no such copy. Nothing was changed.');

            return self::FAILURE;
        }
        if (filesize($copy) === 0 || ! Copies::isWhole($copy)) {
            $this->error('This copy is damaged itself. Nothing was changed.');

            return self::FAILURE;
        }
        $this->line('The copy is in its place. What stood there is kept at '.$copies->bringBack($copy));

        return self::SUCCESS;
    }
}
