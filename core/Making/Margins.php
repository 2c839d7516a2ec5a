<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

/** What is cut exact and what larger: the house's habit, changed for a unit or for one stack without touching the others. */
final readonly class Margins
{
    /**
     * @param bool                  $isForSewnSquares whether the habit is only for units that are sewn from squares and squared up
     * @param array<string, Margin> $units            by the class's label
     * @param array<string, Margin> $stacks           by the stack's letter
     */
    public function __construct(
        public Margin $habit = Margin::Exact,
        public bool $isForSewnSquares = false,
        public array $units = [],
        public array $stacks = [],
    ) {}

    /**
     * @param string|null $unit  label of the unit the piece is for; null for a patch that is a cell by itself
     * @param string      $stack its letter
     */
    public function of(Piece $piece, ?string $unit, string $stack): Margin
    {
        $isSewnSquare = $unit !== null && $piece->patch === null && $piece->shape !== CutShape::Strip;

        return $this->stacks[$stack] ?? $this->units[$unit ?? ''] ?? ($this->isForSewnSquares && ! $isSewnSquare ? Margin::Exact : $this->habit);
    }
}
