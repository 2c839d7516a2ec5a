<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Listed;
use KeenSeam\Core\Pressing\Furled;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\PressingPlan;

/** What a step says of the seams it sews and presses. */
final readonly class SeamWords
{
    private Construction $construction;

    public function __construct(private PressingPlan $plan)
    {
        $this->construction = $plan->construction;
    }

    /** "Ink to Cream": the smaller part is sewn to the larger. */
    public function sewnWords(Join $join): string
    {
        [$one, $other] = $join->left->outline()->areaDoubled() < $join->right->outline()->areaDoubled() ? [$join->left, $join->right] : [$join->right, $join->left];

        return sprintf('%s to %s', Words::fabricsAlong($join->seam, $one), Words::fabricsAlong($join->seam, $other));
    }

    public function unitPressWords(Join $join): string
    {
        [$left, $right] = Words::sides($join);
        if ($left === Words::ONE_SIDE && $this->plan->pressing->of($join)[0] !== PressDirection::Open) {
            return 'to one side, the same in all';
        }

        return $this->pressedWords($join, $left, $right);
    }

    /** "toward row 1", "open", "toward row 1 at first, furled at crossings 1 and 3". */
    private function pressedWords(Join $join, string $left, string $right): string
    {
        $directions = $this->plan->pressing->of($join);
        $furls = [];
        foreach (array_slice($directions, 1) as $i => $direction) {
            if ($direction !== $directions[$i]) {
                $furls[] = $i + 1;
            }
        }
        $first = match ($directions[0]) {
            PressDirection::Left => 'toward '.$left,
            PressDirection::Right => 'toward '.$right,
            PressDirection::Open => 'open',
        };

        return $furls === [] ? $first : sprintf('%s at first, furled at %s %s', $first, count($furls) === 1 ? 'crossing' : 'crossings', Listed::of($furls));
    }

    /**
     * Where a class is pressed in two piles: which units lie on the second, and how that one is pressed.
     *
     * @param list<Join> $round
     */
    public function secondPileWords(UnitClass $class, array $round): string
    {
        $members = [];
        foreach ($this->plan->turnedUnits as $unit) {
            if ($unit->unitClass === $class->index && $unit->pile > 0) {
                $members[] = $unit->member;
            }
        }
        if ($members === []) {
            return '';
        }
        $joins = array_values(array_filter($round, static fn (Join $join): bool => $join->tie?->member === $members[0]));
        $places = array_map(static fn (int $member): string => sprintf('row %d column %d', $class->members[$member]->cell->row, $class->members[$member]->cell->column), $members);

        return sprintf(' Lay those for %s on a second pile and press it %s.', Listed::of($places), Words::tallied(array_map($this->unitPressWords(...), $joins)));
    }

    /** @param list<Join> $joins */
    public function pressWords(array $joins, string $left, string $right): string
    {
        $numbers = [];
        foreach ($joins as $i => $join) {
            $numbers[$this->pressedWords($join, $left, $right)][] = $i + 1;
        }
        $hands = $this->furlWords($joins);
        if (count($numbers) === 1) {
            return sprintf('Press %s %s.%s', count($joins) === 1 ? 'the seam' : 'all seams', array_key_first($numbers), $hands);
        }
        $groups = [];
        foreach ($numbers as $words => $seams) {
            $groups[] = sprintf('%s %s %s', count($seams) === 1 ? 'seam' : 'seams', Listed::of($seams), $words);
        }

        return sprintf('Press %s.%s', Listed::of($groups), $hands);
    }

    /**
     * What the hands do where seams are furled; nothing where none is.
     *
     * @param list<Join> $joins
     */
    private function furlWords(array $joins): string
    {
        $ways = [];
        foreach ($joins as $join) {
            foreach (Furled::along($join, $this->plan->pressing) as $furl) {
                $ways[$furl->isClockwise ? 'clockwise' : 'anticlockwise'][] = implode(', ', $this->construction->face->lattice->toText($furl->at));
            }
        }
        if ($ways === []) {
            return '';
        }
        $round = array_map(static fn (string $way, array $places): string => sprintf('%s at %s', $way, Listed::of(array_values(array_unique($places)))), array_keys($ways), $ways);

        return sprintf(' At each furl open the two or three stitches inside the allowance first. Then, looking at the back, lay the allowances round like a wheel with the finger, %s, and press. Laid the wrong way round they fight each other and will not lie flat.', implode(', and ', $round));
    }

    /** Which of the block's units that look the same after a turn are turned before they are sewn; nothing when there are none. */
    public function turnWords(): string
    {
        $words = [];
        foreach ($this->turned() as [$unit, $turn]) {
            if (in_array($unit, $this->construction->face->whole->parts, true)) {
                $words[] = sprintf('the one at row %d, column %d by %d degrees', $unit->cell->row, $unit->cell->column, $turn);
            }
        }

        return $words === [] ? '' : sprintf('Turn %s, clockwise: they look the same, and their seams then nest.', Listed::of($words));
    }

    /**
     * The same for units within small grids, said before those are sewn: place within the grid, and which of the grids.
     *
     * @param list<UnitClass> $grids
     */
    public function turnWordsWithin(array $grids): string
    {
        $turned = [];
        foreach ($this->turned() as [$unit, $turn]) {
            $turned[spl_object_id($unit)] = $turn;
        }
        $words = [];
        foreach ($turned === [] ? [] : $grids as $grid) {
            $places = [];
            foreach ($grid->members as $member) {
                foreach ($member->parts as $part) {
                    if ($part instanceof PlacedUnit && isset($turned[spl_object_id($part)])) {
                        $places[sprintf('the one at row %d, column %d of it by %d degrees', $part->cell->row, $part->cell->column, $turned[spl_object_id($part)])][] = Words::place($member);
                    }
                }
            }
            foreach ($places as $what => $where) {
                $words[] = count($where) === count($grid->members) ? $what : $what.' in that for '.Listed::of($where);
            }
        }

        return $words === [] ? '' : sprintf(' Turn %s, clockwise, before you sew: they look the same, and their seams then nest.', Listed::of($words));
    }

    /** @return list<array{PlacedUnit, int}> units that are turned, and by how many degrees clockwise */
    private function turned(): array
    {
        $found = [];
        foreach ($this->plan->turnedUnits as $turned) {
            if ($turned->turn !== null) {
                $found[] = [$this->construction->classes[$turned->unitClass]->members[$turned->member], $turned->turn->value];
            }
        }

        return $found;
    }
}
