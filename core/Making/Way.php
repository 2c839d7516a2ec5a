<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

/** A way to make a unit: what is cut, what is done with it, and what one batch gives. */
final readonly class Way
{
    /**
     * @param string       $key          "two-at-a-time"
     * @param string       $words        as a quilter says it
     * @param list<Piece>  $pieces       that one batch takes
     * @param int          $own          units of the wanted hand in a batch
     * @param int          $other        units of the other hand
     * @param bool         $isEitherHand whether the quilter chooses the hand as she sews, one unit at a time
     * @param int          $seams        sewn for one batch
     * @param bool         $isOuterBias  whether the unit's outer edges end on the bias
     * @param list<string> $steps        place, mark, sew, cut, open, press, square up: a few words each
     * @param string       $note         what to know before choosing it
     * @param bool         $isByChoice   whether it is only taken when the quilter asks for it: other seams, or paper
     * @param Sketch|null  $sketch       of how it is begun; null where there is nothing to lay and mark
     * @param string       $bonus        small units that come out of the waste of each unit, if it is sewn first
     */
    public function __construct(
        public string $key,
        public string $words,
        public array $pieces,
        public int $own,
        public int $other,
        public bool $isEitherHand,
        public int $seams,
        public bool $isOuterBias,
        public array $steps,
        public string $note = '',
        public string $bonus = '',
        public bool $isByChoice = false,
        public ?Sketch $sketch = null,
    ) {}

    /** How many batches give the wanted units of each hand; null when this way never makes one of them. */
    public function batches(int $need, int $mirrored): ?int
    {
        if ($this->isEitherHand) {
            return intdiv($need + $mirrored + $this->own - 1, $this->own);
        }
        $batches = 0;
        foreach ([[$need, $this->own], [$mirrored, $this->other]] as [$wanted, $made]) {
            if ($wanted > 0 && $made === 0) {
                return null;
            }
            $batches = max($batches, $made === 0 ? 0 : intdiv($wanted + $made - 1, $made));
        }

        return $batches;
    }

    /** @return list<string> of its steps, those that draw a line */
    public function marking(): array
    {
        return array_values(array_filter($this->steps, self::draws(...)));
    }

    /**
     * Before which round of sewing lines are drawn: across a seam only when that seam is pressed.
     *
     * @param int $rounds in which the unit is sewn
     */
    public function markedBefore(int $rounds): int
    {
        foreach ($this->steps as $step) {
            if (self::draws($step)) {
                break;
            }
            if (str_starts_with($step, 'Make ')) {
                return $rounds - 1;
            }
        }

        return 0;
    }

    private static function draws(string $step): bool
    {
        return preg_match('~\bdraw\b~i', $step) === 1;
    }
}
