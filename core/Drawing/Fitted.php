<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing;

/** Something that is set already and only wants a place on a page: its upper left corner is at 0, 0; millimetres. */
final readonly class Fitted
{
    /** @param list<Shape> $shapes */
    public function __construct(
        public float $height,
        public array $shapes,
    ) {}

    public static function ofSketch(Sketch $sketch, float $width, float $left = 0.0): self
    {
        $scale = $width / $sketch->width;

        return new self($sketch->height * $scale, $sketch->placed($left, 0, $scale));
    }

    /** One below the other. */
    public static function below(float $gap, self ...$parts): self
    {
        $down = 0.0;
        $shapes = [];
        foreach ($parts as $number => $part) {
            $down += $number === 0 ? 0 : $gap;
            array_push($shapes, ...$part->placed(0, $down));
            $down += $part->height;
        }

        return new self($down, $shapes);
    }

    /** Side by side, their upper edges level: each with how far from the left it begins. */
    public static function beside(self $first, float $right, self $second): self
    {
        return new self(max($first->height, $second->height), [...$first->shapes, ...$second->placed($right, 0)]);
    }

    /** The same with room above it. */
    public function lowered(float $by): self
    {
        return new self($this->height + $by, $this->placed(0, $by));
    }

    /** @return list<Shape> */
    public function placed(float $right, float $down): array
    {
        return array_map(static fn (Shape $shape): Shape => $shape->placed($right, $down, 1), $this->shapes);
    }
}
