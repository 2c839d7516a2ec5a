<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making\Recipes;

use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Making\Bench;
use KeenSeam\Core\Making\Piece;
use KeenSeam\Core\Making\Recipe;
use KeenSeam\Core\Making\Table\Cloth;
use KeenSeam\Core\Making\Table\Line;
use KeenSeam\Core\Making\Table\Place;
use KeenSeam\Core\Making\Table\Table;
use KeenSeam\Core\Making\Then;
use KeenSeam\Core\Making\UnitToMake;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Surd;

/** Eight half-square triangles from two large squares: both diagonals, a seam on each side, cut through the middle too. */
final readonly class EightAtATime implements Recipe
{
    public static function for(UnitToMake $unit, Bench $bench): array
    {
        return $unit->unit->kind() === 'half-square-triangle' && $unit->isSquare() ? [new self()] : [];
    }

    public function key(): string
    {
        return 'eight-at-a-time';
    }

    public function words(): string
    {
        return 'eight from two large squares';
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
        $double = $table->unit->width->times(Fraction::of(2));
        $side = Surd::of($table->unit->width)->plus($table->sizes->half)->times(Fraction::of(2));
        [$below, $above] = $table->unit->laid(...$table->unit->keys());
        [$under, $over] = array_map(static fn (Fabric $fabric): Cloth => $table->take(Piece::square($fabric->key, $side, 1, Then::None, $table->sizes->with($double, 8))), [$below, $above]);
        $whole = $table->size($side);
        $half = new Place($whole->halved(), $whole->halved());
        [$falling, $rising] = [Table::falling(), Table::rising($whole)];
        [$upright, $level] = [Line::through($half, 0, 1), Line::through($half, 1, 0)];
        $table->lay('Lay the two squares right sides together.', [[$under, $over->faceDown()]]);
        $table->mark('Draw both diagonals on the wrong side of '.$above->name.'.', $falling, $rising);
        $table->sew('Sew on both sides of both lines, one allowance away.', 4, ...$table->beside($falling, $rising));
        $table->cut('Cut through the middle both ways, then on both lines.', $upright, $level, $falling, $rising);
        $made = [];
        foreach ([[$upright, $level, $rising], [$upright->reversed(), $level, $falling], [$upright->reversed(), $level->reversed(), $rising], [$upright, $level->reversed(), $falling]] as [$one, $other, $line]) {
            array_push($made, ...$table->besideBoth($under, $over->faceDown(), $line, $one, $other));
        }
        $table->openAndPress('Open and press.', $made);
        $table->squareUp('the seam on the ruler\'s 45 degree line', $made);
    }
}
