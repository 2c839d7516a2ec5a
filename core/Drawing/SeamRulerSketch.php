<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing;

use KeenSeam\Core\Matching\Amount;
use KeenSeam\Core\Matching\JoinSheet;
use KeenSeam\Core\Matching\Mark;
use KeenSeam\Core\Matching\MarkSide;
use KeenSeam\Core\Measure\LengthUnit;

/**
 * A join as its two edges lying on each other, to scale along the seam: the left part above, the right part below, the tape
 * between. Millimetres of paper.
 */
final readonly class SeamRulerSketch
{
    private const BAND = 8.0;

    private const TAPE = 9.0;

    /** Millimetres between the figures of the tape, at least. */
    private const APART = 9.0;

    private float $scale;

    /** Where the finished corner at the start lies: both raw edges reach past it. */
    private float $zero;

    private float $length;

    private function __construct(private JoinSheet $sheet, private Palette $palette, private Typesetter $setter, private LengthUnit $unit, float $width)
    {
        $this->zero = max($sheet->ends[0]->reach);
        $this->length = $this->zero + max($sheet->real) + max($sheet->ends[1]->reach);
        $this->scale = $width / $this->length;
    }

    /** @param float $width in millimetres */
    public static function of(JoinSheet $sheet, Palette $palette, Typesetter $setter, LengthUnit $unit, float $width): Fitted
    {
        return (new self($sheet, $palette, $setter, $unit, $width))->fitted();
    }

    private function fitted(): Fitted
    {
        $shapes = [...$this->edge(0), ...$this->edge(1), Area::rectangle(0, self::BAND, $this->length * $this->scale, self::TAPE, Palette::PAPER, Palette::INK, 0.15), ...$this->ticks()];
        $free = -INF;
        foreach ($this->sheet->marks as $mark) {
            array_push($shapes, ...$this->mark($mark));
            // Figures that have no room stand in the words below.
            $words = Amount::rounded($mark->fromEdge[0], $this->unit);
            $half = $this->setter->width($words, Typesetter::SMALL, true) / 2;
            $x = $this->at($mark, 0);
            if ($x - $half > $free) {
                array_push($shapes, ...$this->setter->label($words, $x, 2 * self::BAND + self::TAPE + 3.6, Typesetter::SMALL, Anchor::Middle, true)->shapes);
                $free = $x + $half + 1;
            }
        }

        return new Fitted(2 * self::BAND + self::TAPE + 4.5, $shapes);
    }

    /**
     * Patches along an edge reach to its raw ends, which slant as the part's next side does; between, seams lie where they
     * really come out.
     *
     * @return list<Area>
     */
    private function edge(int $side): array
    {
        $edge = $this->sheet->edges[$side];
        $last = count($edge) - 1;
        $slant = fn (int $end): float => cos($this->sheet->ends[$end]->angles[$side]) / sin($this->sheet->ends[$end]->angles[$side]);
        $y = static fn (float $inward): float => $side === 0 ? self::BAND - $inward : self::BAND + self::TAPE + $inward;
        // What leans outward ends where the picture does.
        $within = fn (float $x): float => max(0.0, min($this->length * $this->scale, $x));
        $areas = [];
        foreach ($edge as $i => [$from, $to, $fabric]) {
            $stretch = $last === 0 ? $this->sheet->real[$side] : $to;
            $left = ($i === 0 ? $this->zero - $this->sheet->ends[0]->reach[$side] : $this->zero + $from) * $this->scale;
            $right = ($i === $last ? $this->zero + $this->sheet->real[$side] + $this->sheet->ends[1]->reach[$side] : $this->zero + $stretch) * $this->scale;
            [$leftSlant, $rightSlant] = [$i === 0 ? $slant(0) : 0.0, $i === $last ? $slant(1) : 0.0];
            // A steep side would cross the other within the picture: then the band ends where they meet.
            $depth = min(self::BAND, $leftSlant + $rightSlant > 1e-9 ? ($right - $left) / ($leftSlant + $rightSlant) : INF);
            $areas[] = new Area([[$left, $y(0)], [$right, $y(0)], [$within($right - $rightSlant * $depth), $y($depth)], [$within($left + $leftSlant * $depth), $y($depth)]], $this->palette->face($fabric), Palette::INK, 0.15, 'edge');
        }

        return $areas;
    }

    /** @return list<Shape> */
    private function ticks(): array
    {
        $step = 1000.0;
        foreach ($this->unit === LengthUnit::Inch ? [0.5, 1, 2, 3, 4, 6, 12] : [10, 20, 50, 100, 200, 500] as $candidate) {
            if ($candidate * $this->scale >= self::APART) {
                $step = $candidate;
                break;
            }
        }
        $shapes = [];
        for ($at = 0; $at * $step <= $this->length + 1e-9; ++$at) {
            $x = $at * $step * $this->scale;
            $shapes[] = new Stroke([[$x, self::BAND], [$x, self::BAND + 1.6]], Palette::INK, 0.15);
            array_push($shapes, ...($at === 0 || $x > $this->length * $this->scale - 2 ? [] : $this->setter->label((string) ($at * $step), $x, self::BAND + 4, 2.3, Anchor::Middle, false, Palette::SOFT)->shapes));
        }

        return $shapes;
    }

    /** @param 0|1 $side marks are told from each part's own raw corner */
    private function at(Mark $mark, int $side): float
    {
        return ($this->zero - $this->sheet->ends[0]->reach[$side] + $mark->fromEdge[$side]) * $this->scale;
    }

    /** @return list<Shape> */
    private function mark(Mark $mark): array
    {
        $places = [$this->at($mark, 0), $this->at($mark, 1)];
        $shapes = [];
        foreach ([[$mark->left, $places[0], self::BAND, -1], [$mark->right, $places[1], self::BAND + self::TAPE, 1]] as [$what, $x, $y, $out]) {
            if ($what === MarkSide::Tip) {
                $shapes[] = new Area([[$x, $y], [$x - 2, $y + $out * 5], [$x + 2, $y + $out * 5]], Palette::PAPER, Palette::INK, 0.25, 'tip');
            } elseif ($what === MarkSide::Seam) {
                $shapes[] = new Stroke([[$x, $y], [$x, $y + $out * self::BAND]], Palette::INK, 0.45, [1.4, 0.9], 'seam');
            }
        }
        $shapes[] = new Stroke([[$places[0], self::BAND], [$places[1], self::BAND + self::TAPE]], Palette::INK, 0.5, [], 'pin');

        return [
            ...$shapes,
            ...$mark->nest === null ? [] : StateMark::of($mark->nest, [($places[0] + $places[1]) / 2, self::BAND + self::TAPE * 0.72], 4.2),
        ];
    }
}
