<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Measure\Fraction;

/** Fabric that comes in pieces of a fixed size, squares or quarters of a yard: how many of them a cutting list takes. */
final readonly class Precut
{
    /**
     * @param int       $needed   pieces of the fixed size, as they are laid out here
     * @param list<Cut> $tooLarge cannot be cut from them at all
     */
    private function __construct(
        public string $fabric,
        public int $needed,
        public array $tooLarge,
    ) {}

    /**
     * Strips across each piece, the highest first, each piece of cloth filled before the next is begun.
     *
     * @param non-empty-list<Cut> $cuts of one fabric
     */
    public static function of(array $cuts, Fraction $width, Fraction $height): self
    {
        [$long, $short] = $width->compareTo($height) < 0 ? [$height, $width] : [$width, $height];
        $fits = static fn (Cut $cut): bool => $cut->longerSide()->compareTo($long) <= 0
            && ($cut->width->compareTo($cut->height) < 0 ? $cut->width : $cut->height)->compareTo($short) <= 0;
        $small = array_values(array_filter($cuts, $fits));
        $tooLarge = array_values(array_filter($cuts, static fn (Cut $cut): bool => ! $fits($cut)));
        if ($small === []) {
            return new self($cuts[0]->fabric, 0, $tooLarge);
        }
        $free = [];
        foreach (Packing::of($small, $long)->strips as $strip) {
            foreach ($free as $i => $room) {
                if ($room->compareTo($strip['height']) >= 0) {
                    $free[$i] = $room->minus($strip['height']);
                    continue 2;
                }
            }
            $free[] = $short->minus($strip['height']);
        }

        return new self($cuts[0]->fabric, count($free), $tooLarge);
    }
}
