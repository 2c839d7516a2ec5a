<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Piece;
use KeenSeam\Core\Pressing\Internal\Clipping;
use KeenSeam\Core\Pressing\Internal\Cloth;

/**
 * The back of the pressed block: every piece of cloth with its allowances as they lie, folded and trimmed by the
 * seams they were sewn into. The same folding rule as Layers, followed with outlines instead of points.
 */
final class Back
{
    private readonly Cloth $cloth;

    private function __construct(Construction $construction, private readonly Pressing $pressing)
    {
        $this->cloth = new Cloth($construction);
    }

    /**
     * @param Assembly|null $assembly the part of the block to show, pressed so far; the whole block when left out
     *
     * @return list<Flap> from the lowest to the topmost as one looks at the back
     */
    public static function of(Construction $construction, Pressing $pressing, ?Assembly $assembly = null): array
    {
        return (new self($construction, $pressing))->flaps($assembly ?? $construction->root);
    }

    /** @return list<Flap> */
    private function flaps(Assembly $assembly): array
    {
        if ($assembly instanceof Piece) {
            return [new Flap($assembly->patch->id, $this->cloth->outlines[$assembly->patch->id]->corners)];
        }
        if (! $assembly instanceof Join) {
            throw new \LogicException('An assembly is a piece or a join.');
        }
        [$leftBody, $leftAllowance] = $this->divided($assembly, $assembly->left, -1.0);
        [$rightBody, $rightAllowance] = $this->divided($assembly, $assembly->right, 1.0);
        $folded = $flat = [];
        foreach ($this->pressing->of($assembly) as $segment => $press) {
            $ofLeft = $this->besideSegment($assembly, $leftAllowance, $segment);
            $ofRight = $this->besideSegment($assembly, $rightAllowance, $segment);
            $folded = [
                ...$folded,
                ...($press->foldsLeft() ? $this->foldedOver($assembly, $ofLeft) : []),
                ...($press->foldsRight() ? $this->foldedOver($assembly, $ofRight) : []),
            ];
            // Seen from the back, the allowance that lies flat covers the one folded under it.
            $flat = [
                ...$flat,
                ...($press === PressDirection::Right ? $ofLeft : []),
                ...($press === PressDirection::Left ? $ofRight : []),
            ];
        }

        return [...$leftBody, ...$rightBody, ...$folded, ...$flat];
    }

    /** @return array{list<Flap>, list<Flap>} what lies on the part's own side of the seam, and what reaches past it */
    private function divided(Join $join, Assembly $part, float $ownSide): array
    {
        $line = $this->cloth->lines[$join->id];
        $own = $past = [];
        foreach ($this->flaps($part) as $flap) {
            $own[] = $this->cut($flap, $line->toRightX * $ownSide, $line->toRightY * $ownSide, $line->c * $ownSide);
            $past[] = $this->cut($flap->asAllowance(), $line->toRightX * -$ownSide, $line->toRightY * -$ownSide, $line->c * -$ownSide);
        }

        return [array_merge(...$own), array_merge(...$past)];
    }

    /**
     * @param list<Flap> $flaps
     *
     * @return list<Flap>
     */
    private function besideSegment(Join $join, array $flaps, int $segment): array
    {
        $line = $this->cloth->lines[$join->id];
        $from = $line->divisions[$segment - 1] ?? null;
        $to = $line->divisions[$segment] ?? null;
        if ($from !== null) {
            $flaps = array_merge(...array_map(fn (Flap $flap): array => $this->cut($flap, $line->alongX, $line->alongY, -$from), $flaps));
        }
        if ($to !== null) {
            $flaps = array_merge(...array_map(fn (Flap $flap): array => $this->cut($flap, -$line->alongX, -$line->alongY, $to), $flaps));
        }

        return $flaps;
    }

    /**
     * @param list<Flap> $flaps
     *
     * @return list<Flap> mirrored at the seam, lowest and topmost changed over
     */
    private function foldedOver(Join $join, array $flaps): array
    {
        $line = $this->cloth->lines[$join->id];

        return array_map(static fn (Flap $flap): Flap => $flap->foldedOver(
            array_map(static fn (array $corner): array => $line->mirrored($corner[0], $corner[1]), $flap->corners),
        ), array_reverse($flaps));
    }

    /** @return list<Flap> one, or none when nothing is left */
    private function cut(Flap $flap, float $x, float $y, float $c): array
    {
        $corners = Clipping::clipped($flap->corners, $x, $y, $c);

        return $corners === [] ? [] : [$flap->withCorners($corners)];
    }
}
