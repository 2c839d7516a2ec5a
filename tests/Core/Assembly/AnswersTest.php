<?php

declare(strict_types=1);

namespace Tests\Core\Assembly;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\JoinNotKnown;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\SetInSeamNeeded;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

/** What is answered where something cannot be sewn, or is asked for that is not there. */
final class AnswersTest extends TestCase
{
    public function test_a_join_that_is_not_there_is_told_by_the_numbers_that_are(): void
    {
        $construction = Blocks::sewn('hAB hAB');
        JoinNotKnown::unlessIn($construction, 2);
        try {
            JoinNotKnown::unlessIn($construction, 3);
            self::fail('There is none.');
        } catch (JoinNotKnown $problem) {
            self::assertSame("There is no join 3. This block's joins are numbered from 0 to 2.", $problem->getMessage());
        }
        $this->expectExceptionMessage('This block has no joins: it is one patch.');
        JoinNotKnown::unlessIn(Blocks::sewn('pA'), 0);
    }

    public function test_patches_that_no_straight_seam_takes_apart_are_counted_from_one(): void
    {
        $file = Blocks::file('pA');
        // Four strips round a square: none of them runs from side to side.
        $file['cells'] = [['row' => 1, 'column' => 1, 'unit' => 'patches', 'patches' => array_map(static fn (array $patch): array => ['fabric' => $patch[0], 'points' => array_map(static fn (string $corner): array => explode(',', $corner), explode(' ', $patch[1]))], [
            ['A', '0,0 2/3,0 2/3,1/3 0,1/3'],
            ['B', '2/3,0 1,0 1,2/3 2/3,2/3'],
            ['A', '1/3,2/3 1,2/3 1,1 1/3,1'],
            ['B', '0,1/3 1/3,1/3 1/3,1 0,1'],
            ['C', '1/3,1/3 2/3,1/3 2/3,2/3 1/3,2/3'],
        ])]];
        try {
            Construction::of(Face::of(BlockFile::read($file)), Order::Rows);
            self::fail('No straight seam sews it.');
        } catch (SetInSeamNeeded $problem) {
            self::assertSame('No straight seam takes patches 1, 2, 3, 4, 5 of a unit apart; they need a set-in or partial seam. Divide one of them along a straight line.', $problem->getMessage());
        }
    }

    public function test_joins_that_end_at_the_edge_meet_what_lies_beside_the_block(): void
    {
        // The middle one of three by three is a four-patch, whose seams end inside.
        $file = Blocks::file('pA pB pA', 'pB pC pB', 'pA pB pA');
        $inner = Blocks::file('pA pB', 'pB pA');
        $file['cells'][4] = ['row' => 2, 'column' => 2, 'unit' => 'grid', 'columns' => ['1', '1'], 'rows' => ['1', '1'], 'cells' => $inner['cells']];
        $sewn = Construction::of(Face::of(BlockFile::read($file)), Order::Rows);
        self::assertCount(11, $sewn->joins);
        // Two between the patches of the first row and two of the last, two from side to side.
        self::assertCount(6, $sewn->outerJoins());
        // A half square ends with both ends in corners, a split one with the short seam on one side only.
        self::assertCount(1, Blocks::sewn('hAB')->outerJoins());
        self::assertCount(2, Blocks::sewn('sABC')->outerJoins());
    }

    /** Of orders with as few points and bias seams the one with fewer joins to learn is taken: equal halves of equal halves. */
    public function test_equal_parts_are_sewn_alike(): void
    {
        foreach ([['pA pA pA pA', 2], ['pA pB pA pB', 2], ['hAB hAB hAB hAB hAB hAB hAB hAB', 4], ['hAB hAB90 hAB hAB90', 3]] as [$row, $kinds]) {
            $file = Blocks::file($row);
            $sewn = Construction::of(Face::of(BlockFile::read($file)), Order::Best);
            self::assertSame($kinds, count(array_unique(array_map(static fn (Join $join): string => self::looks($join, $sewn), $sewn->joins))), $row);
        }
    }

    /** The fabrics of both parts from left to right, whichever comes first, and how large the whole is. */
    private static function looks(Join $join, Construction $sewn): string
    {
        $of = array_map(static fn (int $patch): string => $sewn->face->patches[$patch]->fabric->key.$sewn->face->patches[$patch]->outline->areaDoubled(), $join->patchIds());
        sort($of);

        return implode(' ', $of);
    }
}
