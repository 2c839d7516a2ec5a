<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching;

use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\LengthUnit;

/** Strips of one width sewn side by side, pressed and measured: what one seam really takes from the width. */
final readonly class SeamTest
{
    private function __construct(
        public int $strips,
        public Fraction $width,
        public Fraction $measured,
        public Fraction $takeUp,
    ) {}

    /**
     * @param Fraction $width    each strip as it was cut
     * @param Fraction $measured all of them, sewn together and pressed
     * @param Fraction $ideal    two allowances
     *
     * @throws KeenSeamProblem when no seams could have given that
     */
    public static function of(int $strips, Fraction $width, Fraction $measured, Fraction $ideal, LengthUnit $unit): self
    {
        if ($strips < 2 || $strips > 20) {
            throw SeamTestNotLikely::strips($strips);
        }
        $takeUp = $width->times(Fraction::of($strips))->minus($measured)->dividedBy(Fraction::of($strips - 1));
        if ($takeUp->minus($ideal)->absolute()->compareTo($ideal->times(Fraction::of(1, 2))) > 0) {
            $expected = $width->times(Fraction::of($strips))->minus($ideal->times(Fraction::of($strips - 1)));

            throw SeamTestNotLikely::measured($strips, $width, $measured, $expected, $unit);
        }

        return new self($strips, $width, $measured, $takeUp);
    }

    /** What to change at the machine, as the test found it. */
    public function words(Fraction $ideal, LengthUnit $unit): string
    {
        $error = $this->takeUp->minus($ideal);
        if (! $error->isPositive() && $error->numerator === 0) {
            return 'Your seams take exactly what they should. Leave the guide where it is.';
        }
        $half = $error->absolute()->times(Fraction::of(1, 2))->toText();

        return $error->isPositive()
            ? sprintf('Each seam takes %s %s too much. Move the guide %s %s toward the needle, or sew a thread or two scant.', $error->toText(), $unit->value, $half, $unit->value)
            : sprintf('Each seam takes %s %s too little. Move the guide %s %s away from the needle.', $error->absolute()->toText(), $unit->value, $half, $unit->value);
    }
}
