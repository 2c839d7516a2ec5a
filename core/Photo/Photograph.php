<?php

declare(strict_types=1);

namespace KeenSeam\Core\Photo;

/** The pixels of a photograph, small enough to be looked at one by one; who unpacks a file does so elsewhere. */
final readonly class Photograph
{
    /** @param string $rgb three bytes a pixel, row by row from the upper left */
    public function __construct(
        public int $width,
        public int $height,
        public string $rgb,
    ) {}

    /**
     * How bright it is about a place, as an eye compares: logarithms of red, green and blue. Outside it is what lies nearest.
     *
     * @return array{float, float, float}
     */
    public function lightAt(float $x, float $y): array
    {
        [$red, $green, $blue] = [0, 0, 0];
        $x = max(1, min($this->width - 2, (int) round($x)));
        $y = max(1, min($this->height - 2, (int) round($y)));
        foreach ([[0, 0], [-1, 0], [1, 0], [0, -1], [0, 1]] as [$right, $down]) {
            $at = 3 * (($y + $down) * $this->width + $x + $right);
            $red += ord($this->rgb[$at]);
            $green += ord($this->rgb[$at + 1]);
            $blue += ord($this->rgb[$at + 2]);
        }

        // Below a twentieth of full light a camera tells nothing apart.
        return [log($red / 5 + 12), log($green / 5 + 12), log($blue / 5 + 12)];
    }
}
