<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

/**
 * Solves a model exactly where it can; else gives its best plan with a bound.
 *
 * @internal
 */
final class Search
{
    /** Table sizes to try one after the other: the first that is exact ends the search. */
    private const TABLE_SIZES = [1 << 8, 1 << 12, 1 << 16, 1 << 19];

    /**
     * @param list<int>        $domains
     * @param list<Factor>     $factors
     * @param \Closure(): bool $timeIsUp
     */
    public static function best(array $domains, array $factors, \Closure $timeIsUp): Optimum
    {
        $best = null;
        foreach (self::TABLE_SIZES as $size) {
            // The first, small round always runs to its end, so that there is a plan however short the time.
            $found = (new Elimination($domains, $factors))->solve($size, $best === null ? static fn (): bool => false : $timeIsUp);
            if ($found === null || $found->exact) {
                $best = $found ?? $best;
                break;
            }
            $values = Descent::from($domains, $factors, $found->values, $timeIsUp);
            $best = self::better($best, new Optimum($values, $found->boundHigh, $found->boundLow, false), $domains, $factors);
        }

        return $best ?? throw new \LogicException('The first round gives a plan.');
    }

    /**
     * The better values of the two with the higher bound of the two.
     *
     * @param list<int>    $domains
     * @param list<Factor> $factors
     */
    private static function better(?Optimum $a, Optimum $b, array $domains, array $factors): Optimum
    {
        if ($a === null) {
            return $b;
        }
        $values = Descent::weigh($factors, $b->values, $domains) < Descent::weigh($factors, $a->values, $domains) ? $b->values : $a->values;
        $bound = max([$a->boundHigh, $a->boundLow], [$b->boundHigh, $b->boundLow]);

        return new Optimum($values, $bound[0], $bound[1], Descent::weigh($factors, $values, $domains) === $bound);
    }
}
