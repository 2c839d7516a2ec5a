<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making\Table;

/** A place on the cutting table, seen from above: x to the right, y down. */
final readonly class Place
{
    public function __construct(
        public RootTwo $x,
        public RootTwo $y,
    ) {}

    public function movedBy(RootTwo $x, RootTwo $y): self
    {
        return new self($this->x->plus($x), $this->y->plus($y));
    }

    /** A quarter turn clockwise about 0, 0. */
    public function quarterTurned(): self
    {
        return new self($this->y->times(-1), $this->x);
    }

    public function quarterTurnedAbout(self $centre): self
    {
        return $this->movedBy($centre->x->times(-1), $centre->y->times(-1))->quarterTurned()->movedBy($centre->x, $centre->y);
    }

    /** Half a right angle clockwise about 0, 0. */
    public function eighthTurned(): self
    {
        return new self($this->x->minus($this->y)->overRoot(), $this->x->plus($this->y)->overRoot());
    }

    public function equals(self $other): bool
    {
        return $this->x->equals($other->x) && $this->y->equals($other->y);
    }
}
