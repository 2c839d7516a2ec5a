<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making\Recipes;

use KeenSeam\Core\Making\Bench;
use KeenSeam\Core\Making\Recipe;
use KeenSeam\Core\Making\StageKind;
use KeenSeam\Core\Making\Table\Table;
use KeenSeam\Core\Making\UnitToMake;

/** A small grid sewn from the units and patches in it, like a small block. */
final readonly class FromUnits implements Recipe
{
    public const KEY = 'from-units';

    public static function for(UnitToMake $unit, Bench $bench): array
    {
        // One that was found in a drawn unit is cut patch by patch.
        return $unit->isGrid() && $unit->first !== null ? [new self()] : [];
    }

    public function key(): string
    {
        return self::KEY;
    }

    public function words(): string
    {
        return 'from its units and patches';
    }

    public function note(): string
    {
        return '';
    }

    public function isByChoice(): bool
    {
        return false;
    }

    public function carryOut(Table $table): void
    {
        $table->sewnByHand = 1;
        $cells = count($table->unit->first->parts ?? []);
        $table->show(StageKind::Lay, 'Cut and make what lies in it first; lay it out and look.', []);
        $table->show(StageKind::Sew, 'Sew it like a small block, row by row.', [], seams: max(0, $cells - 1));
        $table->squareUp('all sides straight', []);
    }
}
