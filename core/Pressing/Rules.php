<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\ClassKinship;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\FaceSide;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Pressing\Internal\Bands;
use KeenSeam\Core\Pressing\Internal\SeamCosts;
use KeenSeam\Core\Pressing\Internal\SeamInUnits;

/** What rules of pressing say about the seams of a block as it is sewn. */
final class Rules
{
    private readonly Bands $bands;

    private readonly SeamInUnits $units;

    public function __construct(private readonly Construction $construction)
    {
        $this->bands = Bands::of($construction);
        $this->units = new SeamInUnits($construction);
    }

    /**
     * Her own locks, and besides them what the rules say: later rules win over earlier ones, single locks over all.
     *
     * @param list<Rule> $rules
     *
     * @return list<Lock> her own first
     *
     * @throws RuleNotPossible
     */
    public function locks(array $rules, Locks $own): array
    {
        $said = array_map($this->saidBy(...), $rules);
        foreach (array_reverse($said) as $locks) {
            $held = array_flip($own->held());
            $own = new Locks($this->construction, [...$own->all, ...array_values(array_filter($locks, static fn (Lock $lock): bool => ! isset($held[$lock->join])))]);
        }

        return $own->all;
    }

    /**
     * @return non-empty-list<Lock> one for every seam that it fits
     *
     * @throws RuleNotPossible when it fits none
     */
    public function saidBy(Rule $rule): array
    {
        $locks = match ($rule->subject) {
            RuleSubject::Rows => $this->bands->areRows ? $this->ofBands($rule) : [],
            RuleSubject::Columns => $this->bands->areRows ? [] : $this->ofBands($rule),
            RuleSubject::Last => $this->each($this->bands->last, fn (Join $join): ?PressDirection => $this->ofLast($rule, $join)),
            RuleSubject::Units => $this->each($this->construction->joins, fn (Join $join): ?PressDirection => in_array($rule->of, $this->units->kindsOf($join), true) ? $this->way($rule, $join, null) : null),
            RuleSubject::Cell => $this->ofCell($rule),
        };

        return $locks === [] ? throw RuleNotPossible::fitsNothing($rule) : $locks;
    }

    /**
     * The seams of the rows, or columns, that the order sews as bands.
     *
     * @return list<list<Join>> along each; those inside units left out
     */
    public function bandJoins(): array
    {
        return array_map(function (Assembly $band): array {
            $joins = Bands::joinsOf($band);
            usort($joins, fn (Join $a, Join $b): int => $this->bands->along->dot($a->seam->from) + $this->bands->along->dot($a->seam->to) <=> $this->bands->along->dot($b->seam->from) + $this->bands->along->dot($b->seam->to));

            return $joins;
        }, $this->bands->bands);
    }

    /** @return list<Join> the seams between the outermost bands of the order */
    public function lastJoins(): array
    {
        return $this->bands->last;
    }

    /** @return array<string, list<int>> joins by the kind of unit they lie in, recognised ones too */
    public function joinsByKind(): array
    {
        $kinds = [];
        foreach ($this->construction->joins as $join) {
            foreach (array_unique($this->units->kindsOf($join)) as $kind) {
                $kinds[$kind][] = $join->id;
            }
        }

        return $kinds;
    }

    public function bandsAreRows(): bool
    {
        return $this->bands->areRows;
    }

    /**
     * @param iterable<Join>                  $joins
     * @param \Closure(Join): ?PressDirection $direction null where the rule does not fit
     *
     * @return list<Lock>
     */
    private function each(iterable $joins, \Closure $direction): array
    {
        $locks = [];
        foreach ($joins as $join) {
            $way = $direction($join);
            if ($way !== null) {
                $locks[] = new Lock($join->id, $way);
            }
        }

        return $locks;
    }

    /** @return list<Lock> */
    private function ofBands(Rule $rule): array
    {
        $locks = [];
        foreach ($this->bands->bands as $number => $band) {
            $ends = array_map(fn (Point $corner): int => $this->bands->along->dot($corner), $band->outline()->points);
            $middle = min($ends) + max($ends);
            $locks[] = $this->each(Bands::joinsOf($band), function (Join $join) use ($rule, $number, $middle): ?PressDirection {
                $word = $rule->fabric === null ? $rule->wordFor($number) : null;
                $along = $this->bands->along;
                $off = $along->dot($join->seam->from) + $along->dot($join->seam->to) - $middle;

                return match ($word) {
                    RuleWord::Out => $this->towards($join, $along, $off),
                    RuleWord::In => $this->towards($join, $along, -$off),
                    default => $this->way($rule, $join, $word),
                };
            });
        }

        return array_merge(...$locks);
    }

    /** @param int $sign above zero for what lies further along the direction, below for what lies before it, 0 for neither */
    private function towards(Join $join, Point $along, int $sign): ?PressDirection
    {
        $across = $join->seam->direction()->cross($along) * $join->leftSide;

        return self::side(-($across <=> 0) * ($sign <=> 0));
    }

    private function ofLast(Rule $rule, Join $join): ?PressDirection
    {
        $word = $rule->words[0] ?? null;
        if ($word !== RuleWord::In && $word !== RuleWord::Out) {
            return $this->way($rule, $join, $word);
        }
        // Doubled, so that the middle is a whole number.
        $middle = new Point(...$this->construction->face->outline()->size());
        $side = $join->seam->direction()->cross($middle->minus($join->seam->from)->minus($join->seam->from)) * $join->leftSide;

        return self::side($word === RuleWord::In ? -$side : $side);
    }

    /**
     * @return list<Lock>
     *
     * @throws RuleNotPossible
     */
    private function ofCell(Rule $rule): array
    {
        [$row, $column] = array_map(intval(...), explode(',', $rule->of));
        $unit = null;
        foreach ($this->construction->face->whole->parts as $part) {
            if ($part instanceof PlacedUnit && $row >= $part->cell->row && $row <= $part->cell->lastRow() && $column >= $part->cell->column && $column <= $part->cell->lastColumn()) {
                $unit = $part;
            }
        }
        if ($unit === null) {
            throw RuleNotPossible::noSuchCell($rule);
        }
        $key = ClassKinship::classKey($unit);
        $twin = ClassKinship::handKey($unit, true);
        $known = []; // by how a unit lies, so that each is compared once
        $isKin = static function (PlacedUnit $other) use ($key, $twin, &$known): bool {
            return $known[ClassKinship::asPlaced($other)] ??= ClassKinship::classKey($other) === $key || ClassKinship::handKey($other, false) === $twin;
        };

        return $this->each($this->construction->joins, function (Join $join) use ($rule, $isKin): ?PressDirection {
            foreach ($this->units->of($join) as $inside) {
                if ($isKin($inside)) {
                    return $this->way($rule, $join, null);
                }
            }

            return null;
        });
    }

    /** @param RuleWord|null $word the rule's first if null */
    private function way(Rule $rule, Join $join, ?RuleWord $word): ?PressDirection
    {
        if ($rule->fabric !== null) {
            return $this->byFabric($rule, $join);
        }
        $word ??= $rule->wordFor(0);

        return match ($word) {
            RuleWord::Open => PressDirection::Open,
            RuleWord::Dark => self::side(SeamCosts::darkerSide($join)),
            RuleWord::Light => self::side(-SeamCosts::darkerSide($join)),
            RuleWord::Left, RuleWord::Right, RuleWord::Up, RuleWord::Down => PressDirection::fromFace($word->value, FaceSide::ofLeftPart($join)),
            default => null,
        };
    }

    /** @param int $sign above zero for the right part */
    private static function side(int $sign): ?PressDirection
    {
        return match ($sign <=> 0) {
            1 => PressDirection::Right,
            -1 => PressDirection::Left,
            default => null,
        };
    }

    private function byFabric(Rule $rule, Join $join): ?PressDirection
    {
        $key = $this->keyOf($rule);
        $shows = static fn (Assembly $part): bool => array_filter(SeamCosts::patchesAlong($join->seam, $part), static fn (Patch $patch): bool => $patch->fabric->key === $key) !== [];
        $toward = $shows($join->right) <=> $shows($join->left);

        return self::side($rule->away ? -$toward : $toward);
    }

    /** @throws RuleNotPossible */
    private function keyOf(Rule $rule): string
    {
        $fabrics = $this->construction->face->block->fabrics;
        $given = (string) $rule->fabric;
        $named = array_filter($fabrics, static fn (Fabric $fabric): bool => $fabric->name === $given)
            ?: array_filter($fabrics, static fn (Fabric $fabric): bool => mb_strtolower($fabric->name) === mb_strtolower($given));

        return isset($fabrics[$given]) ? $given : (array_values($named)[0] ?? throw RuleNotPossible::unknownFabric($rule, $fabrics))->key;
    }
}
