<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making\Recipes;

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
use KeenSeam\Core\Measure\Surd;

/** Four split quarter-square triangles of one hand: two squares stitched along each half of their diagonals, always on the same side of it. */
final readonly class SteppedSplitQuarters implements Recipe
{
    /** @param string|null $patch name of the patch that the large triangle becomes */
    private function __construct(private bool $isToTheLeft, private ?string $patch) {}

    public static function for(UnitToMake $unit, Bench $bench): array
    {
        if ($unit->unit->kind() !== 'split-quarter-square-triangle' || ! $unit->isSquare()) {
            return [];
        }
        $patch = $bench->cutter->piece($unit->patches[0])->patch;

        return [new self(false, $patch), new self(true, $patch)];
    }

    public function key(): string
    {
        return 'stepped';
    }

    public function words(): string
    {
        return 'four of one hand, stepped line';
    }

    public function note(): string
    {
        return 'Step the line the other way round for the other hand.';
    }

    public function isByChoice(): bool
    {
        return false;
    }

    public function carryOut(Table $table): void
    {
        [$large, $one, $other] = $table->unit->keys();
        $finished = Surd::of($table->unit->width);
        $side = $finished->plus($table->sizes->quarter);
        $square = static fn (string $fabric): Cloth => $table->take(Piece::square($fabric, $side, 1, Then::None, $table->sizes->with($table->unit->width, 6)));
        [$under, $over] = [$square($one), $square($other)->faceDown()];
        $bigSide = $finished->plus($table->sizes->half);
        $triangle = $table->take(new Piece($large, CutShape::Square, $bigSide, $bigSide, 4, Then::Once, $table->sizes->raisedWith($bigSide, 1), $this->patch));
        $whole = $table->size($side);
        [$falling, $rising] = [Table::falling(), Table::rising($whole)];
        // The upper quarter between the diagonals; the seam beside the one of its short sides that is stitched.
        $seam = ($this->isToTheLeft ? $falling->reversed() : $rising->reversed())->movedIn($table->allowance);
        $pair = $table->opened($under, $over, $seam, $falling->reversed(), $rising->reversed());
        $table->lay('Lay the two smaller squares right sides together.', [[$under, $over]]);
        $table->mark('Draw both diagonals.', $falling, $rising);
        $table->sewStretches(sprintf('Sew along each half of the diagonals, one allowance away and always %s of it as you go from the middle out.', $this->isToTheLeft ? 'right' : 'left'), $this->stretches($seam, $under->cutTo($falling->reversed(), $rising->reversed()), new Place($whole->halved(), $whole->halved())));
        $table->cut('Cut on both diagonals: four pairs of one hand.', $falling, $rising);
        // The line steps the same way at every quarter, so the others are this one turned.
        $table->openAndPress('Open and press.', array_fill(0, 4, $pair));
        $long = ($this->isToTheLeft ? $rising->reversed() : $falling->reversed())->movedIn($table->allowance);
        $sewn = $pair->cutTo($long);
        [$left, , $right, $bottom] = $sewn->bounds();
        $reach = $table->size($bigSide);
        $moved = $this->isToTheLeft
            ? $triangle->movedBy($right->minus($reach), $bottom->minus($reach))
            : $triangle->movedBy($left, $bottom->minus($reach));
        $unit = $sewn->with($moved->cutTo($long->reversed()));
        $table->sew('Sew a large triangle to the long side of each.', 4);
        $table->openAndPress('Open and press.', array_fill(0, 4, $unit));
        $table->squareUp('the long seam on the 45 degree line', array_fill(0, 4, $unit));
    }

    /**
     * The seam within the upper quarter, and the same in the other three.
     *
     * @return list<array{Place, Place}>
     */
    private function stretches(Line $seam, Cloth $quarter, Place $centre): array
    {
        $stretch = $seam->within($quarter->patches[0][1]) ?? throw new \LogicException('The seam runs through the quarter.');
        $stretches = [$stretch];
        for ($i = 0; $i < 3; ++$i) {
            $stretches[] = $stretch = [$stretch[0]->quarterTurnedAbout($centre), $stretch[1]->quarterTurnedAbout($centre)];
        }

        return $stretches;
    }
}
