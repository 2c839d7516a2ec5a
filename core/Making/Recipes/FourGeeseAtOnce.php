<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making\Recipes;

use KeenSeam\Core\Making\Bench;
use KeenSeam\Core\Making\Piece;
use KeenSeam\Core\Making\Recipe;
use KeenSeam\Core\Making\Table\RootTwo;
use KeenSeam\Core\Making\Table\Table;
use KeenSeam\Core\Making\Then;
use KeenSeam\Core\Making\UnitToMake;
use KeenSeam\Core\Measure\Surd;

/** Four geese from one large square and four small ones, without waste. */
final readonly class FourGeeseAtOnce implements Recipe
{
    private function __construct(private bool $isOneSky) {}

    public static function for(UnitToMake $unit, Bench $bench): array
    {
        return $unit->unit->kind() === 'flying-geese' && $unit->isTwiceAsWideAsHigh() ? [new self($unit->keys()[1] === $unit->keys()[2])] : [];
    }

    public function key(): string
    {
        return 'four-at-once';
    }

    public function words(): string
    {
        return 'four at once, without waste';
    }

    public function note(): string
    {
        return $this->isOneSky ? '' : 'Half of them come out in the other hand.';
    }

    public function isByChoice(): bool
    {
        return false;
    }

    public function carryOut(Table $table): void
    {
        [$goose, $first, $second] = $table->unit->keys();
        [$width, $height] = [Surd::of($table->unit->width), Surd::of($table->unit->height)];
        $bigSide = $width->plus($table->sizes->quarter);
        $smallSide = $height->plus($table->sizes->half);
        $base = $table->take(Piece::square($goose, $bigSide, 1, Then::None, $table->sizes->with($table->unit->width, 7)));
        $sky = static fn (string $fabric, int $count): Piece => Piece::square($fabric, $smallSide, $count, Then::None, $table->sizes->with($table->unit->height, 5));
        $small = $table->take($sky($first, $this->isOneSky ? 4 : 2));
        $last = ($this->isOneSky ? $small : $table->take($sky($second, 2)))->faceDown();
        $zero = RootTwo::of(0);
        $far = $table->size($bigSide)->minus($table->size($smallSide));
        $skies = $small->faceDown()->with($small->faceDown()->movedBy($far, $far));
        $line = Table::falling();
        $table->lay('Lay two small squares on opposite corners of the large one, right sides together; clip the tips where they overlap.', [[$base, $skies]]);
        $table->mark('Draw a line corner to corner across both.', $line);
        $table->sew('Sew on both sides of the line, one allowance away.', 2, ...$table->beside($line));
        $table->cut('Cut on the line.', $line);
        $hearts = $table->besideBoth($base, $skies, $line);
        $table->openAndPress('Open and press: two hearts.', $hearts);
        $across = Table::rising($table->size($bigSide));
        $laid = [[$hearts[0], $last->movedBy($zero, $far)], [$hearts[1], $last->movedBy($far, $zero)]];
        $table->lay('Lay a small square on the corner of each heart, right sides together.', $laid);
        $table->mark('Draw the line from that corner between the two small triangles.', $across);
        $table->sew('Sew on both sides of the line, one allowance away.', 4, ...$table->beside($across));
        $table->cut('Cut on the line.', $across);
        $made = array_merge(...array_map(static fn (array $pair): array => $table->besideBoth($pair[0], $pair[1], $across), $laid));
        $table->openAndPress('Open and press.', $made);
        $table->squareUp('the tip one allowance below the raw edge and half way along', $made);
    }
}
