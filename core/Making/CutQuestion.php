<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\LengthUnit;

/** How a quilter wants a block cut. */
final readonly class CutQuestion
{
    public const MOST_BLOCKS = 400;

    /**
     * @param int                        $blocks      how many of the block
     * @param array<string, string>      $ways        key of the way she chose, by the class's label
     * @param array<string, BuildChoice> $builds      by the class's label; all alike if left out
     * @param int|null                   $marks       of the ruler to the inch or millimetre; 8, or 1 for millimetres, if null
     * @param Fraction|null              $usableWidth of the fabric, in the block's unit; 42 in if null
     */
    public function __construct(
        public int $blocks = 1,
        public Preference $preference = Preference::LeastCloth,
        public array $ways = [],
        public Margins $margins = new Margins(),
        public ?int $marks = null,
        public ?Fraction $usableWidth = null,
        public array $builds = [],
    ) {}

    public function marksFor(LengthUnit $unit): int
    {
        return $this->marks ?? ($unit === LengthUnit::Inch ? 8 : 1);
    }

    public function widthFor(LengthUnit $unit): Fraction
    {
        return $this->usableWidth ?? ($unit === LengthUnit::Inch ? Fraction::of(42) : Fraction::of(1060));
    }

    /** Whether anything is asked of single units or stacks. */
    public function choosesUnits(): bool
    {
        return $this->ways !== [] || $this->builds !== [] || $this->margins->units !== [] || $this->margins->stacks !== [];
    }

    public function buildOf(string $label): BuildChoice
    {
        return $this->builds[$label] ?? BuildChoice::Alike;
    }
}
