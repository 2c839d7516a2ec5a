<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\ShelfBlock;
use App\Shelf\Copies;
use Illuminate\Foundation\Testing\TestCase as LaravelTestCase;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;
use Tests\Support\Kills;

/** The file in which everything is kept, and what can happen to it. */
final class ShelfDatabaseTest extends LaravelTestCase
{
    public $mockConsoleOutput = false;

    private string $folder;

    private string $database;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/keenseam-shelf-'.bin2hex(random_bytes(6));
        $this->database = $this->folder.'/shelf.sqlite';
        config(['database.connections.sqlite.database' => $this->database, 'database.connections.sqlite.busy_timeout' => 100]);
        DB::purge();
        self::assertSame(0, Artisan::call('shelf:open'));
        $this->withServerVariables(['CONTENT_TYPE' => 'application/json']);
    }

    protected function tearDown(): void
    {
        DB::purge();
        (new Process(['rm', '-rf', $this->folder]))->run();
        parent::tearDown();
    }

    public function test_a_change_that_was_answered_is_on_the_disk_and_a_transaction_locks_at_once(): void
    {
        self::assertEquals([2, 'wal'], [DB::scalar('PRAGMA synchronous'), DB::scalar('PRAGMA journal_mode')]);
        $other = new \SQLite3($this->database);
        DB::transaction(static function () use ($other): void {
            self::assertFalse(@$other->exec('BEGIN IMMEDIATE'), 'before anything was written');
        });
        self::assertTrue($other->exec('BEGIN IMMEDIATE'));
        $other->exec('ROLLBACK');

        try {
            DB::transaction(static function (): void {
                ShelfBlock::query()->whereKey(1)->update(['name' => 'Half']);
                throw new \LogicException('in the middle');
            });
        } catch (\LogicException) {
            self::assertNotSame('Half', ShelfBlock::query()->findOrFail(1)->name);
        }
    }

    public function test_each_mishap_has_its_own_sentence_and_work_goes_on_when_it_ends(): void
    {
        $other = new \SQLite3($this->database);
        $other->exec('BEGIN IMMEDIATE');
        $this->rename()->assertStatus(503)->assertJson(['code' => 'shelf-busy'])->assertHeader('Retry-After', '1');
        $other->exec('ROLLBACK');

        DB::statement('PRAGMA query_only = 1');
        $this->rename()->assertStatus(503)->assertJson(['code' => 'shelf-read-only']);
        DB::statement('PRAGMA query_only = 0');

        DB::statement('PRAGMA max_page_count = '.(int) DB::scalar('PRAGMA page_count'));
        $long = json_decode((string) file_get_contents(database_path('demo/tide-gate.keenseam.json')), true);
        for ($i = 0, $status = 201; $i < 40 && $status === 201; ++$i) {
            $status = ($full = $this->postJson('/api/blocks', $long))->getStatusCode();
        }
        $full->assertStatus(507)->assertJson(['code' => 'disk-full']);
        DB::statement('PRAGMA max_page_count = 100000');

        DB::purge();
        rename($this->database, $this->database.'.away');
        $this->rename()->assertStatus(503)->assertJson(['code' => 'shelf-missing']);
        rename($this->database.'.away', $this->database);

        $this->rename()->assertOk();
    }

    public function test_a_really_full_disk_loses_nothing_and_work_goes_on_when_there_is_room(): void
    {
        $small = $this->folder.'/small';
        mkdir($small);
        $mount = new Process(['mount', '-t', 'tmpfs', '-o', 'size=1500k', 'tmpfs', $small]);
        if ($mount->run() !== 0) {
            self::markTestSkipped('This machine lets nobody make a small file system.');
        }
        try {
            config(['database.connections.sqlite.database' => $small.'/shelf.sqlite']);
            DB::purge();
            self::assertSame(0, Artisan::call('shelf:open'));
            file_put_contents($small.'/ballast', str_repeat('x', 600_000));
            $kept = [];
            for ($i = 0, $status = 201; $i < 400 && $status === 201; ++$i) {
                $answer = $this->postJson('/api/blocks', (array) json_decode((string) file_get_contents(database_path('demo/tide-gate.keenseam.json')), true));
                $status = $answer->getStatusCode();
                $status === 201 && $kept[] = $answer->json('id');
            }
            self::assertContains($answer->json('code'), ['disk-full', 'disk-failing'], (string) $answer->getContent());
            self::assertSame('ok', DB::scalar('PRAGMA integrity_check'));
            self::assertSame($kept, DB::table('shelf_blocks')->where('id', '>', 3)->orderBy('id')->pluck('id')->all());
            unlink($small.'/ballast');
            $this->rename()->assertOk();
        } finally {
            DB::purge();
            (new Process(['umount', $small]))->run();
        }
    }

    public function test_a_damaged_database_is_named_with_its_newest_good_copy_which_comes_back(): void
    {
        $this->rename()->assertOk();
        $copies = new Copies($this->database);
        $copy = $copies->beforeMigration();
        touch($copy, time() + 5);
        file_put_contents($this->folder.'/copies/shelf-2020-01-01.sqlite', 'no copy');
        touch($this->folder.'/copies/shelf-2020-01-01.sqlite', time() + 9);
        DB::purge();
        $whole = (string) file_get_contents($this->database);
        file_put_contents($this->database, substr_replace($whole, random_bytes(12_000), 4096, 12_000));
        $damaged = (string) file_get_contents($this->database);

        self::assertSame(1, Artisan::call('shelf:open'));
        self::assertStringContainsString('is damaged', Artisan::output());
        Artisan::call('shelf:open');
        self::assertStringContainsString("shelf:bring-back '$copy'", Artisan::output());
        self::assertSame($damaged, file_get_contents($this->database));

        self::assertSame(1, Artisan::call('shelf:bring-back', ['copy' => $this->folder.'/copies/shelf-2020-01-01.sqlite']));
        self::assertSame(0, Artisan::call('shelf:bring-back', ['copy' => $copy]));
        self::assertSame($damaged, file_get_contents((string) (glob($this->database.'.aside-*[0-9]') ?: [''])[0]));
        self::assertSame(0, Artisan::call('shelf:open'));
        self::assertSame('Other', ShelfBlock::query()->findOrFail(1)->name);
    }

    public function test_one_copy_a_day_is_kept_for_seven_days(): void
    {
        $copies = new Copies($this->database);
        $today = $this->folder.'/copies/shelf-'.date('Y-m-d').'.sqlite';
        self::assertTrue(Copies::isWhole($today));
        unlink($today);
        for ($day = 1; $day <= 9; ++$day) {
            touch($this->folder."/copies/shelf-2026-01-0$day.sqlite", 1_760_000_000 + $day);
        }
        touch($this->folder.'/copies/shelf-before-2026-01-01-120000.sqlite', 1_700_000_000);
        // The first change of a day makes it, while the database is open.
        $this->rename()->assertOk();
        self::assertTrue(Copies::isWhole($today));
        self::assertSame('Other', (new \SQLite3($today))->querySingle('SELECT name FROM shelf_blocks WHERE id = 1'));
        self::assertSame([...array_map(static fn (int $day): string => "shelf-2026-01-0$day.sqlite", range(4, 9)), 'shelf-'.date('Y-m-d').'.sqlite', 'shelf-before-2026-01-01-120000.sqlite'], array_map(basename(...), glob($this->folder.'/copies/*') ?: []));
        $copies->daily();
        self::assertCount(8, glob($this->folder.'/copies/*') ?: []);
    }

    public function test_a_migration_is_whole_or_not_there_however_it_is_killed_and_the_old_state_is_kept(): void
    {
        $environment = ['DB_DATABASE' => $this->folder.'/other.sqlite', 'APP_ENV' => 'production'];
        $open = static fn (): Process => new Process([PHP_BINARY, 'artisan', 'shelf:open'], base_path(), $environment);
        for ($i = 0; $i < 8; ++$i) {
            $process = $open();
            $process->start();
            usleep(120_000 + 30_000 * $i);
            $process->stop(0, SIGKILL);
        }
        $open()->mustRun();
        $database = new \SQLite3($this->folder.'/other.sqlite');
        self::assertSame(['ok', count(glob(database_path('migrations/*.php')) ?: []), 3], [$database->querySingle('PRAGMA integrity_check'), $database->querySingle('SELECT count(*) FROM migrations'), $database->querySingle('SELECT count(*) FROM shelf_blocks')]);

        // One killed between two migrations has made its own copy when it went on; from here one more is due.
        array_map(unlink(...), glob($this->folder.'/copies/other-before-*.sqlite') ?: []);

        // A database of an earlier version: what it held is kept as it was, and it goes on.
        $database->exec('ALTER TABLE block_edits DROP COLUMN before');
        $database->exec("DELETE FROM migrations WHERE migration LIKE '%add_before%'");
        $database->close();
        self::assertStringContainsString('as it was it is kept at', $open()->mustRun()->getOutput());
        $copies = glob($this->folder.'/copies/other-before-*.sqlite') ?: [];
        self::assertCount(1, $copies);
        self::assertSame([0, 1], array_map(static fn (string $path): mixed => (new \SQLite3($path))->querySingle("SELECT count(*) FROM pragma_table_info('block_edits') WHERE name = 'before'"), [$copies[0], $this->folder.'/other.sqlite']));
    }

    public function test_twenty_hard_kills_under_writing_lose_and_double_nothing(): void
    {
        $killed = Kills::run(20);
        self::assertSame([], $killed['faults']);
        self::assertGreaterThanOrEqual(20, $killed['answered']);
    }

    /** @return \Illuminate\Testing\TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function rename(): \Illuminate\Testing\TestResponse
    {
        try {
            $version = ShelfBlock::query()->findOrFail(1)->version;
        } catch (\Throwable) {
            $version = 1;
        }

        return $this->postJson('/api/blocks/1/edits', ['edit' => ['do' => 'name', 'name' => 'Other'], 'follow' => 'none'], ['If-Match' => "\"$version\""]);
    }
}
