<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Measure\Fraction;

/** A class of units with the way it is made: how many batches, what they give and what is left over. */
final readonly class MadeUnit
{
    /**
     * @param list<Way> $ways  all that apply, in the order they are offered
     * @param int       $parts of batches that are finished
     * @param Fraction  $cloth area cut for it, in square inches or millimetres
     */
    public function __construct(
        public UnitToMake $unit,
        public Way $way,
        public array $ways,
        public BuildChoice $build,
        public int $parts,
        public Fraction $cloth,
    ) {}

    /** A batch starts from whole squares. */
    public function batches(): int
    {
        return $this->way->batchesFor($this->parts);
    }

    /** Units of both hands that come out. */
    public function makes(): int
    {
        return intdiv($this->parts * $this->way->yields(), $this->way->parts);
    }

    /** Of those that come out, the ones the block needs no place for. */
    public function spare(): int
    {
        return $this->makes() - $this->unit->need - $this->unit->mirrored;
    }

    /** Pairs that were sewn and are not needed. */
    public function halfMade(): int
    {
        return $this->way->halves * ($this->batches() * $this->way->parts - $this->parts);
    }

    /** Units whose build comes out as it may, and each place takes either. */
    public function isAsTheyCome(): bool
    {
        return $this->build === BuildChoice::AsTheyCome && $this->way->givesLookAlikes();
    }

    /** Units that come out in a hand, or a build, that no place takes. */
    public function wrongHand(): int
    {
        if ($this->way->isEitherHand || $this->isAsTheyCome()) {
            return 0;
        }
        $other = intdiv($this->parts * $this->way->other(), $this->way->parts);

        return max(0, $other - $this->unit->mirrored);
    }
}
