<?php

declare(strict_types=1);

namespace App\Photo;

use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Block\UnitPattern;
use KeenSeam\Core\Block\UnitPatterns;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Photo\UnitFace;

/** Units that lie wrong on purpose. What shows the same as it is drawn is not planted. */
final readonly class Planted
{
    /**
     * @param array<string, UnitFace>                                                          $faces by "row,column"
     * @param list<array{row: int, column: int, turn: int, mirrored: bool, unit: string|null}> $told  what was planted
     */
    private function __construct(public array $faces, public array $told) {}

    /**
     * @param list<string> $asked "2,3:90", "2,3:90m", "2,3:plain"
     *
     * @throws PlantedWrong
     */
    public static function read(array $asked, Face $face): self
    {
        $faces = $told = [];
        foreach ($asked as $one) {
            if (preg_match('~^(\d{1,3}),(\d{1,3}):(?:(0|90|180|270)(m?)|([a-z-]+))$~D', $one, $part) !== 1) {
                throw PlantedWrong::like($one, '2,3:90, 2,3:90m or 2,3:plain');
            }
            $unit = self::at($face, (int) $part[1], (int) $part[2]) ?? throw PlantedWrong::like($one, '1,1:90, with a row and a column of the block');
            $drawn = UnitFace::of($unit);
            $kind = $part[5] ?? '';
            $pattern = $kind === '' ? null : (UnitPatterns::all()[$kind] ?? throw PlantedWrong::like($one, '2,3:'.implode(', 2,3:', array_keys(UnitPatterns::all()))));
            [$turn, $isMirrored] = [(int) ($part[3] ?? 0), ($part[4] ?? '') === 'm'];
            $by = new Placement(Turn::from($turn), $isMirrored);
            if ($pattern === null && $by->turn->swapsSides() && abs($unit->ratio() - 1) > 1e-9) {
                throw PlantedWrong::like($one, $part[1].','.$part[2].':180, since this unit is not square');
            }
            $laid = $pattern === null ? $drawn->moved($by) : self::other($pattern, $drawn, array_map(strval(...), array_keys($face->block->fabrics)));
            if ($laid->look() !== $drawn->look()) {
                $faces[$part[1].','.$part[2]] = $laid;
                $told[] = ['row' => (int) $part[1], 'column' => (int) $part[2], 'turn' => $turn, 'mirrored' => $isMirrored, 'unit' => $pattern?->kind];
            }
        }

        return new self($faces, $told);
    }

    public static function nothing(): self
    {
        return new self([], []);
    }

    private static function at(Face $face, int $row, int $column): ?PlacedUnit
    {
        foreach ($face->whole->parts as $unit) {
            if ($unit instanceof PlacedUnit && $unit->cell->row === $row && $unit->cell->column === $column) {
                return $unit;
            }
        }

        return null;
    }

    /**
     * Another kind in the unit's own fabrics, and others of the block where it has too few.
     *
     * @param list<string> $all
     */
    public static function other(UnitPattern $pattern, UnitFace $drawn, array $all): UnitFace
    {
        $fabrics = array_values(array_unique([...array_column($drawn->patches, 0), ...$all]));

        return new UnitFace(array_map(
            static fn (array $outline, int $i): array => [$fabrics[$i % count($fabrics)], array_map(static fn (array $corner): array => array_map(static fn (Fraction $share): float => $share->toFloat(), $corner), $outline)],
            $pattern->outlines,
            array_keys($pattern->outlines),
        ));
    }
}
