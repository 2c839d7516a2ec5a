<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing;

/** A line from point to point. */
final readonly class Stroke implements Shape
{
    /**
     * @param list<array{float, float}> $points
     * @param list<float>               $dashes lengths drawn and left out in turn; none for a whole line
     * @param string                    $part   what it is: "stitches", "knife"
     */
    public function __construct(
        public array $points,
        public string $colour,
        public float $thick,
        public array $dashes = [],
        public string $part = '',
    ) {}

    public function placed(float $right, float $down, float $scale): self
    {
        return new self(
            array_map(static fn (array $point): array => [$right + $point[0] * $scale, $down + $point[1] * $scale], $this->points),
            $this->colour,
            $this->thick * $scale,
            array_map(static fn (float $dash): float => $dash * $scale, $this->dashes),
            $this->part,
        );
    }
}
