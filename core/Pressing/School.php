<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Assembly\Join;

/**
 * A school of pressing: which ways a seam may lie, and by which figures its plans are compared. A new one is one class
 * and its case in PressStyle.
 */
interface School
{
    /**
     * Of the figures before the layers, two at most; the folded ends, shadow and furls come after them.
     *
     * @return non-empty-list<Figure> the one that counts first, first
     */
    public function figures(): array;

    /** @return non-empty-list<PressDirection> the ways a join may lie, the first preferred among equals */
    public function directions(Join $join): array;

    /** Whether a join may change its direction at a crossing. */
    public function allowsFurls(): bool;

    /** What it is called. */
    public function words(): string;
}
