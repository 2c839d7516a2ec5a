<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

use KeenSeam\Core\Matching\Amount;
use KeenSeam\Core\Matching\BlocksAsMade;
use KeenSeam\Core\Matching\Tolerance;
use KeenSeam\Core\Measure\Grain;
use KeenSeam\Core\Top\Setting;
use KeenSeam\Core\Top\Top;

/** What can be done about blocks that came out at other sizes, and what each way does to the points; in sentences. */
final readonly class SizeWords
{
    public function __construct(private BlocksAsMade $blocks, private Top $top) {}

    /** @return list<string> easing, squaring to the smallest, and, where there are some, other sashes */
    public function sentences(): array
    {
        $cut = $this->blocks->cutOff();
        if ($cut < 1e-9) {
            return [];
        }

        return [$this->easing(), $this->squaring($cut), ...($this->top->sashes === null ? [] : [$this->sashes($cut)])];
    }

    private function easing(): string
    {
        $tolerance = Tolerance::usual($this->top->unit);
        $largest = $this->blocks->largestDifference();

        return match (true) {
            $largest <= $tolerance->leave + 1e-9 => sprintf('Sew them as they are: where two meet they differ by %s at most, which nobody sees.', $this->amount($largest)),
            $largest <= $tolerance->ease + 1e-9 => sprintf('Ease: where two meet they differ by %s at most. Pin the ends and the crossings, the longer one below, on the feed; all points stay.', $this->amount($largest)),
            default => sprintf('Easing is not enough: somewhere two differ by %s, and more than %s puckers.', $this->amount($largest), $this->amount($tolerance->ease)),
        };
    }

    private function squaring(float $cut): string
    {
        $half = $cut / 2;
        $points = $half <= Tolerance::usual($this->top->unit)->leave + 1e-9
            ? 'points at their edges lose nothing that is seen'
            : sprintf('in the next seam points at the edges of the largest lose up to %s', $this->amount($half));
        // On point the blocks lie across: a row is as long as their diagonals.
        $short = $this->blocks->shortBy() * ($this->top->setting === Setting::OnPoint ? M_SQRT2 : 1.0);

        return sprintf(
            'Square all to the smallest: up to %s comes off, half of it on each side; %s%s.',
            $this->amount($cut),
            $points,
            $short < 1e-9 ? '' : sprintf(', and the top becomes %s narrower and %s shorter', $this->amount($short * $this->top->columns), $this->amount($short * $this->top->rows)),
        );
    }

    private function sashes(float $cut): string
    {
        return sprintf('Cut the sashes to suit: beside a smaller block as much wider as it is smaller, up to %s; nothing comes off the blocks, all points stay, and the sashes are not all of one width.', $this->amount($cut));
    }

    private function amount(float $amount): string
    {
        return ltrim(Amount::rounded($amount, $this->top->unit), Grain::ROUNDED).' '.$this->top->unit->value;
    }
}
