<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

/** A convex piece of cloth as it lies in the flat, pressed block. */
final readonly class Flap
{
    /**
     * @param non-empty-list<array{float, float}> $corners     in lattice steps, seen from the face
     * @param bool                                $isAllowance whether it reached past a seam that is sewn now
     * @param bool                                $turnedUp    whether its right side looks up from the back, because it was folded over
     */
    public function __construct(
        public int $patchId,
        public array $corners,
        public bool $isAllowance = false,
        public bool $turnedUp = false,
    ) {}

    /** @param non-empty-list<array{float, float}> $corners */
    public function withCorners(array $corners): self
    {
        return new self($this->patchId, $corners, $this->isAllowance, $this->turnedUp);
    }

    public function asAllowance(): self
    {
        return new self($this->patchId, $this->corners, true, $this->turnedUp);
    }

    /** @param non-empty-list<array{float, float}> $corners where it comes to lie */
    public function foldedOver(array $corners): self
    {
        return new self($this->patchId, $corners, $this->isAllowance, ! $this->turnedUp);
    }
}
