<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making\Recipes;

use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Making\Bench;
use KeenSeam\Core\Making\CutShape;
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

/** Half-square triangles on printed sheets: a grid of squares, two triangles from each. */
final readonly class FoundationSheets implements Recipe
{
    /** A sheet of at most three by two squares is still handled well. */
    private const ACROSS = 3;

    private function __construct(private int $across, private int $down) {}

    public static function for(UnitToMake $unit, Bench $bench): array
    {
        $squares = max(1, intdiv($unit->need + $unit->mirrored + 1, 2));

        return $unit->unit->kind() === 'half-square-triangle' && $unit->isSquare() ? [new self(min(self::ACROSS, $squares), $squares > self::ACROSS ? 2 : 1)] : [];
    }

    public function key(): string
    {
        return 'foundation-sheets';
    }

    public function words(): string
    {
        return sprintf('on printed sheets, %d at a time', 2 * $this->across * $this->down);
    }

    public function note(): string
    {
        return 'Very even, and paper to tear.';
    }

    public function isByChoice(): bool
    {
        return true;
    }

    public function carryOut(Table $table): void
    {
        $square = Surd::of($table->unit->width)->plus($table->sizes->half);
        [$width, $height] = [$square->times(Fraction::of($this->across)), $square->times(Fraction::of($this->down))];
        $shape = $this->across === $this->down ? CutShape::Square : CutShape::Rectangle;
        [$under, $over] = array_map(static fn (Fabric $fabric): Cloth => $table->take(new Piece($fabric->key, $shape, $width, $height, 1, Then::None, $table->sizes->raisedWith($width, 8))), $table->unit->laid(...$table->unit->keys()));
        $over = $over->faceDown();
        [$grid, $diagonals, $made] = [[], [], []];
        $side = $table->size($square);
        for ($row = 0; $row < $this->down; ++$row) {
            for ($column = 0; $column < $this->across; ++$column) {
                [$near, $far] = [new Place($side->times($column), $side->times($row)), new Place($side->times($column + 1), $side->times($row + 1))];
                $cell = [Line::through($near, 1, 0), Line::through($far, 0, 1), Line::through($far, -1, 0), Line::through($near, 0, -1)];
                $diagonals[] = $diagonal = Line::through($near, 1, 1);
                array_push($grid, $cell[1], $cell[2]);
                array_push($made, ...$table->besideBoth($under, $over, $diagonal, ...$cell));
            }
        }
        $table->lay('Lay the two fabrics right sides together, and pin the printed sheet on top.', [[$under, $over]]);
        $table->mark(sprintf('The sheet shows %d by %d squares with their diagonals, and the seams beside them.', $this->across, $this->down), ...$diagonals);
        $table->sew('Sew on the printed seams with short stitches.', 2 * $this->across * $this->down, ...$table->beside(...$diagonals));
        $table->cut('Cut on all other lines.', ...$grid, ...$diagonals);
        $table->openAndPress('Tear the paper off, open and press.', $made);
        $table->squareUp('the seam on the ruler\'s 45 degree line', $made);
    }
}
