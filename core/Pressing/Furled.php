<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Pressing\Internal\Furl;

/** A crossing at which a seam changes sides, so that the allowances turn round it like a wheel. */
final readonly class Furled
{
    /** @param bool $isClockwise which way each allowance is laid from its seam, as one looks at the back */
    private function __construct(
        public Point $at,
        public int $join,
        public bool $isClockwise,
    ) {}

    /** @return list<self> along the seam */
    public static function along(Join $join, Pressing $pressing): array
    {
        $directions = $pressing->of($join);
        $found = [];
        foreach (count($directions) > 1 ? $join->matchPoints() : [] as $number => $match) {
            if ($directions[$number] !== $directions[$number + 1]) {
                // The back shows everything the other way round.
                $found[] = new self($match->at, $join->id, Furl::wheel($join, $directions[$number]) === -1);
            }
        }

        return $found;
    }
}
