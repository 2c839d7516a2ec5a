<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Geometry\Box;
use KeenSeam\Core\Pressing\Flap;

/**
 * Pieces of cloth in the order in which they lie, in heaps of heaps with the box each heap fits in: a seam looks only
 * into those that it comes near.
 *
 * @internal
 */
final readonly class LayingCloth
{
    private Box $box;

    /** @param non-empty-list<self|Flap> $heap from the lowest to the topmost as one looks at the back */
    public function __construct(private array $heap)
    {
        $this->box = Box::round(array_merge(...array_map(static fn (self|Flap $part): array => $part instanceof Flap ? $part->corners : $part->box->corners(), $heap)));
    }

    /** @param list<self|Flap|null> $parts null where there is nothing */
    public static function ofParts(array $parts): ?self
    {
        $heap = array_values(array_filter($parts));

        return $heap === [] ? null : new self($heap);
    }

    /** @return list<Flap> */
    public function flaps(): array
    {
        $flaps = [];
        $this->collect($flaps);

        return $flaps;
    }

    /**
     * Cut along a line.
     *
     * @param list<Flap> $past takes what lies where x·X + y·Y + c < 0, as allowances
     *
     * @return self|null what lies on the other side; null when nothing does
     */
    public function dividedAt(float $x, float $y, float $c, array &$past): ?self
    {
        if ($this->box->range($x, $y)[0] + $c > 0) {
            return $this;
        }
        $own = [];
        foreach ($this->heap as $part) {
            if ($part instanceof self) {
                $own[] = $part->dividedAt($x, $y, $c, $past);
            } else {
                $own[] = $kept = self::cut($part, $x, $y, $c);
                $reached = $kept === $part ? null : self::cut($part->asAllowance(), -$x, -$y, -$c);
                if ($reached !== null) {
                    $past[] = $reached;
                }
            }
        }

        return self::ofParts($own);
    }

    /** The part of it where x·X + y·Y + c >= 0; the very same where that is all of it, null where it is nothing. */
    public static function cut(Flap $flap, float $x, float $y, float $c): ?Flap
    {
        if (self::range($flap, $x, $y)[0] + $c > 0) {
            return $flap;
        }
        $corners = Clipping::clipped($flap->corners, $x, $y, $c);

        return $corners === [] ? null : $flap->withCorners($corners);
    }

    /** @return array{float, float} from where to where a piece reaches in a direction */
    public static function range(Flap $flap, float $x, float $y): array
    {
        $along = array_map(static fn (array $corner): float => $x * $corner[0] + $y * $corner[1], $flap->corners);

        return [min($along), max($along)];
    }

    /** @param list<Flap> $flaps */
    private function collect(array &$flaps): void
    {
        foreach ($this->heap as $part) {
            if ($part instanceof Flap) {
                $flaps[] = $part;
            } else {
                $part->collect($flaps);
            }
        }
    }
}
