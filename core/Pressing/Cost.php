<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

/** What a pressing plan costs; smaller is better. Which figures count first is the style's business. */
final readonly class Cost
{
    /** Shadow is weighed in billionths of the block's unit of length, so that sums do not depend on their order. */
    public const SHADOW_STEPS = 1_000_000_000;

    /**
     * @param int $mismatch    twice the stacked match points plus the lopsided ones
     * @param int $peakSquared sum over junctions of the most plies, squared
     * @param int $folded      seam ends folded back
     * @param int $shadowSteps length of seams pressed toward a lighter patch from a darker one, in billionths
     * @param int $furls       places where a join changes its direction
     * @param int $overLump    plies above the limit of style mixed, summed over junctions
     * @param int $unlocked    three times the stacked, twice the lopsided and once the flat match points
     */
    public function __construct(
        public int $mismatch = 0,
        public int $peakSquared = 0,
        public int $folded = 0,
        public int $shadowSteps = 0,
        public int $furls = 0,
        public int $overLump = 0,
        public int $unlocked = 0,
    ) {}

    public static function ofShadow(float $length): self
    {
        return new self(shadowSteps: (int) round($length * self::SHADOW_STEPS));
    }

    public static function ofPeak(int $peak, int $lump): self
    {
        return new self(peakSquared: $peak ** 2, overLump: max(0, $peak - $lump));
    }

    public static function ofNesting(Nesting $nesting): self
    {
        return new self(mismatch: $nesting->mismatch(), unlocked: $nesting->unlocked());
    }

    public function plus(self $other): self
    {
        return new self(
            $this->mismatch + $other->mismatch,
            $this->peakSquared + $other->peakSquared,
            $this->folded + $other->folded,
            $this->shadowSteps + $other->shadowSteps,
            $this->furls + $other->furls,
            $this->overLump + $other->overLump,
            $this->unlocked + $other->unlocked,
        );
    }

    public function times(int $copies): self
    {
        return new self(
            $this->mismatch * $copies,
            $this->peakSquared * $copies,
            $this->folded * $copies,
            $this->shadowSteps * $copies,
            $this->furls * $copies,
            $this->overLump * $copies,
            $this->unlocked * $copies,
        );
    }

    /** The dearer of the two in every figure by itself. */
    public function most(self $other): self
    {
        return new self(
            max($this->mismatch, $other->mismatch),
            max($this->peakSquared, $other->peakSquared),
            max($this->folded, $other->folded),
            max($this->shadowSteps, $other->shadowSteps),
            max($this->furls, $other->furls),
            max($this->overLump, $other->overLump),
            max($this->unlocked, $other->unlocked),
        );
    }

    public function compareTo(self $other, PressStyle $style): int
    {
        return array_values($this->figures($style)) <=> array_values($other->figures($style));
    }

    /** @return array<string, int> in the order in which the style compares them */
    public function figures(PressStyle $style): array
    {
        $figures = [];
        foreach ($style->school()->figures() as $figure) {
            $figures[$figure->value] = $figure->of($this);
        }

        return $figures;
    }

    /** In the block's unit of length, for people: six places at most. */
    public function shadowText(): string
    {
        $text = number_format($this->shadowSteps / self::SHADOW_STEPS, 6, '.', '');

        return rtrim(rtrim($text, '0'), '.');
    }
}
