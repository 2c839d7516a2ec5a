<?php

declare(strict_types=1);

namespace Tests\Core\Assembly;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Meeting;
use KeenSeam\Core\Assembly\Piece;
use KeenSeam\Core\Assembly\SetInSeamNeeded;
use KeenSeam\Core\Assembly\UnitClass;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

final class ConstructionTest extends TestCase
{
    public function test_units_come_first_then_rows_then_rows_to_each_other(): void
    {
        // The second unit is the first one turned half round, so its parts are sewn in that order too.
        self::assertSame(
            '(((0 1) (3 2)) ((4 5) (6 7)))',
            self::printed(Blocks::sewn('hAB hBA', 'hAC hCB')->root),
        );
        $joins = Blocks::sewn('hAB hBA', 'hAC hCB')->joins;
        self::assertSame([[0, 1], [2, 3], [4, 5], [6, 7], [0, 1, 2, 3], [4, 5, 6, 7], range(0, 7)], array_map(static fn (Join $join): array => $join->patchIds(), $joins));
    }

    public function test_every_generated_block_is_rebuilt_parts_before_wholes(): void
    {
        for ($seed = 0; $seed < 25; ++$seed) {
            $construction = Blocks::construction(Blocks::generated($seed, 3, 3));
            $sewn = [];
            foreach ($construction->joins as $id => $join) {
                self::assertSame($id, $join->id);
                foreach ($join->children() as $part) {
                    self::assertTrue($part instanceof Piece || isset($sewn[spl_object_id($part)]), "seed $seed, join $id: a part is not sewn yet");
                }
                self::assertSame(
                    $join->outline()->areaDoubled(),
                    $join->left->outline()->areaDoubled() + $join->right->outline()->areaDoubled(),
                );
                $sewn[spl_object_id($join)] = true;
            }
            self::assertSame(range(0, count($construction->face->patches) - 1), $construction->root->patchIds());
            self::assertCount(count($construction->face->patches) - 1, $construction->joins);
        }
    }

    public function test_equal_units_are_one_class_whatever_their_turn(): void
    {
        self::assertSame(['U1 x4'], self::classes(Blocks::sewn('hAB hAB90', 'hAB180 hAB270m')));
    }

    public function test_mirror_twins_are_two_classes(): void
    {
        self::assertSame(['U1 x2', 'U2 x1'], self::classes(Blocks::sewn('sABC sABC90 sABCm')));
    }

    public function test_a_mirrored_goose_with_equal_skies_is_the_same_unit_and_built_the_same(): void
    {
        $construction = Blocks::sewn('tABB tABBm');

        self::assertSame(['U1 x2'], self::classes($construction));
        self::assertSame($construction->joins[0]->seam->direction()->reduced()->key(), $construction->joins[2]->seam->direction()->reduced()->key());
    }

    public function test_members_are_built_like_the_first_one(): void
    {
        // Patch order in each goose: goose, left sky, right sky. The left sky is sewn first, in the unit's own frame.
        self::assertSame('(((1 0) 2) ((4 3) 5))', self::printed(Blocks::sewn('gABC gABC180')->root));
    }

    /** Also where other turns would look the same: each seam lies where the turn takes that of the first. */
    public function test_a_turned_unit_is_built_as_it_was_turned(): void
    {
        $construction = Blocks::sewn('dABBBB dABBBB90 dABBBB270', 'qABAB180 qABAB dABBBB180', 'qABAB90 qABAB270 gABB');
        $seams = [];
        foreach ($construction->joins as $join) {
            if ($join->tie !== null) {
                $unit = $construction->classes[$join->tie->unitClass]->members[$join->tie->member];
                [$x, $y] = [$join->seam->from->x + $join->seam->to->x, $join->seam->from->y + $join->seam->to->y];
                foreach ([$unit->outline->points[0], $unit->outline->points[2]] as $corner) {
                    [$x, $y] = [$x - $corner->x, $y - $corner->y];
                }
                for ($turn = $unit->placement->turn->quarters(); $turn % 4 !== 0; ++$turn) {
                    [$x, $y] = [-$y, $x];
                }
                $seams[$join->tie->unitClass.' '.$join->tie->join][] = "$x $y";
            }
        }
        self::assertGreaterThan(6, count($seams));
        foreach ($seams as $join => $places) {
            self::assertCount(1, array_unique($places), "join $join");
        }
    }

    public function test_a_units_own_symmetry_is_known(): void
    {
        $quarters = static fn (Construction $c): array => array_map(static fn ($turn): int => $turn->turn->value, $c->classes[0]->turns);

        self::assertSame([180], $quarters(Blocks::sewn('qABAB')));
        self::assertSame([], $quarters(Blocks::sewn('qABAC')));
        self::assertSame([], $quarters(Blocks::sewn('hAB')));
        self::assertSame([180], $quarters(Blocks::sewn('hAA')));
    }

    public function test_match_points_are_where_seams_of_both_sides_end(): void
    {
        $long = Blocks::sewn('pA pB pA', 'pB pA pB')->joins[4];

        self::assertSame(['2,2', '4,2'], array_map(static fn (Meeting $meeting): string => $meeting->at->key(), $long->matchPoints()));
        self::assertSame(3, $long->segmentCount());
        foreach ($long->matchPoints() as $match) {
            self::assertSame([$match->lastOfLeft, $match->lastOfRight], $match->ends());
        }
        $odd = Blocks::sewn('hAB pA', 'pB pA');
        foreach (array_merge(...array_map(static fn (Join $join): array => $join->meetings, $odd->joins)) as $meeting) {
            if (! $meeting->isOfBothSides()) {
                $this->expectException(\LogicException::class);
                $meeting->ends();
            }
        }
        self::fail('The slanting seam ends alone.');
    }

    public function test_a_diagonal_that_runs_into_the_corner_is_an_end_not_a_match(): void
    {
        $join = Blocks::sewn('hAB hAB90')->joins[2];

        self::assertSame([], $join->matchPoints());
        self::assertCount(1, $join->endMeetings());
    }

    public function test_the_ridge_that_counts_is_the_last_sewn(): void
    {
        $construction = Blocks::sewn('hAB hAB90', 'hAB hAB90');
        $match = $construction->joins[6]->matchPoints()[0];

        self::assertSame([4, 5], [$match->lastOfLeft?->id, $match->lastOfRight?->id]);
        self::assertSame([1, 3], [$match->seamsOfLeft, $match->seamsOfRight], 'the row seam above; two diagonals and the row seam below');
    }

    public function test_cells_that_span_rows_are_sewn_where_straight_seams_allow(): void
    {
        $file = Blocks::file('pA pB pC', 'pA pB pC');
        $file['cells'] = [
            ['row' => 1, 'column' => 1, 'row_span' => 2, 'unit' => 'plain', 'fabrics' => ['A']],
            ['row' => 1, 'column' => 2, 'column_span' => 2, 'unit' => 'plain', 'fabrics' => ['B']],
            ['row' => 2, 'column' => 2, 'unit' => 'plain', 'fabrics' => ['B']],
            ['row' => 2, 'column' => 3, 'unit' => 'plain', 'fabrics' => ['C']],
        ];

        self::assertSame('(0 (1 (2 3)))', self::printed(Blocks::construction($file)->root));
    }

    public function test_a_spiral_of_cells_gets_a_clear_answer(): void
    {
        $file = Blocks::file('pA pA pA', 'pA pA pA', 'pA pA pA');
        $file['cells'] = [
            ['row' => 1, 'column' => 1, 'column_span' => 2, 'unit' => 'plain', 'fabrics' => ['A']],
            ['row' => 1, 'column' => 3, 'row_span' => 2, 'unit' => 'plain', 'fabrics' => ['B']],
            ['row' => 3, 'column' => 2, 'column_span' => 2, 'unit' => 'plain', 'fabrics' => ['A']],
            ['row' => 2, 'column' => 1, 'row_span' => 2, 'unit' => 'plain', 'fabrics' => ['B']],
            ['row' => 2, 'column' => 2, 'unit' => 'plain', 'fabrics' => ['C']],
        ];

        $this->expectException(SetInSeamNeeded::class);
        $this->expectExceptionMessage('they need a set-in or partial seam');
        Blocks::construction($file);
    }

    /** @return list<string> */
    private static function classes(Construction $construction): array
    {
        return array_map(static fn (UnitClass $class): string => $class->label().' x'.count($class->members), $construction->classes);
    }

    private static function printed(Assembly $assembly): string
    {
        return $assembly instanceof Piece
            ? (string) $assembly->patch->id
            : '('.implode(' ', array_map(self::printed(...), $assembly->children())).')';
    }
}
