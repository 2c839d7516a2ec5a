<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Documents\ShelfDocument;
use App\Models\ShelfBlock;
use App\Shelf\Copies;
use App\Shelf\Mishap;
use App\Workings\Sweeping;
use App\Workings\Workings;
use Database\Seeders\DatabaseSeeder;
use Illuminate\Console\Command;
use Illuminate\Database\Migrations\Migrator;
use Illuminate\Support\Facades\DB;
use KeenSeam\Core\KeenSeamProblem;

/** Called by bin/start before anything is served. */
final class ShelfOpen extends Command
{
    protected $signature = 'shelf:open';

    protected $description = 'Look after the database: see that it is whole, copy it, bring it up to date.';

    public function handle(Migrator $migrator, Workings $workings): int
    {
        $copies = Copies::ofTheShelf();
        $database = (string) config('database.connections.sqlite.database');
        try {
            if ($copies !== null && ! $this->isReady($copies, $database)) {
                return self::FAILURE;
            }
            $this->bringUpToDate($migrator, $copies);
            $this->callSilently('db:seed', ['--class' => DatabaseSeeder::class, '--force' => true]);
            $copies?->daily();
            self::readCards($workings);
            Sweeping::folder((string) config('cache.stores.file.path'));
        } catch (\Throwable $thrown) {
            $mishap = Mishap::of($thrown);
            $this->error($mishap?->words() ?? 'The database could not be made ready: '.$thrown->getMessage());
            $this->line('It is at '.$database.'. Nothing in it was changed by halves.');

            return self::FAILURE;
        }

        return self::SUCCESS;
    }

    /** After another version came, so that the first look at a full shelf does not have to. */
    private static function readCards(Workings $workings): void
    {
        foreach (ShelfBlock::query()->lazyById() as $block) {
            try {
                ShelfDocument::of($block, $workings->asAsked($block));
            } catch (KeenSeamProblem) {
                continue; // the shelf says what is wrong with it
            }
        }
    }

    private function isReady(Copies $copies, string $database): bool
    {
        if (! is_file($database)) {
            @mkdir(dirname($database), 0o777, true);
            if (! @touch($database)) {
                $this->error('The folder '.dirname($database).' cannot be written to. Give the right to write there, or name another place in DB_DATABASE.');

                return false;
            }
        }
        if (! is_readable($database) || ! is_writable($database) || ! is_writable(dirname($database))) {
            $this->error($database.' may only be read, so nothing could be saved. Give the right to write to it and to its folder, then start again.');

            return false;
        }
        if (filesize($database) === 0 || Copies::isWhole($database)) {
            return true;
        }
        $this->error('The database '.$database.' is damaged. It was not touched.');
        $good = $copies->newestGood();
        $this->line($good === null ? 'There is no good copy of it in '.$copies->folder().'.' : 'The newest good copy is of '.date('j F Y, H:i', (int) filemtime($good)).'. To bring it back, with the damaged one set aside:');
        if ($good !== null) {
            $this->line('  php artisan shelf:bring-back '.escapeshellarg($good));
        }

        return false;
    }

    /** One transaction each with the note that it was done, so that one that is killed goes on or goes back. */
    private function bringUpToDate(Migrator $migrator, ?Copies $copies): void
    {
        $repository = $migrator->getRepository();
        if (! $repository->repositoryExists()) {
            $repository->createRepository();
        }
        $files = $migrator->getMigrationFiles([database_path('migrations')]);
        $pending = array_diff_key($files, array_flip($repository->getRan()));
        if ($pending === []) {
            return;
        }
        if ($copies !== null && count($pending) < count($files)) {
            $this->line('Bringing the database up to date; as it was it is kept at '.$copies->beforeMigration());
        }
        $migrator->requireFiles($pending);
        foreach ($pending as $name => $file) {
            DB::transaction(static function () use ($migrator, $name, $file): void {
                if (! in_array($name, $migrator->getRepository()->getRan(), true)) {
                    $migrator->runPending([$file]);
                }
            });
        }
    }
}
