<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

use KeenSeam\Core\Measure\Fraction;

/** A unit that is sewn straight from patches. */
interface PieceUnit extends Unit
{
    /**
     * The fabric and outline of every patch; x and y as fractions of the unit's own square.
     *
     * @param Fraction $width  of the unit as it is finished, in its own frame and the block's unit of length
     * @param Fraction $height the same
     *
     * @return non-empty-list<array{Fabric, list<array{Fraction, Fraction}>}>
     *
     * @throws BlockNotPossible when the patches do not fit a unit of that size
     */
    public function pieces(Fraction $width, Fraction $height): array;

    /**
     * The same unit in other fabrics.
     *
     * @param \Closure(Fabric, int): Fabric $fabric asked for every piece, in the order of pieces(), with its number
     */
    public function inFabrics(\Closure $fabric): self;

    /** The order in which the pieces are sewn, by their numbers; null when it follows from where they lie. */
    public function sewing(): ?SewingOrder;
}
