<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout;

use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Measure\Fraction;

/** A place in a cell, exactly: shares of its width from the left and of its height from the top. */
final readonly class Spot
{
    public function __construct(
        public Fraction $x,
        public Fraction $y,
    ) {}

    /** Where it comes to lie when its cell is flipped left to right if asked, then turned. */
    public function moved(Placement $by): self
    {
        $one = Fraction::of(1);
        $spot = $by->mirrored ? new self($one->minus($this->x), $this->y) : $this;
        for ($i = 0; $i < $by->turn->quarters(); ++$i) {
            $spot = new self($one->minus($spot->y), $spot->x);
        }

        return $spot;
    }

    /** Positive where $other lies clockwise of the way from this to $to; nought on the line. */
    public function side(self $to, self $other): Fraction
    {
        return $to->x->minus($this->x)->times($other->y->minus($this->y))->minus($to->y->minus($this->y)->times($other->x->minus($this->x)));
    }

    /** How far along the way from this to $to the other one lies, 0 here and 1 there; it is on their line. */
    public function along(self $to, self $other): Fraction
    {
        $across = $to->x->minus($this->x);

        return $across->equals(Fraction::zero())
            ? $other->y->minus($this->y)->dividedBy($to->y->minus($this->y))
            : $other->x->minus($this->x)->dividedBy($across);
    }

    /** The place so far along the way to another. */
    public function towards(self $to, Fraction $share): self
    {
        return new self($this->x->plus($to->x->minus($this->x)->times($share)), $this->y->plus($to->y->minus($this->y)->times($share)));
    }

    public function equals(self $other): bool
    {
        return $this->x->equals($other->x) && $this->y->equals($other->y);
    }

    public function isInCell(): bool
    {
        $isShare = static fn (Fraction $share): bool => $share->compareTo(Fraction::zero()) >= 0 && $share->compareTo(Fraction::of(1)) <= 0;

        return $isShare($this->x) && $isShare($this->y);
    }

    public function key(): string
    {
        return $this->x->toText().' '.$this->y->toText();
    }
}
