<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing;

/** Shapes within a frame: what the screen, the paper and a picture file show alike. */
final readonly class Sketch
{
    /** @param list<Shape> $shapes from the lowest to the uppermost */
    public function __construct(
        public float $left,
        public float $top,
        public float $width,
        public float $height,
        public array $shapes,
    ) {}

    /**
     * Its shapes with the frame's upper left corner put there.
     *
     * @return list<Shape>
     */
    public function placed(float $right, float $down, float $scale): array
    {
        return array_map(fn (Shape $shape): Shape => $shape->placed($right - $this->left * $scale, $down - $this->top * $scale, $scale), $this->shapes);
    }
}
