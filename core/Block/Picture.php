<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Measure\NumberOutOfReach;

/**
 * What a cell shows on the face, whatever seams lie in it: regions of fabric, with the cell stretched to a square.
 *
 * Two cells show the same picture exactly when their keys are equal. Exact integers throughout.
 */
final readonly class Picture
{
    /** Products of two coordinates stay far inside a 64-bit integer. */
    private const LARGEST_SIDE = 1 << 29;

    /** Equal for equal pictures, however they are cut into patches. */
    public string $key;

    /**
     * @param int                                                  $side    of the square, in steps as few as can be
     * @param non-empty-list<array{string, list<array{int, int}>}> $patches fabric key and corners, clockwise
     */
    private function __construct(private int $side, private array $patches)
    {
        $this->key = self::outlines($side, $patches);
    }

    /** @throws NumberOutOfReach when the cell's proportions have no small common step */
    public static function of(PlacedUnit $unit): self
    {
        return self::ofPatches(array_map(static fn (Patch $patch): array => [
            $patch->fabric->key,
            array_map(static fn (Point $point): array => [$point->x, $point->y], $patch->outline->points),
        ], $unit->patches()));
    }

    /**
     * @param list<array{string, non-empty-list<array{int, int}>}> $patches fabric key and corners, clockwise, that fill a rectangle
     *
     * @throws NumberOutOfReach
     */
    public static function ofPatches(array $patches): self
    {
        $xs = array_merge(...array_map(static fn (array $patch): array => array_column($patch[1], 0), $patches)) ?: [0];
        $ys = array_merge(...array_map(static fn (array $patch): array => array_column($patch[1], 1), $patches)) ?: [0];
        [$left, $top, $width, $height] = [min($xs), min($ys), max($xs) - min($xs), max($ys) - min($ys)];
        $common = $steps = $width * $height;
        $stretched = [];
        foreach ($patches as [$fabric, $corners]) {
            $places = [];
            foreach ($corners as [$x, $y]) {
                $place = [($x - $left) * $height, ($y - $top) * $width];
                $common = self::greatestCommonDivisor(self::greatestCommonDivisor($common, $place[0]), $place[1]);
                $places[] = $place;
            }
            $stretched[] = [$fabric, $places];
        }
        if ($stretched === [] || $common === 0) {
            throw new \LogicException('A picture has at least one patch.');
        }
        if (intdiv($steps, $common) > self::LARGEST_SIDE) {
            throw NumberOutOfReach::inArithmetic();
        }

        return new self(intdiv($steps, $common), array_map(static fn (array $patch): array => [
            $patch[0],
            array_map(static fn (array $place): array => [intdiv($place[0], $common), intdiv($place[1], $common)], $patch[1]),
        ], $stretched));
    }

    /** The picture flipped left to right if asked, then turned. */
    public function moved(Placement $by): self
    {
        $side = $this->side;
        $move = static function (array $place) use ($by, $side): array {
            [$x, $y] = $by->mirrored ? [$side - $place[0], $place[1]] : $place;
            for ($i = 0; $i < $by->turn->quarters(); ++$i) {
                [$x, $y] = [$side - $y, $x];
            }

            return [$x, $y];
        };

        return new self($side, array_map(static function (array $patch) use ($by, $move): array {
            $places = array_map($move, $patch[1]);

            return [$patch[0], $by->mirrored ? array_reverse($places) : $places];
        }, $this->patches));
    }

    /**
     * The fabrics along one side of the cell, each with the stretch it takes.
     *
     * @return list<array{int, int, string}> from, to, fabric; left to right or top to bottom, neighbours of one fabric taken together
     */
    public function along(Side $side): array
    {
        $stretches = [];
        foreach ($this->patches as [$fabric, $places]) {
            foreach ($places as $i => $a) {
                $b = $places[($i + 1) % count($places)];
                if ($side->holds($a, $this->side) && $side->holds($b, $this->side)) {
                    $ends = [$side->along($a), $side->along($b)];
                    $stretches[] = [min($ends), max($ends), $fabric];
                }
            }
        }
        sort($stretches);
        $merged = [];
        foreach ($stretches as $stretch) {
            $last = count($merged) - 1;
            if ($last >= 0 && $merged[$last][2] === $stretch[2] && $merged[$last][1] === $stretch[0]) {
                $merged[$last][1] = $stretch[1];
            } else {
                $merged[] = $stretch;
            }
        }

        return $merged;
    }

    /** @return list<array{string, list<array{float, float}>}> fabric key and corners of every patch, as shares of the cell; for drawing */
    public function toShares(): array
    {
        $share = fn (array $place): array => [round($place[0] / $this->side, 4), round($place[1] / $this->side, 4)];

        return array_map(static fn (array $patch): array => [$patch[0], array_map($share, $patch[1])], $this->patches);
    }

    /**
     * Where to look to tell this picture from a wrong one: the middle of its largest patch that shows another fabric there.
     *
     * @return array{float, float}|null as shares of the cell; null when nothing differs
     */
    public function tellingPlace(self $wrong): ?array
    {
        $scaled = static fn (array $places, int $by): ConvexPolygon => ConvexPolygon::of(array_map(static fn (array $place): Point => new Point($place[0] * $by, $place[1] * $by), array_values($places)));
        $found = null;
        $largest = 0;
        foreach ($this->patches as [$fabric, $places]) {
            $outline = $scaled($places, $wrong->side);
            foreach ($wrong->patches as [$otherFabric, $otherPlaces]) {
                if ($fabric !== $otherFabric && $outline->areaDoubled() > $largest && $outline->overlaps($scaled($otherPlaces, $this->side))) {
                    $largest = $outline->areaDoubled();
                    $found = [array_sum(array_column($places, 0)) / count($places) / $this->side, array_sum(array_column($places, 1)) / count($places) / $this->side];
                }
            }
        }

        return $found;
    }

    /** Whether both show the same fabrics in the same lengths along that side. */
    public function looksTheSameAlong(Side $side, self $other): bool
    {
        $scaled = static fn (array $stretches, int $by): array => array_map(static fn (array $one): array => [$one[0] * $by, $one[1] * $by, $one[2]], $stretches);

        return $scaled($this->along($side), $other->side) === $scaled($other->along($side), $this->side);
    }

    /**
     * Boundaries between regions of different fabric: edges between two patches of one fabric cancel.
     *
     * @param non-empty-list<array{string, list<array{int, int}>}> $patches
     */
    private static function outlines(int $side, array $patches): string
    {
        $changes = []; // by fabric, direction, line and place along it: by how much the boundary changes there
        foreach ($patches as [$fabric, $places]) {
            foreach ($places as $i => [$x, $y]) {
                [$toX, $toY] = $places[($i + 1) % count($places)];
                $direction = (new Point($toX - $x, $toY - $y))->reduced();
                $sign = [$direction->x, $direction->y] > [0, 0] ? 1 : -1;
                [$dx, $dy] = [$sign * $direction->x, $sign * $direction->y];
                $line = $dx * $y - $dy * $x;
                [$from, $to] = $dx === 0 ? [$y, $toY] : [$x, $toX];
                $changes["$fabric $dx,$dy"][$line][$from] = ($changes["$fabric $dx,$dy"][$line][$from] ?? 0) + 1;
                $changes["$fabric $dx,$dy"][$line][$to] = ($changes["$fabric $dx,$dy"][$line][$to] ?? 0) - 1;
            }
        }

        return self::text($side, array_map(
            static fn (array $lines): array => array_filter(array_map(static fn (array $places): array => array_filter($places), $lines)),
            $changes,
        ));
    }

    /**
     * In the fewest steps that what is left of the boundaries needs, whatever corners of patches lay between.
     *
     * @param array<string, array<int, array<int, int>>> $changes by fabric and direction, line and place
     */
    private static function text(int $side, array $changes): string
    {
        $common = $side;
        foreach ($changes as $lines) {
            foreach ($lines as $line => $places) {
                $common = self::greatestCommonDivisor($common, abs($line));
                foreach (array_keys($places) as $place) {
                    $common = self::greatestCommonDivisor($common, abs($place));
                }
            }
        }
        $texts = ['side '.intdiv($side, $common)];
        foreach ($changes as $direction => $lines) {
            foreach ($lines as $line => $places) {
                foreach ($places as $place => $change) {
                    $texts[] = sprintf('%s,%d: %d %+d', $direction, intdiv($line, $common), intdiv($place, $common), $change);
                }
            }
        }
        sort($texts);

        return implode("\n", $texts);
    }

    private static function greatestCommonDivisor(int $a, int $b): int
    {
        while ($b !== 0) {
            [$a, $b] = [$b, $a % $b];
        }

        return $a;
    }
}
