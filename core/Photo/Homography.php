<?php

declare(strict_types=1);

namespace KeenSeam\Core\Photo;

/** From one plane to another as a camera sees it: straight lines stay straight. */
final readonly class Homography
{
    /** @param list<float> $m nine numbers, row by row */
    private function __construct(public array $m) {}

    /** @param list<float> $matrix nine numbers, row by row */
    public static function of(array $matrix): self
    {
        return new self($matrix);
    }

    /**
     * @param array{array{float, float}, array{float, float}, array{float, float}, array{float, float}} $corners to which the corners of the rectangle go, from its upper left one clockwise
     *
     * @throws PhotoNotReadable when three of them lie on a line
     */
    public static function fromRectangle(float $width, float $height, array $corners): self
    {
        foreach ([[0, 1, 2], [1, 2, 3], [2, 3, 0], [3, 0, 1]] as [$a, $b, $c]) {
            $area = ($corners[$b][0] - $corners[$a][0]) * ($corners[$c][1] - $corners[$a][1]) - ($corners[$b][1] - $corners[$a][1]) * ($corners[$c][0] - $corners[$a][0]);
            if ($area < 1) {
                throw PhotoNotReadable::corners();
            }
        }
        [[$x0, $y0], [$x1, $y1], [$x2, $y2], [$x3, $y3]] = $corners;
        [$sx, $sy] = [$x0 - $x1 + $x2 - $x3, $y0 - $y1 + $y2 - $y3];
        [$dx1, $dx2, $dy1, $dy2] = [$x1 - $x2, $x3 - $x2, $y1 - $y2, $y3 - $y2];
        $det = $dx1 * $dy2 - $dx2 * $dy1;
        $g = ($sx * $dy2 - $dx2 * $sy) / $det;
        $h = ($dx1 * $sy - $sx * $dy1) / $det;

        return new self([
            ($x1 - $x0 + $g * $x1) / $width, ($x3 - $x0 + $h * $x3) / $height, $x0,
            ($y1 - $y0 + $g * $y1) / $width, ($y3 - $y0 + $h * $y3) / $height, $y0,
            $g / $width, $h / $height, 1.0,
        ]);
    }

    /** @return array{float, float} */
    public function at(float $x, float $y): array
    {
        $m = $this->m;
        $w = $m[6] * $x + $m[7] * $y + $m[8];

        return [($m[0] * $x + $m[1] * $y + $m[2]) / $w, ($m[3] * $x + $m[4] * $y + $m[5]) / $w];
    }
}
