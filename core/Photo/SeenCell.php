<?php

declare(strict_types=1);

namespace KeenSeam\Core\Photo;

use KeenSeam\Core\Block\Placement;

/** One cell of a block as a photograph shows it. */
final readonly class SeenCell
{
    /**
     * @param Placement                                                                                 $placement in which its unit lies, as far as that can be told
     * @param float                                                                                     $sure      from 0 to 1
     * @param array{array{float, float}, array{float, float}, array{float, float}, array{float, float}} $corners   of the finished unit, in pixels
     */
    public function __construct(
        public int $row,
        public int $column,
        public Verdict $verdict,
        public Placement $placement,
        public float $sure,
        public array $corners,
    ) {}
}
