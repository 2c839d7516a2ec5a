<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly\Internal;

use KeenSeam\Core\Assembly\ChosenOrder;
use KeenSeam\Core\Assembly\ClassKinship;
use KeenSeam\Core\Assembly\SelfTurn;
use KeenSeam\Core\Assembly\SetInSeamNeeded;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Block\GridUnit;
use KeenSeam\Core\Block\PieceUnit;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\SewingOrder;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Geometry\Segment;

/**
 * Sorts placed units into classes as they come and gives each the order of sewing of its class.
 *
 * @internal
 */
final class UnitClasses
{
    /** @var array<string, int> class index by the shape's canonical text */
    private array $indexes = [];

    /** @var array<string, string> class keys by how a unit lies, so that each is found once */
    private array $keys = [];

    /** @var list<non-empty-list<PlacedUnit>> */
    private array $members = [];

    /** @var list<non-empty-list<int>> quarter turns after which each member looks like the first, by class */
    private array $turns = [];

    /** @var list<SewingOrder> the first member's own order, by class */
    private array $sewings = [];

    public function __construct(private readonly ChosenOrder $order) {}

    /**
     * @param SewingOrder|null $own how the quilter sews this one; units that are sewn otherwise are another class
     *
     * @return array{int, int, SewingOrder} class, number within the class, order over the unit's own parts
     */
    public function admit(PlacedUnit $unit, ?SewingOrder $own = null): array
    {
        $key = $this->keys[ClassKinship::asPlaced($unit)] ??= ClassKinship::classKey($unit);
        if ($own !== null) {
            $key .= $this->like($key, $unit, $own);
        }
        if (! isset($this->indexes[$key])) {
            $this->indexes[$key] = count($this->members);
            $this->members[] = [$unit];
            $this->turns[] = [0];
            $this->sewings[] = $own ?? $this->ownSewing($unit);

            return [$this->indexes[$key], 0, $this->sewings[$this->indexes[$key]]];
        }
        $class = $this->indexes[$key];
        [$turns, $pairs] = self::pairings($this->members[$class][0], $unit, $own === null ? null : fn (array $pairs): bool => $this->isSewnSo($class, $pairs, $own))[0];
        $this->members[$class][] = $unit;
        $this->turns[$class][] = $turns;

        return [$class, count($this->members[$class]) - 1, $this->sewings[$class]->renumbered($pairs)];
    }

    /**
     * @param array<int, list<Segment>> $seams of the first member's joins, by class
     *
     * @return list<UnitClass>
     */
    public function all(array $seams): array
    {
        return array_map(fn (array $members, int $index): UnitClass => new UnitClass(
            $index,
            $members,
            $this->selfTurns($members[0], $this->sewings[$index], $seams[$index]),
            array_map(static fn (int $turns): array => array_map(
                // A member turned by so much looks like the first, so the first turned back by it looks like the member.
                static fn (Segment $seam): bool => $seam->isReversedBy(4 - $turns),
                $seams[$index],
            ), $this->turns[$index]),
        ), $this->members, array_keys($this->members));
    }

    /** Which of the ways to sew a unit so far is this one, turned as the unit is; a new one if none is. */
    private function like(string $key, PlacedUnit $unit, SewingOrder $own): string
    {
        for ($number = 1; isset($this->indexes[$key.' sewn '.$number]); ++$number) {
            $class = $this->indexes[$key.' sewn '.$number];
            if (self::pairings($this->members[$class][0], $unit, fn (array $pairs): bool => $this->isSewnSo($class, $pairs, $own)) !== []) {
                break;
            }
        }

        return ' sewn '.$number;
    }

    /** @param array<int, int> $pairs parts of a unit by those of the class's first member */
    private function isSewnSo(int $class, array $pairs, SewingOrder $own): bool
    {
        return self::pairsOf($this->sewings[$class]->renumbered($pairs)) === self::pairsOf($own);
    }

    /** @return list<string> the parts that every join brings together, whichever is called left */
    private static function pairsOf(SewingOrder $sewing): array
    {
        $pairs = array_map(static function (array $sides): string {
            $sides = array_map(static fn (array $parts): string => implode('+', $parts), $sides);
            sort($sides);

            return implode(' to ', $sides);
        }, self::sides($sewing));
        sort($pairs);

        return $pairs;
    }

    private function ownSewing(PlacedUnit $unit): SewingOrder
    {
        try {
            return $this->sewingOf($unit);
        } catch (SetInSeamNeeded $problem) {
            throw $problem->inUnit($unit);
        }
    }

    private function sewingOf(PlacedUnit $unit): SewingOrder
    {
        $kind = $unit->cell->unit;

        return match (true) {
            $kind instanceof PieceUnit => $kind->sewing() ?? StraightOrder::best(array_map(SewnItem::of(...), $unit->parts)),
            $kind instanceof GridUnit => $this->order->sewing($unit),
            default => throw new \LogicException('No order of sewing for a '.$kind->kind().'.'),
        };
    }

    /**
     * Pairs the parts of the first member with those of another. The turn the quilter gave it comes first: where
     * a unit looks the same after several turns, its own frame decides how it is built.
     *
     * @param (\Closure(array<int, int>): bool)|null $fits which of them are wanted; the first one only if not given
     *
     * @return list<array{int, array<int, int>}> quarter turns of $unit, and its part by part of $first
     */
    private static function pairings(PlacedUnit $first, PlacedUnit $unit, ?\Closure $fits): array
    {
        $wanted = UnitShape::parts($first, 0);
        $whole = UnitShape::whole($wanted);
        $given = $first->placement->turn->quarters() - $unit->placement->turn->quarters();
        $pairings = [];
        foreach ([($given + 4) % 4, ...Turn::QUARTERS] as $turns) {
            $found = UnitShape::parts($unit, $turns);
            if (UnitShape::whole($found) !== $whole) {
                continue;
            }
            $byShape = array_flip($found);
            $pairs = array_map(static fn (string $shape): int => $byShape[$shape], $wanted);
            if ($fits === null) {
                return [[$turns, $pairs]];
            }
            if ($fits($pairs)) {
                $pairings[] = [$turns, $pairs];
            }
        }

        return $pairings;
    }

    /**
     * @param list<Segment> $seams
     *
     * @return list<SelfTurn>
     */
    private function selfTurns(PlacedUnit $unit, SewingOrder $sewing, array $seams): array
    {
        $joins = self::sides($sewing);
        $asPlaced = UnitShape::parts($unit, 0);
        $places = array_flip($asPlaced);
        $turns = [];
        foreach ([Turn::Quarter, Turn::Half, Turn::ThreeQuarters] as $turn) {
            $turned = UnitShape::parts($unit, $turn->quarters());
            if (UnitShape::whole($turned) !== UnitShape::whole($asPlaced)) {
                continue;
            }
            $origins = self::origins($joins, array_map(static fn (string $shape): int => $places[$shape], $turned));
            if ($origins !== null) {
                $turns[] = new SelfTurn($turn, array_map(static fn (array $origin): array => $origin + [
                    'reversed' => $seams[$origin['join']]->isReversedBy($turn->quarters()),
                ], $origins));
            }
        }

        return $turns;
    }

    /**
     * @param list<array{list<int>, list<int>}> $joins  parts on the left and on the right of each join
     * @param array<int, int>                   $landed where each part comes to lie
     *
     * @return array<int, array{join: int, swapped: bool}>|null null when the unit is not built the same after the turn
     */
    private static function origins(array $joins, array $landed): ?array
    {
        $origins = [];
        foreach ($joins as $number => $sides) {
            [$left, $right] = array_map(static function (array $parts) use ($landed): array {
                $parts = array_map(static fn (int $part): int => $landed[$part], $parts);
                sort($parts);

                return $parts;
            }, $sides);
            $straight = array_search([$left, $right], $joins, true);
            $swapped = array_search([$right, $left], $joins, true);
            if ($straight === false && $swapped === false) {
                return null;
            }
            $origins[$straight === false ? (int) $swapped : $straight] = ['join' => $number, 'swapped' => $straight === false];
        }
        ksort($origins);

        return $origins;
    }

    /** @return list<array{list<int>, list<int>}> the parts left and right of every join, in the order they are sewn */
    private static function sides(SewingOrder $sewing): array
    {
        $joins = [];
        self::collectSides($sewing, $joins);

        return $joins;
    }

    /**
     * @param list<array{list<int>, list<int>}> $joins
     *
     * @return list<int>
     */
    private static function collectSides(SewingOrder $sewing, array &$joins): array
    {
        $groups = [];
        foreach ($sewing->items as $item) {
            $groups[] = is_int($item) ? [$item] : self::collectSides($item, $joins);
        }
        $sewn = array_shift($groups);
        foreach ($groups as $next) {
            sort($sewn);
            sort($next);
            $joins[] = [$sewn, $next];
            $sewn = [...$sewn, ...$next];
        }

        return $sewn;
    }
}
