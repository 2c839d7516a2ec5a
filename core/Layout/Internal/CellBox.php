<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout\Internal;

use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Geometry\ConvexPolygon;

/**
 * The upright rectangle of a cell, in lattice steps.
 *
 * @internal
 */
final readonly class CellBox
{
    public function __construct(
        public int $x,
        public int $y,
        public int $width,
        public int $height,
    ) {}

    public static function of(ConvexPolygon $outline): self
    {
        $corner = $outline->corner();

        return new self($corner->x, $corner->y, ...$outline->size());
    }

    /** Where the box comes to lie when the whole is flipped left to right if asked, then turned, and stays in its place. */
    public function moved(Placement $by, self $whole): self
    {
        $box = $by->mirrored ? new self($whole->width - $this->x - $this->width, $this->y, $this->width, $this->height) : $this;
        for ($i = 0, $height = $whole->height, $width = $whole->width; $i < $by->turn->quarters(); ++$i) {
            $box = new self($height - $box->y - $box->height, $box->x, $box->height, $box->width);
            [$height, $width] = [$width, $height];
        }

        return $box;
    }

    public function key(): string
    {
        return $this->x.','.$this->y.' '.$this->width.'x'.$this->height;
    }
}
