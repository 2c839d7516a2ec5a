<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing;

/** A line of words, from where it begins on its base line. */
final readonly class Lettering implements Shape
{
    /** @param float $size height of the type, as typographers tell it */
    public function __construct(
        public float $x,
        public float $y,
        public string $text,
        public float $size,
        public bool $isBold = false,
        public string $colour = Palette::INK,
        public Anchor $anchor = Anchor::Start,
    ) {}

    public function placed(float $right, float $down, float $scale): self
    {
        return new self($right + $this->x * $scale, $down + $this->y * $scale, $this->text, $this->size * $scale, $this->isBold, $this->colour, $this->anchor);
    }
}
