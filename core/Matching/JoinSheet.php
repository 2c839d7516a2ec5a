<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching;

use KeenSeam\Core\Assembly\Join;

/** One join as it lies in the hand: the two edges, what has to meet along them, and what will. */
final readonly class JoinSheet
{
    /** Under 60 degrees. Common practice, no published source. */
    private const SHARP = M_PI / 3;

    /**
     * @param float                                                                       $finished length of the join
     * @param array{float, float}                                                         $real     finished lengths of the left and the right edge, corner to corner, as they will really come out
     * @param array{float, float}                                                         $raw      the same from raw corner to raw corner
     * @param string                                                                      $up       left, right or either: which assembly to sew with on top
     * @param string                                                                      $bias     none, left, right or both
     * @param list<Mark>                                                                  $marks    from the start of the join to its end
     * @param array{list<array{float, float, string}>, list<array{float, float, string}>} $edges    of the left and the right assembly: from, to and fabric of each patch along the finished join
     * @param array{JoinEnd, JoinEnd}                                                     $ends     its start and its end
     */
    public function __construct(
        public Join $join,
        public float $finished,
        public array $real,
        public array $raw,
        public string $up,
        public string $bias,
        public array $marks,
        public array $edges,
        public array $ends,
    ) {}

    /** What has to be eased: the true difference of the two edges; nought when everything is sewn true. */
    public function endsDiffer(): float
    {
        return $this->real[0] - $this->real[1];
    }

    /** Which end goes under the needle first, the one whose sharper angle is the larger: 0 its start, 1 its end; null where they are alike. */
    public function firstIn(): ?int
    {
        $differ = $this->ends[0]->sharpness() - $this->ends[1]->sharpness();

        return abs($differ) < 1e-9 ? null : ($differ > 0 ? 0 : 1);
    }

    /** A sharp point is chewed by the machine: where no end is blunt a scrap of leader cloth goes first. */
    public function wantsLeader(): bool
    {
        return max($this->ends[0]->sharpness(), $this->ends[1]->sharpness()) < self::SHARP - 1e-9;
    }
}
