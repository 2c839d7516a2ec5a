<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making\Recipes;

use KeenSeam\Core\Block\Corner;
use KeenSeam\Core\Block\FlippedCorner;
use KeenSeam\Core\Block\FlippedCornersUnit;
use KeenSeam\Core\Making\Bench;
use KeenSeam\Core\Making\CutShape;
use KeenSeam\Core\Making\Piece;
use KeenSeam\Core\Making\Recipe;
use KeenSeam\Core\Making\Table\Line;
use KeenSeam\Core\Making\Table\Place;
use KeenSeam\Core\Making\Table\RootTwo;
use KeenSeam\Core\Making\Table\Table;
use KeenSeam\Core\Making\Then;
use KeenSeam\Core\Making\UnitToMake;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Surd;

/** A whole patch as large as the unit, with squares sewn corner to corner on its corners and flipped open. */
final readonly class SewnAndFlipped implements Recipe
{
    /** @param non-empty-list<array{Corner, Fraction, string}> $corners in the order they are sewn: finished leg and fabric */
    private function __construct(
        private string $words,
        private string $check,
        private array $corners,
    ) {}

    public static function for(UnitToMake $unit, Bench $bench): array
    {
        $keys = $unit->keys();
        $kind = $unit->unit->kind();
        if ($kind === 'flying-geese' && $unit->isTwiceAsWideAsHigh()) {
            return [new self('one at a time, corners flipped', 'the tip one allowance below the raw edge and half way along', [[Corner::TopLeft, $unit->height, $keys[1]], [Corner::TopRight, $unit->height, $keys[2]]])];
        }
        if ($kind === 'square-in-square' && $unit->isSquare()) {
            $leg = $unit->width->times(Fraction::of(1, 2));

            return [new self('four squares flipped', 'each tip one allowance inside the middle of its edge', [[Corner::TopLeft, $leg, $keys[1]], [Corner::BottomRight, $leg, $keys[3]], [Corner::TopRight, $leg, $keys[2]], [Corner::BottomLeft, $leg, $keys[4]]])];
        }
        if (! $unit->unit instanceof FlippedCornersUnit) {
            return [];
        }
        $sewn = [Corner::TopLeft, Corner::BottomRight, Corner::TopRight, Corner::BottomLeft];
        $corners = $unit->unit->corners;
        usort($corners, static fn (FlippedCorner $a, FlippedCorner $b): int => array_search($a->corner, $sewn, true) <=> array_search($b->corner, $sewn, true));
        $corners = array_map(static fn (FlippedCorner $one): array => [$one->corner, $one->finishedLeg->in($bench->sizes->unit), $one->fabric->key], $corners);

        return $corners === [] ? [] : [new self('corners sewn and flipped', 'all sides straight', $corners)];
    }

    public function key(): string
    {
        return 'flipped';
    }

    public function words(): string
    {
        return $this->words;
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
        $table->isEitherHand = true;
        $straight = $table->sizes->straight;
        $unit = $table->unit;
        $base = $unit->keys()[0];
        $cloth = $table->take(new Piece($base, $unit->isSquare() ? CutShape::Square : CutShape::Rectangle, Surd::of($unit->width)->plus($straight), Surd::of($unit->height)->plus($straight), 1, Then::None, $table->sizes->with($unit->width, 3)));
        [, , $right, $bottom] = $cloth->bounds();
        $squares = [];
        foreach ($this->corners as [$corner, $leg, $fabric]) {
            $squares[$fabric.' '.$leg->toText()][] = [$corner, $leg, $fabric];
        }
        $taken = [];
        foreach ($squares as $name => $alike) {
            [, $leg, $fabric] = $alike[0];
            $taken[$name] = $table->take(Piece::square($fabric, Surd::of($leg)->plus($straight), count($alike), Then::None, $table->sizes->with($leg, 3)));
        }
        $several = count($this->corners) > 1;
        foreach ($this->corners as $i => [$corner, $leg, $fabric]) {
            $square = $taken[$fabric.' '.$leg->toText()]->faceDown();
            [, , $side] = $square->bounds();
            [$x, $y] = [$corner->isLeft() ? RootTwo::of(0) : $right->minus($side), $corner->isTop() ? RootTwo::of(0) : $bottom->minus($side)];
            $laid = $square->movedBy($x, $y);
            $line = self::line($corner, $x, $y, $side);
            $table->lay(match (true) {
                $i === 0 && $several => 'Lay a small square on its corner, right sides together.',
                $i === 0 => 'Lay the small square on its corner, right sides together; left and right are different units.',
                default => 'Lay the next one on '.($i === 1 ? 'the opposite or the other' : 'its').' corner; clip the tips that cross.',
            }, [[$cloth, $laid]]);
            $table->mark('Draw a line corner to corner on its wrong side.', $line);
            $table->sew('Sew a hair to the waste side of the line.', 1, $line);
            $cloth = $table->opened($cloth, $laid, $line);
            $table->openAndPress('Open and look before you cut off the waste; press.', [$cloth]);
            $this->noteOffcut($table, $leg);
        }
        $table->squareUp($this->check, [$cloth]);
    }

    /** From corner to corner of the small square, the unit's inside kept. */
    private static function line(Corner $corner, RootTwo $x, RootTwo $y, RootTwo $side): Line
    {
        $place = static fn (bool $isRight, bool $isLow): Place => new Place($isRight ? $x->plus($side) : $x, $isLow ? $y->plus($side) : $y);

        return match ($corner) {
            Corner::TopLeft => Line::between($place(false, true), $place(true, false)),
            Corner::TopRight => Line::between($place(false, false), $place(true, true)),
            Corner::BottomRight => Line::between($place(true, false), $place(false, true)),
            Corner::BottomLeft => Line::between($place(true, true), $place(false, false)),
        };
    }

    /** A second seam, two allowances from the first toward the corner: what is cut off between them is sewn already. */
    private function noteOffcut(Table $table, Fraction $leg): void
    {
        $two = $table->sizes->allowance->times(Fraction::of(2));
        $raw = new Surd($leg->plus($two), $two->negated());
        if ($raw->compareTo($two) > 0) {
            $table->offcuts[] = [1, $raw];
        }
    }
}
