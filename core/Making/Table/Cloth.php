<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making\Table;

/** Cloth as it lies on the table, one layer or several sewn to each other and opened: patches at raw size, seen from above. */
final readonly class Cloth
{
    /** @param list<array{string, list<Place>, bool}> $patches fabric, corners, and whether its back is up */
    private function __construct(public array $patches) {}

    /** Its upper left corner at 0, 0. */
    public static function rectangle(string $fabric, RootTwo $width, RootTwo $height): self
    {
        $zero = RootTwo::of(0);

        return new self([[$fabric, [new Place($zero, $zero), new Place($width, $zero), new Place($width, $height), new Place($zero, $height)], false]]);
    }

    public function with(self ...$others): self
    {
        return new self(array_merge($this->patches, ...array_map(static fn (self $other): array => $other->patches, $others)));
    }

    /** What lies on the kept side of all the lines. */
    public function cutTo(Line ...$lines): self
    {
        $patches = $this->patches;
        foreach ($lines as $line) {
            $kept = [];
            foreach ($patches as [$fabric, $corners, $isBack]) {
                $part = $line->clipped($corners);
                if (count($part) > 2) {
                    $kept[] = [$fabric, $part, $isBack];
                }
            }
            $patches = $kept;
        }

        return new self($patches);
    }

    /** Turned over along the line: its other side is up. */
    public function foldedOver(Line $line): self
    {
        return new self(array_map(static fn (array $patch): array => [$patch[0], array_reverse(array_map($line->mirrored(...), $patch[1])), ! $patch[2]], $this->patches));
    }

    /** Turned over where it lies, left to right, about the middle of its own width. */
    public function faceDown(): self
    {
        [$left, , $right] = $this->bounds();
        // x becomes left + right - x; folding about an upright line at the middle, without halving.
        $flip = static fn (Place $place): Place => new Place($left->plus($right)->minus($place->x), $place->y);

        return new self(array_map(static fn (array $patch): array => [$patch[0], array_reverse(array_map($flip, $patch[1])), ! $patch[2]], $this->patches));
    }

    public function movedBy(RootTwo $x, RootTwo $y): self
    {
        return $this->map(static fn (Place $place): Place => $place->movedBy($x, $y));
    }

    /** Turned clockwise, its upper left corner where it was. */
    public function turned(int $quarterTurns): self
    {
        [$left, $top] = $this->bounds();
        $turned = $this;
        for ($i = 0; $i < $quarterTurns; ++$i) {
            $turned = $turned->map(static fn (Place $place): Place => $place->quarterTurned());
        }
        [$newLeft, $newTop] = $turned->bounds();

        return $turned->movedBy($left->minus($newLeft), $top->minus($newTop));
    }

    /** Half a right angle clockwise, for what came out standing on its corner. */
    public function eighthTurned(): self
    {
        return $this->map(static fn (Place $place): Place => $place->eighthTurned());
    }

    /** Its upper left corner at 0, 0. */
    public function atOrigin(): self
    {
        [$left, $top] = $this->bounds();

        return $this->movedBy($left->times(-1), $top->times(-1));
    }

    /** @return array{RootTwo, RootTwo, RootTwo, RootTwo} left, top, right, bottom */
    public function bounds(): array
    {
        $places = array_merge(...array_column($this->patches, 1));
        $least = static fn (RootTwo $a, RootTwo $b): RootTwo => $a->compareTo($b) <= 0 ? $a : $b;
        $most = static fn (RootTwo $a, RootTwo $b): RootTwo => $a->compareTo($b) >= 0 ? $a : $b;
        $first = $places[0] ?? throw new \LogicException('There is no cloth here.');
        $bounds = [$first->x, $first->y, $first->x, $first->y];
        foreach ($places as $place) {
            $bounds = [$least($bounds[0], $place->x), $least($bounds[1], $place->y), $most($bounds[2], $place->x), $most($bounds[3], $place->y)];
        }

        return $bounds;
    }

    /** Whether it fills a rectangle along the weave of the table: some corner lies in each corner of its bounds. */
    public function liesSquare(): bool
    {
        [$left, $top, $right, $bottom] = $this->bounds();
        $places = array_merge(...array_column($this->patches, 1));
        foreach ([[$left, $top], [$right, $top], [$right, $bottom], [$left, $bottom]] as [$x, $y]) {
            $corner = new Place($x, $y);
            if (array_filter($places, $corner->equals(...)) === []) {
                return false;
            }
        }

        return true;
    }

    /** @param \Closure(Place): Place $move that keeps the way round */
    private function map(\Closure $move): self
    {
        return new self(array_map(static fn (array $patch): array => [$patch[0], array_map($move, $patch[1]), $patch[2]], $this->patches));
    }
}
