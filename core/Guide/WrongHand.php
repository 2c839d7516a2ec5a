<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\ClassKinship;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Piece;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\Picture;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Guide\Internal\UnitNames;

/** A pile of units that came out as their own mirror image: which ways there are to mend it, and what each asks for. */
final readonly class WrongHand
{
    /**
     * @param list<int> $joins numbers within the unit of the seams that are taken out of each
     */
    private function __construct(
        public HandMend $how,
        public int $count,
        public array $joins,
        public string $words,
    ) {}

    /**
     * @param int $count     of units that are of the wrong hand
     * @param int $twinsToGo units of the other hand that are still to be made
     *
     * @return non-empty-list<self> the least work first
     */
    public static function mends(Construction $construction, UnitClass $class, int $count, int $twinsToGo): array
    {
        $names = new UnitNames($construction);
        $unit = $class->members[0];
        [$them, $it] = $count === 1 ? ['it', 'it'] : ['them', 'each'];
        $isItsOwn = ClassKinship::handKey($unit, true) === ClassKinship::handKey($unit, false);
        if ($isItsOwn && self::isBuiltLikeItsMirrorImage($construction, $class)) {
            return [new self(HandMend::Turn, $count, [], sprintf('Turn %s until %s as in the picture: %s %s no left and right hand.', $them, $count === 1 ? 'it lies' : 'they lie', $names->of($class, true), 'have'))];
        }
        $mends = [];
        if ($isItsOwn || self::showsItself($unit)) {
            $mends[] = new self(HandMend::Press, $count, [], sprintf('Use %s: the face is the right one after a turn. Only the seams lie as in a mirror: press %s once more, toward the fabrics that the step names.', $them, $them));
        }
        if ($isItsOwn) {
            return $mends;
        }
        $twin = ClassKinship::twins($construction->classes)[$class->index] ?? null;
        if ($twin !== null && $twinsToGo >= $count) {
            $other = $names->of($construction->classes[$twin], $count !== 1);
            $mends[] = new self(HandMend::Swap, $count, [], sprintf('Put %s on the pile of the %s, which %s, and make %d more of these instead: as many units as before.', $them, $other, $count === 1 ? 'it is' : 'they are', $count));
        }
        $joins = self::toOpen(self::wholeOf($construction, $class));
        if ($joins !== null) {
            $mends[] = new self(HandMend::Seams, $count, $joins, sprintf('Take %s out of %s, turn what comes off and sew it on the other way round: %s.', Words::counted(count($joins), 'seam', 'seams'), $it, Words::counted(count($joins) * $count, 'seam', 'seams')));
        }
        $mends[] = new self(HandMend::Remake, $count, [], sprintf('Cut and sew %d new, and keep %s for another block.', $count, $count === 1 ? 'this one' : 'these'));

        return $mends;
    }

    /** The join that finishes the first unit of a class. */
    private static function wholeOf(Construction $construction, UnitClass $class): Assembly
    {
        $whole = null;
        foreach ($construction->joins as $join) {
            if ($join->tie?->unitClass === $class->index && $join->tie->member === 0) {
                $whole = $join;
            }
        }

        return $whole ?? throw new \LogicException('A unit class has seams.');
    }

    /** Whether after some turn its seams lie where those of its mirror image lie. */
    private static function isBuiltLikeItsMirrorImage(Construction $construction, UnitClass $class): bool
    {
        $corners = $class->members[0]->outline->points;
        $parts = array_map(static fn (Patch $patch): array => [$patch->fabric->key, $patch->outline->points], $class->members[0]->patches());
        foreach ($construction->joins as $join) {
            if ($join->tie?->unitClass === $class->index && $join->tie->member === 0) {
                $parts[] = ['seam', [$join->seam->from, $join->seam->to]];
            }
        }
        $lies = static function (int $turns, bool $mirrored) use ($parts, $corners): array {
            $move = static function (Point $point) use ($turns, $mirrored): array {
                [$x, $y] = [$mirrored ? -$point->x : $point->x, $point->y];
                for ($i = 0; $i < $turns; ++$i) {
                    [$x, $y] = [-$y, $x];
                }

                return [$x, $y];
            };
            $outline = array_map($move, $corners);
            [$left, $top] = [min(array_column($outline, 0)), min(array_column($outline, 1))];
            $keys = [];
            foreach ($parts as [$what, $ends]) {
                $places = array_map(static fn (array $end): array => [$end[0] - $left, $end[1] - $top], array_map($move, $ends));
                sort($places);
                $keys[] = [$what, $places];
            }
            sort($keys);

            return $keys;
        };

        return in_array($lies(0, false), array_map(static fn (int $turns): array => $lies($turns, true), Turn::QUARTERS), true);
    }

    /** Whether its mirror image shows the same face after a turn, however it is sewn. */
    private static function showsItself(PlacedUnit $unit): bool
    {
        $picture = Picture::of($unit);
        $keys = array_map(static fn (Turn $turn): string => $picture->moved(new Placement($turn, true))->key, Turn::cases());

        return in_array($picture->key, $keys, true) && $unit->outline->isUprightRectangle();
    }

    /**
     * The fewest seams after which every part that is left is its own mirror image: turned, it is of the other hand.
     *
     * @return list<int>|null null where a piece of cloth would have to be turned over
     */
    private static function toOpen(Assembly $part): ?array
    {
        $patches = self::patchesOf($part);
        if (ClassKinship::handKeyOf($patches, $part->outline(), true) === ClassKinship::handKeyOf($patches, $part->outline(), false)) {
            return [];
        }
        if (! $part instanceof Join || $part->tie === null) {
            return null;
        }
        [$left, $right] = [self::toOpen($part->left), self::toOpen($part->right)];

        return $left === null || $right === null ? null : [...$left, ...$right, $part->tie->join];
    }

    /** @return list<Patch> */
    private static function patchesOf(Assembly $part): array
    {
        return $part instanceof Piece ? [$part->patch] : array_merge(...array_map(self::patchesOf(...), $part->children()));
    }
}
