<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Geometry\Point;

/** How the seams lie at one meeting place of one join. */
final readonly class MatchReport
{
    /** @param int $join id of the join along which they meet */
    public function __construct(
        public int $join,
        public Point $at,
        public Nesting $nesting,
    ) {}
}
