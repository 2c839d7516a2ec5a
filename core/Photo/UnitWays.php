<?php

declare(strict_types=1);

namespace KeenSeam\Core\Photo;

use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Turn;

/** Every way in which a cell of a block could look, and which fabric each shows at the places that are looked at. */
final class UnitWays
{
    /** Places looked at across a unit. */
    private const GRID = 11;

    public const PLACES = self::GRID * self::GRID;

    /** Inches by which a place must keep off a seam: units are shifted and turned a little. */
    private const OFF_SEAM = 0.2;

    /** Of more, halves are not tried in all pairs. */
    private const MOST_FABRICS = 6;

    /** @var array<string, list<string>> labels of faces, by how they look and how large they are */
    private array $labels = [];

    /** @var array<string, list<array{Placement, UnitFace, string}>> a face in its eight ways, with how it looks then */
    private array $moves = [];

    /** @var list<array{UnitFace, string}> */
    private array $simple = [];

    /** @param float $inch in the block's unit */
    public function __construct(private readonly Face $face, private readonly float $inch) {}

    /**
     * @param array{unit: PlacedUnit, left: float, top: float, width: float, height: float} $place
     *
     * @return list<string>
     */
    public function drawnLabels(array $place): array
    {
        [[, $face, $look]] = $this->moved($place['unit']);

        return $this->labels($face, $look, $place);
    }

    /**
     * Every way in which the cell could look, as drawn first; ways that look the same are one.
     *
     * @param array{unit: PlacedUnit, left: float, top: float, width: float, height: float} $place
     * @param array<string, array{list<array{Placement, UnitFace, string}>, float}>         $others
     *
     * @return non-empty-list<array{verdict: Verdict, placement: Placement, labels: list<string>}>
     */
    public function of(array $place, array $others): array
    {
        $own = $place['unit']->placement;
        $ratio = $place['width'] / $place['height'];
        $ways = [];
        foreach ([[$this->moved($place['unit']), $ratio], ...array_values($others)] as $number => [$moved, $itsRatio]) {
            foreach ($moved as [$by, $face, $look]) {
                if (isset($ways[$look]) || abs(($by->turn->swapsSides() ? 1 / $itsRatio : $itsRatio) - $ratio) > 0.01) {
                    continue;
                }
                $ways[$look] = [
                    'verdict' => match (true) {
                        $number > 0 => Verdict::AnotherUnit,
                        $ways === [] => Verdict::AsDrawn,
                        default => $by->mirrored ? Verdict::Mirrored : Verdict::Turned,
                    },
                    'placement' => $number > 0 ? $own : $by->around($own),
                    'labels' => $this->labels($face, $look, $place),
                ];
            }
        }

        foreach ($this->simple() as [$face, $look]) {
            $ways[$look] ??= ['verdict' => Verdict::AnotherUnit, 'placement' => $own, 'labels' => $this->labels($face, $look, $place)];
        }

        return $ways === [] ? throw new \LogicException('A unit lies as it is drawn.') : array_values($ways);
    }

    /** @return array<string, array{list<array{Placement, UnitFace, string}>, float}> every face that a cell of the block shows in its ways to lie, with its ratio */
    public function others(Laying $laying): array
    {
        $others = [];
        foreach ($laying->units as $place) {
            $moved = $this->moved($place['unit']);
            $others[min(array_column($moved, 2))] ??= [$moved, $place['width'] / $place['height']];
        }

        return $others;
    }

    /**
     * @param array{unit: PlacedUnit, left: float, top: float, width: float, height: float} $place
     *
     * @return array{float, float} on the layout
     */
    public static function placeOf(int $n, array $place): array
    {
        return [$place['left'] + ($n % self::GRID + 0.5) / self::GRID * $place['width'], $place['top'] + (intdiv($n, self::GRID) + 0.5) / self::GRID * $place['height']];
    }

    /** @return non-empty-list<array{Placement, UnitFace, string}> as it is drawn, then in its other ways, with how it looks then */
    private function moved(PlacedUnit $unit): array
    {
        $face = UnitFace::of($unit);
        $key = serialize($face->patches);
        if (! isset($this->moves[$key])) {
            $this->moves[$key] = [];
            foreach ([false, true] as $isMirrored) {
                foreach (Turn::cases() as $turn) {
                    $by = new Placement($turn, $isMirrored);
                    $moved = $face->moved($by);
                    $this->moves[$key][] = [$by, $moved, $moved->look()];
                }
            }
        }

        return $this->moves[$key] === [] ? throw new \LogicException('There are eight ways to lie.') : $this->moves[$key];
    }

    /**
     * The fabric that a face shows at every place looked at; '' near a seam.
     *
     * @param array{unit: PlacedUnit, left: float, top: float, width: float, height: float} $place
     *
     * @return list<string>
     */
    private function labels(UnitFace $face, string $look, array $place): array
    {
        return $this->labels[$look.' '.round($place['width'], 4).' '.round($place['height'], 4)] ??= $this->labelled($face, $place);
    }

    /**
     * @param array{unit: PlacedUnit, left: float, top: float, width: float, height: float} $place
     *
     * @return list<string>
     */
    private function labelled(UnitFace $face, array $place): array
    {
        for ($off = self::OFF_SEAM * $this->inch;; $off /= 2) {
            [$offX, $offY] = [min(0.1, $off / $place['width']), min(0.1, $off / $place['height'])];
            $labels = [];
            for ($n = 0; $n < self::PLACES; ++$n) {
                [$x, $y] = [($n % self::GRID + 0.5) / self::GRID, (intdiv($n, self::GRID) + 0.5) / self::GRID];
                $fabric = $face->fabricAt($x, $y);
                foreach ([[$offX, 0], [-$offX, 0], [0, $offY], [0, -$offY]] as [$dx, $dy]) {
                    $there = $face->fabricAt(min(0.999, max(0.001, $x + $dx)), min(0.999, max(0.001, $y + $dy)));
                    $fabric = $there === $fabric ? $fabric : '';
                }
                $labels[] = $fabric;
            }
            $isWhole = array_diff(array_column($face->patches, 0), $labels) === [];
            if ($isWhole || $off < 0.03 * $this->inch) {
                return $labels;
            }
        }
    }

    /** @return list<array{UnitFace, string}> what is easily put in the wrong place: whole patches and halves of all fabrics */
    private function simple(): array
    {
        if ($this->simple === []) {
            $keys = array_slice(array_map(strval(...), array_keys($this->face->block->fabrics)), 0, self::MOST_FABRICS);
            $faces = [];
            foreach ($keys as $one) {
                $faces[] = new UnitFace([[$one, [[0, 0], [1, 0], [1, 1], [0, 1]]]]);
                foreach ($keys as $other) {
                    if ($one !== $other) {
                        $faces[] = new UnitFace([[$one, [[0, 0], [1, 0], [0, 1]]], [$other, [[1, 0], [1, 1], [0, 1]]]]);
                        $faces[] = new UnitFace([[$one, [[0, 0], [1, 0], [1, 1]]], [$other, [[0, 0], [1, 1], [0, 1]]]]);
                    }
                }
            }
            $this->simple = array_map(static fn (UnitFace $face): array => [$face, $face->look()], $faces);
        }

        return $this->simple;
    }
}
