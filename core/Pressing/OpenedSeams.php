<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Geometry\Box;
use KeenSeam\Core\Geometry\Segment;
use KeenSeam\Core\Geometry\Whereabouts;
use KeenSeam\Core\Measure\Length;

/**
 * What opening the seams of a block as large as this one would come to: plies alone always favour open, whatever the size,
 * but in a small block opened allowances lie on each other and short seams cannot be held open at the iron.
 */
final readonly class OpenedSeams
{
    /** Points along the longer side at which the back is looked at. */
    private const SAMPLES = 240;

    /** In lattice steps, which are much larger. */
    private const ROUNDING = 1e-6;

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
        $short = array_filter($construction->joins, static fn (Join $join): bool => $join->seam->length() < $shortest - self::ROUNDING);

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
        $near = new Whereabouts(array_map(static fn (Join $join): Box => Box::ofPoints([$join->seam->from, $join->seam->to])->wider($reach / 2), $joins));
        $isNear = static function (array $pair) use ($joins, $reach): bool {
            $apart = self::distance($joins[$pair[0]]->seam, $joins[$pair[1]]->seam);

            return $apart > self::ROUNDING && $apart < $reach - self::ROUNDING;
        };

        return array_values(array_filter($near->touching(), $isNear));
    }

    /** Nought where the two meet: seams end on each other, none crosses another. */
    private static function distance(Segment $a, Segment $b): float
    {
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
            $near = Box::ofPoints([$from, $to])->wider($allowance);
            $columns = self::samples($near->left, $near->right, $step, $across);
            foreach (self::samples($near->top, $near->bottom, $step, $down) as $j) {
                foreach ($columns as $i) {
                    [$x, $y] = [($i + 0.5) * $step - $from->x, ($j + 0.5) * $step - $from->y];
                    $dot = $x * $along->x + $y * $along->y;
                    if ($dot >= 0 && $dot <= $along->dot($along) && abs($x * $along->y - $y * $along->x) <= $allowance * $join->seam->length()) {
                        $covered[$i.' '.$j] = $join;
                    }
                }
            }
        }

        return count($covered) / ($across * $down);
    }

    /** @return list<int> numbers of the samples that may lie between two places, of so many */
    private static function samples(float $least, float $most, float $step, int $count): array
    {
        return range((int) max(0, floor($least / $step)), (int) min($count - 1, floor($most / $step)));
    }
}
