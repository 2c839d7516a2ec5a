<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Meeting;
use KeenSeam\Core\Geometry\Box;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Pressing\Back;
use KeenSeam\Core\Pressing\MatchReport;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Top\Top;

/**
 * The back of a pressed block or top as one looks at it, raw edge to raw edge, in its unit of length with 0, 0 at the
 * finished corner: cloth with its allowances as they lie, stitches, an arrow across every stretch of a seam, and how the
 * ridges meet at every crossing.
 */
final readonly class BackSketch
{
    /** Points of the picture across its longer side, in which marks are measured. */
    private const POINTS = 480;

    /** Points of the stretch of a seam that an arrow has room on. */
    private const STRETCH = 42;

    private const ARROW = [[-10, -2.2], [2, -2.2], [2, -7], [11, 0], [2, 7], [2, 2.2], [-10, 2.2]];

    private const OPEN = [[-9, 0], [-3, -5], [-3, -1.5], [3, -1.5], [3, -5], [9, 0], [3, 5], [3, 1.5], [-3, 1.5], [-3, 5]];

    private Hanging $hanging;

    private float $scale;

    private float $allowance;

    private function __construct(private PressingPlan $plan, private Palette $palette, private ?Top $bordered)
    {
        $face = $plan->construction->face;
        $this->hanging = new Hanging($face, true);
        $this->allowance = $face->block->seamAllowance->in($face->block->unit)->toFloat();
        $this->scale = min((max($this->hanging->width, $this->hanging->height) + 2 * $this->allowance) / self::POINTS, $this->usualStretch() / self::STRETCH);
    }

    /** @param Top|null $bordered the top whose borders are drawn round it */
    public static function of(PressingPlan $plan, Palette $palette, ?Top $bordered = null): Sketch
    {
        return (new self($plan, $palette, $bordered))->sketch();
    }

    private function sketch(): Sketch
    {
        $shapes = [...$this->cloth(), ...$this->stitches()];
        foreach ($this->plan->construction->joins as $join) {
            array_push($shapes, ...$this->arrows($join));
        }
        $size = $this->markSize();
        foreach ($this->plan->matches as $match) {
            array_push($shapes, ...StateMark::of($match->nesting, $this->hanging->point($match->at), $size));
        }
        $sketch = FaceSketch::framed($this->hanging, $shapes, $this->bordered, fn (string $fabric): array => [$this->palette->wrongSide($fabric), $this->palette->edge($fabric), $this->scale * 0.8], $this->roundBorder(...));

        return new Sketch($sketch->left - $this->allowance, $sketch->top - $this->allowance, $sketch->width + 2 * $this->allowance, $sketch->height + 2 * $this->allowance, $sketch->shapes);
    }

    /** @return list<Area> */
    private function cloth(): array
    {
        $construction = $this->plan->construction;
        $shapes = [];
        foreach (Back::of($construction, $this->plan->pressing) as $flap) {
            $corners = $this->within(array_map($this->hanging->at(...), $flap->corners));
            if (count($corners) < 3) {
                continue;
            }
            $fabric = $construction->face->patches[$flap->patchId]->fabric->key;
            $fill = $flap->turnedUp ? $this->palette->face($fabric) : ($flap->isAllowance ? $this->palette->allowance($fabric) : $this->palette->wrongSide($fabric));
            $shapes[] = new Area($corners, $fill, $flap->isAllowance ? $this->palette->edge($fabric) : $fill, $this->scale * 0.8, $flap->isAllowance ? 'allowance' : 'cloth');
        }

        return $shapes;
    }

    /**
     * What sticks out past the raw edge are dog ears, which come off.
     *
     * @param non-empty-list<array{float, float}> $corners
     *
     * @return list<array{float, float}>
     */
    private function within(array $corners): array
    {
        $a = $this->allowance;
        $box = Box::round($corners);
        // Nearly all lie within anyhow.
        if ($box->left >= -$a && $box->top >= -$a && $box->right <= $this->hanging->width + $a && $box->bottom <= $this->hanging->height + $a) {
            return $corners;
        }
        foreach ([[1, 0, $a], [-1, 0, $this->hanging->width + $a], [0, 1, $a], [0, -1, $this->hanging->height + $a]] as [$x, $y, $room]) {
            $kept = [];
            foreach ($corners as $i => $corner) {
                $next = $corners[($i + 1) % count($corners)];
                [$here, $there] = [$x * $corner[0] + $y * $corner[1] + $room, $x * $next[0] + $y * $next[1] + $room];
                if ($here >= 0) {
                    $kept[] = $corner;
                }
                if ($here * $there < 0) {
                    $share = $here / ($here - $there);
                    $kept[] = [$corner[0] + $share * ($next[0] - $corner[0]), $corner[1] + $share * ($next[1] - $corner[1])];
                }
            }
            $corners = $kept;
        }

        return $corners;
    }

    /** @return list<Stroke> */
    private function stitches(): array
    {
        return array_map(fn (Join $join): Stroke => new Stroke([$this->hanging->point($join->seam->from), $this->hanging->point($join->seam->to)], Palette::INK, $this->scale * 1.4, [$this->scale * 4.5, $this->scale * 2.5], 'stitches'), $this->plan->construction->joins);
    }

    /** @return list<Area> one across every stretch, pointing to where its allowances lie */
    private function arrows(Join $join): array
    {
        $stops = $this->hanging->points([$join->seam->from, ...array_map(static fn (Meeting $meeting): Point => $meeting->at, $join->matchPoints()), $join->seam->to]);
        $directions = $this->plan->pressing->of($join);
        $arrows = [];
        foreach (array_slice($stops, 1) as $i => $to) {
            $from = $stops[$i];
            $press = $directions[min($i, count($directions) - 1)];
            $along = atan2($to[1] - $from[1], $to[0] - $from[0]);
            // Mirrored, what lay clockwise of a seam lies the other way round from it.
            $angle = $along - ($press === PressDirection::Left ? 1 : -1) * $join->leftSide * M_PI_2;
            $length = hypot($to[0] - $from[0], $to[1] - $from[1]) / $this->scale;
            $size = $this->scale * min(1.0, $length / self::STRETCH);
            [$cos, $sin] = [cos($press === PressDirection::Open ? $along + M_PI_2 : $angle) * $size, sin($press === PressDirection::Open ? $along + M_PI_2 : $angle) * $size];
            [$x, $y] = [($from[0] + $to[0]) / 2, ($from[1] + $to[1]) / 2];
            $arrows[] = new Area(
                array_map(static fn (array $corner): array => [$x + $corner[0] * $cos - $corner[1] * $sin, $y + $corner[0] * $sin + $corner[1] * $cos], $press === PressDirection::Open ? self::OPEN : self::ARROW),
                Palette::INK,
                Palette::PAPER,
                $size * 1.6,
                $press === PressDirection::Open ? 'arrow open' : 'arrow',
            );
        }

        return $arrows;
    }

    /** Smaller where crossings lie close to each other. */
    private function markSize(): float
    {
        $places = array_map(fn (MatchReport $match): array => $this->hanging->point($match->at), $this->plan->matches);
        usort($places, static fn (array $a, array $b): int => $a <=> $b);
        $least = INF;
        foreach ($places as $i => [$x, $y]) {
            for ($j = $i + 1; $j < count($places) && $places[$j][0] - $x < $least; ++$j) {
                $apart = hypot($places[$j][0] - $x, $places[$j][1] - $y);
                $least = $apart > 1e-9 ? min($least, $apart) : $least;
            }
        }

        return min($this->scale * 24, $least * 0.6);
    }

    /** Half of all stretches between crossings are no longer. */
    private function usualStretch(): float
    {
        $lengths = [];
        foreach ($this->plan->construction->joins as $join) {
            array_push($lengths, ...array_fill(0, $join->segmentCount(), $join->seam->length() / $join->segmentCount() / $this->plan->construction->face->lattice->steps));
        }
        sort($lengths);

        return $lengths[intdiv(count($lengths), 2)] ?? INF;
    }

    /** @return list<Area> a border's outer allowance, which lies on the next one */
    private function roundBorder(float $left, float $top, float $width, float $height, string $fabric): array
    {
        $a = $this->allowance;
        $lies = fn (float $x, float $y, float $w, float $h): Area => Area::rectangle($x, $y, $w, $h, $this->palette->allowance($fabric), $this->palette->edge($fabric), $this->scale * 0.8, 'allowance');

        return [
            $lies($left - $a, $top, $a, $height),
            $lies($left + $width, $top, $a, $height),
            $lies($left - $a, $top - $a, $width + 2 * $a, $a),
            $lies($left - $a, $top + $height, $width + 2 * $a, $a),
        ];
    }
}
