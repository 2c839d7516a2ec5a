<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\Attributes\DataProvider;

/** Numbers as they stand on a ruler: inches in halves of halves and never in decimals, millimetres never in fractions. */
final class RulerNumbersTest extends BrowserTestCase
{
    private const STATIONS = ['wall', 'cut', 'order', 'press', 'joins', 'machine'];

    /** @return array<string, array{string, array<string, string>}> unit of length, and the block */
    public static function blocks(): array
    {
        return [
            'inches off the ruler' => ['in', ['units' => 'in', 'width' => '8.2', 'height' => '4.1']],
            'millimetres off the ruler' => ['mm', ['units' => 'mm', 'width' => '304.8', 'height' => '152.4']],
            'thirds' => ['in', ['units' => 'in', 'width' => '7', 'height' => '3 1/2', 'columns' => '3', 'rows' => '2']],
        ];
    }

    /** @param array<string, string> $block */
    #[DataProvider('blocks')]
    public function test_no_screen_tells_another_number(string $units, array $block): void
    {
        $made = json_decode((string) file_get_contents($this->address.'/api/starts', false, stream_context_create(['http' => ['method' => 'POST', 'header' => 'Content-Type: application/json', 'content' => json_encode($block + ['name' => 'Mooring', 'start' => 'star', 'columns' => '4', 'rows' => '2'])]])), true, 512, JSON_THROW_ON_ERROR);
        $wrong = [];
        foreach (self::STATIONS as $station) {
            $this->visit("/blocks/{$made['id']}/$station");
            $this->waitUntil(fn (): bool => $this->browser->executeScript('return document.querySelector("h1") !== null') === true, "$station shows nothing");
            $this->browser->executeScript('document.querySelectorAll("details").forEach((one) => (one.open = true))');
            usleep(600_000);
            [$text, $fields] = $this->browser->executeScript('return [document.body.innerText.replace(/[\u2044]/g, "/"), [...document.querySelectorAll("input")].map((one) => one.value)]');
            preg_match_all($units === 'in' ? '~.{0,20}\d\.\d.{0,10}|.{0,20}\d/(?!(?:2|4|8|16|32|64)(?!\d))\d.{0,10}~u' : '~.{0,20}\d/\d.{0,10}~u', $text, $found);
            $wrong[$station] = [...$found[0], ...array_filter($fields, static fn (string $value): bool => str_contains($value, '≈'))];
        }
        self::assertSame([], array_filter($wrong));
    }
}
