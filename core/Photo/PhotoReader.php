<?php

declare(strict_types=1);

namespace KeenSeam\Core\Photo;

use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Luminance;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\Placement;

/**
 * Looks whether a block is laid out as it is drawn. The light of the room and the colours of the cloth are learnt from the
 * whole block, since most units lie right; then each unit is compared with all ways in which it could lie, and with the
 * block's other units. Wrong is said only where it fits much better than as drawn.
 */
final class PhotoReader
{
    /** Another one where the same picture could be told otherwise. */
    public const VERSION = 1;

    /** Gaps between raw edges that are tried, in inches; and none at all, where units are sewn. */
    private const GAPS = [0.0, 0.125, 0.25, 0.375, 0.5, 0.75, 1.0];

    private const GAPS_OF_HALVES = [0.25, 0.75];

    /** The least that cloth differs from itself: prints, folds, noise; logarithms of light. */
    private const LEAST_SPREAD = 0.07;

    /** How much better, a place, the drawing must fit than every other way to be called right. */
    private const RIGHT = 0.7;

    /** The same for what is called wrong. */
    private const WRONG = 1.4;

    /** A way that fits worse than this, a place, is not what lies there. */
    private const FITS = -1.9;

    /** What nothing fits although the drawing does not either is another unit from here on. */
    private const STRANGE = -2.4;

    /** Share of a unit's places that show another fabric for sure, from which on it is another unit. */
    private const STRANGE_SHARE = 0.18;

    /** Corners whose light misses by less are good enough. */
    private const FITS_WELL = 0.05;

    /** The misfit, as a share of that before, below which a moved corner is nearer; less is chance: units lie a little shifted. */
    private const NEARER = 0.95;

    /** From here on the picture is looked at from its other sides, too; where most units do not fit either, it is another block. */
    private const FITS_BADLY = 0.2;

    /** Lightness, of 100, by which two fabrics must differ to be told apart in grey (CIE 1976 L*). */
    private const APART_IN_GREY = 8.0;

    private readonly float $inch;

    private readonly UnitWays $ways;

    private function __construct(private readonly Face $face, private readonly Photograph $photo)
    {
        $this->inch = $face->block->unit->value === 'mm' ? 25.4 : 1.0;
        $this->ways = new UnitWays($face, $this->inch);
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
        $others = $this->ways->others($laying);
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
                    [$corners, $light] = $as->misfit < self::NEARER * $light->misfit ? [$moved, $as] : [$corners, $light];
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
            $drawn = $this->ways->drawnLabels($place);
            $means = [];
            foreach ($drawn as $n => $fabric) {
                // Every other place does to learn the light.
                if ($fabric === '' || $n % 2 === 1) {
                    continue;
                }
                [$x, $y] = UnitWays::placeOf($n, $place);
                $means[$fabric][] = [$x, $y, ...$this->photo->lightAt(...$plane->at($x, $y))];
            }
            foreach ($means as $fabric => $lights) {
                $seen[] = ['fabric' => (string) $fabric, 'x' => 2 * array_sum(array_column($lights, 0)) / count($lights) / $laying->width - 1, 'y' => 2 * array_sum(array_column($lights, 1)) / count($lights) / $laying->height - 1, 'places' => count($lights), 'lights' => array_map(static fn (array $one): array => [$one[2], $one[3], $one[4]], $lights)];
            }
        }

        return Light::learnt($seen, array_map(static fn ($fabric): array => array_map(static fn (int $channel): float => log($channel + 12), Luminance::channels($fabric->color)), $this->face->block->fabrics));
    }

    /**
     * @param array{unit: PlacedUnit, left: float, top: float, width: float, height: float} $place
     * @param array<string, array{list<array{Placement, UnitFace, string}>, float}>         $others
     */
    private function judged(array $place, Homography $plane, Light $light, array $others, Laying $laying): SeenCell
    {
        $unit = $place['unit'];
        $likely = $this->likely($place, $plane, $light, $laying);
        $ways = $this->ways->of($place, $others);
        $drawn = array_shift($ways);
        $fits = $likely->fit($drawn['labels']);
        [$best, $bestFits] = [$drawn, $fits];
        foreach ($ways as $way) {
            $as = $likely->fit($way['labels']);
            if ($as > $bestFits) {
                [$best, $bestFits] = [$way, $as];
            }
        }
        $corners = array_map(static fn (array $share): array => $plane->at($place['left'] + $share[0] * $place['width'], $place['top'] + $share[1] * $place['height']), [[0, 0], [1, 0], [1, 1], [0, 1]]);
        $told = static fn (Verdict $verdict, Placement $placement, float $margin): SeenCell => new SeenCell($unit->cell->row, $unit->cell->column, $verdict, $placement, round(1 - exp(-max(0.0, $margin)), 2), [$corners[0], $corners[1], $corners[2], $corners[3]]);
        if ($best === $drawn) {
            $margin = INF;
            foreach ($ways as $way) {
                $margin = min($margin, $likely->margin($drawn['labels'], $way['labels']));
            }
            $margin = is_finite($margin) ? $margin : $fits - self::STRANGE;
            $strange = $likely->strange($drawn['labels']);

            return match (true) {
                $strange >= self::STRANGE_SHARE => $told(Verdict::AnotherUnit, $unit->placement, 10 * $strange),
                $strange >= self::STRANGE_SHARE / 2 => $told(Verdict::Unsure, $unit->placement, $margin),
                $fits >= self::FITS && $margin >= self::RIGHT => $told(Verdict::AsDrawn, $unit->placement, $margin),
                $fits < self::STRANGE && $likely->free() > self::FITS / 2 => $told(Verdict::AnotherUnit, $unit->placement, $likely->free() - $fits),
                default => $told(Verdict::Unsure, $unit->placement, $margin),
            };
        }
        $margin = $likely->margin($best['labels'], $drawn['labels']);

        return match (true) {
            $bestFits >= self::FITS && $margin >= self::WRONG => $told($best['verdict'], $best['placement'], $margin),
            $likely->strange($drawn['labels']) >= self::STRANGE_SHARE => $told(Verdict::AnotherUnit, $unit->placement, 10 * $likely->strange($drawn['labels'])),
            $bestFits < self::FITS && $fits < self::STRANGE && $likely->free() > self::FITS / 2 => $told(Verdict::AnotherUnit, $unit->placement, $likely->free() - $fits),
            default => $told(Verdict::Unsure, $best['placement'], $margin),
        };
    }

    /**
     * How likely each fabric is at each place looked at.
     *
     * @param array{unit: PlacedUnit, left: float, top: float, width: float, height: float} $place
     */
    private function likely(array $place, Homography $plane, Light $light, Laying $laying): Likelihood
    {
        $likely = [];
        $spread = max(self::LEAST_SPREAD, $light->spread);
        for ($n = 0; $n < UnitWays::PLACES; ++$n) {
            [$x, $y] = UnitWays::placeOf($n, $place);
            $seen = $this->photo->lightAt(...$plane->at($x, $y));
            $of = [];
            foreach ($this->face->block->fabrics as $fabric) {
                $expected = $light->of($fabric->key, 2 * $x / $laying->width - 1, 2 * $y / $laying->height - 1);
                $off = (($seen[0] - $expected[0]) ** 2 + ($seen[1] - $expected[1]) ** 2 + ($seen[2] - $expected[2]) ** 2) / 3;
                $of[$fabric->key] = -min(Likelihood::MOST_UNLIKELY, $off / (2 * $spread * $spread));
            }
            $likely[] = $of;
        }

        return new Likelihood($likely);
    }

    /** @return list<array{string, string, float}> pairs of fabrics that differ in colour and hardly in grey */
    private function alike(Light $light): array
    {
        $lightness = [];
        foreach ($this->face->block->fabrics as $fabric) {
            [$red, $green, $blue] = array_map(static fn (float $log): float => max(0.0, exp($log) - 12), $light->of($fabric->key, 0, 0));
            $luminance = Luminance::ofChannels([$red, $green, $blue]);
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
