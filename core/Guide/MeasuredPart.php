<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;

/** The size of a part as it was measured, beside what it was to be. */
final readonly class MeasuredPart
{
    /**
     * @param array{Length, Length} $size   raw width and height
     * @param array{Length, Length} $meant  raw
     * @param array{float, float}   $across how many seams took from the width and from the height, see SeamsAcross
     * @param Length                $ideal  what each of them should have taken
     * @param LengthUnit            $unit   in which it was measured
     * @param bool                  $isUnit a unit before it was squared up, which may be larger
     */
    public function __construct(
        public array $size,
        public array $meant,
        public array $across,
        public Length $ideal,
        public LengthUnit $unit,
        public bool $isUnit,
    ) {}

    /** Inches by which the side that is off most is too large; negative where it is too small. */
    public function off(): Fraction
    {
        [$wide, $high] = [$this->offBy(0), $this->offBy(1)];

        return $wide->absolute()->compareTo($high->absolute()) >= 0 ? $wide : $high;
    }

    /** @return list<Length> what each seam took, for each side that seams took from */
    public function takeUps(): array
    {
        $all = [];
        foreach ($this->across as $side => $seams) {
            if ($seams > 0) {
                $inches = $this->ideal->inches->minus($this->offBy($side)->dividedBy(Fraction::of((int) round(1000 * $seams), 1000)));
                $all[] = Length::ofInches($inches->numerator, $inches->denominator);
            }
        }

        return $all;
    }

    private function offBy(int $side): Fraction
    {
        return $this->size[$side]->inches->minus($this->meant[$side]->inches);
    }
}
