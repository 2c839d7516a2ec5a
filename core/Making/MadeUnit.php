<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Measure\Fraction;

/** A class of units with the way it is made: how many batches, what they give and what is left over. */
final readonly class MadeUnit
{
    /**
     * @param list<Way> $ways  all that apply, the best first
     * @param Fraction  $cloth area cut for it, in square inches or millimetres
     */
    public function __construct(
        public UnitToMake $unit,
        public Way $way,
        public array $ways,
        public int $batches,
        public Fraction $cloth,
    ) {}

    /** Units of both hands that come out. */
    public function makes(): int
    {
        return $this->batches * ($this->way->own + $this->way->other);
    }

    public function spare(): int
    {
        return $this->makes() - $this->unit->need - $this->unit->mirrored;
    }
}
