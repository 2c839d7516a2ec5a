<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

use KeenSeam\Core\Measure\Fraction;

/** From a block to the open block format: what BlockFile reads back as the same block. */
final class BlockFileWriter
{
    /** @return array<string, mixed> to be written as JSON */
    public static function write(Block $block): array
    {
        return [
            'format' => BlockFile::FORMAT,
            'version' => BlockFile::VERSION,
            'name' => $block->name,
            'units' => $block->unit->value,
            'finished' => ['width' => $block->finishedWidth->toText($block->unit), 'height' => $block->finishedHeight->toText($block->unit)],
            'seam_allowance' => $block->seamAllowance->toText($block->unit),
            'fabrics' => self::fabrics($block),
            ...self::grid($block->grid, $block),
        ];
    }

    /** @return array<string, mixed> of a block that stands in another file, which has its own name, unit and fabrics */
    public static function embedded(Block $block): array
    {
        return [
            'finished' => ['width' => $block->finishedWidth->toText($block->unit), 'height' => $block->finishedHeight->toText($block->unit)],
            ...self::grid($block->grid, $block),
        ];
    }

    /** @return list<array<string, string>> */
    public static function fabrics(Block $block): array
    {
        return array_map(static fn (Fabric $fabric): array => [
            'key' => $fabric->key,
            'name' => $fabric->name,
            'color' => $fabric->color,
            'value' => $fabric->value->value,
        ], array_values($block->fabrics));
    }

    /** @return array<string, mixed> one entry of "cells" */
    public static function cell(Cell $cell, Block $block): array
    {
        return [
            'row' => $cell->row,
            'column' => $cell->column,
            ...($cell->rowSpan === 1 ? [] : ['row_span' => $cell->rowSpan]),
            ...($cell->columnSpan === 1 ? [] : ['column_span' => $cell->columnSpan]),
            'unit' => $cell->unit->kind(),
            ...($cell->placement->turn === Turn::None ? [] : ['turn' => $cell->placement->turn->value]),
            ...($cell->placement->mirrored ? ['mirrored' => true] : []),
            ...($cell->label === null ? [] : ['label' => $cell->label]),
            ...self::unit($cell->unit, $block),
        ];
    }

    /** @return array<string, mixed> */
    private static function grid(Grid $grid, Block $block): array
    {
        $texts = static fn (array $widths): array => array_map(static fn (Fraction $width): string => $width->toText(), $widths);

        return [
            'columns' => $texts($grid->columns),
            'rows' => $texts($grid->rows),
            'cells' => array_map(static fn (Cell $cell): array => self::cell($cell, $block), $grid->cells),
        ];
    }

    /** @return array<string, mixed> */
    private static function unit(Unit $unit, Block $block): array
    {
        return match (true) {
            $unit instanceof GridUnit => self::grid($unit->grid, $block),
            $unit instanceof PatternUnit => ['fabrics' => array_map(static fn (Fabric $fabric): string => $fabric->key, $unit->fabrics)],
            $unit instanceof FlippedCornersUnit => ['fabrics' => [$unit->base->key], 'corners' => self::corners($unit, $block)],
            $unit instanceof PatchesUnit => ['patches' => array_map(static fn (array $piece): array => [
                'fabric' => $piece[0]->key,
                'points' => array_map(static fn (array $point): array => [$point[0]->toText(), $point[1]->toText()], $piece[1]),
            ], $unit->pieces)],
            default => throw new \LogicException('No way to write a '.$unit->kind().'.'),
        };
    }

    /** @return array<string, array{fabric: string, size: string}> */
    private static function corners(FlippedCornersUnit $unit, Block $block): array
    {
        $corners = [];
        foreach ($unit->corners as $corner) {
            $corners[$corner->corner->value] = ['fabric' => $corner->fabric->key, 'size' => $corner->finishedLeg->toText($block->unit)];
        }

        return $corners;
    }
}
