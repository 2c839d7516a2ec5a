<?php

declare(strict_types=1);

namespace KeenSeam\Core\Geometry;

/** An upright rectangle: the smallest round something, or how far something reaches. In lattice steps; its edges belong to it. */
final readonly class Box
{
    public function __construct(
        public float $left,
        public float $top,
        public float $right,
        public float $bottom,
    ) {}

    /** @param non-empty-list<array{float, float}> $corners */
    public static function round(array $corners): self
    {
        [$xs, $ys] = [array_column($corners, 0), array_column($corners, 1)];

        return new self(min($xs), min($ys), max($xs), max($ys));
    }

    /** @param non-empty-list<Point> $points */
    public static function ofPoints(array $points): self
    {
        return self::round(array_map(static fn (Point $point): array => [(float) $point->x, (float) $point->y], $points));
    }

    public function wider(float $by): self
    {
        return new self($this->left - $by, $this->top - $by, $this->right + $by, $this->bottom + $by);
    }

    /** @return non-empty-list<array{float, float}> clockwise from the upper left */
    public function corners(): array
    {
        return [[$this->left, $this->top], [$this->right, $this->top], [$this->right, $this->bottom], [$this->left, $this->bottom]];
    }

    /** @return array{float, float} from where to where it reaches in a direction */
    public function range(float $x, float $y): array
    {
        [$acrosses, $downs] = [[$x * $this->left, $x * $this->right], [$y * $this->top, $y * $this->bottom]];

        return [min($acrosses) + min($downs), max($acrosses) + max($downs)];
    }

    public function holds(float $x, float $y): bool
    {
        return $x >= $this->left && $x <= $this->right && $y >= $this->top && $y <= $this->bottom;
    }

    public function touches(self $other): bool
    {
        return $this->left <= $other->right && $this->right >= $other->left && $this->top <= $other->bottom && $this->bottom >= $other->top;
    }

    /** What the two have in common; null where they do not touch. */
    public function overlap(self $other): ?self
    {
        return $this->touches($other)
            ? new self(max($this->left, $other->left), max($this->top, $other->top), min($this->right, $other->right), min($this->bottom, $other->bottom))
            : null;
    }

    /** The smallest that holds both. */
    public function with(?self $other): self
    {
        return $other === null
            ? $this
            : new self(min($this->left, $other->left), min($this->top, $other->top), max($this->right, $other->right), max($this->bottom, $other->bottom));
    }
}
