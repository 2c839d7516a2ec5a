<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\GridUnit;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\Picture;
use KeenSeam\Core\Block\PieceUnit;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\Unit;
use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Measure\Fraction;

/**
 * A class of units, with its mirror images, as it has to be made: in its own frame, before it is turned into its cell. Also
 * a known unit that was found within a drawn one.
 */
final readonly class UnitToMake
{
    /**
     * @param string            $label     of the class, as plans number it; "U2.1" for a part found in U2
     * @param string            $name      what it is called, one of them
     * @param string            $plural    what several are called
     * @param PlacedUnit|null   $first     null for a part of another unit
     * @param Fraction          $width     finished, in the block's unit of length
     * @param int               $need      how many of this hand
     * @param int               $mirrored  how many of the other hand
     * @param Picture           $picture   what one shows, not turned and not mirrored
     * @param list<string>      $lookAlike labels of classes that show the same with other seams
     * @param list<Patch>       $patches   of the first one on the face, in the unit's own order
     * @param ConvexPolygon     $outline   of the first one on the face
     * @param list<list<Patch>> $members   patches of each in one block, both hands
     * @param list<Join>        $joins     of the first one, in the order they are sewn
     * @param list<self>        $parts     known units within it, made before it
     */
    public function __construct(
        public string $label,
        public string $name,
        public string $plural,
        public Unit $unit,
        public ?PlacedUnit $first,
        public Fraction $width,
        public Fraction $height,
        public int $need,
        public int $mirrored,
        public Picture $picture,
        public array $lookAlike,
        public array $patches,
        public ConvexPolygon $outline,
        public array $members,
        public array $joins = [],
        public array $parts = [],
    ) {}

    public function isSquare(): bool
    {
        return $this->width->equals($this->height);
    }

    public function isTwiceAsWideAsHigh(): bool
    {
        return $this->width->equals($this->height->times(Fraction::of(2)));
    }

    /** @return list<Fabric> one a patch, in the unit's own order */
    public function fabrics(): array
    {
        return array_map(static fn (Patch $patch): Fabric => $patch->fabric, $this->patches);
    }

    /** @return list<string> fabric keys, one a patch */
    public function keys(): array
    {
        return array_map(static fn (Fabric $fabric): string => $fabric->key, $this->fabrics());
    }

    /**
     * Two of its fabrics as they are laid on each other: the lighter one on top, where a drawn line shows.
     *
     * @param string $one and $other: fabric keys
     *
     * @return array{Fabric, Fabric} below and above
     */
    public function laid(string $one, string $other): array
    {
        $byKey = [];
        foreach ($this->fabrics() as $fabric) {
            $byKey[$fabric->key] = $fabric;
        }

        return $byKey[$one]->value->rank() < $byKey[$other]->value->rank() ? [$byKey[$other], $byKey[$one]] : [$byKey[$one], $byKey[$other]];
    }

    /** @return list<array{string, list<array{Fraction, Fraction}>}> fabric and finished corners of every patch in the unit's own frame; none for a grid */
    public function outlines(): array
    {
        if (! $this->unit instanceof PieceUnit) {
            return [];
        }

        return array_map(fn (array $piece): array => [$piece[0]->key, array_map(fn (array $corner): array => [$corner[0]->times($this->width), $corner[1]->times($this->height)], $piece[1])], $this->unit->pieces($this->width, $this->height));
    }

    /** @return list<Fraction> every length there is to it */
    public function lengths(): array
    {
        $lengths = [$this->width, $this->height];
        foreach ($this->outlines() as [, $corners]) {
            array_push($lengths, ...array_merge(...$corners));
        }

        return $lengths;
    }

    /** "2 1/2", "4 1/2 x 2 1/2": from raw edge to raw edge. */
    public function rawText(Fraction $allowance): string
    {
        $two = $allowance->times(Fraction::of(2));

        return SizeText::of($this->width->plus($two), $this->height->plus($two));
    }

    /** @return array{Fraction, Fraction} from raw edge to raw edge */
    public function raw(Fraction $allowance): array
    {
        $two = $allowance->times(Fraction::of(2));

        return [$this->width->plus($two), $this->height->plus($two)];
    }

    public function isGrid(): bool
    {
        return $this->unit instanceof GridUnit;
    }
}
