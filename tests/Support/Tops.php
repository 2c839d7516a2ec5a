<?php

declare(strict_types=1);

namespace Tests\Support;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\SashesSewn;
use KeenSeam\Core\Assembly\TopConstruction;
use KeenSeam\Core\Assembly\TopOrder;
use KeenSeam\Core\Pressing\Cost;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\Pressing;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Top\TopFace;
use KeenSeam\Core\Top\TopFile;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Small tops for tests: of blocks written as Blocks writes them. */
final class Tops
{
    /** Looks the same after every quarter turn; sewn by rows it is then sewn by columns. */
    public const PINWHEEL = ['hAB', 'hAB90', '/', 'hAB270', 'hAB180'];

    /**
     * @param array<string, mixed> $over      fields instead of the usual ones: two by two of the first block, straight
     * @param list<string>         ...$blocks rows of each block, "/" between rows; they are called "one", "two", ...
     *
     * @return array<string, mixed> as decoded from a top file
     */
    public static function file(array $over, array ...$blocks): array
    {
        $entries = [];
        $fabrics = [];
        foreach (array_values($blocks) as $number => $words) {
            $file = Blocks::file(...array_map(trim(...), explode('/', implode(' ', $words))));
            $fabrics = $file['fabrics'];
            $entries[['one', 'two', 'three'][$number]] = [...array_intersect_key($file, ['columns' => 1, 'rows' => 1, 'cells' => 1]), 'finished' => ['width' => '6', 'height' => '6'], 'order' => 'rows'];
        }

        return $over + [
            'format' => 'keen-seam/top',
            'version' => 1,
            'name' => 'Night watch',
            'units' => 'in',
            'seam_allowance' => '1/4',
            'fabrics' => $fabrics,
            'blocks' => $entries,
            'setting' => 'straight',
            'rows' => 2,
            'columns' => 2,
        ];
    }

    /** @param array<string, mixed> $file */
    public static function face(array $file): TopFace
    {
        return TopFace::of(TopFile::read($file));
    }

    /** @param array<string, mixed> $file */
    public static function sewn(array $file, Order $order = Order::Rows, SashesSewn $sashes = SashesSewn::Between): TopConstruction
    {
        return TopConstruction::of(self::face($file), new TopOrder($order, $sashes));
    }

    /**
     * A top in any setting, with or without sashes, its blocks lying anyhow; the same for the same seed.
     *
     * @return array<string, mixed>
     */
    public static function generated(int $seed): array
    {
        $random = new Randomizer(new Mt19937($seed));
        $onPoint = $seed % 2 === 1;
        [$rows, $columns] = [$random->getInt(1, 3), $random->getInt(2, 3)];
        $over = ['setting' => $onPoint ? 'on-point' : 'straight', 'rows' => $rows, 'columns' => $columns];
        if ($random->getInt(0, 2) > 0) {
            $over['sashes'] = ['width' => ['1', '3/4'][$random->getInt(0, 1)], 'fabric' => 'C', 'outer' => $random->getInt(0, 1) === 1] + ($random->getInt(0, 1) === 1 ? ['cornerstone' => 'B'] : []);
        }
        if ($onPoint) {
            $over['sides'] = $random->getInt(0, 1) === 1 ? ['blocks' => true] : ['fabric' => 'A', 'float' => ['0', '1/2', '1 1/3'][$random->getInt(0, 2)]];
        }
        for ($row = 1; $row <= $rows; ++$row) {
            for ($column = 1; $column <= $columns; ++$column) {
                $over['places'][] = ['row' => $row, 'column' => $column] + match ($random->getInt(0, 4)) {
                    0 => ['fabric' => 'C'],
                    1, 2 => ['block' => 'two', 'turn' => 90 * $random->getInt(0, 3), 'mirrored' => $random->getInt(0, 1) === 1],
                    default => ['block' => 'one', 'turn' => 90 * $random->getInt(0, 3), 'mirrored' => $random->getInt(0, 1) === 1],
                };
            }
        }

        return self::file($over, ['hAB', 'qABCA', '/', 'pC', 'hCB90'], ['pA', 'pB', 'pC', '/', 'gABC', 'pB', 'pA', '/', 'pB', 'hAB', 'pA']);
    }

    /**
     * The least cost of two by two blocks under every way to press them, priced one by one.
     *
     * @param list<string>    $block
     * @param list<list<int>> $ways  turns of the four to be tried
     */
    public static function leastOfAll(array $block, array $ways): Cost
    {
        $least = null;
        foreach (self::layings($ways) as $file) {
            foreach (self::pressings($top = self::sewn($file + self::file([], $block))) as $pressing) {
                $cost = (new PressingPlanner($top->construction))->price($pressing, new PressQuestion(PressStyle::Nest))->cost;
                $least = $least === null || $cost->compareTo($least, PressStyle::Nest) < 0 ? $cost : $least;
            }
        }

        return $least ?? throw new \LogicException('There is a way.');
    }

    /**
     * Two by two of the first block with their turns held, once for each of the ways.
     *
     * @param list<list<int>> $ways the four turns, in degrees
     *
     * @return iterable<array<string, mixed>> fields of a top file
     */
    public static function layings(array $ways): iterable
    {
        foreach ($ways as $turns) {
            yield ['turns' => 'fixed', 'places' => array_map(static fn (int $place, int $turn): array => ['row' => intdiv($place, 2) + 1, 'column' => $place % 2 + 1, 'block' => 'one', 'turn' => $turn], array_keys($turns), $turns)];
        }
    }

    /** @return iterable<Pressing> every one in which the four blocks are pressed alike */
    private static function pressings(TopConstruction $top): iterable
    {
        $free = array_values(array_filter($top->construction->joins, static fn (Join $join): bool => $join->tie === null));
        $copy = $top->copies[0];
        $inDesign = []; // which of the design's joins are pressed as one
        foreach ($copy->design->joins as $join) {
            $inDesign[$join->id] = $join->tie === null ? 'free '.$join->id : 'tied '.$join->tie->unitClass.' '.$join->tie->join;
        }
        $groups = [...array_values(array_unique($inDesign)), ...array_map(static fn (Join $join): string => 'seam '.$join->id, $free)];
        for ($case = 0; $case < 2 ** count($groups); ++$case) {
            $of = [];
            foreach ($groups as $i => $group) {
                $of[$group] = ($case >> $i) & 1 ? PressDirection::Left : PressDirection::Right;
            }
            $directions = [];
            foreach ($top->copies as $one) {
                foreach ($one->joins as $design => $join) {
                    $directions[$join] = $of[$inDesign[$design]];
                }
            }
            foreach ($free as $join) {
                $directions[$join->id] = $of['seam '.$join->id];
            }
            ksort($directions);
            yield Pressing::wholeJoins($top->construction, array_values($directions));
        }
    }
}
