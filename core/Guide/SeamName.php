<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Strand;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Assembly\UnitName;

/** What a quilter calls a seam and the two parts it may be pressed toward. */
final readonly class SeamName
{
    /**
     * @param string    $title      "Row 2, seam 1"
     * @param string    $made       what it makes: "row 2" with its last seam, "rows 1 to 3"
     * @param string    $left       what the left part is called: "unit 1", "row 2", "Ink"
     * @param list<int> $pressedToo ids of the joins that are pressed with this one, as one pile; itself included
     */
    private function __construct(
        public string $title,
        public string $made,
        public string $left,
        public string $right,
        public array $pressedToo,
    ) {}

    /** @return list<self> by join id */
    public static function all(Construction $construction): array
    {
        $strands = [];
        foreach ($construction->strands as $strand) {
            foreach ($strand->joins as $position => $id) {
                $strands[$id] = [$strand, $position];
            }
        }
        $piles = [];
        foreach ($construction->joins as $join) {
            if ($join->tie !== null) {
                $piles[$join->tie->unitClass][$join->tie->join][] = $join->id;
            }
        }

        $names = new PartNames($construction);

        return array_map(static fn (Join $join): self => $join->tie === null
            ? self::inStrand($join, $names, ...$strands[$join->id])
            : self::inUnit($join, $construction->classes[$join->tie->unitClass], $piles[$join->tie->unitClass][$join->tie->join]), $construction->joins);
    }

    private static function inStrand(Join $join, PartNames $names, Strand $strand, int $position): self
    {
        if ($strand->depth > 0) {
            $name = $names->ofStrand($strand);
            $isNumbered = $names->areNumbered($strand->depth) || count($strand->parts) > 2;

            [$left, $right] = $isNumbered ? [$names->partsOf($strand).' '.($position + 1), $names->partsOf($strand).' '.($position + 2)] : $names->two($strand);

            return new self(
                count($strand->joins) === 1 && ! $names->areNumbered($strand->depth) ? 'In '.$name : sprintf('%s, seam %d', PartNames::title($name), $position + 1),
                $name.($position + 1 < count($strand->joins) ? sprintf(' up to seam %d', $position + 1) : ''),
                $left,
                $right,
                [$join->id],
            );
        }
        if (! $names->areNumbered(1)) {
            [$sewn, $next, $title] = $names->growing($strand, $position);

            return new self($title, $position + 2 === count($strand->parts) ? 'the '.$names->whole() : 'what is sewn so far', $sewn, $next, [$join->id]);
        }
        $name = $names->numbered();

        return new self(
            sprintf('%ss %s', ucfirst($name), Words::span($position + 1, $position + 2)),
            sprintf('%ss %s', $name, Words::span(1, $position + 2)),
            $name.' '.($position + 1),
            $name.' '.($position + 2),
            [$join->id],
        );
    }

    /** @param list<int> $pile */
    private static function inUnit(Join $join, UnitClass $class, array $pile): self
    {
        $name = UnitName::ofClass($class, false);
        [$left, $right] = Words::sides($join);

        return new self(
            ucfirst($name).(($join->tie->join ?? 0) === 0 ? '' : ', seam '.(($join->tie->join ?? 0) + 1)),
            UnitName::given($class) ?? 'the '.$name,
            $left,
            $right,
            $pile,
        );
    }
}
