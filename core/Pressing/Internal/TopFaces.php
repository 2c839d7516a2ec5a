<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Assembly\TopConstruction;
use KeenSeam\Core\Assembly\TopCopy;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\TopHolds;
use KeenSeam\Core\Top\Top;

/**
 * The faces that a top can have by turning its blocks, where the quilter does not mind.
 *
 * @internal
 */
final readonly class TopFaces
{
    /** So many faces are all tried. */
    private const FEW = 300;

    /** @var array<int, list<Turn>> turns of a copy that give it other faces, the one as placed first; by copy */
    private array $turns;

    /** @param list<Lock> $locks a block in which a seam is held stays as it is placed */
    public function __construct(private TopConstruction $top, array $locks, TopHolds $holds)
    {
        $turns = [];
        foreach ($top->copies as $number => $copy) {
            $turns[$number] = $holds->hold($copy, $locks) ? [Turn::None] : self::turnsOf($copy);
        }
        $this->turns = $turns;
    }

    /** Whether each() gives every face there is. */
    public function areAll(): bool
    {
        return $this->count(array_keys($this->turns)) <= self::FEW;
    }

    /** @return iterable<Top> the one as placed first */
    public function each(): iterable
    {
        $groups = [];
        foreach ($this->turns as $copy => $turns) {
            $groups[$this->areAll() ? (string) $copy : $this->top->copies[$copy]->standing().' '.count($turns)][] = $copy;
        }
        $firsts = array_map(static fn (array $copies): int => $copies[0], $groups);
        if ($this->count($firsts) > self::FEW) {
            $groups = [array_keys($this->turns)]; // so many different blocks: all turned by the same
        }
        foreach ($this->choices($groups) as $byCopy) {
            yield $this->turned($this->top, $byCopy);
        }
    }

    /** @return iterable<Top> the same with one block turned otherwise */
    public function withOneTurned(TopConstruction $top, int $copy): iterable
    {
        foreach (array_slice($this->turns[$copy], 1) as $turn) {
            yield $this->turned($top, [$copy => $turn]);
        }
    }

    /**
     * @param array<array-key, list<int>> $groups copies that are turned alike
     *
     * @return iterable<array<int, Turn>> by copy
     */
    private function choices(array $groups): iterable
    {
        if ($groups === []) {
            yield [];

            return;
        }
        $copies = array_shift($groups);
        foreach ($this->choices($groups) as $rest) {
            foreach ($this->turns[$copies[0]] as $number => $turn) {
                $own = [];
                foreach ($copies as $copy) {
                    $own[$copy] = $this->turns[$copy][$number % count($this->turns[$copy])];
                }
                yield $own + $rest;
            }
        }
    }

    /** @param array<int, Turn> $byCopy */
    private function turned(TopConstruction $from, array $byCopy): Top
    {
        $places = [];
        foreach ($byCopy as $copy => $turn) {
            $place = $from->copies[$copy]->place->place;
            if ($place !== null && $turn !== Turn::None) {
                $places[$place->key()] = $place->lying(new Placement(Turn::ofQuarters($place->placement->turn->quarters() + $turn->quarters()), $place->placement->mirrored));
            }
        }
        $top = $from->top->top;

        return $top->withPlaces(array_map(static fn ($place) => $places[$place->key()] ?? $place, $top->places));
    }

    /** @return list<Turn> */
    private static function turnsOf(TopCopy $copy): array
    {
        $same = array_map(static fn ($turn): int => $turn->turn->quarters(), $copy->turns);
        $isSquare = $copy->place->wholeDesign()?->isSquare() ?? false;
        $turns = $seen = [];
        foreach ($isSquare ? Turn::cases() : [Turn::None, Turn::Half] as $turn) {
            if (! isset($seen[$turn->quarters()])) {
                $turns[] = $turn;
                foreach ($same as $quarters) {
                    $seen[($turn->quarters() + $quarters) % 4] = true;
                }
            }
        }

        return $turns;
    }

    /** @param array<array-key, int> $copies */
    private function count(array $copies): float
    {
        return array_product(array_map(fn (int $copy): float => (float) count($this->turns[$copy]), $copies));
    }
}
