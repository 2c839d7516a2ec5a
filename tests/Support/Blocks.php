<?php

declare(strict_types=1);

namespace Tests\Support;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\UnitPatterns;
use KeenSeam\Core\Measure\Fraction;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Small blocks for tests, written down in a line. */
final class Blocks
{
    /** Four equal squares in a pinwheel arrangement, each of one light and one dark triangle, given as bare patches. */
    private const PINWHEEL_OF_PATCHES = [
        ['A', '0,0 1/2,1/2 0,1/2'], ['B', '0,0 1/2,0 1/2,1/2'],
        ['A', '1/2,0 1,0 1/2,1/2'], ['B', '1,0 1,1/2 1/2,1/2'],
        ['A', '1,1/2 1,1 1/2,1/2'], ['B', '1/2,1/2 1,1 1/2,1'],
        ['A', '1/2,1/2 1/2,1 0,1'], ['B', '0,1/2 1/2,1/2 0,1'],
    ];

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

    /**
     * A block of one cell, cut in two by straight lines again and again, so that straight seams can build it; the same for
     * the same seed. No side is shorter than an eighth of the block.
     *
     * @return array<string, mixed>
     */
    public static function slantedPatches(int $seed, int $patches, string $side = '8'): array
    {
        $random = new Randomizer(new Mt19937($seed));
        [$zero, $one] = [Fraction::zero(), Fraction::of(1)];
        $pieces = [[[$zero, $zero], [$one, $zero], [$one, $one], [$zero, $one]]];
        for ($tries = 0; count($pieces) < $patches && $tries < 60; ++$tries) {
            $at = $random->getInt(0, count($pieces) - 1);
            $halves = self::cutInTwo($pieces[$at], $random);
            if ($halves !== null) {
                array_splice($pieces, $at, 1, $halves);
            }
        }
        $file = self::file('pA');
        $file['finished'] = ['width' => $side, 'height' => $side];
        $file['cells'] = [['row' => 1, 'column' => 1, 'unit' => 'patches', 'patches' => array_map(static fn (array $corners): array => [
            'fabric' => ['A', 'B', 'C'][$random->getInt(0, 2)],
            'points' => array_map(static fn (array $corner): array => [$corner[0]->toText(), $corner[1]->toText()], $corners),
        ], $pieces)]];

        return $file;
    }

    /**
     * @param list<array{Fraction, Fraction}> $corners
     *
     * @return array{list<array{Fraction, Fraction}>, list<array{Fraction, Fraction}>}|null null where a side would be too short
     */
    private static function cutInTwo(array $corners, Randomizer $random): ?array
    {
        $count = count($corners);
        [$i, $apart] = [$random->getInt(0, $count - 1), $random->getInt(1, $count - 1)];
        $place = static function (int $side) use ($corners, $count, $random): array {
            [$a, $b] = [$corners[$side], $corners[($side + 1) % $count]];
            $share = Fraction::of(...[[0, 1], [1, 2], [1, 3], [2, 3], [1, 4]][$random->getInt(0, 4)]);

            return [$a[0]->plus($b[0]->minus($a[0])->times($share)), $a[1]->plus($b[1]->minus($a[1])->times($share))];
        };
        [$from, $to] = [$place($i), $place(($i + $apart) % $count)];
        [$one, $other] = [[$from], [$to]];
        for ($k = 1; $k <= $count; ++$k) {
            $k <= $apart ? $one[] = $corners[($i + $k) % $count] : $other[] = $corners[($i + $k) % $count];
        }
        [$one[], $other[]] = [$to, $from];
        $clean = static fn (array $outline): array => array_values(array_filter($outline, static fn (array $corner, int $n): bool => ! self::isSame($corner, $outline[($n + 1) % count($outline)]), ARRAY_FILTER_USE_BOTH));
        [$one, $other] = [$clean($one), $clean($other)];
        foreach ([$one, $other] as $outline) {
            foreach ($outline as $n => $corner) {
                $next = $outline[($n + 1) % count($outline)];
                $before = $outline[($n + count($outline) - 1) % count($outline)];
                $length = hypot($next[0]->toFloat() - $corner[0]->toFloat(), $next[1]->toFloat() - $corner[1]->toFloat());
                $turn = ($corner[0]->toFloat() - $before[0]->toFloat()) * ($next[1]->toFloat() - $corner[1]->toFloat()) - ($corner[1]->toFloat() - $before[1]->toFloat()) * ($next[0]->toFloat() - $corner[0]->toFloat());
                if (count($outline) < 3 || $length < 1 / 8 || $corner[0]->denominator > 200 || $corner[1]->denominator > 200 || ($turn < 0.02 && $turn > 1e-12)) {
                    return null;
                }
            }
            if (count($outline) < 3) {
                return null;
            }
        }

        return [$one, $other];
    }

    /**
     * @param array{Fraction, Fraction} $a
     * @param array{Fraction, Fraction} $b
     */
    private static function isSame(array $a, array $b): bool
    {
        return $a[0]->equals($b[0]) && $a[1]->equals($b[1]);
    }

    /**
     * One drawn unit of 4 x 6 in: a goose, under it two half-square triangles, then a plain square beside a four-patch.
     *
     * @return array<string, mixed>
     */
    public static function knownUnitsInADrawnOne(): array
    {
        $file = self::file('pA');
        $file['finished'] = ['width' => '4', 'height' => '6'];
        $file['cells'] = [['row' => 1, 'column' => 1, 'unit' => 'patches', 'patches' => array_map(static fn (string $patch): array => ['fabric' => $patch[0], 'points' => array_map(static fn (string $point): array => explode(',', $point), explode(' ', substr($patch, 2)))], [
            'A 0,1/3 1/2,0 1,1/3', 'B 0,0 1/2,0 0,1/3', 'B 1/2,0 1,0 1,1/3',
            'A 0,1/3 1/2,1/3 0,2/3', 'B 1/2,1/3 1/2,2/3 0,2/3', 'B 1/2,1/3 1,1/3 1/2,2/3', 'A 1,1/3 1,2/3 1/2,2/3',
            'C 0,2/3 1/2,2/3 1/2,1 0,1',
            'A 1/2,2/3 3/4,2/3 3/4,5/6 1/2,5/6', 'B 3/4,2/3 1,2/3 1,5/6 3/4,5/6', 'B 1/2,5/6 3/4,5/6 3/4,1 1/2,1', 'A 3/4,5/6 1,5/6 1,1 3/4,1',
        ])]];

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

    public static function pinwheelOfPatches(): Construction
    {
        return self::ofPatches(self::PINWHEEL_OF_PATCHES);
    }

    /** @param list<array{string, string}> $patches fabric and corners */
    public static function ofPatches(array $patches): Construction
    {
        $file = self::file('pA');
        $file['cells'] = [['row' => 1, 'column' => 1, 'unit' => 'patches', 'patches' => array_map(static fn (array $patch): array => [
            'fabric' => $patch[0],
            'points' => array_map(static fn (string $corner): array => explode(',', $corner), explode(' ', $patch[1])),
        ], $patches)]];

        return self::construction($file);
    }
}
