<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Surd;

/** A piece of one fabric as it is cut: sizes in the block's unit of length, exact, before they are raised to the ruler's marks. */
final readonly class Piece
{
    /**
     * @param int      $perBatch triangles, or whole pieces where nothing is cut further, that a batch takes
     * @param Fraction $oversize what is proposed on top, to square up later
     */
    public function __construct(
        public string $fabric,
        public CutShape $shape,
        public Surd $width,
        public Surd $height,
        public int $perBatch,
        public Then $then,
        public Fraction $oversize,
    ) {}

    public static function square(string $fabric, Surd $side, int $perBatch, Then $then, Fraction $oversize): self
    {
        return new self($fabric, CutShape::Square, $side, $side, $perBatch, $then, $oversize);
    }
}
