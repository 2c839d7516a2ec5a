<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making\Table;

/**
 * An exact a + b√2 in whole steps of the cutting table: all that cutting and folding along the weave, and at half a right
 * angle to it, ever makes of whole lengths.
 */
final readonly class RootTwo
{
    private function __construct(
        public int $whole,
        public int $root,
    ) {}

    public static function of(int $whole, int $root = 0): self
    {
        return new self($whole, $root);
    }

    public function plus(self $other): self
    {
        return new self($this->whole + $other->whole, $this->root + $other->root);
    }

    public function minus(self $other): self
    {
        return new self($this->whole - $other->whole, $this->root - $other->root);
    }

    public function times(int $factor): self
    {
        return new self($factor * $this->whole, $factor * $this->root);
    }

    public function timesRoot(): self
    {
        return new self(2 * $this->root, $this->whole);
    }

    /** @throws \LogicException when the table is measured too coarsely */
    public function overRoot(): self
    {
        return new self($this->root, self::half($this->whole));
    }

    /** @throws \LogicException when the table is measured too coarsely */
    public function halved(): self
    {
        return new self(self::half($this->whole), self::half($this->root));
    }

    /** -1, 0 or 1. */
    public function sign(): int
    {
        $signs = [$this->whole <=> 0, $this->root <=> 0];
        if ($signs[0] * $signs[1] >= 0) {
            return $signs[0] + $signs[1] <=> 0;
        }

        // Opposite signs: the larger square decides, and no square is twice another.
        return $this->whole * $this->whole > 2 * $this->root * $this->root ? $signs[0] : $signs[1];
    }

    public function compareTo(self $other): int
    {
        return $this->minus($other)->sign();
    }

    public function equals(self $other): bool
    {
        return $this->whole === $other->whole && $this->root === $other->root;
    }

    public function toFloat(): float
    {
        return $this->whole + $this->root * M_SQRT2;
    }

    private static function half(int $number): int
    {
        return $number % 2 === 0 ? intdiv($number, 2) : throw new \LogicException('The cutting table is measured too coarsely for this cut.');
    }
}
