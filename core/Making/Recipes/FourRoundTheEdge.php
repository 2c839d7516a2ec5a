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
use KeenSeam\Core\Making\Table\RootTwo;
use KeenSeam\Core\Making\Table\Table;
use KeenSeam\Core\Making\Then;
use KeenSeam\Core\Making\UnitToMake;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Surd;

/** Four half-square triangles from two squares sewn all round the edge, cut along both diagonals. */
final readonly class FourRoundTheEdge implements Recipe
{
    public static function for(UnitToMake $unit, Bench $bench): array
    {
        return $unit->unit->kind() === 'half-square-triangle' && $unit->isSquare() ? [new self()] : [];
    }

    public function key(): string
    {
        return 'four-at-a-time';
    }

    public function words(): string
    {
        return 'four sewn round the edge';
    }

    public function note(): string
    {
        return 'All outer edges end on the bias.';
    }

    public function isByChoice(): bool
    {
        return false;
    }

    public function carryOut(Table $table): void
    {
        $side = (new Surd(Fraction::zero(), $table->unit->width))->plus($table->sizes->quarter);
        [$below, $above] = $table->unit->laid(...$table->unit->keys());
        [$under, $over] = array_map(static fn (Fabric $fabric): Cloth => $table->take(Piece::square($fabric->key, $side, 1, Then::None, $table->sizes->raisedWith($side, 3))), [$below, $above]);
        $over = $over->faceDown();
        $whole = $table->size($side);
        $zero = RootTwo::of(0);
        [$falling, $rising] = [Table::falling(), Table::rising($whole)];
        $edges = [Line::through(new Place($zero, $zero), 1, 0), Line::through(new Place($whole, $zero), 0, 1), Line::through(new Place($whole, $whole), -1, 0), Line::through(new Place($zero, $whole), 0, -1)];
        $seams = array_map(static fn (Line $edge): Line => $edge->movedIn($table->allowance), $edges);
        $table->isOuterBias = true;
        $table->lay('Lay the two squares right sides together.', [[$under, $over]]);
        $table->sew('Sew all round, one allowance from the edge.', 4, ...$seams);
        $table->cut('Cut corner to corner both ways.', $falling, $rising);
        $quarters = [[$falling->reversed(), $rising->reversed()], [$falling->reversed(), $rising], [$falling, $rising], [$falling, $rising->reversed()]];
        $made = array_map(static fn (Line $seam, array $quarter) => $table->opened($under, $over, $seam, ...$quarter), $seams, $quarters);
        $table->openAndPress('Open and press: all outer edges are bias now, so starch first and press up and down.', $made);
        $table->squareUp('the seam on the ruler\'s 45 degree line', $made);
    }
}
