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

    /** @return array<string, string> */
    protected static function seen(int $version): array
    {
        return ['If-Match' => "\"$version\""];
    }

    protected static function demo(string $name): string
    {
        return (string) file_get_contents(dirname(__DIR__, 2)."/database/demo/$name.keenseam.json");
    }
}
