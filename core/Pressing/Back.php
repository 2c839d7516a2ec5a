<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Piece;
use KeenSeam\Core\Pressing\Internal\Cloth;
use KeenSeam\Core\Pressing\Internal\FoldLine;
use KeenSeam\Core\Pressing\Internal\LayingCloth;

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
        return (new self($construction, $pressing))->laid($assembly ?? $construction->root)->flaps();
    }

    private function laid(Assembly $assembly): LayingCloth
    {
        if ($assembly instanceof Piece) {
            return new LayingCloth([new Flap($assembly->patch->id, $this->cloth->outlines[$assembly->patch->id]->corners)]);
        }
        if (! $assembly instanceof Join) {
            throw new \LogicException('An assembly is a piece or a join.');
        }
        $line = $this->cloth->lines[$assembly->id];
        [$leftAllowance, $rightAllowance] = [[], []];
        $left = $this->laid($assembly->left)->dividedAt(-$line->toRightX, -$line->toRightY, -$line->c, $leftAllowance);
        $right = $this->laid($assembly->right)->dividedAt($line->toRightX, $line->toRightY, $line->c, $rightAllowance);
        [$leftAllowance, $rightAllowance] = [self::ranged($line, $leftAllowance), self::ranged($line, $rightAllowance)];
        $folded = $flat = [];
        foreach ($this->pressing->of($assembly) as $segment => $press) {
            $ofLeft = self::besideSegment($line, $leftAllowance, $segment);
            $ofRight = self::besideSegment($line, $rightAllowance, $segment);
            array_push($folded, ...($press->foldsLeft() ? self::foldedOver($line, $ofLeft) : []), ...($press->foldsRight() ? self::foldedOver($line, $ofRight) : []));
            // Seen from the back, the allowance that lies flat covers the one folded under it.
            array_push($flat, ...($press === PressDirection::Right ? $ofLeft : []), ...($press === PressDirection::Left ? $ofRight : []));
        }

        return LayingCloth::ofParts([$left, $right, LayingCloth::ofParts([...$folded, ...$flat])])
            ?? throw new \LogicException('There is cloth on either side of a seam.');
    }

    /**
     * @param list<Flap> $flaps
     *
     * @return list<array{Flap, float, float}> each with where it lies along the seam
     */
    private static function ranged(FoldLine $line, array $flaps): array
    {
        return array_map(static fn (Flap $flap): array => [$flap, ...LayingCloth::range($flap, $line->alongX, $line->alongY)], $flaps);
    }

    /**
     * @param list<array{Flap, float, float}> $flaps as ranged() told them
     *
     * @return list<Flap>
     */
    private static function besideSegment(FoldLine $line, array $flaps, int $segment): array
    {
        $from = $line->divisions[$segment - 1] ?? -INF;
        $to = $line->divisions[$segment] ?? INF;
        $beside = [];
        foreach ($flaps as [$flap, $start, $end]) {
            if ($end > $from && $start < $to) {
                $part = LayingCloth::cut($flap, $line->alongX, $line->alongY, -$from);
                $beside[] = $part === null ? null : LayingCloth::cut($part, -$line->alongX, -$line->alongY, $to);
            }
        }

        return array_values(array_filter($beside));
    }

    /**
     * @param list<Flap> $flaps
     *
     * @return list<Flap> mirrored at the seam, lowest and topmost changed over
     */
    private static function foldedOver(FoldLine $line, array $flaps): array
    {
        return array_map(static fn (Flap $flap): Flap => $flap->foldedOver(
            array_map(static fn (array $corner): array => $line->mirrored($corner[0], $corner[1]), $flap->corners),
        ), array_reverse($flaps));
    }
}
