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
    /** @var array<string, array{float, float}> by how much each is larger than planned, along and beside, by place; in the top's unit */
    private array $over;

    /** @var array<string, bool> by place, whether its block lies turned by a quarter */
    private array $turned;

    /** @var list<array{string, string, 0|1}> places that meet, and which of their edges they share */
    private array $meetings;

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
        return $this->sum($this->over);
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
            [$best, $least] = [null, $this->sum($over) - 1e-9];
            foreach ($alike as $keys) {
                foreach ($keys as $i => $one) {
                    foreach (array_slice($keys, $i + 1) as $other) {
                        $tried = $this->exchanged($over, $one, $other);
                        if ($this->sum($tried) < $least) {
                            [$best, $least] = [[$one, $other], $this->sum($tried)];
                        }
                    }
                }
            }
            if ($best !== null) {
                $over = $this->exchanged($over, ...$best);
                $swaps[] = $best;
            }
        } while ($best !== null);

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

    /** @param array<string, array{float, float}> $over */
    private function sum(array $over): float
    {
        return array_sum(array_map(fn (array $meeting): float => $this->difference($over, $meeting), $this->meetings));
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
