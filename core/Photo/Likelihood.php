<?php

declare(strict_types=1);

namespace KeenSeam\Core\Photo;

/** How likely each fabric is at each place that is looked at of a unit: logarithms, from nought down. */
final readonly class Likelihood
{
    /** How unlikely a single place can make a way to lie. */
    public const MOST_UNLIKELY = 5.0;

    /** How unlikely the drawn fabric, and how likely another one, must be at a place that shows another for sure. */
    private const STRANGE_PLACE = -3.5;

    private const FAMILIAR_PLACE = -1.5;

    /** @param list<array<string, float>> $likely by place and fabric */
    public function __construct(private array $likely) {}

    /**
     * @param list<string> $labels
     */
    public function fit(array $labels): float
    {
        [$sum, $count] = [0.0, 0];
        foreach ($labels as $n => $fabric) {
            if ($fabric !== '') {
                $sum += $this->likely[$n][$fabric];
                ++$count;
            }
        }

        return $count === 0 ? -self::MOST_UNLIKELY : $sum / $count;
    }

    /**
     * The share of places that show another fabric for sure.
     *
     * @param list<string> $labels
     */
    public function strange(array $labels): float
    {
        [$strange, $count] = [0, 0];
        foreach ($labels as $n => $fabric) {
            if ($fabric !== '') {
                $strange += $this->likely[$n][$fabric] < self::STRANGE_PLACE && max([-self::MOST_UNLIKELY, ...array_values($this->likely[$n])]) > self::FAMILIAR_PLACE ? 1 : 0;
                ++$count;
            }
        }

        return $strange / max(1, $count);
    }

    /** Where each place may be any fabric. */
    public function free(): float
    {
        return array_sum(array_map(static fn (array $of): float => max([-self::MOST_UNLIKELY, ...array_values($of)]), $this->likely)) / max(1, count($this->likely));
    }

    /**
     * How much better the first fits, a place, where the two show different fabrics.
     *
     * @param list<string> $one
     * @param list<string> $other
     */
    public function margin(array $one, array $other): float
    {
        [$sum, $count] = [0.0, 0];
        foreach ($one as $n => $fabric) {
            if ($fabric !== '' && $other[$n] !== '' && $other[$n] !== $fabric) {
                $sum += $this->likely[$n][$fabric] - $this->likely[$n][$other[$n]];
                ++$count;
            }
        }

        return $count === 0 ? 0.0 : $sum / $count;
    }
}
