<?php

declare(strict_types=1);

namespace App\Documents;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Layout\HandCount;
use KeenSeam\Core\Layout\Impostors;
use KeenSeam\Core\Layout\OddCell;
use KeenSeam\Core\Layout\OddOnesOut;
use KeenSeam\Core\Layout\Signature;

/** The open orientation format, schema/look.schema.json. */
final class LookDocument
{
    public const FORMAT = 'keen-seam/look';

    public const VERSION = 1;

    /** @return array<string, mixed> */
    public static function of(Construction $construction): array
    {
        $face = $construction->face;
        $found = OddOnesOut::of($face);

        return [
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'symmetry' => $found->symmetry->value,
            'odd' => array_map(static fn (OddCell $odd): array => [
                'row' => $odd->cell->row,
                'column' => $odd->cell->column,
                'mend' => self::placement($odd->mend),
            ], $found->odd),
            'hands' => array_map(static fn (HandCount $hands): array => [
                'class' => $hands->label,
                'unit' => $hands->kind,
                'left' => count($hands->left),
                'right' => count($hands->right),
            ], HandCount::allOn($face)),
            'impostors' => array_map(static fn (Impostors $impostors): array => [
                'row' => $impostors->cell->row,
                'column' => $impostors->cell->column,
                'placements' => array_map(self::placement(...), $impostors->placements),
            ], Impostors::allIn($construction)),
            'signatures' => self::signatures($construction),
        ];
    }

    /** @return array{turn: int, mirrored: bool} */
    public static function placement(Placement $placement): array
    {
        return ['turn' => $placement->turn->value, 'mirrored' => $placement->mirrored];
    }

    /** @return list<array{row: int, column: int, text: string}> */
    private static function signatures(Construction $construction): array
    {
        $units = array_values(array_filter($construction->face->whole->parts, static fn ($part): bool => $part instanceof PlacedUnit));

        return array_map(static fn (PlacedUnit $unit): array => [
            'row' => $unit->cell->row,
            'column' => $unit->cell->column,
            'text' => Signature::of($unit),
        ], $units);
    }
}
