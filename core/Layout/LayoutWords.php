<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout;

use KeenSeam\Core\Block\PlacedUnit;

/** What is to be said of a layout as a whole. */
final class LayoutWords
{
    /** Places that are named one by one. */
    private const NAMED = 4;

    /** @param int $odd units that break the symmetry, without those that are meant to */
    public static function symmetry(Symmetry $symmetry, int $odd): string
    {
        return match (true) {
            $symmetry === Symmetry::None => 'No symmetry that most of the block keeps.',
            $odd === 0 => 'The block is '.$symmetry->words().'.',
            default => sprintf('The block is %s, but for %s.', $symmetry->words(), $odd === 1 ? '1 odd one' : $odd.' odd ones'),
        };
    }

    /** "12 units look right along their first seam even when they lie wrongly"; '' where there is none. */
    public static function lookTwice(int $units): string
    {
        return match ($units) {
            0 => '',
            1 => '1 unit looks right along its first seam even when it lies wrongly.',
            default => "$units units look right along their first seam even when they lie wrongly.",
        };
    }

    public static function tooClose(TooClose $pair): string
    {
        $places = array_map(static fn (PlacedUnit $unit): string => sprintf('row %d column %d', $unit->cell->row, $unit->cell->column), array_slice($pair->units, 0, self::NAMED));

        return sprintf(
            '%s in %s, %s%s.',
            $pair->one->key === $pair->other->key
                ? sprintf('%s lies on %s: no figure shows', $pair->one->name, $pair->other->name)
                : sprintf('%s and %s are close in value: the figure may not show', $pair->one->name, $pair->other->name),
            count($pair->units) === 1 ? '1 unit' : count($pair->units).' units',
            implode('; ', $places),
            count($pair->units) > self::NAMED ? ' and more' : '',
        );
    }

    /** Said before copies follow: across a mirror line they come out in the other hand. '' where they do not. */
    public static function otherHand(Symmetry $symmetry, Hand $from): string
    {
        return $symmetry->isMirroring() ? sprintf('Copies across a mirror line come out in the other hand: from this %s one, %s ones.', $from->value, $from->other()->value) : '';
    }
}
