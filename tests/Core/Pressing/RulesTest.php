<?php

declare(strict_types=1);

namespace Tests\Core\Pressing;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\OwnOrder;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\Locks;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Pressing\Rule;
use KeenSeam\Core\Pressing\RuleNotPossible;
use KeenSeam\Core\Pressing\Rules;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

/** Told plans come out as told, as far as a quilter can see: which way the allowance of every seam lies is read off the corners of its parts. */
final class RulesTest extends TestCase
{
    /** @var array<string, array{Construction, array<int, string>}> directions by join, by construction and rule */
    private array $said = [];

    public function test_rows_lie_as_they_are_said_and_begin_again(): void
    {
        for ($seed = 1; $seed <= 8; ++$seed) {
            $construction = Blocks::construction(Blocks::generated($seed, 4, 4));
            foreach (['right left', 'left right right', 'out in', 'in', 'free open', 'out free in'] as $said) {
                $words = explode(' ', $said);
                foreach ($this->between($construction, true) as [$join, $row, $at, $middle]) {
                    $word = $words[$row % count($words)];
                    $expected = match ($word) {
                        'out', 'in' => $at === $middle ? null : (($at < $middle) === ($word === 'out') ? 'left' : 'right'),
                        'free' => null,
                        default => $word,
                    };
                    self::assertSame($expected, $this->said($construction, 'rows: '.$said, $join), "seed $seed, $said, row $row at $at of middle $middle");

                }
            }
        }
    }

    public function test_columns_lie_up_down_out_and_in(): void
    {
        for ($seed = 1; $seed <= 4; ++$seed) {
            $file = Blocks::generated($seed, 3, 4);
            $file['rows'] = ['1', '2', '1', '1'];
            $construction = Construction::of(Face::of(BlockFile::read($file)), Order::Columns);
            foreach (['up down', 'out in out'] as $said) {
                $words = explode(' ', $said);
                foreach ($this->between($construction, false) as [$join, $column, $at, $middle]) {
                    $word = $words[$column % count($words)];
                    $expected = match ($word) {
                        'out', 'in' => $at === $middle ? null : (($at < $middle) === ($word === 'out') ? 'up' : 'down'),
                        default => $word,
                    };
                    self::assertSame($expected, $this->said($construction, 'columns: '.$said, $join));
                }
            }
        }
    }

    public function test_rows_sewn_in_twos_are_rows_all_the_same(): void
    {
        $construction = Construction::of(Face::of(Blocks::of('pA pB pA', 'pB pA pB', 'pA pB pA', 'pB pA pB')), Order::Quarters);
        self::assertSame(1, count(array_filter($construction->joins, fn (Join $join): bool => $this->said($construction, 'last: up', $join) === 'up')), 'halves of halves have one last seam');
        $rows = Blocks::sewn('pA pB', 'pB pA', 'pA pB');
        self::assertSame(['up', 'up'], array_values(array_filter(array_map(fn (Join $join): ?string => $this->said($rows, 'last: up', $join), $rows->joins))));
    }

    public function test_what_is_no_rule_is_named_by_its_first_letters(): void
    {
        $long = 'a'.str_repeat('x', 79);
        foreach ([[$long, '"a'.str_repeat('x', 59).'" is not a rule.'], ["rows: $long", '"a'.str_repeat('x', 39).'" is no way to press "rows".'], ["units $long: dark", '"a'.str_repeat('x', 39).'" is not a kind of unit with seams.']] as [$rule, $words]) {
            try {
                (new Rules(Blocks::sewn('hAB pA')))->saidBy(Rule::parse($rule));
                self::fail($rule);
            } catch (RuleNotPossible $problem) {
                self::assertStringStartsWith($words, $problem->getMessage());
                self::assertSame(['rule-not-possible', ''], [$problem->problemCode(), $problem->where()]);
            }
        }
    }

    public function test_rows_told_in_pairs_by_herself_are_rows_and_all_seams_between_them_last(): void
    {
        $rows = ['pA pB pA', 'pB pA pB', 'pA pB pA', 'pB pA pB'];
        $row = static fn (int $number): array => [["$number,1", "$number,2"], "$number,3"];
        $own = Construction::of(Face::of(Blocks::of(...$rows)), OwnOrder::of('In pairs', [[$row(1), $row(2)], [$row(3), $row(4)]]));
        $byRows = Blocks::sewn(...$rows);
        $told = fn (Construction $construction, string $rule): array => array_filter(array_combine(array_map(static fn (Join $join): string => $join->seam->from->key().' '.$join->seam->to->key(), $construction->joins), array_map(fn (Join $join): ?string => $this->said($construction, $rule, $join), $construction->joins)));
        foreach (['rows: out in', 'rows: left', 'last: down', 'last: open'] as $rule) {
            self::assertNotSame([], $told($byRows, $rule));
            self::assertEquals($told($byRows, $rule), $told($own, $rule), $rule);
        }
        self::assertCount(3, $told($own, 'last: down'));
        self::assertCount(8, $told($own, 'rows: left'));
    }

    public function test_a_block_of_one_row_or_of_one_column_is_one_band(): void
    {
        $row = Blocks::sewn('pA pB pA');
        self::assertSame(['left', 'right'], array_map(fn (Join $join): ?string => $this->said($row, 'rows: out', $join), $row->joins));
        self::assertSame(['left', 'left'], array_map(fn (Join $join): ?string => $this->said($row, 'last: left', $join), $row->joins));
        self::assertSame([null, null], array_map(fn (Join $join): ?string => $this->said($row, 'columns: left', $join), $row->joins));
        $column = Construction::of(Face::of(Blocks::of('pA', 'pB', 'pA')), Order::Columns);
        self::assertSame(['up', 'down'], array_map(fn (Join $join): ?string => $this->said($column, 'columns: out', $join), $column->joins));
        self::assertSame(['down', 'up'], array_map(fn (Join $join): ?string => $this->said($column, 'columns: in', $join), $column->joins));
    }

    public function test_a_block_of_one_unit_has_its_last_seam_and_no_rows(): void
    {
        $goose = Blocks::sewn('gABB');
        self::assertCount(1, (new Rules($goose))->saidBy(Rule::parse('last: open')));
        self::assertSame(1, (new Rules($goose))->saidBy(Rule::parse('last: open'))[0]->join, 'the one that is sewn last');
        self::assertSame([null, null], array_map(fn (Join $join): ?string => $this->said($goose, 'rows: open', $join), $goose->joins));
        $round = Construction::of(Face::of(Blocks::of('pA pB pA', 'pB pA pB', 'pA pB pA')), Order::Around);
        self::assertSame([null, null], [$this->said($round, 'rows: open', $round->joins[0]), $this->said($round, 'columns: open', $round->joins[0])], 'strips round a centre are neither');
    }

    public function test_the_last_seams_lie_into_the_middle_or_out_of_it(): void
    {
        $three = Blocks::sewn('pA pB pA', 'pB pA pB', 'pA pB pA');
        foreach (['in' => ['down', 'up'], 'out' => ['up', 'down'], 'open' => ['open', 'open']] as $word => $expected) {
            self::assertSame($expected, [$this->said($three, "last: $word", $three->joins[6]), $this->said($three, "last: $word", $three->joins[7])]);
            self::assertNull($this->said($three, "last: $word", $three->joins[0]), 'a seam within a row');
        }
        $four = Blocks::sewn('pA pB', 'pB pA');
        $this->expectException(RuleNotPossible::class);
        (new Rules($four))->saidBy(Rule::parse('last: in'));
    }

    public function test_units_lie_toward_the_darker_or_the_fabric_that_is_told(): void
    {
        $ranks = ['A' => 0, 'B' => 2, 'C' => 1];
        for ($seed = 1; $seed <= 12; ++$seed) {
            $construction = Blocks::construction(Blocks::generated($seed, 3, 3));
            foreach ($construction->joins as $join) {
                $kind = $join->tie === null ? null : $construction->classes[$join->tie->unitClass]->members[0]->cell->unit->kind();
                $fabrics = array_map(fn (Assembly $part): array => $this->alongside($construction, $join, $part), [$join->left, $join->right]);
                foreach (['half-square-triangle', 'square-in-square', 'quarter-square-triangle'] as $of) {
                    $dark = $this->direction($construction, "units $of: dark", $join);
                    $toward = $this->direction($construction, "units $of: toward B", $join);
                    $away = $this->direction($construction, "units $of: away from harbour INK", $join);
                    if ($kind !== $of) {
                        self::assertSame([null, null, null], [$dark, $toward, $away], "a seam that is in no $of");
                        continue;
                    }
                    $values = array_map(static fn (array $keys): float => array_sum(array_map(static fn (string $key): int => $ranks[$key], $keys)) / count($keys), $fabrics);
                    self::assertSame($values[0] === $values[1] ? null : ($values[0] > $values[1] ? 'left' : 'right'), $dark);
                    $shows = array_map(static fn (array $keys): bool => in_array('B', $keys, true), $fabrics);
                    self::assertSame($shows[0] === $shows[1] ? null : ($shows[0] ? 'left' : 'right'), $toward);
                    self::assertSame($toward === null ? null : ($toward === 'left' ? 'right' : 'left'), $away);
                }
            }
        }
    }

    public function test_a_cell_speaks_for_all_of_its_class_and_for_its_mirror_twins(): void
    {
        $construction = Blocks::sewn('sABC sABC90 pA', 'sABCm hAB pA', 'sBAC pB pA');
        $held = [];
        foreach ((new Rules($construction))->saidBy(Rule::parse('cell 1,2: open')) as $lock) {
            $tie = $construction->joins[$lock->join]->tie;
            $held[] = $construction->classes[$tie->unitClass ?? 0]->members[$tie->member ?? 0]->cell;
        }
        self::assertSame([[1, 1], [1, 2], [2, 1]], array_values(array_unique(array_map(static fn ($cell): array => [$cell->row, $cell->column], $held), SORT_REGULAR)), 'the same unit in other fabrics is another');
    }

    public function test_known_units_in_a_drawn_one_are_units_of_their_kind(): void
    {
        $construction = Blocks::construction(Blocks::knownUnitsInADrawnOne());
        $geese = (new Rules($construction))->saidBy(Rule::parse('units flying-geese: open'));
        self::assertCount(2, $geese);
        foreach ($geese as $lock) {
            self::assertLessThanOrEqual(3, count($construction->joins[$lock->join]->patchIds()));
        }
    }

    public function test_later_rules_win_over_earlier_ones_and_single_locks_over_all(): void
    {
        $construction = Blocks::sewn('hAB hAB90 pA', 'pB hAB270 hAB180');
        $rules = [Rule::parse('units half-square-triangle: dark'), Rule::parse('cell 1,1: light'), Rule::parse('rows: left'), Rule::parse('rows: free right')];
        $row2 = array_values(array_filter($construction->joins, static fn (Join $join): bool => $join->tie === null && $join->seam->from->x === $join->seam->to->x && $join->seam->from->y > 0));
        $own = new Lock($row2[0]->id, PressDirection::Open);
        $plan = $this->planned($construction, (new Rules($construction))->locks($rules, new Locks($construction, [$own])));

        self::assertSame('open', $this->lies($construction, $row2[0], $plan->pressing->of($row2[0])[0]));
        self::assertSame('right', $this->lies($construction, $row2[1], $plan->pressing->of($row2[1])[0]));
        foreach ($construction->joins as $join) {
            if ($join->tie !== null) {
                self::assertSame(['A'], $this->alongside($construction, $join, $plan->pressing->of($join)[0] === PressDirection::Left ? $join->left : $join->right), 'the later rule says light');
            } elseif ($join->seam->from->x === $join->seam->to->x && $join->seam->from->y === 0) {
                self::assertSame('left', $this->lies($construction, $join, $plan->pressing->of($join)[0]));
            }
        }
    }

    public function test_told_plans_keep_every_rule_whatever_the_school(): void
    {
        for ($seed = 1; $seed <= 3; ++$seed) {
            $construction = Blocks::construction(Blocks::generated($seed, 3, 3));
            foreach (PressStyle::cases() as $style) {
                $rules = array_map(Rule::parse(...), ['rows: out in out', 'last: open']);
                $locks = (new Rules($construction))->locks($rules, new Locks($construction, []));
                $plan = $this->planned($construction, $locks, $style);
                foreach ($locks as $lock) {
                    self::assertSame(array_fill(0, $construction->joins[$lock->join]->segmentCount(), $lock->at(0)), $plan->pressing->of($construction->joins[$lock->join]));
                }
            }
        }
    }

    /** Rules go along a row as it lies, in whatever order its seams are sewn. */
    public function test_seams_of_a_row_are_told_from_left_to_right(): void
    {
        foreach ([Order::Rows, Order::Twos] as $order) {
            $construction = Construction::of(Face::of(Blocks::of('pA pB pA pB', 'hAB pB hAB pA')), $order);
            foreach ((new Rules($construction))->bandJoins() as $row) {
                $places = array_map(static fn (Join $join): int => $join->seam->from->x, $row);
                $sorted = $places;
                sort($sorted);
                self::assertSame([3, $sorted], [count($places), $places], $order->value);
            }
        }
    }

    /** @return array<string, array{string, string}> */
    public static function wrongRules(): array
    {
        return [
            'longer than any' => ['rows: '.str_repeat('out ', 60), 'is not a rule'],
            'no colon' => ['rows out', 'is not a rule'],
            'no subject' => ['stripes: out', 'is not a rule'],
            'nothing said' => ['rows:', 'is not a rule'],
            'rows of something' => ['rows 1: out', 'is not a rule'],
            'units of nothing' => ['units: dark', 'is not a rule'],
            'an unknown word' => ['rows: sideways', 'no way to press "rows". Use left, right'],
            'a word of another subject' => ['units half-square-triangle: left', 'no way to press "units"'],
            'an unknown kind' => ['units pinwheel: dark', 'is not a kind of unit with seams. Use one of: half-square-triangle'],
            'plain patches' => ['units plain: dark', 'is not a kind of unit with seams'],
            'two words for one thing' => ['last: in out', 'says one way'],
            'no cell' => ['cell one: dark', 'is not a rule'],
            'a cell outside' => ['cell 4,1: dark', 'a cell that is not in the block'],
            'a plain cell' => ['cell 1,2: dark', 'fits no seam'],
            'an unknown fabric' => ['rows: toward Z', 'A (Sailcloth), B (Harbour ink), C (Sea glass)'],
            'columns of rows' => ['columns: up', 'fits no seam'],
            'level seams in a row' => ['rows: up', 'fits no seam'],
            'units that are not there' => ['units flying-geese: open', 'fits no seam'],
        ];
    }

    #[DataProvider('wrongRules')]
    public function test_a_rule_that_says_nothing_of_the_block_is_refused(string $rule, string $expected): void
    {
        $this->expectException(RuleNotPossible::class);
        $this->expectExceptionMessage($expected);
        (new Rules(Blocks::sewn('hAB pA', 'pB hAB180')))->saidBy(Rule::parse($rule));
    }

    public function test_a_rule_is_written_as_it_is_read(): void
    {
        foreach (['rows: out in out', 'columns: free up', 'last: open', 'units flying-geese: away from Harbour ink', 'units four-patch: toward B', 'cell 2,1: light'] as $text) {
            self::assertSame($text, Rule::parse($text)->toText());
        }
        self::assertSame('rows: out in', Rule::parse('  rows :  out,in ')->toText());
    }

    /**
     * Seams between the cells of a row, or of a column: its number from 0, where it lies along it, and its middle.
     *
     * @return list<array{Join, int, float, float}>
     */
    private function between(Construction $construction, bool $inRows): array
    {
        $corners = $construction->face->outline()->points;
        $whole = max(array_map(static fn ($corner): int => $inRows ? $corner->x : $corner->y, $corners));
        $starts = array_values(array_unique(array_map(static fn ($unit): int => $inRows ? $unit->outline->corner()->y : $unit->outline->corner()->x, $construction->face->whole->parts)));
        sort($starts);
        $found = [];
        foreach ($construction->joins as $join) {
            [$from, $to] = [$join->seam->from, $join->seam->to];
            if ($join->tie === null && ($inRows ? $from->x === $to->x : $from->y === $to->y)) {
                $found[] = [$join, (int) array_search($inRows ? min($from->y, $to->y) : min($from->x, $to->x), $starts, true), (float) ($inRows ? $from->x : $from->y), (float) ($whole / 2)];
            }
        }

        return $found;
    }

    /** How a rule presses a seam, as seen on the face; null where it says nothing of it. */
    private function said(Construction $construction, string $rule, Join $join): ?string
    {
        $direction = $this->direction($construction, $rule, $join);

        return $direction === null ? null : $this->lies($construction, $join, PressDirection::from($direction));
    }

    private function direction(Construction $construction, string $rule, Join $join): ?string
    {
        $key = spl_object_id($construction).$rule;
        if (! isset($this->said[$key])) {
            try {
                $locks = (new Rules($construction))->saidBy(Rule::parse($rule));
            } catch (RuleNotPossible) {
                $locks = [];
            }
            $this->said[$key] = [$construction, array_map(static fn (Lock $lock): string => $lock->at(0)->value, array_combine(array_map(static fn (Lock $lock): int => $lock->join, $locks), $locks))];
        }

        return $this->said[$key][1][$join->id] ?? null;
    }

    /** Read off the middles of the two parts. */
    private function lies(Construction $construction, Join $join, PressDirection $direction): string
    {
        if ($direction === PressDirection::Open) {
            return 'open';
        }
        $middle = static function (Assembly $part): array {
            $points = $part->outline()->points;

            return [array_sum(array_map(static fn ($point): int => $point->x, $points)) / count($points), array_sum(array_map(static fn ($point): int => $point->y, $points)) / count($points)];
        };
        [$onto, $off] = $direction === PressDirection::Left ? [$middle($join->left), $middle($join->right)] : [$middle($join->right), $middle($join->left)];
        $isUpright = $join->seam->from->x === $join->seam->to->x;

        return $isUpright ? ($onto[0] < $off[0] ? 'left' : 'right') : ($onto[1] < $off[1] ? 'up' : 'down');
    }

    /** @return list<string> fabrics of the patches of a part with a whole side on the seam */
    private function alongside(Construction $construction, Join $join, Assembly $part): array
    {
        $fabrics = [];
        foreach ($part->patchIds() as $id) {
            $on = array_filter($construction->face->patches[$id]->outline->points, static fn ($corner): bool => $join->seam->sideOf($corner) === 0);
            if (count($on) > 1) {
                $fabrics[] = $construction->face->patches[$id]->fabric->key;
            }
        }

        return $fabrics;
    }

    /** @param list<Lock> $locks */
    private function planned(Construction $construction, array $locks, PressStyle $style = PressStyle::Nest): PressingPlan
    {
        return (new PressingPlanner($construction))->best(new PressQuestion($style, $locks));
    }
}
