<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide\Internal;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Assembly\UnitName;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Measure\Fraction;

/**
 * What units are called at the table, told apart by their size or their label where several are called alike.
 *
 * @internal
 */
final readonly class UnitNames
{
    public function __construct(private Construction $construction) {}

    /** What a unit is called; with its raw size, or its label, where others are called the same. */
    public function of(UnitClass $class, bool $isSeveral): string
    {
        $name = UnitName::ofClass($class, $isSeveral);
        $same = array_filter($this->construction->classes, static fn (UnitClass $other): bool => $other !== $class && UnitName::ofClass($other, $isSeveral) === $name);
        if ($same === []) {
            return $name;
        }
        $size = $this->rawSize($class->members[0]);
        $isSameSize = array_filter($same, fn (UnitClass $other): bool => $this->rawSize($other->members[0]) === $size) !== [];

        return sprintf('%s (%s)', $name, $isSameSize ? $class->label() : implode(' x ', $size));
    }

    /** What the units of a pile are called. */
    public function ofPile(Pile $pile, bool $isSeveral): string
    {
        return count($pile->classes) > 1 ? UnitName::ofClass($pile->classes[0], $isSeveral).' of both hands' : $this->of($pile->classes[0], $isSeveral);
    }

    /** So many lattice steps with an allowance on both sides. */
    public function raw(int $steps): string
    {
        $block = $this->construction->face->block;

        return Fraction::of($steps, $this->construction->face->lattice->steps)->plus($block->seamAllowance->in($block->unit)->times(Fraction::of(2)))->toText();
    }

    /** @return array{string, string} raw, in the unit's own frame */
    public function rawSize(PlacedUnit $unit): array
    {
        $corner = $unit->outline->corner();
        $size = [0, 0];
        foreach ($unit->outline->points as $point) {
            $size = [max($size[0], $point->x - $corner->x), max($size[1], $point->y - $corner->y)];
        }
        [$width, $height] = $unit->placement->turn->swapsSides() ? [$size[1], $size[0]] : $size;

        return [$this->raw($width), $this->raw($height)];
    }
}
