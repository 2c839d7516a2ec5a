<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making\Recipes;

use KeenSeam\Core\Making\Bench;
use KeenSeam\Core\Making\Piece;
use KeenSeam\Core\Making\Recipe;
use KeenSeam\Core\Making\Table\Table;
use KeenSeam\Core\Making\Then;
use KeenSeam\Core\Making\UnitToMake;
use KeenSeam\Core\Measure\Surd;

/** A half-square triangle crossed with a square: every pair gives a split quarter-square triangle of each hand. */
final readonly class CrossedSplitQuarters implements Recipe
{
    public static function for(UnitToMake $unit, Bench $bench): array
    {
        return $unit->unit->kind() === 'split-quarter-square-triangle' && $unit->isSquare() ? [new self()] : [];
    }

    public function key(): string
    {
        return 'crossed';
    }

    public function words(): string
    {
        return 'a half-square triangle and a square crossed';
    }

    public function note(): string
    {
        return 'Every pair gives one of each hand.';
    }

    public function isByChoice(): bool
    {
        return false;
    }

    public function carryOut(Table $table): void
    {
        [$large, $one, $other] = $table->unit->keys();
        $finished = Surd::of($table->unit->width);
        [$table->parts, $table->halves] = [2, 1];
        $square = static fn (string $fabric): Piece => Piece::square($fabric, $finished->plus($table->sizes->quarter), 1, Then::None, $table->sizes->with($table->unit->width, 6));
        [$below, $above] = $table->unit->laid($one, $other);
        [$under, $over] = [$table->take($square($below->key)), $table->take($square($above->key))->faceDown()];
        $plain = $table->take(Piece::square($large, $finished->plus($table->sizes->half), 2, Then::None, $table->sizes->with($table->unit->width, 4), isLate: true))->faceDown();
        $line = Table::falling();
        $table->lay('Lay the two smaller squares right sides together.', [[$under, $over]]);
        $table->mark('Draw a line corner to corner on the wrong side of '.$above->name.'.', $line);
        $table->sew('Sew on both sides of the line, one allowance away.', 2, ...$table->beside($line));
        $table->cut('Cut on the line.', $line);
        $halves = $table->besideBoth($under, $over, $line);
        $table->openAndPress('Open and press: two half-square triangles.', $halves);
        $half = $halves[0]->atOrigin();
        $across = Table::rising($half->bounds()[3]);
        $table->lay('Lay each right sides together with a square of the large fabric.', [[$half, $plain], [$half, $plain]]);
        $table->mark('Draw a line corner to corner across the seam.', $across);
        $table->sew('Sew on both sides of the line, one allowance away.', 4, ...$table->beside($across));
        $table->cut('Cut on the line.', $across);
        $made = $table->besideBoth($half, $plain, $across);
        $made = [...$made, ...$made];
        $table->openAndPress('Open and press.', $made);
        $table->squareUp('the long seam on the 45 degree line, the crossing in the middle', $made);
    }
}
