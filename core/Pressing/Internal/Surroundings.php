<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Piece;
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

    /** @param array<int, Assembly> $instead what is sewn instead of a join's part, by the join's id */
    private function __construct(Assembly $root, private readonly Cloth $cloth, private readonly Point $junction, float $radius, private readonly bool $perSegment, private readonly array $instead)
    {
        $this->text = $this->tell($root, [$junction->x - $radius, $junction->y - $radius, $junction->x + $radius, $junction->y + $radius]) ?? '';
    }

    /** @param array<int, Assembly> $instead what is sewn instead of a join's part, by the join's id */
    public static function of(Assembly $root, Cloth $cloth, Point $junction, float $radius, bool $perSegment, array $instead = []): self
    {
        return new self($root, $cloth, $junction, $radius, $perSegment, $instead);
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

    /** @param array{float, float, float, float} $box left, top, right, bottom of where plies are counted */
    private function tell(Assembly $assembly, array $box): ?string
    {
        while ($assembly instanceof Join) {
            $instead = $this->instead[$assembly->id] ?? null;
            if ($instead !== null) {
                $assembly = $instead;
                continue;
            }
            $line = $this->cloth->lines[$assembly->id];
            [$x, $y] = [($box[0] + $box[2]) / 2, ($box[1] + $box[3]) / 2];
            [$width, $height] = [($box[2] - $box[0]) / 2, ($box[3] - $box[1]) / 2];
            $distance = $line->toRightX * $x + $line->toRightY * $y + $line->c;
            $reach = abs($line->toRightX) * $width + abs($line->toRightY) * $height;
            $mirrored = self::mirrored($line, $x, $y, $width, $height, $distance);
            $onRight = $distance > -$reach;
            $onLeft = $distance < $reach;
            [$leftReach, $rightReach] = [$this->reach($assembly->left), $this->reach($assembly->right)];
            // The cloth of a part counts where it lies, and where it comes to lie when it is folded back on its own side.
            $ofLeft = self::joined(self::overlap($box, $leftReach), $onLeft ? self::overlap($mirrored, $leftReach) : null);
            $ofRight = self::joined(self::overlap($box, $rightReach), $onRight ? self::overlap($mirrored, $rightReach) : null);
            $isOnlyLeft = ! $onRight && $ofRight === null && self::overlap($mirrored, $leftReach) === null;
            $isOnlyRight = ! $onLeft && $ofLeft === null && self::overlap($mirrored, $rightReach) === null;
            if (! $isOnlyLeft && ! $isOnlyRight) {
                return $this->tellJoin($assembly, $line, $box, $ofLeft, $ofRight);
            }
            $assembly = $isOnlyLeft ? $assembly->left : $assembly->right;
        }
        if (! $assembly instanceof Piece) {
            throw new \LogicException('An assembly is a piece or a join.');
        }
        if (self::overlap($box, $this->cloth->reach($assembly)) === null) {
            return null;
        }
        $text = '';
        foreach ($assembly->patch->outline->points as $point) {
            $text .= ($point->x - $this->junction->x).','.($point->y - $this->junction->y).' ';
        }

        return $text;
    }

    /**
     * @param array{float, float, float, float}      $box
     * @param array{float, float, float, float}|null $ofLeft  where cloth of the left part is asked for
     * @param array{float, float, float, float}|null $ofRight
     */
    private function tellJoin(Join $join, FoldLine $line, array $box, ?array $ofLeft, ?array $ofRight): ?string
    {
        $left = $ofLeft === null ? null : $this->tell($join->left, $ofLeft);
        $right = $ofRight === null ? null : $this->tell($join->right, $ofRight);
        if ($left === null && $right === null) {
            return null;
        }
        $seam = $join->seam;
        $unit = $seam->direction()->reduced();
        $text = '('.$left.'+'.$right.'|'.$unit->x.','.$unit->y.' '.$unit->cross($this->junction->minus($seam->from)).' '.$join->leftSide;
        $first = 0;
        if ($this->perSegment && $line->divisions !== []) {
            $along = ($line->alongX * ($box[0] + $box[2]) + $line->alongY * ($box[1] + $box[3])) / 2;
            $reach = (abs($line->alongX) * ($box[2] - $box[0]) + abs($line->alongY) * ($box[3] - $box[1])) / 2;
            $matches = $join->matchPoints();
            foreach ($line->divisions as $number => $division) {
                if ($division < $along - $reach) {
                    $first = $number + 1;
                } elseif ($division <= $along + $reach) {
                    $at = $matches[$number]->at;
                    $text .= ' '.($at->x - $this->junction->x).','.($at->y - $this->junction->y);
                }
            }
        }
        $this->numbers[$join->id] = count($this->seams);
        $this->seams[] = [$join->id, $first];

        return $text.')';
    }

    /** @return array{float, float, float, float} of an assembly as it is sewn here */
    private function reach(Assembly $assembly): array
    {
        return $this->cloth->reach($assembly instanceof Join ? $this->instead[$assembly->id] ?? $assembly : $assembly);
    }

    /** @return array{float, float, float, float} the box that holds the mirror image */
    private static function mirrored(FoldLine $line, float $x, float $y, float $width, float $height, float $distance): array
    {
        [$nx, $ny] = [$line->toRightX, $line->toRightY];
        [$mx, $my] = [$x - 2 * $distance * $nx, $y - 2 * $distance * $ny];
        $across = abs(2 * $nx * $ny);
        [$w, $h] = [abs(1 - 2 * $nx * $nx) * $width + $across * $height, abs(1 - 2 * $ny * $ny) * $height + $across * $width];

        return [$mx - $w, $my - $h, $mx + $w, $my + $h];
    }

    /**
     * @param array{float, float, float, float} $a
     * @param array{float, float, float, float} $b
     *
     * @return array{float, float, float, float}|null
     */
    private static function overlap(array $a, array $b): ?array
    {
        return $a[0] > $b[2] || $a[2] < $b[0] || $a[1] > $b[3] || $a[3] < $b[1]
            ? null
            : [max($a[0], $b[0]), max($a[1], $b[1]), min($a[2], $b[2]), min($a[3], $b[3])];
    }

    /**
     * @param array{float, float, float, float}|null $a
     * @param array{float, float, float, float}|null $b
     *
     * @return array{float, float, float, float}|null
     */
    private static function joined(?array $a, ?array $b): ?array
    {
        return $a === null || $b === null ? ($a ?? $b) : [min($a[0], $b[0]), min($a[1], $b[1]), max($a[2], $b[2]), max($a[3], $b[3])];
    }
}
