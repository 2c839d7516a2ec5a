<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making\Recipes;

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
use KeenSeam\Core\Measure\Surd;

/** A goose as two half-square triangles beside each other: the same face, with a seam up the middle. */
final readonly class GooseFromHalfSquares implements Recipe
{
    public const KEY = 'two-half-squares';

    public static function for(UnitToMake $unit, Bench $bench): array
    {
        // Only a goose that was drawn as one can be drawn otherwise.
        return $unit->first?->cell->unit->kind() === 'flying-geese' && $unit->isTwiceAsWideAsHigh() ? [new self()] : [];
    }

    public function key(): string
    {
        return self::KEY;
    }

    public function words(): string
    {
        return 'as two half-square triangles';
    }

    public function note(): string
    {
        return 'Looks the same, with a seam up the middle: plan, joins and steps follow it.';
    }

    public function isByChoice(): bool
    {
        return true;
    }

    public function carryOut(Table $table): void
    {
        [$goose, $left, $right] = $table->unit->keys();
        $isOneSky = $left === $right;
        $side = Surd::of($table->unit->height)->plus($table->sizes->half);
        $piece = static fn (string $fabric, int $count): Piece => Piece::square($fabric, $side, $count, Then::None, $table->sizes->with($table->unit->height, 4));
        $under = $table->take($piece($goose, $isOneSky ? 1 : 2));
        $skies = array_map(static fn (string $fabric): Cloth => $table->take($piece($fabric, 1))->faceDown(), $isOneSky ? [$left] : [$left, $right]);
        $line = Table::falling();
        $pairs = array_map(static fn (Cloth $sky): array => [$under, $sky], $skies);
        $table->lay(sprintf('Lay a square of each sky on one of the goose\'s, right sides together%s.', $isOneSky ? '' : ': one pair for each sky'), $pairs);
        $table->mark('Draw a line corner to corner on the wrong side of the sky.', $line);
        $table->sew('Sew on both sides of the line, one allowance away.', 2 * count($skies), ...$table->beside($line));
        $table->cut('Cut on the line.', $line);
        $halves = array_merge(...array_map(static fn (Cloth $sky): array => $table->besideBoth($under, $sky, $line), $skies));
        $table->openAndPress('Open, press, and square the half-square triangles up.', $halves);
        // Each shows the goose at its lower left; the left half of the unit has it at the lower right.
        [$first, $second] = [$halves[0]->atOrigin()->turned(3), $isOneSky ? $halves[1]->atOrigin()->turned(2) : $halves[2]->atOrigin()];
        [, , $width] = $first->bounds();
        $zero = RootTwo::of(0);
        $seam = Line::through(new Place($width, $zero), 0, 1)->movedIn($table->allowance);
        $table->lay('Lay a left and a right one side by side, the goose\'s halves meeting in the middle.', array_fill(0, count($skies), [$first, $second->movedBy($width, $zero)]));
        $table->sew('Sew them together, up the middle.', count($skies), $seam);
        $unit = $first->cutTo($seam)->with($second->movedBy($width->minus($table->allowance->times(2)), $zero)->cutTo($seam->reversed()));
        $table->openAndPress('Press and check the tip.', array_fill(0, count($skies), $unit));
        $table->sewnByHand = count($skies);
    }
}
