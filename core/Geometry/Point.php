<?php

declare(strict_types=1);

namespace KeenSeam\Core\Geometry;

/** A place on the block's lattice: x to the right, y down, seen from the face; whole lattice steps. */
final readonly class Point
{
    public function __construct(
        public int $x,
        public int $y,
    ) {}

    /**
     * Upper left corner of the smallest upright rectangle round them.
     *
     * @param non-empty-array<self> $points
     */
    public static function upperLeftOf(array $points): self
    {
        [$left, $top] = self::bounds($points);

        return new self($left, $top);
    }

    /**
     * How far points reach.
     *
     * @param non-empty-array<self> $points
     *
     * @return array{int, int, int, int} left, top, right, bottom
     */
    public static function bounds(array $points): array
    {
        $xs = array_map(static fn (self $point): int => $point->x, $points);
        $ys = array_map(static fn (self $point): int => $point->y, $points);

        return [min($xs), min($ys), max($xs), max($ys)];
    }

    public function equals(self $other): bool
    {
        return $this->x === $other->x && $this->y === $other->y;
    }

    public function minus(self $other): self
    {
        return new self($this->x - $other->x, $this->y - $other->y);
    }

    /** Twice the area spanned by the two vectors; positive when $other lies clockwise of this one, as seen on the face. */
    public function cross(self $other): int
    {
        return $this->x * $other->y - $this->y * $other->x;
    }

    public function dot(self $other): int
    {
        return $this->x * $other->x + $this->y * $other->y;
    }

    /** A quarter turn clockwise about the origin, as seen on the face. */
    public function quarterTurned(): self
    {
        return new self(-$this->y, $this->x);
    }

    /** The shortest vector of the same direction. */
    public function reduced(): self
    {
        [$a, $b] = [abs($this->x), abs($this->y)];
        while ($b !== 0) {
            [$a, $b] = [$b, $a % $b];
        }

        return $a === 0 ? $this : new self(intdiv($this->x, $a), intdiv($this->y, $a));
    }

    /** Usable as an array key. */
    public function key(): string
    {
        return $this->x.','.$this->y;
    }
}
