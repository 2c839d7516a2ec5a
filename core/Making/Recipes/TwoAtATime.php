<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making\Recipes;

use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Making\Bench;
use KeenSeam\Core\Making\Piece;
use KeenSeam\Core\Making\Recipe;
use KeenSeam\Core\Making\Table\Cloth;
use KeenSeam\Core\Making\Table\Table;
use KeenSeam\Core\Making\Then;
use KeenSeam\Core\Making\UnitToMake;
use KeenSeam\Core\Measure\Surd;

/** Two half-square triangles from two squares: a seam on each side of the line from corner to corner. */
final readonly class TwoAtATime implements Recipe
{
    public static function for(UnitToMake $unit, Bench $bench): array
    {
        return $unit->unit->kind() === 'half-square-triangle' && $unit->isSquare() ? [new self()] : [];
    }

    public function key(): string
    {
        return 'two-at-a-time';
    }

    public function words(): string
    {
        return 'two from two squares';
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
        $side = Surd::of($table->unit->width)->plus($table->sizes->half);
        [$below, $above] = $table->unit->laid(...$table->unit->keys());
        [$under, $over] = array_map(static fn (Fabric $fabric): Cloth => $table->take(Piece::square($fabric->key, $side, 1, Then::None, $table->sizes->with($table->unit->width, 4))), [$below, $above]);
        $line = Table::falling();
        $table->lay('Lay the two squares right sides together.', [[$under, $over->faceDown()]]);
        $table->mark('Draw a line corner to corner on the wrong side of '.$above->name.'.', $line);
        $table->sew('Sew on both sides of the line, one allowance away.', 2, ...$table->beside($line));
        $table->cut('Cut on the line.', $line);
        $made = $table->besideBoth($under, $over->faceDown(), $line);
        $table->openAndPress('Open and press.', $made);
        $table->squareUp('the seam on the ruler\'s 45 degree line', $made);
    }
}
