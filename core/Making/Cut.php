<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Measure\Fraction;

/** One line of the cutting list: equal pieces of one fabric. */
final readonly class Cut
{
    /**
     * @param string       $letter that marks the stack, so that near-equal sizes are not mixed up
     * @param Fraction     $width  as it is cut, raised to the ruler's marks, in the block's unit of length
     * @param list<string> $for    labels of unit classes; "plain" for patches that are a cell by themselves
     */
    public function __construct(
        public string $letter,
        public string $fabric,
        public CutShape $shape,
        public Fraction $width,
        public Fraction $height,
        public int $count,
        public Then $then,
        public array $for,
    ) {}

    public function area(): Fraction
    {
        return $this->width->times($this->height)->times(Fraction::of($this->count));
    }

    /** For putting pieces in cutting order, and telling sizes apart. */
    public function longerSide(): Fraction
    {
        return $this->width->compareTo($this->height) > 0 ? $this->width : $this->height;
    }
}
