<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\Picture;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\Unit;
use KeenSeam\Core\Measure\Fraction;

/** A class of units, with its mirror images, as it has to be made: in its own frame, before it is turned into its cell. */
final readonly class UnitToMake
{
    /**
     * @param string       $label     of the class, as plans number it
     * @param Fraction     $width     finished, in the block's unit of length
     * @param int          $need      how many of this hand
     * @param int          $mirrored  how many of the other hand
     * @param Picture      $picture   what one shows, not turned and not mirrored
     * @param list<string> $lookAlike labels of classes that show the same with other seams
     */
    public function __construct(
        public string $label,
        public Unit $unit,
        public PlacedUnit $first,
        public Fraction $width,
        public Fraction $height,
        public int $need,
        public int $mirrored,
        public Picture $picture,
        public array $lookAlike,
    ) {}

    public function isSquare(): bool
    {
        return $this->width->equals($this->height);
    }

    /** @return list<Fabric> one a patch, in the unit's own order */
    public function fabrics(): array
    {
        return array_map(static fn ($patch): Fabric => $patch->fabric, $this->first->patches());
    }
}
