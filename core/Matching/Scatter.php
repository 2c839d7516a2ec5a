<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching;

/** How far seams and cut edges are off by chance: standard deviations in the block's unit. */
final readonly class Scatter
{
    /**
     * @param float $sewing  of where the stitching lies
     * @param float $cutting of one cut edge; a seam has two
     * @param float $folding of the cloth lost in the turn of a seam that is pressed to one side; a seam pressed open has no turn
     */
    public function __construct(public float $sewing, public float $cutting, public float $folding = 0.0) {}

    /** The sum of independent errors scatters with the root of the sum of their squares. */
    public function ofSeam(bool $isOpen): float
    {
        return sqrt($this->sewing ** 2 + 2 * $this->cutting ** 2 + ($isOpen ? 0.0 : $this->folding ** 2));
    }

    public function sewnTwiceAsEvenly(): self
    {
        return new self($this->sewing / 2, $this->cutting, $this->folding);
    }
}
