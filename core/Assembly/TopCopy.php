<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

use KeenSeam\Core\Top\TopPart;

/** One block of a top where it lies whole: sewn like every other copy of its design, in its own frame. */
final readonly class TopCopy
{
    /**
     * @param int           $part       its number among the parts of the top
     * @param string        $made       what it is a copy of: equal for copies that are made alike; mirrored ones are made apart
     * @param int           $member     from 0, among the copies that are made alike
     * @param list<int>     $joins      id in the top of every join, by its id in the design
     * @param int           $firstPatch id in the top of the design's first patch; the others follow
     * @param Assembly      $root       the whole block, sewn
     * @param list<TopTurn> $turns      ways to lie in which its face stays the same, as it lies first
     */
    public function __construct(
        public int $part,
        public TopPart $place,
        public string $made,
        public int $member,
        public Construction $design,
        public array $joins,
        public int $firstPatch,
        public Assembly $root,
        public array $turns,
    ) {}

    /** The same for copies that stand at the same of the four places of squares of two by two, placed alike. */
    public function standing(): string
    {
        $place = $this->place->place ?? throw new \LogicException('A block stands in a place.');
        $row = $place->rowDoubled;

        return implode(' ', [$this->made, $place->placement->turn->value, ...$place->parity(), $row % 2 === 1 ? 'between' : '']);
    }

    /** @param list<TopTurn> $turns */
    public function turning(array $turns): self
    {
        return new self($this->part, $this->place, $this->made, $this->member, $this->design, $this->joins, $this->firstPatch, $this->root, $turns);
    }
}
