<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching;

/** One end of a join at the machine: the angles that meet there, how far each raw edge reaches, what hangs over. */
final readonly class JoinEnd
{
    /** Angles and lengths that differ by less are the same; both come from whole-number corners. */
    private const NEAR = 1e-9;

    /**
     * @param array{float, float} $angles between the seam and the next side, of the left and the right part, in radians
     * @param array{float, float} $reach  how far each raw edge goes past the finished corner, in the block's unit
     * @param array{float, float} $sides  how far past it each raw side crosses the stitching line
     */
    public function __construct(
        public array $angles,
        public array $reach,
        public array $sides,
    ) {}

    public function lay(): EndLay
    {
        return match (true) {
            $this->overhang() < self::NEAR => EndLay::Level,
            abs($this->sides[0] - $this->sides[1]) < self::NEAR => EndLay::Vee,
            default => EndLay::Marked,
        };
    }

    /** How far one part hangs over the other along the seam. */
    public function overhang(): float
    {
        return abs($this->reach[0] - $this->reach[1]);
    }

    /** 0 for the left part, 1 for the right one. */
    public function longer(): int
    {
        return $this->reach[0] >= $this->reach[1] ? 0 : 1;
    }

    /** The sharper of the two angles: what the feed meets first. */
    public function sharpness(): float
    {
        return min($this->angles);
    }

    /** Once the seam is open, whether allowance sticks out beyond the raw outline of what it made. */
    public function hasEar(): bool
    {
        return array_sum($this->angles) < M_PI - self::NEAR;
    }

    /**
     * Whether that must stay: where the two make more than a right angle another seam comes to the corner, and what hangs
     * over becomes the allowance of the point there. At a right angle or less nothing later needs it.
     */
    public function mustStay(): bool
    {
        return $this->hasEar() && array_sum($this->angles) > M_PI_2 + self::NEAR;
    }
}
