<?php

declare(strict_types=1);

namespace Tests\Core\Pressing;

use KeenSeam\Core\Pressing\Internal\Factor;
use KeenSeam\Core\Pressing\Internal\Weight;
use Random\Randomizer;

/** Problems made at random for the searches. */
final class Factors
{
    /** @return array{list<int>, list<Factor>} the pile of the units, then rows, then columns */
    public static function rowsAgainstColumns(Randomizer $random, int $rows, int $columns, int $from = 40, int $to = 90): array
    {
        $factors = [];
        for ($row = 0; $row < $rows; ++$row) {
            for ($column = 0; $column < $columns; ++$column) {
                $factors[] = self::factor($random, [$row, $rows + $column, $rows + $columns], array_fill(0, $rows + $columns + 1, 2), $from, $to);
            }
        }

        return [array_fill(0, $rows + $columns + 1, 2), $factors];
    }

    /** @return array{list<int>, list<Factor>} rows, then columns, then piles that have a say in so many parts of the whole each, in tenths */
    public static function underPiles(Randomizer $random, int $size, int ...$tenths): array
    {
        $domains = array_fill(0, 2 * $size + count($tenths), 2);
        $factors = [];
        for ($number = 0; $number < $size * $size; ++$number) {
            $piles = array_keys(array_filter($tenths, static fn (int $share): bool => $number % 10 < $share));
            $scope = [intdiv($number, $size), $size + $number % $size, ...array_map(static fn (int $pile): int => 2 * $size + $pile, $piles)];
            $factors[] = self::factor($random, $scope, $domains, 40, 90);
        }

        return [$domains, $factors];
    }

    /**
     * @param list<int> $domains
     *
     * @return array{list<int>, list<Factor>} one factor for each scope
     */
    public static function problem(Randomizer $random, array $domains, int $count): array
    {
        $factors = [];
        for ($i = 0; $i < $count; ++$i) {
            $scope = $random->pickArrayKeys($domains, $random->getInt(1, min(3, count($domains))));
            sort($scope);
            $factors[implode(',', $scope)] = self::factor($random, $scope, $domains, 0, 90, true, 3);
        }

        return [$domains, array_values($factors)];
    }

    /**
     * @param list<int> $scope
     * @param list<int> $domains
     */
    public static function factor(Randomizer $random, array $scope, array $domains, int $from, int $to, bool $mayForbid = false, int $mostFirst = 0): Factor
    {
        $size = (int) array_product(array_map(static fn (int $variable): int => $domains[$variable], $scope));
        $highs = $lows = [];
        for ($entry = 0; $entry < $size; ++$entry) {
            // The first entry stays allowed, so that there is a plan.
            $highs[] = $mayForbid && $entry > 0 && $random->getInt(0, 9) === 0 ? Weight::FORBIDDEN : $random->getInt(0, $mostFirst) * Weight::SECOND + $random->getInt($from, $to);
            $lows[] = $random->getInt(0, 3);
        }

        return new Factor($scope, $highs, $lows);
    }
}
