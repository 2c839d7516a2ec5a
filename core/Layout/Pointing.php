<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout;

use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Layout\Internal\CellBox;

/**
 * A whole set of units with a tip, carried into each other by the layout's symmetry, that all point to the middle or all
 * away from it. Either is regular, so neither is a mistake that anything could tell; it is worth a question.
 */
final readonly class Pointing
{
    /** Kinds with a tip, which points up as they are drawn. */
    private const KINDS = ['flying-geese', 'triangle-in-square'];

    /** @param non-empty-list<PlacedUnit> $units in reading order */
    private function __construct(
        public array $units,
        public bool $isOut,
    ) {}

    /**
     * @param OddOnesOut $found what the layout's symmetry is
     *
     * @return list<self>
     */
    public static function setsOn(Face $face, OddOnesOut $found): array
    {
        $units = array_values(array_filter($face->whole->parts, static fn ($part): bool => $part instanceof PlacedUnit));
        $sets = [];
        foreach ($found->symmetry === Symmetry::Repeat ? [] : $found->orbits as $orbit) {
            $set = array_map(static fn (int $unit): PlacedUnit => $units[$unit], $orbit);
            $ways = array_values(array_unique(array_map(static fn (PlacedUnit $unit): int => self::outwards($unit, $face), $set)));
            if (count($set) > 1 && count($ways) === 1 && $ways[0] !== 0) {
                // Sets of one kind that point alike are one question.
                $key = $set[0]->cell->unit->kind().$ways[0];
                $sets[$key] = [...($sets[$key] ?? []), ...$set];
            }
        }

        return array_values(array_map(static function (array $set) use ($face): self {
            usort($set, static fn (PlacedUnit $a, PlacedUnit $b): int => [$a->cell->row, $a->cell->column] <=> [$b->cell->row, $b->cell->column]);

            return new self($set, self::outwards($set[0], $face) > 0);
        }, $sets));
    }

    /** "The 4 flying geese (row 1 column 2, row 2 column 1 and 2 more) point in, toward the middle. Meant so?" */
    public function words(string $plural): string
    {
        return sprintf('The %d %s (%s) point %s. Meant so?', count($this->units), $plural, $this->places(), $this->isOut ? 'out, away from the middle' : 'in, toward the middle');
    }

    private function places(): string
    {
        $places = array_map(static fn (PlacedUnit $unit): string => sprintf('row %d column %d', $unit->cell->row, $unit->cell->column), array_slice($this->units, 0, 2));

        return implode(', ', $places).(count($this->units) > 2 ? sprintf(' and %d more', count($this->units) - 2) : '');
    }

    /** 1 where its tip points away from the middle of the block, -1 where toward it, 0 where it has none or it points along. */
    private static function outwards(PlacedUnit $unit, Face $face): int
    {
        if (! in_array($unit->cell->unit->kind(), self::KINDS, true)) {
            return 0;
        }
        $tip = match ($unit->placement->turn) {
            Turn::None => new Point(0, -1),
            Turn::Quarter => new Point(1, 0),
            Turn::Half => new Point(0, 1),
            Turn::ThreeQuarters => new Point(-1, 0),
        };
        $box = CellBox::of($unit->outline);
        [$width, $height] = $face->outline()->size();
        // Doubled, so that middles are whole numbers; the face begins at 0, 0.
        $from = new Point(2 * $box->x + $box->width - $width, 2 * $box->y + $box->height - $height);

        return $tip->dot($from) <=> 0;
    }
}
