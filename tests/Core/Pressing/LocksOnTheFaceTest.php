<?php

declare(strict_types=1);

namespace Tests\Core\Pressing;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\SeamPlaces;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Pressing\Internal\Optimum;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\LockNotPossible;
use KeenSeam\Core\Pressing\Locks;
use KeenSeam\Core\Pressing\PlacedLock;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Pressing\Rules;
use KeenSeam\Core\Pressing\SchoolProposal;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Blocks;

/** What a quilter decided stays with the seam, wherever its number goes. */
final class LocksOnTheFaceTest extends TestCase
{
    public function test_a_lock_comes_back_as_it_was_written(): void
    {
        foreach ($this->locked() as [$construction, $lock, $places]) {
            $placed = PlacedLock::of($lock, $places);
            $again = PlacedLock::fromArray($placed->toArray());

            self::assertEquals($placed, $again);
            self::assertEquals($lock, $again->on($places, $construction));
            self::assertMatchesRegularExpression('~^the seam from \S+, \S+ to \S+, \S+$~D', $placed->words());
        }
    }

    /** At twice the size, sewn by columns, or told from its other end: the same stretch of the same seam lies the same way on the face. */
    public function test_it_finds_its_seam_again_in_another_order_and_size(): void
    {
        $found = 0;
        foreach ($this->locked() as [$construction, $lock, $places, $file]) {
            $larger = ['finished' => ['width' => (string) (2 * (int) $file['finished']['width']), 'height' => (string) (2 * (int) $file['finished']['height'])]] + $file;
            $other = Construction::of(Face::of(BlockFile::read($larger)), Order::Columns);
            $kept = PlacedLock::of($lock, $places)->toArray();
            foreach ([$kept, ['seam' => array_reverse($kept['seam']), 'press' => array_reverse($kept['press'])]] as $told) {
                $there = PlacedLock::fromArray($told)->on(SeamPlaces::of($other), $other);
                if ($there === null) {
                    self::assertTrue(self::sameSeam($construction->joins[$lock->join], $construction, $other) === null || count($lock->directions) > 1);
                    continue;
                }
                ++$found;
                self::assertSame(self::onFace($construction, $lock), self::onFace($other, $there));
            }
        }
        self::assertGreaterThan(60, $found);
    }

    public function test_what_is_no_lock_of_this_block_fits_no_seam(): void
    {
        $construction = Blocks::sewn('pA pB', 'pB pA');
        $places = SeamPlaces::of($construction);
        $kept = PlacedLock::of(new Lock(2, PressDirection::Left), $places)->toArray();
        $on = static fn (mixed $changed): ?Lock => PlacedLock::fromArray((array) $changed + $kept)->on($places, $construction);

        self::assertEquals(new Lock(2, PressDirection::Left), $on([]));
        // A level seam lies up or down; so many stretches as it has, or one for all.
        self::assertNull($on(['press' => ['left']]));
        self::assertNull($on(['press' => []]));
        self::assertNull($on(['press' => ['up', 'down', 'up']]));
        self::assertNull($on(['press' => 'up']));
        self::assertNull($on(['seam' => [['0', '1/3'], ['1', '1/3']]]));
        self::assertNull($on(['seam' => 'everywhere']));
        self::assertNull($on(['seam' => [['0', '1/2'], ['1', 7]]]));
        // However the fractions are written.
        self::assertEquals(new Lock(2, PressDirection::Left), $on(['seam' => [['0', '2/4'], ['1', '0.5']]]));
        self::assertSame([['0', '1/2'], ['1', '1/2']], $kept['seam']);
    }

    public function test_a_lock_is_read_from_a_number_and_words_and_anything_else_is_refused_with_a_sentence(): void
    {
        self::assertSame(['12:left', '0:open', '123456:left,right,left'], array_map(static fn (string $text): string => Lock::parse($text)->toText(), ['12:left', '0:open', '123456:left,right,left']));
        self::assertSame([PressDirection::Left, PressDirection::Right, PressDirection::Left], array_map(Lock::parse('3:left,right,left')->at(...), [0, 1, 2]));
        self::assertSame([PressDirection::Open, PressDirection::Open, false, true], [Lock::parse('3:open')->at(0), Lock::parse('3:open')->at(5), Lock::parse('3:open')->furls(), Lock::parse('3:left,right')->furls()]);
        foreach (['12', '12:up', '1234567:left', '12:left,', "12:left\n", ':left', str_repeat('x', 50)] as $text) {
            try {
                Lock::parse($text);
                self::fail($text);
            } catch (LockNotPossible $problem) {
                self::assertSame(sprintf('"%s" is not a lock. Write a join\'s number and left, right or open, like 12:left, or a word for each of its stretches, like 12:left,right.', substr($text, 0, 40)), $problem->getMessage());
                self::assertSame(['lock-not-possible', ''], [$problem->problemCode(), $problem->where()]);
            }
        }
    }

    public function test_locks_that_contradict_each_other_are_named_up_to_four(): void
    {
        $locks = static fn (int ...$joins): array => array_map(static fn (int $join): Lock => new Lock($join, PressDirection::Left), array_values($joins));
        self::assertStringStartsWith('The lock on join 1 cannot be kept beside what else is held', LockNotPossible::contradicting($locks(1, 1))->getMessage());
        self::assertStringStartsWith('The locks on joins 1 and 2 contradict each other', LockNotPossible::contradicting($locks(1, 2))->getMessage());
        self::assertStringStartsWith('The locks on joins 1, 2, 3 and 4 contradict each other', LockNotPossible::contradicting($locks(1, 2, 3, 4))->getMessage());
        self::assertStringStartsWith('The locks on joins 1, 2, 3, 4 and 1 other contradict each other', LockNotPossible::contradicting($locks(1, 2, 3, 4, 5))->getMessage());
        self::assertStringStartsWith('The locks on joins 1, 2, 3, 4 and 2 others contradict each other', LockNotPossible::contradicting($locks(1, 2, 3, 4, 5, 6))->getMessage());
    }

    public function test_locks_of_a_class_are_one_and_the_last_word_counts(): void
    {
        $construction = Blocks::sewn('hAB hAB90', 'pA pB');
        $ofUnits = array_values(array_filter($construction->joins, static fn (Join $join): bool => $join->tie !== null));
        [$one, $other] = [new Lock($ofUnits[0]->id, PressDirection::Left), new Lock($ofUnits[1]->id, PressDirection::Right)];
        $row = new Lock($construction->strands[0]->joins[0], PressDirection::Open);
        $locks = (new Locks($construction, []))->with($one)->with($row);

        self::assertEquals([$one, $row], $locks->all);
        self::assertEquals([$row, $other], $locks->with($other)->all, 'the pile is pressed alike, so the later word replaces the first');
        self::assertEquals([$row], $locks->without($ofUnits[1]->id)->all);
        self::assertEquals([], $locks->none()->all);
        self::assertTrue($locks->hold($ofUnits[1]->id) && $locks->hold($row->join) && ! $locks->hold($construction->strands[1]->joins[0]));
        self::assertSame([$ofUnits[0]->id, $ofUnits[1]->id, $row->join], $locks->held());
        self::assertSame([], $locks->none()->held());
    }

    public function test_seams_are_found_by_band_last_and_kind(): void
    {
        $rules = new Rules($rows = Blocks::sewn('pA hAB pB', 'pB gABB pA', 'hBA pA pB'));
        self::assertTrue($rules->bandsAreRows());
        $bands = $rules->bandJoins();
        self::assertSame([2, 2, 2], array_map(count(...), $bands));
        foreach ($bands as $i => $band) {
            [$first, $second] = array_map(static fn (Join $join): Point => $join->seam->from, $band);
            self::assertLessThan($second->x, $first->x, 'from left to right');
            foreach ($band as $join) {
                self::assertSame($i, intdiv(3 * min($join->seam->from->y, $join->seam->to->y), max(array_map(static fn (Point $corner): int => $corner->y, $rows->face->outline()->points))));
            }
        }
        self::assertCount(2, $rules->lastJoins());
        $kinds = $rules->joinsByKind();
        ksort($kinds);
        self::assertSame(['flying-geese' => 2, 'half-square-triangle' => 2], array_map(count(...), $kinds));
        $columns = new Rules(Construction::of(Face::of(Blocks::of('pA pB', 'pB pA', 'pA pB')), Order::Columns));
        self::assertSame([false, [2, 2], 1], [$columns->bandsAreRows(), array_map(count(...), $columns->bandJoins()), count($columns->lastJoins())]);
    }

    /** Common practice, no published source: eight patches at a crossing are many; seams under two inches are short to hold open. */
    public function test_a_school_is_proposed_by_crossings_and_size(): void
    {
        $proposed = static fn (string $side, string ...$rows): SchoolProposal => SchoolProposal::of(Blocks::construction(['finished' => ['width' => $side, 'height' => $side]] + Blocks::file(...$rows)));
        $crossing = ['hAB90 hAB180', 'hAB hAB270'];

        self::assertSame([PressStyle::Nest, PressStyle::NestFurl, PressStyle::Mixed], [$proposed('12', 'pA pB', 'pB pA')->style, $proposed('2', ...$crossing)->style, $proposed('12', ...$crossing)->style]);
        self::assertSame([0, 1], [$proposed('12', 'hAB hAB', 'hAB hAB')->crossings, $proposed('12', ...$crossing)->crossings]);
        self::assertSame([6.0, 1.0], [$proposed('12', ...$crossing)->smallestUnit, $proposed('2', ...$crossing)->smallestUnit]);
        // The smallest unit, wherever it lies.
        foreach ([['1', '3'], ['3', '1']] as $columns) {
            self::assertEqualsWithDelta(3.0, SchoolProposal::of(Blocks::construction(['finished' => ['width' => '12', 'height' => '12'], 'columns' => $columns] + Blocks::file('pA hAB', 'pB hAB')))->smallestUnit, 1e-9);
        }
        self::assertGreaterThan($proposed('12', ...$crossing)->covered, $proposed('6', ...$crossing)->covered);
    }

    public function test_what_a_search_found_is_kept_and_read_again_whole_or_not_at_all(): void
    {
        $optimum = new Optimum([1, 0, 2], 7, -3, true);
        self::assertEquals($optimum, Optimum::fromArray($optimum->toArray()));
        self::assertEquals(new Optimum([], 7, 3, false), Optimum::fromArray(['values' => [], 'bound' => [7, 3]]));
        self::assertEquals(new Optimum([1], 7, 3, false), Optimum::fromArray(['values' => [1], 'bound' => [7, 3], 'exact' => 'yes']));
        foreach ([['bound' => [1, 2]], ['values' => [1]], ['values' => [1], 'bound' => [1]], ['values' => [1], 'bound' => [1, 2, 3]], ['values' => ['1'], 'bound' => [1, 2]], ['values' => [1], 'bound' => [1, null]], ['values' => 1, 'bound' => [1, 2]]] as $spoiled) {
            self::assertNull(Optimum::fromArray($spoiled));
        }
    }

    /** @return iterable<array{Construction, Lock, SeamPlaces, array<string, mixed>}> */
    private function locked(): iterable
    {
        for ($seed = 0; $seed < 12; ++$seed) {
            $random = new Randomizer(new Mt19937($seed));
            $file = Blocks::generated($seed, 3, 2);
            $construction = Blocks::construction($file);
            $places = SeamPlaces::of($construction);
            foreach ($construction->joins as $join) {
                $directions = [];
                for ($i = $random->getInt(0, 1) === 0 ? 1 : $join->segmentCount(); $i > 0; --$i) {
                    $directions[] = PressDirection::cases()[$random->getInt(0, 1)];
                }
                $lock = new Lock($join->id, ...$directions);
                try {
                    $lock->joinIn($construction);
                    yield [$construction, $lock, $places, $file];
                } catch (KeenSeamProblem) {
                }
            }
        }
    }

    /** The part of the face under which each stretch's allowances lie, told by where that part's middle is, from the upper left end on. */
    private static function onFace(Construction $construction, Lock $lock): string
    {
        $join = $construction->joins[$lock->join];
        $side = static fn (PressDirection $direction): int => match ($direction) {
            PressDirection::Left => $join->leftSide,
            PressDirection::Right => -$join->leftSide,
            PressDirection::Open => 0,
        };
        $isReversed = [$join->seam->from->y, $join->seam->from->x] > [$join->seam->to->y, $join->seam->to->x];
        $sides = array_map(static fn (PressDirection $direction): int => $isReversed ? -$side($direction) : $side($direction), $lock->directions);

        return implode(' ', $isReversed ? array_reverse($sides) : $sides);
    }

    private static function sameSeam(Join $join, Construction $here, Construction $there): ?int
    {
        $share = static fn (Construction $of, Join $one): string => implode(' ', (static function (array $ends): array {
            sort($ends);

            return $ends;
        })(array_map(static fn (Point $end): string => sprintf('%.6f,%.6f', $end->x / max(array_map(static fn (Point $p): int => $p->x, $of->face->outline()->points)), $end->y / max(array_map(static fn (Point $p): int => $p->y, $of->face->outline()->points))), [$one->seam->from, $one->seam->to])));
        foreach ($there->joins as $other) {
            if ($share($there, $other) === $share($here, $join)) {
                return $other->id;
            }
        }

        return null;
    }
}
