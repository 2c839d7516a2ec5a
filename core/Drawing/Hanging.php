<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing;

use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\FaceKind;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Measure\LengthUnit;

/**
 * From a face's lattice to how it hangs before one's eyes, in the block's unit of length, its upper left corner at 0, 0:
 * a top on point is turned by 45 degrees clockwise, and from the back everything is mirrored.
 */
final readonly class Hanging
{
    public float $width;

    public float $height;

    public LengthUnit $unit;

    private float $left;

    private float $top;

    /** @var float a step of the lattice along the frame, as far as it goes along each direction of what hangs */
    private float $step;

    public function __construct(private Face $face, private bool $isFromBack = false)
    {
        $this->unit = $face->block->unit;
        [$across] = $face->measuredAlong();
        $this->step = 1 / $across[2] / $face->lattice->steps;
        $places = array_map($this->turned(...), array_map(static fn (Point $corner): array => [(float) $corner->x, (float) $corner->y], $face->outline()->points));
        [$xs, $ys] = [array_column($places, 0), array_column($places, 1)];
        [$this->left, $this->top, $this->width, $this->height] = [min($xs), min($ys), max($xs) - min($xs), max($ys) - min($ys)];
    }

    /**
     * @param array{float, float} $place in lattice steps
     *
     * @return array{float, float}
     */
    public function at(array $place): array
    {
        [$x, $y] = $this->turned($place);

        return [$this->isFromBack ? $this->width - ($x - $this->left) : $x - $this->left, $y - $this->top];
    }

    /** @return array{float, float} */
    public function point(Point $point): array
    {
        return $this->at([(float) $point->x, (float) $point->y]);
    }

    /**
     * @param list<Point> $points
     *
     * @return list<array{float, float}>
     */
    public function points(array $points): array
    {
        return array_map($this->point(...), $points);
    }

    /**
     * @param array{float, float} $place
     *
     * @return array{float, float}
     */
    private function turned(array $place): array
    {
        [$x, $y] = $place;

        return $this->face->kind === FaceKind::TopOnPoint ? [($x - $y) * $this->step, ($x + $y) * $this->step] : [$x * $this->step, $y * $this->step];
    }
}
