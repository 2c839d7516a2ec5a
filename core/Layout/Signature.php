<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout;

use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Listed;

/** One plain sentence that says how a unit lies. */
final class Signature
{
    /** The corners of a cell, and between them the middles of its sides, as they lie on the face. */
    private const PLACES = [
        -1 => [-1 => 'top left', 0 => 'left', 1 => 'bottom left'],
        0 => [-1 => 'top', 0 => 'in the middle', 1 => 'bottom'],
        1 => [-1 => 'top right', 0 => 'right', 1 => 'bottom right'],
    ];

    public static function of(PlacedUnit $unit): string
    {
        $patches = array_values(array_filter($unit->parts, static fn ($part): bool => $part instanceof Patch));

        return match ($unit->cell->unit->kind()) {
            'plain' => 'plain '.$patches[0]->fabric->name,
            'half-square-triangle' => self::halfSquare($unit, $patches),
            'quarter-square-triangle' => self::byFabric($unit, $patches),
            'split-quarter-square-triangle' => sprintf('large %s corner %s, %s', $patches[0]->fabric->name, self::place($unit, $patches[0]), self::byFabric($unit, array_slice($patches, 1))),
            'flying-geese' => self::pointing('goose', $unit, $patches),
            'triangle-in-square' => self::pointing('triangle', $unit, $patches),
            'square-in-square' => sprintf('%s square on its point, %s', $patches[0]->fabric->name, self::byFabric($unit, array_slice($patches, 1))),
            'flipped-corners' => sprintf('%s, its corner %s', $patches[0]->fabric->name, self::byFabric($unit, array_slice($patches, 1))),
            'grid' => self::grid($unit),
            default => self::turned($unit),
        };
    }

    /** @param list<Patch> $patches */
    private static function halfSquare(PlacedUnit $unit, array $patches): string
    {
        [$a, $b] = $patches;
        if ($a->fabric->value === $b->fabric->value) {
            return sprintf('%s corner %s', $a->fabric->name, self::place($unit, $a));
        }
        $darker = $a->fabric->value->rank() > $b->fabric->value->rank() ? $a : $b;

        return sprintf('%s corner %s', $darker->fabric->value->value, self::place($unit, $darker));
    }

    /** @param list<Patch> $patches the large one, then the two beside it */
    private static function pointing(string $what, PlacedUnit $unit, array $patches): string
    {
        [$goose, $one, $other] = $patches;
        $tip = array_values(array_filter($goose->outline->points, static fn ($point): bool => array_filter($unit->outline->points, $point->equals(...)) === []))[0];
        $middle = self::middle($unit->outline->points);
        [$x, $y] = [2 * $tip->x <=> $middle[0], 2 * $tip->y <=> $middle[1]];
        $where = match (true) {
            $y < 0 => 'up',
            $y > 0 => 'down',
            default => $x < 0 ? 'left' : 'right',
        };
        if ($one->fabric->key === $other->fabric->key) {
            return sprintf('%s points %s', $what, $where);
        }
        // Seen by the goose as it flies: its left lies anticlockwise of where it points.
        $centre = self::middle($one->outline->points);
        $isLeft = $x * ($centre[1] - $middle[1]) - $y * ($centre[0] - $middle[0]) < 0;

        return sprintf('%s points %s, %s on its left', $what, $where, ($isLeft ? $one : $other)->fabric->name);
    }

    private static function grid(PlacedUnit $unit): string
    {
        $corner = $unit->outline->corner();
        foreach ($unit->parts as $part) {
            if ($part instanceof PlacedUnit && $part->outline->corner()->equals($corner)) {
                return 'top left in it: '.self::of($part);
            }
        }

        return self::turned($unit);
    }

    private static function turned(PlacedUnit $unit): string
    {
        $turn = match ($unit->placement->turn) {
            Turn::None => 'as it was drawn',
            Turn::Quarter => 'a quarter turn clockwise',
            Turn::Half => 'half a turn',
            Turn::ThreeQuarters => 'a quarter turn anticlockwise',
        };

        return $turn.($unit->placement->mirrored ? ', mirrored' : '');
    }

    /**
     * "Plum top and bottom, Cream right and left".
     *
     * @param list<Patch> $patches
     */
    private static function byFabric(PlacedUnit $unit, array $patches): string
    {
        $places = [];
        foreach ($patches as $patch) {
            $places[$patch->fabric->name][] = self::place($unit, $patch);
        }
        if (count($places) === 1 && count($patches) > 3) {
            return array_key_first($places).' all round';
        }

        return implode(', ', array_map(static fn (string|int $fabric, array $where): string => $fabric.' '.Listed::of($where), array_keys($places), $places));
    }

    private static function place(PlacedUnit $unit, Patch $patch): string
    {
        [$x, $y, $toX, $toY] = [...self::middle($unit->outline->points), ...self::middle($patch->outline->points)];

        return self::PLACES[$toX <=> $x][$toY <=> $y];
    }

    /**
     * @param list<\KeenSeam\Core\Geometry\Point> $points
     *
     * @return array{float, float} twice the mean of the corners
     */
    private static function middle(array $points): array
    {
        $count = count($points);

        return [
            round(2 * array_sum(array_map(static fn ($point): int => $point->x, $points)) / $count, 9),
            round(2 * array_sum(array_map(static fn ($point): int => $point->y, $points)) / $count, 9),
        ];
    }
}
