<?php

declare(strict_types=1);

namespace KeenSeam\Core\Photo;

use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Drawing\Palette;

/**
 * Looks whether a block is laid out as it is drawn. The light of the room and the colours of the cloth are learnt from the
 * whole block, since most units lie right; then each unit is compared with all ways in which it could lie, and with the
 * block's other units. Wrong is said only where it fits much better than as drawn.
 */
final class PhotoReader
{
    /** Another one where the same picture could be told otherwise. */
    public const VERSION = 1;

    /** Places looked at across a unit. */
    private const GRID = 11;

    /** Inches by which a place must keep off a seam: units are shifted and turned a little. */
    private const OFF_SEAM = 0.2;

    /** Gaps between raw edges that are tried, in inches; and none at all, where units are sewn. */
    private const GAPS = [0.0, 0.125, 0.25, 0.375, 0.5, 0.75, 1.0];

    private const GAPS_OF_HALVES = [0.25, 0.75];

    /** The least that cloth differs from itself: prints, folds, noise; logarithms of light. */
    private const LEAST_SPREAD = 0.07;

    /** How unlikely a single place can make a way to lie. */
    private const MOST_UNLIKELY = 5.0;

    /** How much better, a place, the drawing must fit than every other way to be called right. */
    private const RIGHT = 0.7;

    /** The same for what is called wrong. */
    private const WRONG = 1.4;

    /** A way that fits worse than this, a place, is not what lies there. */
    private const FITS = -1.9;

    /** What nothing fits although the drawing does not either is another unit from here on. */
    private const STRANGE = -2.4;

    /** Share of a unit's places that show another fabric for sure, from which on it is another unit. */
    private const STRANGE_SHARE = 0.16;

    /** How unlikely the drawn fabric, and how likely another one, must be for that. */
    private const STRANGE_PLACE = -3.5;

    private const FAMILIAR_PLACE = -1.5;

    /** Corners whose light misses by less are good enough. */
    private const FITS_WELL = 0.05;

    /** From here on the picture is looked at from its other sides, too; where most units do not fit either, it is another block. */
    private const FITS_BADLY = 0.2;

    /** Of more, halves are not tried in all pairs. */
    private const MOST_FABRICS = 6;

    /** Lightness, of 100, by which two fabrics must differ to be told apart in grey (CIE 1976 L*). */
    private const APART_IN_GREY = 8.0;

    private readonly float $inch;

    /** @var array<string, list<string>> labels of faces, by how they look and how large they are */
    private array $labels = [];

    /** @var array<string, list<array{Placement, UnitFace, string}>> a face in its eight ways, with how it looks then */
    private array $moves = [];

    /** @var list<array{UnitFace, string}> */
    private array $simple = [];

    private function __construct(private readonly Face $face, private readonly Photograph $photo)
    {
        $this->inch = $face->block->unit->value === 'mm' ? 25.4 : 1.0;
    }

    /**
     * @param list<array{float, float}>|null $corners in pixels, the upper left first, clockwise; found by themselves if null
     *
     * @throws PhotoNotReadable
     */
    public static function read(Face $face, Photograph $photo, ?array $corners = null): PhotoReading
    {
        return (new self($face, $photo))->reading($corners);
    }

    /** @param list<array{float, float}>|null $corners */
    private function reading(?array $corners): PhotoReading
    {
        if ($corners !== null && count($corners) !== 4) {
            throw PhotoNotReadable::corners();
        }
        $given = $corners === null ? CornerFinder::find($this->photo) : [$corners[0], $corners[1], $corners[2], $corners[3]];
        [$apart, $light] = $this->apart($given);
        // The picture may have been taken from another side of the table.
        [$a, $b, $c, $d] = $given;
        foreach ($light->misfit < self::FITS_BADLY ? [] : [[$b, $c, $d, $a], [$c, $d, $a, $b], [$d, $a, $b, $c]] as $turned) {
            [$asApart, $as] = $this->apart($turned);
            // A block that fits turned hardly better lies as it was photographed.
            [$given, $apart, $light] = $as->misfit < 0.7 * $light->misfit ? [$turned, $asApart, $as] : [$given, $apart, $light];
        }
        if ($corners === null) {
            [$given, $light] = $this->nearer($given, $apart, $light);
        }
        $laying = new Laying($this->face, $apart);
        $plane = Homography::fromRectangle($laying->width, $laying->height, $given);
        $cells = [];
        $others = $this->others($laying);
        foreach ($laying->units as $place) {
            $cells[] = $this->judged($place, $plane, $light, $others, $laying);
        }

        $right = count(array_filter($cells, static fn (SeenCell $cell): bool => $cell->verdict === Verdict::AsDrawn));
        if ($light->misfit > self::FITS_BADLY && $right < count($cells) / 2) {
            throw PhotoNotReadable::otherBlock($this->face->block->name);
        }

        return new PhotoReading($given, $cells, $apart, $this->alike($light));
    }

    /**
     * Corners that were found, moved to where the drawing fits better.
     *
     * @param array{array{float, float}, array{float, float}, array{float, float}, array{float, float}} $corners
     * @param array{float|list<float>, float|list<float>}                                               $apart
     *
     * @return array{array{array{float, float}, array{float, float}, array{float, float}, array{float, float}}, Light}
     */
    private function nearer(array $corners, array $apart, Light $light): array
    {
        $size = hypot($corners[2][0] - $corners[0][0], $corners[2][1] - $corners[0][1]);
        foreach ($light->misfit < self::FITS_WELL ? [] : [0.03, 0.012] as $share) {
            foreach ([0, 1, 2, 3] as $corner) {
                foreach ([[1, 0], [-1, 0], [0, 1], [0, -1]] as [$right, $down]) {
                    $moved = $corners;
                    $moved[$corner] = [$corners[$corner][0] + $right * $share * $size, $corners[$corner][1] + $down * $share * $size];
                    try {
                        $as = $this->lightWith($apart, $moved);
                    } catch (PhotoNotReadable) {
                        continue;
                    }
                    [$corners, $light] = $as->misfit < $light->misfit ? [$moved, $as] : [$corners, $light];
                }
            }
        }

        return [$corners, $light];
    }

    /**
     * How far units lie apart: where the drawing fits best.
     *
     * @param array{array{float, float}, array{float, float}, array{float, float}, array{float, float}} $corners
     *
     * @return array{array{float|list<float>, float|list<float>}, Light}
     */
    private function apart(array $corners): array
    {
        $block = $this->face->block;
        $sewn = -2 * $block->seamAllowance->in($block->unit)->toFloat();
        $gaps = [$sewn, ...array_map(fn (float $gap): float => $gap * $this->inch, self::GAPS)];
        // Halves that are sewn lie apart in the middle only.
        $halves = array_map(fn (int $count): array => $count < 3 ? [] : array_map(fn (float $gap): array => array_map(fn (int $line): float => $line === intdiv($count, 2) - 1 ? $gap * $this->inch : $sewn, range(0, $count - 2)), self::GAPS_OF_HALVES), [count($block->grid->columns), count($block->grid->rows)]);
        $best = [0.25 * $this->inch, 0.25 * $this->inch];
        $light = $this->lightWith($best, $corners);
        // Both ways alike first, then each by itself: rows may be sewn.
        foreach (['both', 'beside', 'below', 'beside'] as $way) {
            $from = $best;
            foreach (match ($way) {
                'both' => $gaps,
                'beside' => [...$gaps, ...$halves[0]],
                'below' => [...$gaps, ...$halves[1]],
            } as $gap) {
                $tried = match ($way) {
                    'both' => [$gap, $gap],
                    'beside' => [$gap, $from[1]],
                    'below' => [$from[0], $gap],
                };
                if ($tried !== $best) {
                    $as = $this->lightWith($tried, $corners);
                    [$best, $light] = $as->misfit < $light->misfit ? [$tried, $as] : [$best, $light];
                }
            }
        }

        return [$best, $light];
    }

    /**
     * @param array{float|list<float>, float|list<float>}                                               $apart
     * @param array{array{float, float}, array{float, float}, array{float, float}, array{float, float}} $corners
     */
    private function lightWith(array $apart, array $corners): Light
    {
        $laying = new Laying($this->face, $apart);
        $plane = Homography::fromRectangle($laying->width, $laying->height, $corners);
        $seen = [];
        foreach ($laying->units as $place) {
            $drawn = $this->drawnLabels($place);
            $means = [];
            foreach ($drawn as $n => $fabric) {
                // Every other place does to learn the light.
                if ($fabric === '' || $n % 2 === 1) {
                    continue;
                }
                [$x, $y] = self::placeOf($n, $place);
                $means[$fabric][] = [$x, $y, ...$this->photo->lightAt(...$plane->at($x, $y))];
            }
            foreach ($means as $fabric => $lights) {
                $seen[] = ['fabric' => (string) $fabric, 'x' => 2 * array_sum(array_column($lights, 0)) / count($lights) / $laying->width - 1, 'y' => 2 * array_sum(array_column($lights, 1)) / count($lights) / $laying->height - 1, 'places' => count($lights), 'lights' => array_map(static fn (array $one): array => [$one[2], $one[3], $one[4]], $lights)];
            }
        }

        return Light::learnt($seen, array_map(static fn ($fabric): array => array_map(static fn (int $channel): float => log($channel + 12), Palette::channels($fabric->color)), $this->face->block->fabrics));
    }

    /**
     * @param array{unit: PlacedUnit, left: float, top: float, width: float, height: float} $place
     *
     * @return list<string>
     */
    private function drawnLabels(array $place): array
    {
        [[, $face, $look]] = $this->moved($place['unit']);

        return $this->labels($face, $look, $place);
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
            for ($n = 0; $n < self::GRID * self::GRID; ++$n) {
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

    /**
     * @param array{unit: PlacedUnit, left: float, top: float, width: float, height: float} $place
     *
     * @return array{float, float} on the layout
     */
    private static function placeOf(int $n, array $place): array
    {
        return [$place['left'] + ($n % self::GRID + 0.5) / self::GRID * $place['width'], $place['top'] + (intdiv($n, self::GRID) + 0.5) / self::GRID * $place['height']];
    }

    /** @return array<string, array{list<array{Placement, UnitFace, string}>, float}> every face that a cell of the block shows in its ways to lie, with its ratio */
    private function others(Laying $laying): array
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
     * @param array<string, array{list<array{Placement, UnitFace, string}>, float}>         $others
     */
    private function judged(array $place, Homography $plane, Light $light, array $others, Laying $laying): SeenCell
    {
        $unit = $place['unit'];
        $likely = $this->likely($place, $plane, $light, $laying);
        $ways = $this->ways($place, $others);
        $drawn = array_shift($ways);
        $fits = self::fit($drawn['labels'], $likely);
        [$best, $bestFits] = [$drawn, $fits];
        foreach ($ways as $way) {
            $as = self::fit($way['labels'], $likely);
            if ($as > $bestFits) {
                [$best, $bestFits] = [$way, $as];
            }
        }
        $corners = array_map(static fn (array $share): array => $plane->at($place['left'] + $share[0] * $place['width'], $place['top'] + $share[1] * $place['height']), [[0, 0], [1, 0], [1, 1], [0, 1]]);
        $told = static fn (Verdict $verdict, Placement $placement, float $margin): SeenCell => new SeenCell($unit->cell->row, $unit->cell->column, $verdict, $placement, round(1 - exp(-max(0.0, $margin)), 2), [$corners[0], $corners[1], $corners[2], $corners[3]]);
        if ($best === $drawn) {
            $margin = INF;
            foreach ($ways as $way) {
                $margin = min($margin, self::margin($drawn['labels'], $way['labels'], $likely));
            }
            $margin = is_finite($margin) ? $margin : $fits - self::STRANGE;
            $strange = self::strange($drawn['labels'], $likely);

            return match (true) {
                $strange >= self::STRANGE_SHARE => $told(Verdict::AnotherUnit, $unit->placement, 10 * $strange),
                $strange >= self::STRANGE_SHARE / 2 => $told(Verdict::Unsure, $unit->placement, $margin),
                $fits >= self::FITS && $margin >= self::RIGHT => $told(Verdict::AsDrawn, $unit->placement, $margin),
                $fits < self::STRANGE && self::free($likely) > self::FITS / 2 => $told(Verdict::AnotherUnit, $unit->placement, self::free($likely) - $fits),
                default => $told(Verdict::Unsure, $unit->placement, $margin),
            };
        }
        $margin = self::margin($best['labels'], $drawn['labels'], $likely);

        return match (true) {
            $bestFits >= self::FITS && $margin >= self::WRONG => $told($best['verdict'], $best['placement'], $margin),
            self::strange($drawn['labels'], $likely) >= self::STRANGE_SHARE => $told(Verdict::AnotherUnit, $unit->placement, 10 * self::strange($drawn['labels'], $likely)),
            $bestFits < self::FITS && $fits < self::STRANGE && self::free($likely) > self::FITS / 2 => $told(Verdict::AnotherUnit, $unit->placement, self::free($likely) - $fits),
            default => $told(Verdict::Unsure, $best['placement'], $margin),
        };
    }

    /**
     * Every way in which the cell could look, as drawn first; ways that look the same are one.
     *
     * @param array{unit: PlacedUnit, left: float, top: float, width: float, height: float} $place
     * @param array<string, array{list<array{Placement, UnitFace, string}>, float}>         $others
     *
     * @return non-empty-list<array{verdict: Verdict, placement: Placement, labels: list<string>}>
     */
    private function ways(array $place, array $others): array
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

    /**
     * How likely each fabric is at each place looked at; logarithms, from nought down.
     *
     * @param array{unit: PlacedUnit, left: float, top: float, width: float, height: float} $place
     *
     * @return list<array<string, float>> by fabric
     */
    private function likely(array $place, Homography $plane, Light $light, Laying $laying): array
    {
        $likely = [];
        $spread = max(self::LEAST_SPREAD, $light->spread);
        for ($n = 0; $n < self::GRID * self::GRID; ++$n) {
            [$x, $y] = self::placeOf($n, $place);
            $seen = $this->photo->lightAt(...$plane->at($x, $y));
            $of = [];
            foreach ($this->face->block->fabrics as $fabric) {
                $expected = $light->of($fabric->key, 2 * $x / $laying->width - 1, 2 * $y / $laying->height - 1);
                $off = (($seen[0] - $expected[0]) ** 2 + ($seen[1] - $expected[1]) ** 2 + ($seen[2] - $expected[2]) ** 2) / 3;
                $of[$fabric->key] = -min(self::MOST_UNLIKELY, $off / (2 * $spread * $spread));
            }
            $likely[] = $of;
        }

        return $likely;
    }

    /**
     * @param list<string>               $labels
     * @param list<array<string, float>> $likely
     */
    private static function fit(array $labels, array $likely): float
    {
        [$sum, $count] = [0.0, 0];
        foreach ($labels as $n => $fabric) {
            if ($fabric !== '') {
                $sum += $likely[$n][$fabric];
                ++$count;
            }
        }

        return $count === 0 ? -self::MOST_UNLIKELY : $sum / $count;
    }

    /**
     * The share of places that show another fabric for sure.
     *
     * @param list<string>               $labels
     * @param list<array<string, float>> $likely
     */
    private static function strange(array $labels, array $likely): float
    {
        [$strange, $count] = [0, 0];
        foreach ($labels as $n => $fabric) {
            if ($fabric !== '') {
                $strange += $likely[$n][$fabric] < self::STRANGE_PLACE && max([-self::MOST_UNLIKELY, ...array_values($likely[$n])]) > self::FAMILIAR_PLACE ? 1 : 0;
                ++$count;
            }
        }

        return $strange / max(1, $count);
    }

    /** @param list<array<string, float>> $likely where each place may be any fabric */
    private static function free(array $likely): float
    {
        return array_sum(array_map(static fn (array $of): float => max([-self::MOST_UNLIKELY, ...array_values($of)]), $likely)) / max(1, count($likely));
    }

    /**
     * How much better the first fits, a place, where the two show different fabrics.
     *
     * @param list<string>               $one
     * @param list<string>               $other
     * @param list<array<string, float>> $likely
     */
    private static function margin(array $one, array $other, array $likely): float
    {
        [$sum, $count] = [0.0, 0];
        foreach ($one as $n => $fabric) {
            if ($fabric !== '' && $other[$n] !== '' && $other[$n] !== $fabric) {
                $sum += $likely[$n][$fabric] - $likely[$n][$other[$n]];
                ++$count;
            }
        }

        return $count === 0 ? 0.0 : $sum / $count;
    }

    /** @return list<array{string, string, float}> pairs of fabrics that differ in colour and hardly in grey */
    private function alike(Light $light): array
    {
        $lightness = [];
        foreach ($this->face->block->fabrics as $fabric) {
            [$red, $green, $blue] = array_map(static fn (float $log): float => max(0.0, exp($log) - 12) / 255, $light->of($fabric->key, 0, 0));
            $luminance = 0.2126 * $red ** 2.2 + 0.7152 * $green ** 2.2 + 0.0722 * $blue ** 2.2;
            $lightness[$fabric->key] = $luminance > 0.008856 ? 116 * $luminance ** (1 / 3) - 16 : 903.3 * $luminance;
        }
        $keys = array_map(strval(...), array_keys($lightness));
        $alike = [];
        foreach ($keys as $i => $one) {
            foreach (array_slice($keys, $i + 1) as $other) {
                $apart = abs($lightness[$one] - $lightness[$other]);
                if ($apart < self::APART_IN_GREY && $light->isSeen($one) && $light->isSeen($other)) {
                    $alike[] = [$one, $other, round($apart, 1)];
                }
            }
        }

        return $alike;
    }
}
