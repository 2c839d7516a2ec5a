<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Measure\Fraction;

/**
 * Where every seam of a block lies, told by its two ends as fractions of the block's width and height. Unlike the number of
 * a join it outlives a change of size, and says nothing false when the block is drawn otherwise: then the seam is
 * there no longer, or it is another one that lies in the same place.
 */
final readonly class SeamPlaces
{
    /**
     * @param array<int, string> $places  by join: "1/4,0 1/4,1/2", the end further left first, of two above each other the upper
     * @param array<string, int> $joins   by place
     * @param array<int, string> $parts   by join: the same for what is made of seams in the same places throughout
     * @param array<int, string> $patches by id: where each patch lies
     * @param list<string>       $cells   first cell of each unit class: "1,2", or "1,2/2,1" for one within a small grid there
     * @param array<string, int> $classes by every cell of theirs
     * @param list<FaceSide>     $lefts   by join: where its left part lies
     * @param list<bool>         $turned  by join: whether its seam runs from the end that is told second
     */
    private function __construct(
        public array $places,
        private array $joins,
        private array $parts,
        private array $patches,
        public array $cells,
        private array $classes,
        private array $lefts,
        private array $turned,
    ) {}

    public static function of(Construction $construction): self
    {
        [$width, $height] = $construction->face->outline()->size();
        $texts = [];
        $text = static function (int $steps, int $whole) use (&$texts): string {
            return $texts[$whole][$steps] ??= Fraction::of($steps, $whole)->toText();
        };
        $end = static fn (Point $point): string => $text($point->x, $width).','.$text($point->y, $height);
        $places = $parts = $joins = $patches = $lefts = $turned = [];
        foreach ($construction->joins as $join) {
            [$from, $to] = [$join->seam->from, $join->seam->to];
            $turned[] = [$from->x, $from->y] > [$to->x, $to->y];
            $lefts[] = FaceSide::ofLeftPart($join);
            $places[$join->id] = end($turned) ? $end($to).' '.$end($from) : $end($from).' '.$end($to);
            $joins[$places[$join->id]] = $join->id;
            // Whichever of the two is called left.
            $of = array_map(static fn (Assembly $part): string => $part instanceof Join ? $parts[$part->id] : '', $join->children());
            sort($of);
            $parts[$join->id] = substr(md5($places[$join->id].'('.implode('+', $of).')'), 0, 12);
        }
        foreach ($construction->face->patches as $patch) {
            $patches[$patch->id] = implode(' ', array_map($end, $patch->outline->points));
        }
        $named = self::cellsIn($construction->face->whole, '');
        $cells = array_map(static fn (UnitClass $class): string => $named[spl_object_id($class->members[0])], $construction->classes);
        $classes = [];
        foreach ($construction->classes as $class) {
            foreach ($class->members as $member) {
                $classes[$named[spl_object_id($member)]] = $class->index;
            }
        }

        return new self($places, $joins, $parts, $patches, $cells, $classes, $lefts, $turned);
    }

    /** The join whose seam lies there, whichever end is named first; null when none does. */
    public function joinAt(string $place): ?int
    {
        return $this->joins[$place] ?? $this->joins[implode(' ', array_reverse(explode(' ', $place)))] ?? null;
    }

    /** The same for joins that make the same out of the same seams. */
    public function partOf(int $join): string
    {
        return $this->parts[$join];
    }

    /** The same for blocks that are sewn of seams in the same places throughout. */
    public function whole(): string
    {
        return $this->parts === [] ? '' : $this->parts[count($this->parts) - 1];
    }

    public function ofPatch(int $id): string
    {
        return $this->patches[$id];
    }

    /** Index of the class of which a unit lies in the cell, told like "1,2". */
    public function classAt(string $cell): ?int
    {
        return $this->classes[$cell] ?? null;
    }

    /** @return array<int, string> by object id of every unit */
    private static function cellsIn(PlacedUnit $unit, string $within): array
    {
        $cells = [];
        foreach ($unit->parts as $part) {
            if ($part instanceof PlacedUnit) {
                $name = $within.$part->cell->row.','.$part->cell->column;
                $cells += [spl_object_id($part) => $name] + self::cellsIn($part, $name.'/');
            }
        }

        return $cells;
    }

    /** On which side of its seam the left part of a join lies. */
    public function leftOf(int $join): FaceSide
    {
        return $this->lefts[$join];
    }

    /** Whether the seam of a join runs from the end that its place names second. */
    public function isTurned(int $join): bool
    {
        return $this->turned[$join];
    }
}
