<?php

declare(strict_types=1);

namespace KeenSeam\Core\Measure;

/** An exact amount a + b√2: what diagonal cuts come out at. Compared and rounded without a floating point deciding. */
final readonly class Surd
{
    public function __construct(
        public Fraction $whole,
        public Fraction $root,
    ) {}

    public static function of(Fraction $whole): self
    {
        return new self($whole, Fraction::zero());
    }

    public function plus(self $other): self
    {
        return new self($this->whole->plus($other->whole), $this->root->plus($other->root));
    }

    public function times(Fraction $factor): self
    {
        return new self($this->whole->times($factor), $this->root->times($factor));
    }

    /** Negative, zero or positive as this is below, at or above the fraction. */
    public function compareTo(Fraction $other): int
    {
        $rest = $this->whole->minus($other);
        $signs = [$rest->numerator <=> 0, $this->root->numerator <=> 0];
        if ($signs[0] * $signs[1] >= 0) {
            return $signs[0] + $signs[1] <=> 0;
        }
        // Opposite signs: the larger square decides, and no square of a fraction is twice another's.
        $squares = $rest->times($rest)->compareTo($this->root->times($this->root)->times(Fraction::of(2)));

        return $squares > 0 ? $signs[0] : $signs[1];
    }

    /** The next multiple of 1/$marks, up. */
    public function raisedTo(int $marks): Fraction
    {
        $guess = (int) floor($this->toFloat() * $marks) - 1; // nearly there; the exact comparison has the last word
        while ($this->compareTo(Fraction::of($guess, $marks)) > 0) {
            ++$guess;
        }

        return Fraction::of($guess, $marks);
    }

    public function toFloat(): float
    {
        return $this->whole->toFloat() + $this->root->toFloat() * M_SQRT2;
    }
}
