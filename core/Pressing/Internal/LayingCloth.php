<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Pressing\Flap;

/**
 * Pieces of cloth in the order in which they lie, in heaps of heaps with the box each heap fits in: a seam looks only
 * into those that it comes near.
 *
 * @internal
 */
final readonly class LayingCloth
{
    /** @var array{float, float, float, float} left, top, right, bottom */
    private array $box;

    /** @param list<self|Flap> $heap from the lowest to the topmost as one looks at the back */
    public function __construct(private array $heap)
    {
        [$left, $top, $right, $bottom] = [INF, INF, -INF, -INF];
        foreach ($heap as $part) {
            foreach ($part instanceof Flap ? $part->corners : [[$part->box[0], $part->box[1]], [$part->box[2], $part->box[3]]] as [$x, $y]) {
                $left = $x < $left ? $x : $left;
                $right = $x > $right ? $x : $right;
                $top = $y < $top ? $y : $top;
                $bottom = $y > $bottom ? $y : $bottom;
            }
        }
        $this->box = [$left, $top, $right, $bottom];
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
        if ($this->heap === []) {
            return null;
        }
        $nearest = $x * ($x > 0 ? $this->box[0] : $this->box[2]) + $y * ($y > 0 ? $this->box[1] : $this->box[3]) + $c;
        if ($nearest > 0) {
            return $this;
        }
        $own = [];
        foreach ($this->heap as $part) {
            $kept = $part instanceof Flap ? self::cut($part, $x, $y, $c) : $part->dividedAt($x, $y, $c, $past);
            if ($kept !== null) {
                $own[] = $kept;
            }
            $reached = $part instanceof Flap && $kept !== $part ? self::cut($part->asAllowance(), -$x, -$y, -$c) : null;
            if ($reached !== null) {
                $past[] = $reached;
            }
        }

        return $own === [] ? null : new self($own);
    }

    /** The part of it where x·X + y·Y + c >= 0; the very same where that is all of it, null where it is nothing. */
    public static function cut(Flap $flap, float $x, float $y, float $c): ?Flap
    {
        [$nearest, $farthest] = self::range($flap, $x, $y);
        if ($nearest + $c > 0) {
            return $flap;
        }
        $corners = $farthest + $c > 0 ? Clipping::clipped($flap->corners, $x, $y, $c) : [];

        return $corners === [] ? null : $flap->withCorners($corners);
    }

    /** @return array{float, float} from where to where a piece reaches in a direction */
    public static function range(Flap $flap, float $x, float $y): array
    {
        [$least, $most] = [INF, -INF];
        foreach ($flap->corners as [$cornerX, $cornerY]) {
            $at = $x * $cornerX + $y * $cornerY;
            $least = $at < $least ? $at : $least;
            $most = $at > $most ? $at : $most;
        }

        return [$least, $most];
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
