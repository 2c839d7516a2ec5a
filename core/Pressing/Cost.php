<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

/** What a pressing plan costs; smaller is better, compared from the first figure to the last. */
final readonly class Cost
{
    /** Shadow is weighed in billionths of the block's unit of length, so that sums do not depend on their order. */
    private const SHADOW_STEPS = 1_000_000_000;

    /**
     * @param int $mismatch    twice the stacked match points plus the lopsided ones
     * @param int $peakSquared sum over junctions of the most plies, squared
     * @param int $folded      seam ends folded back
     * @param int $shadowSteps length of seams pressed toward a lighter patch from a darker one, in billionths
     * @param int $furls       places where a join changes its direction
     */
    public function __construct(
        public int $mismatch = 0,
        public int $peakSquared = 0,
        public int $folded = 0,
        public int $shadowSteps = 0,
        public int $furls = 0,
    ) {}

    public static function ofShadow(float $length): self
    {
        return new self(shadowSteps: (int) round($length * self::SHADOW_STEPS));
    }

    public function plus(self $other): self
    {
        return new self(
            $this->mismatch + $other->mismatch,
            $this->peakSquared + $other->peakSquared,
            $this->folded + $other->folded,
            $this->shadowSteps + $other->shadowSteps,
            $this->furls + $other->furls,
        );
    }

    public function compareTo(self $other): int
    {
        return $this->toList() <=> $other->toList();
    }

    public function equals(self $other): bool
    {
        return $this->toList() === $other->toList();
    }

    /** In the block's unit of length, for people: six places at most. */
    public function shadowText(): string
    {
        $text = number_format($this->shadowSteps / self::SHADOW_STEPS, 6, '.', '');

        return rtrim(rtrim($text, '0'), '.');
    }

    /** @return array{int, int, int, int, int} */
    private function toList(): array
    {
        return [$this->mismatch, $this->peakSquared, $this->folded, $this->shadowSteps, $this->furls];
    }
}
