<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Geometry\Segment;
use KeenSeam\Core\Measure\Length;

/**
 * What opening the seams of a block as large as this one would come to: plies alone always favour open, whatever the size,
 * but in a small block opened allowances lie on each other and short seams cannot be held open at the iron.
 */
final readonly class OpenedSeams
{
    /** Points along the longer side at which the back is looked at. */
    private const SAMPLES = 240;

    /**
     * @param list<int>             $short   joins too short to hold open
     * @param list<array{int, int}> $near    pairs of joins nearer than two allowances that do not meet
     * @param float                 $covered share of the back, 0 to 1, that the allowances would cover were all of them opened
     */
    private function __construct(
        public array $short,
        public array $near,
        public float $covered,
    ) {}

    /** Common practice, no published source. */
    public static function shortest(): Length
    {
        return Length::ofInches(2);
    }

    public static function of(Construction $construction): self
    {
        $lattice = $construction->face->lattice;
        $allowance = $lattice->toFloatSteps($construction->face->block->seamAllowance);
        $shortest = $lattice->toFloatSteps(self::shortest());
        $short = array_filter($construction->joins, static fn (Join $join): bool => $join->seam->length() < $shortest - 1e-6);

        return new self(
            array_values(array_map(static fn (Join $join): int => $join->id, $short)),
            self::nearPairs($construction->joins, 2 * $allowance),
            self::share($construction, $allowance),
        );
    }

    /**
     * @param list<Join> $joins
     *
     * @return list<array{int, int}>
     */
    private static function nearPairs(array $joins, float $reach): array
    {
        $side = max(4 * $reach, 1.0);
        $buckets = [];
        foreach ($joins as $join) {
            foreach (self::under($join->seam, $side, $reach) as $bucket) {
                $buckets[$bucket][] = $join;
            }
        }
        $pairs = [];
        foreach ($buckets as $together) {
            foreach ($together as $i => $one) {
                for ($k = $i + 1, $count = count($together); $k < $count; ++$k) {
                    $other = $together[$k];
                    $key = $one->id.' '.$other->id;
                    if (! isset($pairs[$key])) {
                        $apart = self::distance($one->seam, $other->seam);
                        $pairs[$key] = $apart > 0 && $apart < $reach - 1e-6 ? [$one->id, $other->id] : false;
                    }
                }
            }
        }

        return array_values(array_filter($pairs));
    }

    /** @return iterable<string> squares of the block that a seam and what is near to it may lie in */
    private static function under(Segment $seam, float $side, float $reach): iterable
    {
        [$from, $to] = [$seam->from, $seam->to];
        for ($x = (int) floor((min($from->x, $to->x) - $reach) / $side); $x <= (int) floor((max($from->x, $to->x) + $reach) / $side); ++$x) {
            for ($y = (int) floor((min($from->y, $to->y) - $reach) / $side); $y <= (int) floor((max($from->y, $to->y) + $reach) / $side); ++$y) {
                yield $x.','.$y;
            }
        }
    }

    /** 0 where the two meet. */
    private static function distance(Segment $a, Segment $b): float
    {
        if ($a->sideOf($b->from) * $a->sideOf($b->to) <= 0 && $b->sideOf($a->from) * $b->sideOf($a->to) <= 0 && ($a->direction()->cross($b->direction()) !== 0 || $a->contains($b->from) || $a->contains($b->to) || $b->contains($a->from))) {
            return 0.0;
        }

        return min(
            self::toPoint($a, $b->from->x, $b->from->y),
            self::toPoint($a, $b->to->x, $b->to->y),
            self::toPoint($b, $a->from->x, $a->from->y),
            self::toPoint($b, $a->to->x, $a->to->y),
        );
    }

    private static function toPoint(Segment $seam, float $x, float $y): float
    {
        $along = $seam->direction();
        $share = max(0.0, min(1.0, (($x - $seam->from->x) * $along->x + ($y - $seam->from->y) * $along->y) / $along->dot($along)));

        return hypot($x - $seam->from->x - $share * $along->x, $y - $seam->from->y - $share * $along->y);
    }

    private static function share(Construction $construction, float $allowance): float
    {
        [$width, $height] = $construction->face->outline()->size();
        $step = max($width, $height) / self::SAMPLES;
        [$across, $down] = [(int) max(1, round($width / $step)), (int) max(1, round($height / $step))];
        $covered = [];
        foreach ($construction->joins as $join) {
            [$from, $to] = [$join->seam->from, $join->seam->to];
            $along = $join->seam->direction();
            for ($j = max(0, (int) floor((min($from->y, $to->y) - $allowance) / $step)); $j <= min($down - 1, (int) ceil((max($from->y, $to->y) + $allowance) / $step)); ++$j) {
                for ($i = max(0, (int) floor((min($from->x, $to->x) - $allowance) / $step)); $i <= min($across - 1, (int) ceil((max($from->x, $to->x) + $allowance) / $step)); ++$i) {
                    [$x, $y] = [($i + 0.5) * $step - $from->x, ($j + 0.5) * $step - $from->y];
                    $dot = $x * $along->x + $y * $along->y;
                    if ($dot >= 0 && $dot <= $along->dot($along) && abs($x * $along->y - $y * $along->x) <= $allowance * $join->seam->length()) {
                        $covered[$j * $across + $i] = true;
                    }
                }
            }
        }

        return count($covered) / ($across * $down);
    }
}
