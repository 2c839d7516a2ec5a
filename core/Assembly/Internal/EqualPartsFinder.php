<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly\Internal;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\EqualPart;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Piece;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Block\PatchesUnit;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Geometry\Point;

/**
 * Finds the parts of a unit of patches that come out equal, seams included, after some turn; and which join of one
 * lies where a join of the other does.
 *
 * @internal
 */
final class EqualPartsFinder
{
    /** @var list<EqualPart> */
    public array $parts = [];

    /**
     * By class and number of the join within its unit: the join it is alike, and how its sides and ends lie to that one's.
     * A join that is alike no earlier one is left out.
     *
     * @var array<int, array<int, array{join: int, swapped: bool, reversed: bool}>>
     */
    public array $alike = [];

    public function __construct(Construction $construction)
    {
        $joins = [];
        foreach ($construction->joins as $join) {
            if ($join->tie !== null && $join->tie->member === 0 && self::isOfPatches($construction->classes[$join->tie->unitClass])) {
                $joins[$join->tie->unitClass][] = $join;
            }
        }
        foreach ($joins as $class => $ofUnit) {
            $this->sortOut($construction->classes[$class], $ofUnit);
        }
    }

    private static function isOfPatches(UnitClass $class): bool
    {
        return $class->members[0]->cell->unit instanceof PatchesUnit;
    }

    /** @param non-empty-list<Join> $joins of one unit */
    private function sortOut(UnitClass $class, array $joins): void
    {
        $groups = [];
        foreach (self::mayBeEqual($joins) as $join) {
            $groups[min(self::textsOf($join))][] = $join;
        }
        $groups = array_values(array_filter($groups, static fn (array $members): bool => count($members) > 1));
        // Whole parts are paired before the parts they are made of, so that a pair agrees throughout.
        usort($groups, static fn (array $a, array $b): int => self::rank($a) <=> self::rank($b));
        $ties = [];
        foreach ($groups as $i => $members) {
            $this->parts[] = new EqualPart($class->index, $class->label().chr(ord('a') + $i % 26).($i < 26 ? '' : intdiv($i, 26)), $members);
            $wanted = self::textsOf($members[0])[0];
            foreach (array_slice($members, 1) as $member) {
                $turns = (int) array_search($wanted, self::textsOf($member), true);
                self::pair($members[0], $member, $turns, $ties);
            }
        }
        foreach (array_keys($ties) as $number) {
            $this->alike[$class->index][$number] = self::root($number, $ties);
        }
    }

    /**
     * @param non-empty-list<Join> $members
     *
     * @return array{int, int}
     */
    private static function rank(array $members): array
    {
        $first = reset($members);

        return [-count($first->patchIds()), $first->id];
    }

    /**
     * Only parts with as much cloth of each fabric as another can be equal to it; the rest need no closer look.
     *
     * @param list<Join> $joins
     *
     * @return list<Join>
     */
    private static function mayBeEqual(array $joins): array
    {
        $byCloth = $cloth = [];
        foreach ($joins as $join) {
            $areas = [];
            foreach ($join->children() as $part) {
                foreach ($part instanceof Piece ? [$part->patch->fabric->key => $part->outline()->areaDoubled()] : $cloth[$part instanceof Join ? $part->id : -1] as $fabric => $area) {
                    $areas[$fabric] = ($areas[$fabric] ?? 0) + $area;
                }
            }
            ksort($areas);
            $cloth[$join->id] = $areas;
            $byCloth[json_encode([count($join->patchIds()), $areas], JSON_THROW_ON_ERROR)][] = $join;
        }

        return array_merge([], ...array_values(array_filter($byCloth, static fn (array $alike): bool => count($alike) > 1)));
    }

    /** @return non-empty-list<string> the part with its seams, by quarter turns clockwise */
    private static function textsOf(Assembly $part): array
    {
        return array_map(static fn (int $turns): string => self::text($part, $turns, $part->outline()->turned($turns)->corner()), Turn::QUARTERS);
    }

    private static function text(Assembly $part, int $turns, Point $corner): string
    {
        if ($part instanceof Piece) {
            return $part->patch->fabric->key.': '.$part->outline()->turned($turns)->seenFrom($corner)->key();
        }
        $inner = array_map(static fn (Assembly $child): string => self::text($child, $turns, $corner), $part->children());
        sort($inner);

        return '('.implode(' + ', $inner).')';
    }

    /** @param array<int, array{join: int, swapped: bool, reversed: bool}> $ties */
    private static function pair(Assembly $first, Assembly $other, int $turns, array &$ties): void
    {
        if (! $first instanceof Join || ! $other instanceof Join) {
            return;
        }
        $isSwapped = self::textFrom($first->left, $first, 0) !== self::textFrom($other->left, $other, $turns);
        self::tie($first, $other, $isSwapped, $turns, $ties);
        [$left, $right] = $isSwapped ? [$other->right, $other->left] : [$other->left, $other->right];
        self::pair($first->left, $left, $turns, $ties);
        self::pair($first->right, $right, $turns, $ties);
    }

    private static function textFrom(Assembly $part, Join $whole, int $turns): string
    {
        return self::text($part, $turns, $whole->outline()->turned($turns)->corner());
    }

    /** @param array<int, array{join: int, swapped: bool, reversed: bool}> $ties */
    private static function tie(Join $first, Join $other, bool $isSwapped, int $turns, array &$ties): void
    {
        $to = self::root($first->tie->join ?? 0, $ties);
        $from = self::root($other->tie->join ?? 0, $ties);
        if ($to['join'] === $from['join']) {
            return;
        }
        $ties[$from['join']] = [
            'join' => $to['join'],
            'swapped' => $isSwapped !== ($to['swapped'] !== $from['swapped']),
            'reversed' => $other->seam->isReversedBy($turns) !== ($to['reversed'] !== $from['reversed']),
        ];
    }

    /**
     * @param array<int, array{join: int, swapped: bool, reversed: bool}> $ties
     *
     * @return array{join: int, swapped: bool, reversed: bool}
     */
    private static function root(int $number, array $ties): array
    {
        $swapped = $reversed = false;
        while (isset($ties[$number])) {
            $swapped = $swapped !== $ties[$number]['swapped'];
            $reversed = $reversed !== $ties[$number]['reversed'];
            $number = $ties[$number]['join'];
        }

        return ['join' => $number, 'swapped' => $swapped, 'reversed' => $reversed];
    }
}
