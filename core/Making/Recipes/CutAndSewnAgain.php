<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making\Recipes;

use KeenSeam\Core\Block\PatchesUnit;
use KeenSeam\Core\Block\Turn;
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

/** A half-square triangle cut in two through its middle, one half turned round, sewn again; what is too high comes off one side. */
final readonly class CutAndSewnAgain implements Recipe
{
    /** @param int $turns of the half-square triangle before it is cut upright */
    private function __construct(
        private string $one,
        private string $other,
        private int $turns,
        private bool $isTrimmedBelow,
    ) {}

    public static function for(UnitToMake $unit, Bench $bench): array
    {
        $keys = array_values(array_unique($unit->keys()));
        if (! $unit->unit instanceof PatchesUnit || ! $unit->isSquare() || count($keys) !== 2 || count($unit->patches) !== 4) {
            return [];
        }
        $recipes = [];
        foreach (Turn::QUARTERS as $turns) {
            foreach ([false, true] as $isTrimmedBelow) {
                $recipes[] = new self($keys[0], $keys[1], $turns, $isTrimmedBelow);
            }
        }

        return $recipes;
    }

    public function key(): string
    {
        return 'rejoined';
    }

    public function words(): string
    {
        return 'half-square triangles cut and sewn again';
    }

    public function note(): string
    {
        return 'Turn the half-square triangle a quarter before you cut it, for the other hand.';
    }

    public function isByChoice(): bool
    {
        return true;
    }

    public function carryOut(Table $table): void
    {
        $table->isEitherHand = true;
        $two = $table->sizes->allowance->times(Fraction::of(2));
        // The cut takes two allowances more from the width.
        $raw = $table->unit->width->plus($two)->plus($two);
        $side = Surd::of($table->unit->width->plus($two))->plus($table->sizes->half);
        $take = static fn (string $fabric): Cloth => $table->take(Piece::square($fabric, $side, 1, Then::None, $table->sizes->with($table->unit->width, 6)));
        [$below, $above] = $table->unit->laid($this->one, $this->other);
        [$under, $over] = [$take($below->key), $take($above->key)->faceDown()];
        $line = Table::falling();
        $table->lay('Lay two squares right sides together.', [[$under, $over]]);
        $table->mark('Draw a line corner to corner on the wrong side of '.$above->name.'.', $line);
        $table->sew('Sew on both sides of the line, one allowance away.', 2, ...$table->beside($line));
        $table->cut('Cut on the line.', $line);
        [$first, $second] = $table->besideBoth($under, $over, $line);
        // The two show their fabrics the other way round: one is turned half, so that both are cut alike.
        $halves = [$first->atOrigin()->turned($this->turns), $second->atOrigin()->turned($this->turns + 2)];
        $table->openAndPress(sprintf('Open, press, and square up to %s.', $raw->toText()), $halves);
        [, , $whole, $bottom] = $halves[0]->bounds();
        [$zero, $s] = [RootTwo::of(0), $table->allowance];
        $middle = Line::through(new Place($whole->halved(), $zero), 0, 1);
        $cut = array_map(static fn (Cloth $half): array => [$half->cutTo($middle), $half->cutTo($middle->reversed())->turned(2)], $halves);
        $table->cutTo(sprintf('Cut each through at half of %s, at %s, along the weave.', $raw->toText(), $raw->times(Fraction::of(1, 2))->toText()), array_merge(...$cut), $middle);
        $table->turn('Turn one half round.', array_merge(...$cut));
        $seam = $middle->movedIn($s);
        $table->lay('Lay the two right sides together, the cut edges on each other.', array_map(static fn (array $parts): array => [$parts[0], $parts[1]->movedBy($s->times(-2), $zero)->foldedOver($seam)], $cut));
        $table->sew('Sew the two together again.', 2, $seam);
        $sewn = array_map(static fn (array $parts): Cloth => $parts[0]->cutTo($seam)->with($parts[1]->movedBy($s->times(-2), $zero)->cutTo($seam->reversed())), $cut);
        $table->openAndPress('Open and press.', $sewn);
        $excess = $s->times(2);
        $edge = $this->isTrimmedBelow ? Line::through(new Place($zero, $bottom->minus($excess)), -1, 0) : Line::through(new Place($zero, $excess), 1, 0);
        $made = array_map(static fn (Cloth $unit): Cloth => $unit->cutTo($edge), $sewn);
        $table->squareUp(sprintf('take the %s that is too high off the %s edge', $two->toText(), $this->isTrimmedBelow ? 'lower' : 'upper'), $made);
    }
}
