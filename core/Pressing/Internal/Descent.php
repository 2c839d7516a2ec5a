<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

/**
 * Betters an assignment by changing one variable at a time until no change helps.
 *
 * @internal
 */
final class Descent
{
    /**
     * @param list<int>        $domains
     * @param list<Factor>     $factors
     * @param list<int>        $values   by variable
     * @param \Closure(): bool $timeIsUp
     *
     * @return list<int>
     */
    public static function from(array $domains, array $factors, array $values, \Closure $timeIsUp): array
    {
        $factorsOf = array_fill(0, count($domains), []);
        foreach ($factors as $factor) {
            foreach ($factor->scope as $variable) {
                $factorsOf[$variable][] = $factor;
            }
        }
        do {
            $better = false;
            foreach ($domains as $variable => $size) {
                $before = $values[$variable];
                $best = self::weigh($factorsOf[$variable], $values, $domains);
                foreach (range(0, $size - 1) as $value) {
                    $tried = $values;
                    $tried[$variable] = $value;
                    $weight = self::weigh($factorsOf[$variable], $tried, $domains);
                    if ($weight < $best) {
                        $best = $weight;
                        $values[$variable] = $value;
                    }
                }
                $better = $better || $values[$variable] !== $before;
            }
        } while ($better && ! $timeIsUp());

        return array_values($values);
    }

    /**
     * @param list<Factor>    $factors
     * @param array<int, int> $values
     * @param list<int>       $domains
     *
     * @return array{int, int} high and low weight
     */
    public static function weigh(array $factors, array $values, array $domains): array
    {
        $weight = [0, 0];
        foreach ($factors as $factor) {
            $at = $factor->index($values, $domains);
            $weight[0] += $factor->high[$at];
            $weight[1] += $factor->low[$at];
        }

        return $weight;
    }
}
