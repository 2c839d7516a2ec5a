<?php

declare(strict_types=1);

namespace Tests\Feature;

use Database\Seeders\DatabaseSeeder;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as LaravelTestCase;

abstract class TestCase extends LaravelTestCase
{
    use RefreshDatabase;

    /** Migrations run without a mocked console, so that no mocking library is needed. */
    public $mockConsoleOutput = false;

    protected bool $seed = true;

    protected string $seeder = DatabaseSeeder::class;

    protected function setUp(): void
    {
        parent::setUp();
        // Whatever is sent is sent as the screens send it, unless a test says otherwise.
        $this->withServerVariables(['CONTENT_TYPE' => 'application/json']);
    }

    /** @return array<string, string> */
    protected static function seen(int $version): array
    {
        return ['If-Match' => "\"$version\""];
    }

    protected static function demo(string $name): string
    {
        return (string) file_get_contents(dirname(__DIR__, 2)."/database/demo/$name.keenseam.json");
    }

    /** Does the next steps at the machine. */
    protected function sew(int $block, int $steps): void
    {
        $keys = array_column(array_filter($this->getJson("/api/blocks/$block/work")->json('steps'), static fn (array $step): bool => ! $step['isDone']), 'key');
        $events = array_map(static fn (string $key): array => ['id' => bin2hex(random_bytes(8)), 'do' => 'done', 'step' => $key, 'at' => 1_760_000_000_000], array_slice($keys, 0, $steps));
        $this->postJson("/api/blocks/$block/work/events", ['events' => $events])->assertOk()->assertJson(['said' => []]);
    }
}
