<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making\Recipes;

use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Making\Bench;
use KeenSeam\Core\Making\Piece;
use KeenSeam\Core\Making\Recipe;
use KeenSeam\Core\Making\Table\Cloth;
use KeenSeam\Core\Making\Table\Table;
use KeenSeam\Core\Making\Then;
use KeenSeam\Core\Making\UnitToMake;
use KeenSeam\Core\Measure\Surd;

/** Two half-square triangles crossed: sewn on both sides of the diagonal that crosses their seams. */
final readonly class CrossedQuarterSquares implements Recipe
{
    /**
     * @param array{string, string} $under fabrics of the half squares that lie below: at the upper right, at the lower left
     * @param array{string, string} $over  the same of those that are laid on them, as seen on their own face
     */
    private function __construct(private array $under, private array $over, private int $turns) {}

    /** Every pair of neighbours, and every way to lay the upper one; those that give nothing fall out when carried out. */
    public static function for(UnitToMake $unit, Bench $bench): array
    {
        if ($unit->unit->kind() !== 'quarter-square-triangle' || ! $unit->isSquare()) {
            return [];
        }
        [$top, $right, $bottom, $left] = $unit->keys();
        $recipes = [];
        foreach ([[[$top, $right], [$bottom, $left]], [[$right, $bottom], [$left, $top]]] as [$under, $over]) {
            foreach (Turn::QUARTERS as $turns) {
                $recipes[] = new self($under, $over, $turns);
            }
        }

        return $recipes;
    }

    public function key(): string
    {
        return 'crossed';
    }

    public function words(): string
    {
        return 'two half-square triangles crossed';
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
        $side = Surd::of($table->unit->width)->plus($table->sizes->quarter);
        $take = static fn (string $fabric): Cloth => $table->take(Piece::square($fabric, $side, 1, Then::None, $table->sizes->with($table->unit->width, 6)));
        $isSame = $this->under === $this->over || $this->under === array_reverse($this->over);
        if (! $isSame) {
            [$table->parts, $table->halves] = [2, 2];
        }
        $line = Table::falling();
        $halves = [];
        foreach ($isSame ? [$this->under] : [$this->under, $this->over] as [$one, $other]) {
            [$below, $above] = $table->unit->laid($one, $other);
            [$top, $below, $above] = [$above->name, $take($below->key), $take($above->key)->faceDown()];
            $table->lay('Lay two squares right sides together.', [[$below, $above]]);
            $table->mark('Draw a line corner to corner on the wrong side of '.$top.'.', $line);
            $table->sew('Sew on both sides of the line, one allowance away.', 2, ...$table->beside($line));
            $table->cut('Cut on the line.', $line);
            $halves[] = $made = $table->besideBoth($below, $above, $line);
        }
        $table->openAndPress('Open, and press as the plan has it.', array_merge(...$halves));
        $under = $halves[0][0]->atOrigin();
        $over = ($isSame ? $halves[0][1] : $halves[1][0])->atOrigin()->turned($this->turns)->faceDown();
        // The seam below falls from corner to corner: the cut must cross it.
        $cut = Table::rising($under->bounds()[3]);
        $table->lay('Lay two right sides together, seams nested, unlike fabrics on each other.', array_fill(0, $table->parts, [$under, $over]));
        $table->mark('Draw a line corner to corner across the seam.', $cut);
        $table->sew('Sew on both sides of the line, one allowance away.', 2 * $table->parts, ...$table->beside($cut));
        $table->cut('Cut on the line.', $cut);
        $made = array_merge(...array_fill(0, $table->parts, $table->besideBoth($under, $over, $cut)));
        $table->openAndPress('Open and press.', $made);
        $table->squareUp('the centre at half the size both ways', $made);
    }
}
