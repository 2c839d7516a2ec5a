<?php

declare(strict_types=1);

namespace Tests\Support;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\UnitPatterns;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Small blocks for tests, written down in a line. */
final class Blocks
{
    /** Two quilters' fabrics and one between: A light, B dark, C medium. */
    private const FABRICS = [
        ['key' => 'A', 'name' => 'Sailcloth', 'color' => '#ece5d6', 'value' => 'light'],
        ['key' => 'B', 'name' => 'Harbour ink', 'color' => '#22405f', 'value' => 'dark'],
        ['key' => 'C', 'name' => 'Sea glass', 'color' => '#7fb0a6', 'value' => 'medium'],
    ];

    private const SHORT = [
        'p' => 'plain',
        'h' => 'half-square-triangle',
        'q' => 'quarter-square-triangle',
        's' => 'split-quarter-square-triangle',
        'g' => 'flying-geese',
        't' => 'triangle-in-square',
        'd' => 'square-in-square',
    ];

    /**
     * A square grid with finished cells of 2 inches, one word a cell: kind, fabrics, turn, "m" when mirrored: "hAB90m".
     *
     * @return array<string, mixed> as decoded from a block file
     */
    public static function file(string ...$rows): array
    {
        $cells = [];
        $columns = 0;
        foreach ($rows as $r => $row) {
            foreach (explode(' ', $row) as $c => $word) {
                preg_match('~^([a-z])([A-C]+)(\d*)(m?)$~', $word, $part);
                $cells[] = [
                    'row' => $r + 1,
                    'column' => $c + 1,
                    'unit' => self::SHORT[$part[1]],
                    'turn' => (int) $part[3],
                    'mirrored' => $part[4] === 'm',
                    'fabrics' => str_split($part[2]),
                ];
                $columns = max($columns, $c + 1);
            }
        }

        return [
            'format' => 'keen-seam/block',
            'version' => 1,
            'name' => 'Test block',
            'units' => 'in',
            'finished' => ['width' => (string) (2 * $columns), 'height' => (string) (2 * count($rows))],
            'seam_allowance' => '1/4',
            'fabrics' => self::FABRICS,
            'columns' => array_fill(0, $columns, '1'),
            'rows' => array_fill(0, count($rows), '1'),
            'cells' => $cells,
        ];
    }

    public static function of(string ...$rows): Block
    {
        return BlockFile::read(self::file(...$rows));
    }

    public static function sewn(string ...$rows): Construction
    {
        return self::construction(self::file(...$rows));
    }

    /** @param array<string, mixed> $file */
    public static function construction(array $file): Construction
    {
        return Construction::of(Face::of(BlockFile::read($file)), Order::Rows);
    }

    /**
     * A block of any kinds, turns and fabrics, the same for the same seed.
     *
     * @return array<string, mixed>
     */
    public static function generated(int $seed, int $columns, int $rows): array
    {
        $random = new Randomizer(new Mt19937($seed));
        $letters = array_flip(self::SHORT);
        $words = [];
        for ($r = 0; $r < $rows; ++$r) {
            for ($c = 0; $c < $columns; ++$c) {
                $kinds = array_keys(UnitPatterns::all());
                $pattern = UnitPatterns::all()[$kinds[$random->getInt(0, count($kinds) - 1)]];
                $fabrics = '';
                foreach ($pattern->outlines as $_) {
                    $fabrics .= ['A', 'B', 'C'][$random->getInt(0, 2)];
                }
                $words[$r][] = $letters[$pattern->kind].$fabrics.(90 * $random->getInt(0, 3)).($random->getInt(0, 1) === 1 ? 'm' : '');
            }
        }
        $file = self::file(...array_map(static fn (array $row): string => implode(' ', $row), $words));
        $file['columns'] = array_map(static fn (): string => (string) $random->getInt(1, 2), $file['columns']);

        return $file;
    }

    /** @return array<string, mixed> the inward geese: plain corners and centre, four geese pointing to the middle */
    public static function inwardGeese(): array
    {
        $file = self::file('pA gABB180 pA', 'gABB90 pB gABB270', 'pA gABB pA');
        $file['columns'] = $file['rows'] = ['1', '2', '1'];
        $file['finished'] = ['width' => '8', 'height' => '8'];

        return $file;
    }
}
