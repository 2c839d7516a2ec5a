<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Picture;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Side;
use KeenSeam\Core\Layout\Internal\CellBox;
use KeenSeam\Core\Layout\Internal\CellPictures;

/** The other ways a unit could lie without the eye catching it at the machine: the edge being sewn looks the same. */
final readonly class Impostors
{
    /**
     * @param Side                      $side       the edge sewn first
     * @param Picture                   $right      what it shows
     * @param non-empty-list<Placement> $placements that show another face, but the same along that edge
     * @param non-empty-list<Picture>   $pictures   what it would show, by placement
     * @param float                     $ratio      width to height of its cell
     */
    private function __construct(
        public Cell $cell,
        public Side $side,
        public Picture $right,
        public array $placements,
        public array $pictures,
        public float $ratio,
    ) {}

    /** @return list<self> of the block's cells that have any, in reading order */
    public static function allIn(Construction $construction): array
    {
        return self::among(new CellPictures($construction->face), $construction);
    }

    /**
     * The same of some cells only.
     *
     * @param \Closure(Cell): bool $isAsked
     *
     * @return list<self>
     */
    public static function ofCells(Construction $construction, \Closure $isAsked): array
    {
        return self::among(new CellPictures($construction->face), $construction, $isAsked);
    }

    /**
     * @internal
     *
     * @param (\Closure(Cell): bool)|null $isAsked
     *
     * @return list<self>
     */
    public static function among(CellPictures $pictures, Construction $construction, ?\Closure $isAsked = null): array
    {
        $impostors = $known = [];
        foreach (self::firstSides($pictures->units, $construction) as $cell => $side) {
            if ($isAsked !== null && ! $isAsked($pictures->units[$cell]->cell)) {
                continue;
            }
            $now = $pictures->units[$cell]->cell->placement;
            $name = $pictures->unitName($cell).' '.$now->turn->value.' '.json_encode($now->mirrored).' '.$side->value;
            [$placements, $shown] = $known[$name] ??= self::lookingRight($pictures, $cell, $side);
            if ($placements !== [] && $shown !== []) {
                $impostors[] = new self($pictures->units[$cell]->cell, $side, $pictures->picture($cell), $placements, $shown, $pictures->units[$cell]->ratio());
            }
        }

        return $impostors;
    }

    /** @return array{list<Placement>, list<Picture>} */
    private static function lookingRight(CellPictures $pictures, int $cell, Side $side): array
    {
        $right = $pictures->picture($cell);
        $placements = $shown = [];
        $unit = $pictures->units[$cell];
        $box = CellBox::of($unit->outline);
        foreach (Symmetry::all() as $placement) {
            // What is sewn longer than wide does not fit its place after a quarter turn.
            $fits = $box->width === $box->height || $placement->turn->swapsSides() === $unit->cell->placement->turn->swapsSides();
            $picture = $fits ? $pictures->placedOtherwise($cell, $placement) : null;
            if ($picture !== null && $picture->key !== $right->key && $picture->looksTheSameAlong($side, $right)) {
                $placements[] = $placement;
                $shown[] = $picture;
            }
        }

        return [$placements, $shown];
    }

    /**
     * The edge along which each unit is first sewn to something outside it.
     *
     * @param list<PlacedUnit> $units
     *
     * @return array<int, Side> by cell
     */
    private static function firstSides(array $units, Construction $construction): array
    {
        $cells = [];
        foreach ($units as $i => $unit) {
            foreach ($unit->patches() as $patch) {
                $cells[$patch->id] = $i;
            }
        }
        $sides = [];
        foreach ($construction->joins as $join) {
            if ($join->tie !== null) {
                continue;
            }
            foreach (self::cellsAt($join, $cells) as $cell) {
                $side = isset($sides[$cell]) ? null : self::sideAlong($units[$cell], $join);
                if ($side !== null) {
                    $sides[$cell] = $side;
                }
            }
        }
        ksort($sides);

        return $sides;
    }

    /**
     * @param array<int, int> $cells by patch
     *
     * @return list<int> cells that lie on one side of the join only
     */
    private static function cellsAt(Join $join, array $cells): array
    {
        $of = static fn (array $patches): array => array_unique(array_map(static fn (int $patch): int => $cells[$patch], $patches));
        [$left, $right] = [$of($join->left->patchIds()), $of($join->right->patchIds())];

        return array_values([...array_diff($left, $right), ...array_diff($right, $left)]);
    }

    private static function sideAlong(PlacedUnit $unit, Join $join): ?Side
    {
        foreach ($unit->outline->edges() as $i => [$a, $b]) {
            if ($join->seam->contains($a) && $join->seam->contains($b)) {
                return match (true) {
                    $a->y === $b->y => $b->x > $a->x ? Side::Top : Side::Bottom, // outlines run clockwise
                    default => $b->y > $a->y ? Side::Right : Side::Left,
                };
            }
        }

        return null;
    }
}
