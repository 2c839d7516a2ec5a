<?php

declare(strict_types=1);

namespace KeenSeam\Core\Measure;

/** An exact number: a fraction in lowest terms, denominator above zero. Never a float. */
final readonly class Fraction
{
    private function __construct(
        public int $numerator,
        public int $denominator,
    ) {}

    public static function of(int $numerator, int $denominator = 1): self
    {
        if ($denominator === 0) {
            throw new \LogicException('A fraction needs a denominator other than zero.');
        }
        $divisor = self::greatestCommonDivisor($numerator, $denominator) * ($denominator < 0 ? -1 : 1);

        return new self(intdiv($numerator, $divisor), intdiv($denominator, $divisor));
    }

    public static function zero(): self
    {
        return new self(0, 1);
    }

    public function plus(self $other): self
    {
        // Most sums on a grid are of nothing or of whole numbers; these need no common divisor.
        if ($other->numerator === 0) {
            return $this;
        }
        if ($this->numerator === 0) {
            return $other;
        }
        if ($this->denominator === 1 && $other->denominator === 1) {
            return new self(self::bounded($this->numerator + $other->numerator), 1);
        }

        return self::of(
            self::bounded($this->numerator * $other->denominator + $other->numerator * $this->denominator),
            self::bounded($this->denominator * $other->denominator),
        );
    }

    public function minus(self $other): self
    {
        return $this->plus($other->negated());
    }

    public function negated(): self
    {
        return new self(-$this->numerator, $this->denominator);
    }

    public function absolute(): self
    {
        return $this->numerator < 0 ? $this->negated() : $this;
    }

    public function times(self $other): self
    {
        if ($this->numerator === 0 || ($other->numerator === 1 && $other->denominator === 1)) {
            return $this;
        }
        if ($other->numerator === 0) {
            return $other;
        }
        if ($this->denominator === 1 && ($other->denominator === 1 || $this->numerator === 1)) {
            return new self(self::bounded($this->numerator * $other->numerator), $other->denominator);
        }
        // Crosswise reduction first keeps the products small.
        $a = self::of($this->numerator, $other->denominator);
        $b = self::of($other->numerator, $this->denominator);

        return new self(
            self::bounded($a->numerator * $b->numerator),
            self::bounded($a->denominator * $b->denominator),
        );
    }

    public function dividedBy(self $other): self
    {
        return $this->times(self::of($other->denominator, $other->numerator));
    }

    /** Negative, zero or positive as this is smaller than, equal to or larger than the other. */
    public function compareTo(self $other): int
    {
        return $this->minus($other)->numerator <=> 0;
    }

    public function equals(self $other): bool
    {
        return $this->numerator === $other->numerator && $this->denominator === $other->denominator;
    }

    public function isPositive(): bool
    {
        return $this->numerator > 0;
    }

    public function isWhole(): bool
    {
        return $this->denominator === 1;
    }

    /** For drawing and for lengths that people read; nothing is decided by it. */
    public function toFloat(): float
    {
        return $this->numerator / $this->denominator;
    }

    /** "3", "7/8", "2 7/8", "-1/2". */
    public function toText(): string
    {
        $size = abs($this->numerator);
        $whole = intdiv($size, $this->denominator);
        $rest = $size % $this->denominator;
        $sign = $this->numerator < 0 ? '-' : '';

        return $sign.match (true) {
            $rest === 0 => (string) $whole,
            $whole === 0 => $rest.'/'.$this->denominator,
            default => $whole.' '.$rest.'/'.$this->denominator,
        };
    }

    public static function leastCommonMultiple(int $a, int $b): int
    {
        return self::bounded(intdiv($a, self::greatestCommonDivisor($a, $b)) * $b);
    }

    private static function greatestCommonDivisor(int $a, int $b): int
    {
        $a = abs($a);
        $b = abs($b);
        while ($b !== 0) {
            [$a, $b] = [$b, $a % $b];
        }

        return max(1, $a);
    }

    /**
     * PHP turns an overflowing integer silently into a float; an exact number must not.
     *
     * @throws NumberOutOfReach
     */
    private static function bounded(int|float $product): int
    {
        return is_int($product) ? $product : throw NumberOutOfReach::inArithmetic();
    }
}
