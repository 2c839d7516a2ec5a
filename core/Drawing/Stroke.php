<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing;

use KeenSeam\Core\Drawing\Internal\Places;

/** A line from point to point. */
final readonly class Stroke implements Shape
{
    private Places $places;

    /**
     * @param list<array{float, float}> $points
     * @param list<float>               $dashes lengths drawn and left out in turn; none for a whole line
     * @param string                    $part   what it is: "stitches", "knife"
     */
    public function __construct(
        array $points,
        public string $colour,
        public float $thick,
        public array $dashes = [],
        public string $part = '',
    ) {
        $this->places = new Places($points);
    }

    /** @return list<array{float, float}> */
    public function points(): array
    {
        return $this->places->all();
    }

    public function placed(float $right, float $down, float $scale): self
    {
        return new self(
            $this->places->placed($right, $down, $scale),
            $this->colour,
            $this->thick * $scale,
            array_map(static fn (float $dash): float => $dash * $scale, $this->dashes),
            $this->part,
        );
    }
}
