<?php

declare(strict_types=1);

namespace KeenSeam\Core\Matching;

use KeenSeam\Core\Assembly\TopCopy;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Top\Setting;
use KeenSeam\Core\Top\Top;

/**
 * The blocks of a top as they really came out: what fits where two of them meet, what can be done about it, and which of
 * them change places so that small ones stand beside small ones.
 *
 * Blocks are measured as they lie in the top: along their edge that faces up (on point: up and to the right) and along
 * the one beside it. What is sewn away is the same for all, so raw and finished sizes differ alike.
 */
final readonly class BlocksAsMade
{
    /** Nobody carries more blocks about than that. */
    private const MOST_SWAPS = 10;

    /** @var array<string, array{float, float}> by how much each is larger than planned, along and beside, by place; in the top's unit */
    private array $over;

    /** @var array<string, bool> by place, whether its block lies turned by a quarter */
    private array $turned;

    /** @var list<array{string, string, 0|1}> places that meet, and which of their edges they share */
    private array $meetings;

    /** @var array<string, array<int, array{string, string, 0|1}>> the same by each of the two places */
    private array $meetingsOf;

    /**
     * @param list<TopCopy>                            $copies
     * @param array<string, array{Fraction, Fraction}> $raw    by key of the place, in the top's unit; those that are left out are as planned
     */
    public function __construct(private Top $top, private array $copies, private array $raw)
    {
        $planned = $this->planned();
        $over = $byPlace = $turned = [];
        foreach ($copies as $copy) {
            $place = $copy->place->place ?? throw new \LogicException('A block stands in a place.');
            $key = $place->key();
            [$along, $beside] = $raw[$key] ?? $planned;
            $over[$key] = [$along->toFloat() - $planned[0]->toFloat(), $beside->toFloat() - $planned[1]->toFloat()];
            $byPlace[$key] = [$place->rowDoubled, $place->columnDoubled];
            $turned[$key] = $place->placement->turn->swapsSides();
        }
        $this->over = $over;
        $this->turned = $turned;
        // The one beside it, whose edge it shares; and the one above it. On point they stand lower and higher to the right.
        $steps = $top->setting === Setting::OnPoint ? [[1, 1, 1], [-1, 1, 0]] : [[0, 2, 1], [-2, 0, 0]];
        $meetings = [];
        foreach ($byPlace as $key => [$row, $column]) {
            foreach ($steps as [$down, $right, $edge]) {
                $other = ($row + $down).','.($column + $right);
                if (isset($byPlace[$other])) {
                    $meetings[] = [(string) $key, $other, $edge];
                }
            }
        }
        $this->meetings = $meetings;
        $meetingsOf = [];
        foreach ($meetings as $number => $meeting) {
            $meetingsOf[$meeting[0]][$number] = $meetingsOf[$meeting[1]][$number] = $meeting;
        }
        $this->meetingsOf = $meetingsOf;
    }

    /** @return array{Fraction, Fraction} the raw size that every block should have, in the top's unit */
    public function planned(): array
    {
        $block = $this->top->firstDesign()->block;
        $two = $this->top->allowance->times(2);

        return [$block->finishedWidth->plus($two)->in($this->top->unit), $block->finishedHeight->plus($two)->in($this->top->unit)];
    }

    /** The largest difference where two of them meet. */
    public function largestDifference(): float
    {
        return max([0.0, ...array_map(fn (array $meeting): float => $this->difference($this->over, $meeting), $this->meetings)]);
    }

    /** All differences where they meet, added up. */
    public function differences(): float
    {
        return $this->sum($this->over, $this->meetings);
    }

    /** How much the largest has to lose to be squared to the smallest. */
    public function cutOff(): float
    {
        $sides = $this->sides();

        return max($sides) - min($sides);
    }

    /** How much smaller than planned the smallest is; not more than nothing where none is smaller. */
    public function shortBy(): float
    {
        return max(0.0, -min($this->sides()));
    }

    /**
     * Which blocks change places, so that differences run together: one pair after the other, each time the two that help
     * most. Only blocks that are made and pressed alike change; each is turned as its new place asks.
     *
     * @param list<int> $piles by copy, from 0
     *
     * @return list<array{string, string}> keys of places
     */
    public function swaps(array $piles): array
    {
        $alike = [];
        foreach ($this->copies as $number => $copy) {
            $alike[$copy->made.' '.($piles[$number] ?? 0)][] = $copy->place->place?->key() ?? '';
        }
        $over = $this->over;
        $swaps = [];
        do {
            [$best, $most] = [null, 1e-9];
            foreach ($alike as $keys) {
                foreach ($keys as $i => $one) {
                    foreach (array_slice($keys, $i + 1) as $other) {
                        if ($over[$one] === $over[$other] && $this->turned[$one] === $this->turned[$other]) {
                            continue;
                        }
                        $gain = $this->gain($over, $one, $other);
                        if ($gain > $most) {
                            [$best, $most] = [[$one, $other], $gain];
                        }
                    }
                }
            }
            if ($best !== null) {
                $over = $this->exchanged($over, ...$best);
                $swaps[] = $best;
            }
        } while ($best !== null && count($swaps) < self::MOST_SWAPS);

        return $swaps;
    }

    /**
     * The same blocks after they changed places.
     *
     * @param list<array{string, string}> $swaps
     */
    public function swapped(array $swaps): self
    {
        $raw = $this->raw + array_fill_keys(array_keys($this->over), $this->planned());
        foreach ($swaps as [$one, $other]) {
            $raw = $this->exchanged($raw, $one, $other);
        }

        return new self($this->top, $this->copies, $raw);
    }

    /**
     * @template Side of float|Fraction
     *
     * @param array<string, array{Side, Side}> $sizes by place
     *
     * @return array<string, array{Side, Side}>
     */
    private function exchanged(array $sizes, string $one, string $other): array
    {
        $isTurned = $this->turned[$one] !== $this->turned[$other];
        [[$a, $b], [$c, $d]] = [$sizes[$one], $sizes[$other]];

        return [$one => $isTurned ? [$d, $c] : [$c, $d], $other => $isTurned ? [$b, $a] : [$a, $b]] + $sizes;
    }

    /** @return non-empty-list<float> by how much each side is larger than planned */
    private function sides(): array
    {
        return [...array_column($this->over, 0), ...array_column($this->over, 1)] ?: [0.0];
    }

    /**
     * By how much the differences become less when two blocks change places; only what meets one of them changes.
     *
     * @param array<string, array{float, float}> $over
     */
    private function gain(array $over, string $one, string $other): float
    {
        $touched = ($this->meetingsOf[$one] ?? []) + ($this->meetingsOf[$other] ?? []);
        // Only the places that are looked at: copying all of them for every pair would take longest.
        $near = [];
        foreach ($touched as [$a, $b]) {
            $near[$a] = $over[$a];
            $near[$b] = $over[$b];
        }

        return $touched === [] ? 0.0 : $this->sum($near, $touched) - $this->sum($this->exchanged([$one => $over[$one], $other => $over[$other]] + $near, $one, $other), $touched);
    }

    /**
     * @param array<string, array{float, float}>     $over
     * @param array<int, array{string, string, 0|1}> $meetings
     */
    private function sum(array $over, array $meetings): float
    {
        return array_sum(array_map(fn (array $meeting): float => $this->difference($over, $meeting), $meetings));
    }

    /**
     * @param array<string, array{float, float}> $over
     * @param array{string, string, 0|1}         $meeting
     */
    private function difference(array $over, array $meeting): float
    {
        [$one, $other, $edge] = $meeting;

        return abs($over[$one][$edge] - $over[$other][$edge]);
    }
}
