<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\ShelfBlock;
use App\Workings\Workings;
use Database\Seeders\DatabaseSeeder;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as LaravelTestCase;
use Illuminate\Routing\Route;
use KeenSeam\Core\Pressing\Lock;
use Tests\Support\ScreenSchema;

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

    /**
     * What is shown once the changes of an answer are put into what was shown before, as the screens do it.
     *
     * @param array<string, mixed> $before
     * @param array<string, mixed> $answer
     *
     * @return array<string, mixed>
     */
    protected static function changedInto(array $answer, array $before): array
    {
        foreach ($answer['changed'] as $name => $change) {
            $before[$name] = array_key_exists('all', $change) ? $change['all'] : array_replace($before[$name], $change['at']);
        }

        return array_diff_key($answer, ['changed' => 1, 'from' => 1]) + $before;
    }

    /** @return list<Lock> as they hold now */
    protected static function locks(int $block): array
    {
        return app(Workings::class)->of(ShelfBlock::query()->findOrFail($block))->facts()->locks();
    }

    /**
     * Every answer a test gets is of the shape that the screens were told; files to keep have formats of their own.
     *
     * @return \Illuminate\Testing\TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    protected function createTestResponse($response, $request): \Illuminate\Testing\TestResponse
    {
        $route = $request->route();
        if ($route instanceof Route && str_starts_with($route->uri(), 'api/') && $response->headers->get('Content-Type') === 'application/json' && $response->headers->get('Content-Disposition') === null && ! str_contains($route->uri(), 'logbook.')) {
            self::assertSame([], ScreenSchema::mistakes($request->method().' '.substr($route->uri(), 4), $response->getStatusCode(), (string) $response->getContent()));
        }

        return parent::createTestResponse($response, $request);
    }

    /** Does the next steps at the machine. */
    protected function sew(int $block, int $steps): void
    {
        $keys = array_column(array_filter($this->getJson("/api/blocks/$block/work")->json('steps'), static fn (array $step): bool => ! $step['isDone']), 'key');
        $events = array_map(static fn (string $key): array => ['id' => bin2hex(random_bytes(8)), 'do' => 'done', 'step' => $key, 'at' => 1_760_000_000_000], array_slice($keys, 0, $steps));
        $this->postJson("/api/blocks/$block/work/events", ['events' => $events])->assertOk()->assertJson(['said' => []]);
    }
}
