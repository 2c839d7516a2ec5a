<?php

declare(strict_types=1);

namespace Tests\Core\Layout;

use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Layout\OddCell;
use KeenSeam\Core\Layout\OddOnesOut;
use KeenSeam\Core\Layout\Symmetry;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Blocks;

/**
 * The symmetry and its odd cells, found again from samples of the face: the fabrics at sixteen places of every cell are
 * looked up, moved about and compared; what a turn would mend is found by trying all eight.
 */
final class SymmetryTriedTest extends TestCase
{
    /** Places of a cell that the eight moves of a square carry into each other. */
    private const SAMPLES = [[0.3, 0.1], [0.7, 0.1], [0.9, 0.3], [0.9, 0.7], [0.7, 0.9], [0.3, 0.9], [0.1, 0.7], [0.1, 0.3], [0.42, 0.35], [0.58, 0.35], [0.65, 0.42], [0.65, 0.58], [0.58, 0.65], [0.42, 0.65], [0.35, 0.58], [0.35, 0.42]];

    public function test_it_is_what_trying_finds(): void
    {
        $found = [];
        for ($seed = 0; $seed < 120; ++$seed) {
            $file = self::nearlyRegular(new Randomizer(new Mt19937($seed)));
            $look = OddOnesOut::of(Face::of(BlockFile::read($file)));
            $odd = array_map(static fn (OddCell $one): string => $one->cell->row.' '.$one->cell->column, $look->odd);
            // Which of several that are equally large and equally near counts is left open.
            self::assertContains([$look->symmetry->value, $odd], self::tried($file), "seed $seed");
            $found[$look->symmetry->value][count($odd)] = true;
        }
        self::assertGreaterThan(4, count($found));
        self::assertGreaterThan(4, array_sum(array_map(count(...), $found)));
    }

    /**
     * A layout with a symmetry, spoiled in some of its cells.
     *
     * @return array<string, mixed>
     */
    private static function nearlyRegular(Randomizer $random): array
    {
        $size = $random->getInt(2, 5);
        $kinds = ['pA', 'pB', 'hAB', 'hAC', 'gABB', 'sABC', 'dABBBB'];
        $rows = [];
        $moves = [Symmetry::QuarterTurn, Symmetry::HalfTurn, Symmetry::MirrorVertical, Symmetry::Full, Symmetry::MirrorDiagonals, Symmetry::None][$random->getInt(0, 5)];
        $cells = [];
        for ($row = 0; $row < $size; ++$row) {
            for ($column = 0; $column < $size; ++$column) {
                if (isset($cells[$row][$column])) {
                    continue;
                }
                $word = $kinds[$random->getInt(0, count($kinds) - 1)];
                $turn = 90 * $random->getInt(0, 3);
                foreach ($moves->moves() as $move) {
                    [$y, $x] = [$row, $move->mirrored ? $size - 1 - $column : $column];
                    for ($i = 0; $i < $move->turn->quarters(); ++$i) {
                        [$y, $x] = [$x, $size - 1 - $y];
                    }
                    // Flipped before it is turned: a turn that was there goes the other way round.
                    $cells[$y][$x] ??= $word.(($move->mirrored ? 360 - $turn : $turn) + $move->turn->value) % 360 .($move->mirrored ? 'm' : '');
                }
            }
        }
        for ($spoiled = $random->getInt(0, 2); $spoiled > 0; --$spoiled) {
            $cells[$random->getInt(0, $size - 1)][$random->getInt(0, $size - 1)] = $kinds[$random->getInt(0, count($kinds) - 1)].(90 * $random->getInt(0, 3));
        }
        for ($row = 0; $row < $size; ++$row) {
            ksort($cells[$row]);
            $rows[] = implode(' ', $cells[$row]);
        }

        return Blocks::file(...$rows);
    }

    /**
     * @param array<string, mixed> $file
     *
     * @return list<array{string, list<string>}> all that are as large and as near as can be
     */
    private static function tried(array $file): array
    {
        $size = count($file['rows']);
        $shown = self::sampled($file);
        $others = [];
        foreach (Symmetry::all() as $placement) {
            $turned = $file;
            foreach ($turned['cells'] as $i => $cell) {
                $turned['cells'][$i] = ['turn' => $placement->turn->value, 'mirrored' => $placement->mirrored] + $cell;
            }
            $others[] = self::sampled($turned);
        }
        $busy = count(array_filter($file['cells'], static fn (array $cell): bool => $cell['unit'] !== 'plain'));
        $judged = [];
        foreach (self::allMoves($size) as [$name, $group]) {
            $one = self::judged($group, $size, $shown, $others);
            if ($one !== null && $one[0] <= max(1, intdiv($busy, 4))) {
                $judged[] = [$name, count($group), ...$one];
            }
        }
        $exact = array_filter($judged, static fn (array $one): bool => $one[2] === 0);
        $judged = array_filter($judged, static function (array $one) use ($exact): bool {
            foreach ($exact as [, , , , $orbits]) {
                foreach ($orbits as $orbit) {
                    if (count(array_intersect($orbit, $one[3])) > 1) {
                        return false;
                    }
                }
            }

            return true;
        });
        if ($judged === []) {
            return [['none', []]];
        }
        $best = min(array_map(static fn (array $one): array => [-$one[1], $one[2]], $judged));

        return array_values(array_map(
            static fn (array $one): array => [$one[0], array_map(static fn (int $cell): string => (intdiv($cell, $size) + 1).' '.($cell % $size + 1), $one[3])],
            array_filter($judged, static fn (array $one): bool => [-$one[1], $one[2]] === $best),
        ));
    }

    /**
     * Every group of moves there is, each move as the cell and the places of the samples that come to lie there.
     *
     * @return list<array{string, list<array{list<int>, list<int>}>}>
     */
    private static function allMoves(int $size): array
    {
        $same = range(0, count(self::SAMPLES) - 1);
        $groups = [];
        foreach (Symmetry::cases() as $symmetry) {
            $group = [];
            foreach ($symmetry->moves() as $move) {
                $cells = $samples = [];
                for ($cell = 0; $cell < $size * $size; ++$cell) {
                    [$x, $y] = self::moved([($cell % $size + 0.5) / $size, (intdiv($cell, $size) + 0.5) / $size], $move);
                    $cells[] = (int) floor($y * $size) * $size + (int) floor($x * $size);
                }
                foreach (self::SAMPLES as $place) {
                    [$x, $y] = self::moved($place, $move);
                    $samples[] = (int) array_key_first(array_filter(self::SAMPLES, static fn (array $one): bool => abs($one[0] - $x) + abs($one[1] - $y) < 1e-9));
                }
                $group[] = [$cells, $samples];
            }
            if (count($group) > 1) {
                $groups[] = [$symmetry->value, $group];
            }
        }
        for ($down = 1; $down <= $size; ++$down) {
            for ($right = 1; $right <= $size; ++$right) {
                if ($size % $down !== 0 || $size % $right !== 0 || $down * $right === $size * $size) {
                    continue;
                }
                $group = [];
                for ($i = 0; $i < $size; $i += $down) {
                    for ($j = 0; $j < $size; $j += $right) {
                        $group[] = [array_map(static fn (int $cell): int => (intdiv($cell, $size) + $i) % $size * $size + ($cell % $size + $j) % $size, range(0, $size * $size - 1)), $same];
                    }
                }
                $groups[] = ['repeat', $group];
            }
        }

        return $groups;
    }

    /**
     * @param list<array{list<int>, list<int>}> $group
     * @param list<string>                      $shown
     * @param list<list<string>>                $others what each cell would show in each placement
     *
     * @return array{int, list<int>, list<list<int>>}|null changes, odd cells and orbits
     */
    private static function judged(array $group, int $size, array $shown, array $others): ?array
    {
        [$changes, $odd, $orbits, $seen] = [0, [], [], []];
        for ($first = 0; $first < $size * $size; ++$first) {
            if (isset($seen[$first])) {
                continue;
            }
            $orbit = array_values(array_unique(array_map(static fn (array $move): int => $move[0][$first], $group)));
            $seen += array_flip($orbit);
            sort($orbit);
            $orbits[] = $orbit;
            // What would have to be seen in the whole orbit, if this is what the first cell shows.
            $ideals = [];
            foreach ($orbit as $cell) {
                foreach ([$shown[$cell], ...array_column($others, $cell)] as $picture) {
                    foreach ($group as $move) {
                        if ($move[0][$cell] === $first) {
                            $ideals[self::carried($picture, $move[1])] = true;
                        }
                    }
                }
            }
            $least = null;
            foreach (array_keys($ideals) as $ideal) {
                $wanted = [];
                foreach ($group as $move) {
                    $wanted[$move[0][$first]][self::carried((string) $ideal, $move[1])] = true;
                }
                if (max(array_map(count(...), $wanted)) > 1) {
                    continue; // the cell would have to show two things
                }
                $wrong = array_values(array_filter($orbit, static fn (int $cell): bool => ! isset($wanted[$cell][$shown[$cell]])));
                $isMendable = array_filter($wrong, static fn (int $cell): bool => array_filter(array_column($others, $cell), static fn (string $picture): bool => isset($wanted[$cell][$picture])) === []) === [];
                if ($least === null || count($wrong) < count($least[0])) {
                    $least = [$wrong, $isMendable];
                }
            }
            if ($least === null || ! $least[1]) {
                return null;
            }
            [$wrong] = $least;
            if (count($orbit) === 2 && count($wrong) === 1) {
                // Neither is the majority: either could be made to match the other.
                $both = array_filter([0, 1], static fn (int $i): bool => array_filter($group, static fn (array $move): bool => $move[0][$orbit[$i]] === $orbit[1 - $i] && in_array(self::carried($shown[$orbit[$i]], $move[1]), array_column($others, $orbit[1 - $i]), true)) !== []);
                if (! self::isStable($orbit, $shown, $group)) {
                    $odd = [...$odd, ...$wrong];
                    ++$changes;
                    continue;
                }
                if (count($both) < 2) {
                    return null;
                }
                $odd = [...$odd, ...$orbit];
                ++$changes;
                continue;
            }
            if ($wrong !== [] && count($orbit) > 1 && 2 * count($wrong) >= count($orbit)) {
                return null;
            }
            $odd = [...$odd, ...$wrong];
            $changes += count($wrong);
        }
        sort($odd);

        return [$changes, $odd, $orbits];
    }

    /**
     * Whether both of a pair show what they would have to show by themselves, under the moves that leave them in their place.
     *
     * @param list<int>                         $pair
     * @param list<string>                      $shown
     * @param list<array{list<int>, list<int>}> $group
     */
    private static function isStable(array $pair, array $shown, array $group): bool
    {
        foreach ($pair as $cell) {
            foreach ($group as $move) {
                if ($move[0][$cell] === $cell && self::carried($shown[$cell], $move[1]) !== $shown[$cell]) {
                    return false;
                }
            }
        }

        return true;
    }

    /** @param list<int> $samples where each comes to lie */
    private static function carried(string $picture, array $samples): string
    {
        $carried = $picture;
        foreach ($samples as $from => $to) {
            $carried[$to] = $picture[$from];
        }

        return $carried;
    }

    /**
     * @param array{float, float} $place in a square of side 1
     *
     * @return array{float, float}
     */
    private static function moved(array $place, \KeenSeam\Core\Block\Placement $move): array
    {
        [$x, $y] = [$move->mirrored ? 1 - $place[0] : $place[0], $place[1]];
        for ($i = 0; $i < $move->turn->quarters(); ++$i) {
            [$x, $y] = [1 - $y, $x];
        }

        return [$x, $y];
    }

    /**
     * @param array<string, mixed> $file of equal square cells
     *
     * @return list<string> the fabrics at the samples of every cell, in reading order
     */
    private static function sampled(array $file): array
    {
        $size = count($file['rows']);
        $face = Face::of(BlockFile::read($file));
        [$width, $height] = [max(array_map(static fn ($point): int => $point->x, $face->outline()->points)), max(array_map(static fn ($point): int => $point->y, $face->outline()->points))];
        // A unit's patches lie in its own cell.
        $byCell = [];
        foreach ($face->patches as $patch) {
            $middle = [array_sum(array_column($patch->outline->points, 'x')), array_sum(array_column($patch->outline->points, 'y'))];
            $corners = count($patch->outline->points);
            $byCell[(int) ($middle[1] / $corners / $height * $size) * $size + (int) ($middle[0] / $corners / $width * $size)][] = [$patch->outline->edges(), $patch->fabric->key];
        }
        $shown = [];
        for ($cell = 0; $cell < $size * $size; ++$cell) {
            $picture = '';
            foreach (self::SAMPLES as [$x, $y]) {
                [$px, $py] = [($cell % $size + $x) / $size * $width, (intdiv($cell, $size) + $y) / $size * $height];
                foreach ($byCell[$cell] as [$edges, $fabric]) {
                    foreach ($edges as [$a, $b]) {
                        if (($b->x - $a->x) * ($py - $a->y) - ($b->y - $a->y) * ($px - $a->x) <= 0) {
                            continue 2;
                        }
                    }
                    $picture .= $fabric;
                }
            }
            $shown[] = $picture;
        }

        return $shown;
    }
}
