<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Meeting;
use KeenSeam\Core\Assembly\Piece;
use KeenSeam\Core\Geometry\Box;
use KeenSeam\Core\Geometry\Point;

/**
 * Everything that may bring cloth near a junction, told as a text that is equal for equal surroundings. It may take in
 * more than really matters, never less; it is found with a box instead of all the places where plies are counted.
 *
 * @internal
 */
final class Surroundings
{
    public readonly string $text;

    /** @var list<array{int, int}> join id of each seam that is told of, and the first of its segments that may matter */
    private array $seams = [];

    /** @var array<int, int> number of a seam by join id */
    private array $numbers = [];

    private function __construct(Assembly $root, private readonly Cloth $cloth, private readonly Point $junction, float $radius, private readonly bool $perSegment)
    {
        $this->text = $this->tell($root, Box::ofPoints([$junction])->wider($radius)) ?? '';
    }

    public static function of(Assembly $root, Cloth $cloth, Point $junction, float $radius, bool $perSegment): self
    {
        return new self($root, $cloth, $junction, $radius, $perSegment);
    }

    /**
     * @param array{int, int} $slot join id and segment
     *
     * @return array{int, int} the same told without ids
     */
    public function toNumber(array $slot): array
    {
        $number = $this->numbers[$slot[0]];

        return [$number, $slot[1] - $this->seams[$number][1]];
    }

    /**
     * @param array{int, int} $numbered as toNumber() of equal surroundings gave it
     *
     * @return array{int, int} join id and segment
     */
    public function toSlot(array $numbered): array
    {
        [$join, $first] = $this->seams[$numbered[0]];

        return [$join, $first + $numbered[1]];
    }

    /** @param Box $box where plies are counted */
    private function tell(Assembly $assembly, Box $box): ?string
    {
        while (($assembly = $this->cloth->sewn($assembly)) instanceof Join) {
            $line = $this->cloth->lines[$assembly->id];
            $mirrored = $line->mirroredBox($box);
            [$least, $most] = $line->distances($box);
            [$leftReach, $rightReach] = [$this->cloth->reach($assembly->left), $this->cloth->reach($assembly->right)];
            // The cloth of a part counts where it lies, and where it comes to lie when it is folded back on its own side.
            $ofLeft = self::both($box->overlap($leftReach), $least < 0 ? $mirrored->overlap($leftReach) : null);
            $ofRight = self::both($box->overlap($rightReach), $most > 0 ? $mirrored->overlap($rightReach) : null);
            $isOnlyLeft = $most <= 0 && $ofRight === null && ! $mirrored->touches($leftReach);
            $isOnlyRight = $least >= 0 && $ofLeft === null && ! $mirrored->touches($rightReach);
            if (! $isOnlyLeft && ! $isOnlyRight) {
                return $this->tellJoin($assembly, $line, $box, $ofLeft, $ofRight);
            }
            $assembly = $isOnlyLeft ? $assembly->left : $assembly->right;
        }
        if (! $assembly instanceof Piece) {
            throw new \LogicException('An assembly is a piece or a join.');
        }
        if (! $box->touches($this->cloth->reach($assembly))) {
            return null;
        }

        return implode(' ', array_map(fn (Point $point): string => $point->minus($this->junction)->key(), $assembly->patch->outline->points));
    }

    /**
     * @param Box|null $ofLeft  where cloth of the left part is asked for
     * @param Box|null $ofRight
     */
    private function tellJoin(Join $join, FoldLine $line, Box $box, ?Box $ofLeft, ?Box $ofRight): ?string
    {
        $left = $ofLeft === null ? null : $this->tell($join->left, $ofLeft);
        $right = $ofRight === null ? null : $this->tell($join->right, $ofRight);
        if ($left === null && $right === null) {
            return null;
        }
        $seam = $join->seam;
        $unit = $seam->direction()->reduced();
        $text = '('.$left.'+'.$right.'|'.$unit->key().' '.$unit->cross($this->junction->minus($seam->from)).' '.$join->leftSide;
        $first = 0;
        if ($this->perSegment) {
            [$from, $to] = $box->range($line->alongX, $line->alongY);
            $before = array_filter($line->divisions, static fn (float $division): bool => $division < $from);
            $within = array_filter($line->divisions, static fn (float $division): bool => $division >= $from && $division <= $to);
            $first = count($before);
            $matches = array_intersect_key($join->matchPoints(), $within);
            $text .= implode('', array_map(fn (Meeting $match): string => ' '.$match->at->minus($this->junction)->key(), $matches));
        }
        $this->numbers[$join->id] = count($this->seams);
        $this->seams[] = [$join->id, $first];

        return $text.')';
    }

    private static function both(?Box $a, ?Box $b): ?Box
    {
        return $a?->with($b) ?? $b;
    }
}
