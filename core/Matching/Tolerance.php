<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching;

use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;

/** How large a miss is left alone, and how large a one is still eased; in the block's unit. */
final readonly class Tolerance
{
    /** Inches. Common practice, no published source. */
    private const LEAVE = [1, 32];

    private const EASE = [1, 8];

    /** Whoever leaves more than this does not mind where points meet. */
    private const MOST = [1, 2];

    private function __construct(
        public float $leave,
        public float $ease,
    ) {}

    public static function usual(LengthUnit $unit): self
    {
        return new self(Length::ofInches(...self::LEAVE)->in($unit)->toFloat(), Length::ofInches(...self::EASE)->in($unit)->toFloat());
    }

    /** @throws ToleranceNotUsable unless the second is no smaller than the first, and neither is half an inch */
    public static function of(Length $leave, Length $ease, LengthUnit $unit): self
    {
        if ($ease->inches->compareTo($leave->inches) < 0 || $ease->inches->compareTo(Length::ofInches(...self::MOST)->inches) > 0) {
            throw ToleranceNotUsable::order();
        }

        return new self($leave->in($unit)->toFloat(), $ease->in($unit)->toFloat());
    }

    public function verdict(float $miss): Verdict
    {
        return match (true) {
            abs($miss) <= $this->leave + 1e-9 => Verdict::Leave,
            abs($miss) <= $this->ease + 1e-9 => Verdict::Ease,
            default => Verdict::Unpick,
        };
    }
}
