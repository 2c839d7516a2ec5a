<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing;

use KeenSeam\Core\Drawing\Internal\Places;

/** A filled outline. */
final readonly class Area implements Shape
{
    private Places $places;

    /**
     * @param list<array{float, float}> $corners
     * @param string|null               $fill    "#3b5b7a"; null where only its edge is drawn
     * @param string|null               $edge    colour of its outline; null for none
     * @param float                     $thick   of the outline
     * @param string                    $part    what it is, for whoever reads the picture: "patch", "allowance", "arrow"
     */
    public function __construct(
        array $corners,
        public ?string $fill,
        public ?string $edge = null,
        public float $thick = 0.0,
        public string $part = '',
    ) {
        $this->places = new Places($corners);
    }

    /** @return list<array{float, float}> */
    public function corners(): array
    {
        return $this->places->all();
    }

    public function placed(float $right, float $down, float $scale): self
    {
        return new self($this->places->placed($right, $down, $scale), $this->fill, $this->edge, $this->thick * $scale, $this->part);
    }

    /** @param string|null $fill and $edge, as the constructor takes them */
    public static function rectangle(float $left, float $top, float $width, float $height, ?string $fill, ?string $edge = null, float $thick = 0.0, string $part = ''): self
    {
        return new self([[$left, $top], [$left + $width, $top], [$left + $width, $top + $height], [$left, $top + $height]], $fill, $edge, $thick, $part);
    }

    /** A circle, near enough for any eye. */
    public static function disc(float $x, float $y, float $radius, ?string $fill, ?string $edge = null, float $thick = 0.0, string $part = ''): self
    {
        $corners = [];
        for ($i = 0; $i < 32; ++$i) {
            $corners[] = [$x + $radius * cos($i * M_PI / 16), $y + $radius * sin($i * M_PI / 16)];
        }

        return new self($corners, $fill, $edge, $thick, $part);
    }
}
