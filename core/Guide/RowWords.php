<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\FaceSide;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\UnitName;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\Rule;
use KeenSeam\Core\Pressing\RuleNotPossible;
use KeenSeam\Core\Pressing\Rules;
use KeenSeam\Core\Pressing\RuleWord;

/** How the rows or columns of a plan lie, as quilters say it: "row 1 out, toward the plain squares". */
final readonly class RowWords
{
    private const PLAIN = 'plain squares';

    /**
     * @param string      $title "Row 1"
     * @param string      $way   "out", "in", "left", "open", or each seam's way in turn: "left, right, right"
     * @param string|null $why   "toward the plain squares", "away from the flying geese"; null where nothing so simple is so
     * @param list<int>   $joins along the row
     * @param string      $say   a rule for this row alone, with % for the way
     */
    private function __construct(
        public string $title,
        public string $way,
        public ?string $why,
        public array $joins,
        public string $say,
    ) {}

    /** @return list<self> one for every row or column with seams of its own; none where the order makes neither */
    public static function of(PressingPlan $plan, Rules $rules): array
    {
        $units = self::unitsByPatch($plan->construction->face->whole);
        $subject = $rules->bandsAreRows() ? 'rows' : 'columns';
        $out = self::directions($rules, $subject.': out');
        $title = $plan->construction->order === Order::Diagonal ? 'Slanting row ' : ($rules->bandsAreRows() ? 'Row ' : 'Column ');
        $words = [];
        foreach ($rules->bandJoins() as $number => $joins) {
            if ($joins !== []) {
                $words[] = new self(
                    $title.($number + 1),
                    self::way($plan, $joins, $out),
                    self::why($plan, $joins, $units),
                    array_map(static fn (Join $join): int => $join->id, $joins),
                    $subject.': '.implode(' ', array_replace(array_fill(0, count($rules->bandJoins()), RuleWord::Free->value), [$number => '%'])),
                );
            }
        }

        return $words;
    }

    /**
     * @param non-empty-list<Join>       $joins
     * @param array<int, PressDirection> $out   direction toward the nearer end, by join; those in the middle left out
     */
    private static function way(PressingPlan $plan, array $joins, array $out): string
    {
        $words = $turns = [];
        foreach ($joins as $join) {
            $directions = $plan->pressing->of($join);
            $isFurled = count(array_unique(array_column($directions, 'value'))) > 1;
            $words[] = $isFurled ? 'furled' : $directions[0]->onFace(FaceSide::ofLeftPart($join));
            if (isset($out[$join->id]) && ! $isFurled && $directions[0] !== PressDirection::Open) {
                $turns[] = $directions[0] === $out[$join->id] ? 'out' : 'in';
            } elseif (isset($out[$join->id])) {
                $turns[] = 'neither';
            }
        }
        if (count(array_unique($words)) === 1) {
            return $words[0];
        }

        return count($turns) > 0 && count(array_unique($turns)) === 1 && $turns[0] !== 'neither' && count($turns) >= count($joins) - 1 ? $turns[0] : implode(', ', $words);
    }

    /**
     * @param non-empty-list<Join>         $joins
     * @param array<int, PlacedUnit|Patch> $units
     */
    private static function why(PressingPlan $plan, array $joins, array $units): ?string
    {
        $toward = $away = [];
        foreach ($joins as $join) {
            $direction = $plan->pressing->of($join)[0];
            if ($direction === PressDirection::Open || count(array_unique(array_column($plan->pressing->of($join), 'value'))) > 1) {
                return null;
            }
            [$under, $over] = $direction === PressDirection::Left ? [$join->left, $join->right] : [$join->right, $join->left];
            $toward[] = self::alongside($join, $under, $units);
            $away[] = self::alongside($join, $over, $units);
        }
        $towards = array_values(array_unique($toward));
        $aways = array_values(array_unique($away));

        return match (true) {
            $towards === [self::PLAIN] && ! in_array(self::PLAIN, $aways, true) => 'toward the plain squares',
            count($aways) === 1 && $aways[0] !== self::PLAIN && $aways[0] !== '' && ! in_array($aways[0], $towards, true) => 'away from the '.$aways[0],
            count($towards) === 1 && $towards[0] !== self::PLAIN && $towards[0] !== '' && ! in_array($towards[0], $aways, true) => 'toward the '.$towards[0],
            default => null,
        };
    }

    /** @param array<int, PlacedUnit|Patch> $units */
    private static function alongside(Join $join, Assembly $part, array $units): string
    {
        $names = [];
        foreach ($part->patchIds() as $id) {
            $unit = $units[$id];
            $on = array_filter($unit->outline->points, static fn ($corner): bool => $join->seam->sideOf($corner) === 0);
            if (count($on) > 1) {
                $names[$unit instanceof Patch || count($unit->patches()) === 1 ? self::PLAIN : UnitName::of($unit, true)] = true;
            }
        }

        return count($names) === 1 ? (string) array_key_first($names) : '';
    }

    /** @return array<int, PressDirection> by join */
    private static function directions(Rules $rules, string $rule): array
    {
        try {
            $locks = $rules->saidBy(Rule::parse($rule));
        } catch (RuleNotPossible) {
            return [];
        }

        return array_combine(array_map(static fn (Lock $lock): int => $lock->join, $locks), array_map(static fn (Lock $lock): PressDirection => $lock->at(0), $locks));
    }

    /** @return array<int, PlacedUnit|Patch> the unit of the block's own cell in which each patch lies */
    private static function unitsByPatch(PlacedUnit $whole): array
    {
        $units = [];
        foreach ($whole->parts as $part) {
            foreach ($part instanceof Patch ? [$part] : $part->patches() as $patch) {
                $units[$patch->id] = $part;
            }
        }

        return $units;
    }
}
