<?php

declare(strict_types=1);

namespace Tests\Core\Pressing;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Pressing\Back;
use KeenSeam\Core\Pressing\Internal\JunctionTables;
use KeenSeam\Core\Pressing\Junction;
use KeenSeam\Core\Pressing\Layers;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\Pressing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Blocks;

final class LayersTest extends TestCase
{
    /** @return array<string, array{string, string, list<string>, int}> first row, second row, last seam by segment, peak */
    public static function fourPatches(): array
    {
        return [
            'rows pressed the same way' => ['left', 'left', ['left', 'left'], 9],
            'rows pressed opposite ways' => ['left', 'right', ['left', 'left'], 7],
            'the same, furled' => ['left', 'right', ['right', 'left'], 5],
            'everything open' => ['open', 'open', ['open', 'open'], 4],
        ];
    }

    /** @param list<string> $last */
    #[DataProvider('fourPatches')]
    public function test_the_centre_of_a_four_patch(string $first, string $second, array $last, int $peak): void
    {
        $construction = Blocks::sewn('pA pB', 'pB pA');
        $pressing = new Pressing(array_map(
            static fn (array $join): array => array_map(PressDirection::from(...), $join),
            [[$first], [$second], $last],
        ));
        [$junction] = Junction::allOn($construction->face);
        self::assertSame('1/16', Junction::radius()->inches->toText(), 'beyond the seams, within the allowances');
        $plies = (new Layers($construction, $pressing))->around($junction->at, self::radius($construction));

        self::assertSame($peak, max(0, ...$plies));
    }

    /** Folding moves cloth, it never removes it: round a junction of k patches the plies average k. */
    public function test_cloth_is_conserved_at_every_junction_under_any_pressing(): void
    {
        $checked = 0;
        for ($seed = 0; $seed < 6; ++$seed) {
            $construction = Blocks::construction(Blocks::generated($seed, 3, 2));
            $random = new Randomizer(new Mt19937($seed));
            foreach ([false, true] as $perSegment) {
                $layers = new Layers($construction, self::anyPressing($construction, $random, $perSegment));
                foreach (Junction::allOn($construction->face) as $junction) {
                    $plies = $layers->around($junction->at, self::radius($construction), 1024);
                    self::assertEqualsWithDelta(count($junction->patchIds), array_sum($plies) / 1024, 0.02, "seed $seed at {$junction->at->key()}");
                    ++$checked;
                }
            }
        }
        self::assertGreaterThan(60, $checked);
    }

    public function test_conservation_is_exact_where_all_angles_are_multiples_of_45_degrees(): void
    {
        $construction = Blocks::sewn('hAB hAB90 qABCB', 'dABCBA sABC hBC270', 'pA qABAB hCC');
        $random = new Randomizer(new Mt19937(7));
        for ($round = 0; $round < 10; ++$round) {
            $layers = new Layers($construction, self::anyPressing($construction, $random, false));
            foreach (Junction::allOn($construction->face) as $junction) {
                $plies = $layers->around($junction->at, self::radius($construction));
                self::assertSame(count($junction->patchIds) * Layers::DIRECTIONS, array_sum($plies));
            }
        }
    }

    public function test_the_fast_tables_agree_with_the_folding_rule(): void
    {
        foreach ([false, true] as $perSegment) {
            $directions = $perSegment ? [PressDirection::Left, PressDirection::Right] : PressDirection::cases();
            for ($seed = 0; $seed < 12; ++$seed) {
                // Seams along the weave and at an eighth of a turn, then at any slant.
                $construction = Blocks::construction($seed < 6 ? Blocks::generated($seed, 3, 2) : Blocks::slantedPatches([1, 2, 4, 5, 7, 9][$seed - 6], 7, '4'));
                $tables = new JunctionTables($construction, $perSegment);
                $pressing = self::anyPressing($construction, new Randomizer(new Mt19937($seed)), $perSegment, $directions);
                $layers = new Layers($construction, $pressing);
                foreach (Junction::allOn($construction->face) as $junction) {
                    $table = $tables->of($junction);
                    $chosen = array_map(static fn (array $slot): PressDirection => $pressing->directions[$slot[0]][$slot[1]], $table->slots);
                    self::assertSame(max(0, ...$layers->around($junction->at, self::radius($construction))), $table->peak($chosen), "seed $seed at {$junction->at->key()}");
                }
            }
        }
    }

    /** Surroundings that repeat share a table; in cells hardly wider than two allowances, what lies a cell away matters too. */
    public function test_shared_tables_agree_with_the_folding_rule(): void
    {
        foreach ([0.5, 0.5625, 0.75] as $seed => $inches) {
            $random = new Randomizer(new Mt19937($seed));
            $words = [['pA', 'hAB', 'hAB90'], ['pB', 'gABA', 'gABA90'], ['hBA', 'qABAB', 'pA']][$seed];
            $rows = array_map(static fn (): string => implode(' ', array_map(static fn (): string => $words[$random->getInt(0, 2)], range(1, 8))), range(1, 5));
            $file = ['finished' => ['width' => (string) (8 * $inches), 'height' => (string) (5 * $inches)]] + Blocks::file(...$rows);
            $face = Face::of(BlockFile::read($file));
            foreach ([[Order::Rows, $seed === 0], [Order::Columns, true], [Order::Diagonal, true]] as [$order, $perSegment]) {
                $construction = Construction::of($face, $order);
                $tables = new JunctionTables($construction, $perSegment);
                $pressing = self::anyPressing($construction, $random, $perSegment, [PressDirection::Left, PressDirection::Right]);
                $layers = new Layers($construction, $pressing);
                $shapes = [];
                $junctions = Junction::allOn($construction->face);
                foreach ($junctions as $junction) {
                    $table = $tables->of($junction);
                    $shapes[$table->shape()] = true;
                    $chosen = array_map(static fn (array $slot): PressDirection => $pressing->directions[$slot[0]][$slot[1]], $table->slots);
                    self::assertSame($layers->around($junction->at, self::radius($construction)), $table->plies($chosen), "cells of $inches in, $order->value, at {$junction->at->key()}");
                }
                if ($order !== Order::Diagonal) {
                    self::assertLessThan(count($junctions), count($shapes), 'some are shared');
                }
            }
        }
    }

    /** In strips no wider than an allowance cloth is folded over from behind the next seam and the one after. */
    public function test_tables_of_very_narrow_cells_agree_with_the_folding_rule(): void
    {
        for ($seed = 0; $seed < 12; ++$seed) {
            [$inches, $order] = [[0.25, 0.3125, 0.375][$seed % 3], [Order::Rows, Order::Columns][$seed % 2]];
            $random = new Randomizer(new Mt19937($seed));
            $words = [['pA', 'pB', 'hAB'], ['pA', 'hAB180', 'hAB90'], ['pA', 'hBA', 'pB'], ['pA', 'hAB90', 'hBA']][$seed % 4];
            $rows = array_map(static fn (): string => implode(' ', array_map(static fn (): string => $words[$random->getInt(0, 2)], range(1, 5))), range(1, 4));
            $construction = Construction::of(Face::of(BlockFile::read(['finished' => ['width' => (string) (5 * $inches), 'height' => (string) (4 * $inches)]] + Blocks::file(...$rows))), $order);
            $tables = new JunctionTables($construction, false);
            $pressing = self::anyPressing($construction, $random, false, [PressDirection::Left, PressDirection::Right]);
            $layers = new Layers($construction, $pressing);
            foreach (Junction::allOn($construction->face) as $junction) {
                $table = $tables->of($junction);
                $chosen = array_map(static fn (array $slot): PressDirection => $pressing->directions[$slot[0]][$slot[1]], $table->slots);
                self::assertSame($layers->around($junction->at, self::radius($construction)), $table->plies($chosen), "$order->value at {$junction->at->key()}");
            }
        }
    }

    /** The drawn pieces of cloth are the folding rule once more: they cover any place as often as it counts plies there. */
    public function test_the_drawn_back_has_the_same_plies_everywhere(): void
    {
        for ($seed = 0; $seed < 6; ++$seed) {
            $random = new Randomizer(new Mt19937($seed));
            $construction = Blocks::construction(Blocks::generated($seed, 2, 2));
            $pressing = self::anyPressing($construction, $random, true);
            $layers = new Layers($construction, $pressing);
            $flaps = Back::of($construction, $pressing);
            $far = $construction->face->outline()->points[2];
            foreach ($flaps as $flap) {
                // Folded over once it is its own mirror image, folded over again it is itself.
                $area = 0.0;
                foreach ($flap->corners as $i => [$x, $y]) {
                    [$nextX, $nextY] = $flap->corners[($i + 1) % count($flap->corners)];
                    $area += $x * $nextY - $nextX * $y;
                }
                self::assertSame($flap->turnedUp, $area < 0);
            }
            for ($i = 0; $i < 200; ++$i) {
                $x = $random->getInt(-100, 1100) / 1000 * $far->x + 0.00037;
                $y = $random->getInt(-100, 1100) / 1000 * $far->y + 0.00041;
                $covering = array_filter($flaps, static fn ($flap): bool => self::covers($flap->corners, $x, $y));
                self::assertCount($layers->at($x, $y), $covering, "seed $seed at $x, $y");
            }
        }
    }

    public function test_junctions_count_a_patch_whose_edge_passes_through(): void
    {
        $file = Blocks::file('pA pB', 'pC pC');
        $file['cells'] = [
            ['row' => 1, 'column' => 1, 'unit' => 'plain', 'fabrics' => ['A']],
            ['row' => 1, 'column' => 2, 'unit' => 'plain', 'fabrics' => ['B']],
            ['row' => 2, 'column' => 1, 'column_span' => 2, 'unit' => 'plain', 'fabrics' => ['C']],
        ];
        $junctions = Junction::allOn(Blocks::construction($file)->face);

        self::assertCount(1, $junctions);
        self::assertSame([0, 1, 2], $junctions[0]->patchIds);
    }

    /** @param list<PressDirection> $directions */
    private static function anyPressing(Construction $construction, Randomizer $random, bool $perSegment, array $directions = [PressDirection::Left, PressDirection::Right, PressDirection::Open]): Pressing
    {
        $any = static fn (): PressDirection => $directions[$random->getInt(0, count($directions) - 1)];

        return new Pressing(array_map(static function (Join $join) use ($any, $perSegment): array {
            $whole = $any();

            return array_map(static fn (): PressDirection => $perSegment ? $any() : $whole, range(1, $join->segmentCount()));
        }, $construction->joins));
    }

    private static function radius(Construction $construction): float
    {
        return $construction->face->lattice->toFloatSteps(Junction::radius());
    }

    /** @param list<array{float, float}> $corners */
    private static function covers(array $corners, float $x, float $y): bool
    {
        $sides = [];
        foreach ($corners as $i => [$ax, $ay]) {
            [$bx, $by] = $corners[($i + 1) % count($corners)];
            $side = ($bx - $ax) * ($y - $ay) - ($by - $ay) * ($x - $ax);
            if (abs($side) > 1e-9) {
                $sides[$side > 0 ? 1 : 0] = true;
            }
        }

        return count($sides) === 1;
    }
}
