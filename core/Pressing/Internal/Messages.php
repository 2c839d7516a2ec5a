<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

/**
 * Shifts high weights between the factors of a problem so that the sum of the least of each, which no values can go
 * below, grows. Every factor tells each of its variables what it thinks of its values, and they share it out anew
 * (message passing on a linear relaxation: A. Globerson and T. Jaakkola, "Fixing max-product: convergent message
 * passing algorithms for MAP LP-relaxations", Advances in Neural Information Processing Systems 20, 2007).
 *
 * Weights are whole numbers throughout, so that what is shifted is exactly what arrives; they are scaled up, for messages
 * are fractions.
 *
 * @internal
 */
final class Messages
{
    /** Rounds; later ones bring less and less. */
    private const MOST_ROUNDS = 120;

    /** A round that brings less than this share of what the bound is ends it. */
    private const LEAST_GAIN = 2e-6;

    /** So much finer than whole weights are the messages, where weights are not too large for it. */
    private const LARGEST_SCALE = 64;

    /** @var array<int, array<int, int>> high weights of each variable's values */
    private array $own;

    /** @var array<int, array{list<int>, list<int>, list<int>}> scope, high and low weights of the factors over several variables */
    private array $shared = [];

    /**
     * @param list<int>    $domains
     * @param list<Factor> $factors one for each scope
     */
    private function __construct(private readonly array $domains, array $factors, public readonly int $scale)
    {
        $this->own = array_map(static fn (int $size): array => array_fill(0, $size, 0), $domains);
        foreach ($factors as $factor) {
            $highs = array_map(static fn (int $high): int => $high >= Weight::FORBIDDEN ? Weight::FORBIDDEN : $high * $scale, $factor->high);
            if (count($factor->scope) > 1) {
                $this->shared[] = [$factor->scope, $highs, $factor->low];
            } elseif ($factor->scope !== []) {
                $this->own[$factor->scope[0]] = array_map(static fn (int $a, int $b): int => min($a + $b, Weight::FORBIDDEN), $this->own[$factor->scope[0]], $highs);
            }
        }
    }

    /**
     * @param list<int>        $domains
     * @param list<Factor>     $factors  one for each scope
     * @param \Closure(): bool $timeIsUp
     *
     * @return array{list<Factor>, int} the same problem with its high weights shifted, each so many times as large
     */
    public static function passed(array $domains, array $factors, \Closure $timeIsUp): array
    {
        $messages = new self($domains, $factors, self::scaleFor($factors));
        $bound = $messages->bound();
        for ($round = 0; $round < self::MOST_ROUNDS && ! $timeIsUp(); ++$round) {
            foreach ($messages->shared as $number => $_) {
                $messages->pass($number);
            }
            [$before, $bound] = [$bound, $messages->bound()];
            if ($bound - $before <= self::LEAST_GAIN * abs($bound)) {
                break;
            }
        }

        return [$messages->factors($factors), $messages->scale];
    }

    /** @param list<Factor> $factors */
    private static function scaleFor(array $factors): int
    {
        $sum = array_sum(array_map(static fn (Factor $factor): int => max([0, ...array_filter($factor->high, static fn (int $high): bool => $high < Weight::FORBIDDEN)]), $factors));

        return max(1, min(self::LARGEST_SCALE, intdiv(Weight::FORBIDDEN, 4 * (1 + $sum))));
    }

    private function bound(): int
    {
        $least = array_map(static fn (array $highs): int => min([Weight::FORBIDDEN, ...$highs]), [...$this->own, ...array_column($this->shared, 1)]);

        // Many that are impossible would not fit into a number.
        return max([0, ...$least]) === Weight::FORBIDDEN ? Weight::FORBIDDEN : array_sum($least);
    }

    /** Takes in what the variables hold, and gives each of them an equal share of what the factor then thinks of it. */
    private function pass(int $number): void
    {
        [$scope, $highs, $lows] = $this->shared[$number];
        $count = count($scope);
        if ($count === 2) {
            $this->passBetweenTwo($number);

            return;
        }
        $values = array_fill(0, $count, 0);
        $least = array_map(fn (int $variable): array => array_fill(0, $this->domains[$variable], Weight::FORBIDDEN), $scope);
        $sums = [];
        foreach ($highs as $high) {
            foreach ($scope as $i => $variable) {
                $high += $this->own[$variable][$values[$i]];
            }
            $sums[] = $high = min($high, Weight::FORBIDDEN);
            foreach ($values as $i => $value) {
                if ($high < $least[$i][$value]) {
                    $least[$i][$value] = $high;
                }
            }
            $values = $this->next($values, $scope);
        }
        foreach ($scope as $i => $variable) {
            $this->own[$variable] = array_map(static fn (int $weight): int => $weight === Weight::FORBIDDEN ? Weight::FORBIDDEN : intdiv($weight, $count), $least[$i]);
        }
        $values = array_fill(0, $count, 0);
        $left = [];
        foreach ($sums as $high) {
            if ($high !== Weight::FORBIDDEN) {
                foreach ($scope as $i => $variable) {
                    $high -= $this->own[$variable][$values[$i]];
                }
            }
            $left[] = $high;
            $values = $this->next($values, $scope);
        }
        $this->shared[$number] = [$scope, $left, $lows];
    }

    /** The same for the most frequent kind of factor, written out. */
    private function passBetweenTwo(int $number): void
    {
        [$scope, $highs, $lows] = $this->shared[$number];
        [$ofA, $ofB] = [$this->own[$scope[0]], $this->own[$scope[1]]];
        $leastOfB = array_fill(0, count($ofB), Weight::FORBIDDEN);
        $leastOfA = $sums = [];
        $at = 0;
        foreach ($ofA as $a => $weightA) {
            $least = Weight::FORBIDDEN;
            foreach ($ofB as $b => $weightB) {
                $sums[] = $weight = $highs[$at++] + $weightA + $weightB;
                if ($weight < $least) {
                    $least = $weight;
                }
                if ($weight < $leastOfB[$b]) {
                    $leastOfB[$b] = $weight;
                }
            }
            $leastOfA[] = $least;
        }
        $half = static fn (int $weight): int => $weight === Weight::FORBIDDEN ? Weight::FORBIDDEN : $weight >> 1;
        $this->own[$scope[0]] = $ofA = array_map($half, $leastOfA);
        $this->own[$scope[1]] = $ofB = array_map($half, $leastOfB);
        $left = [];
        $at = 0;
        foreach ($ofA as $weightA) {
            foreach ($ofB as $weightB) {
                $weight = $sums[$at++];
                $left[] = $weight >= Weight::FORBIDDEN ? Weight::FORBIDDEN : $weight - $weightA - $weightB;
            }
        }
        $this->shared[$number] = [$scope, $left, $lows];
    }

    /**
     * @param array<int, int> $values
     * @param list<int>       $scope
     *
     * @return array<int, int>
     */
    private function next(array $values, array $scope): array
    {
        for ($i = count($scope) - 1; $i >= 0; --$i) {
            if (++$values[$i] < $this->domains[$scope[$i]]) {
                return $values;
            }
            $values[$i] = 0;
        }

        return $values;
    }

    /**
     * @param list<Factor> $factors as they were; their low weights stay where they are
     *
     * @return list<Factor>
     */
    private function factors(array $factors): array
    {
        $lows = array_map(static fn (int $size): array => array_fill(0, $size, 0), $this->domains);
        foreach ($factors as $factor) {
            if (count($factor->scope) === 1) {
                $lows[$factor->scope[0]] = $factor->low;
            }
        }
        $all = array_values(array_map(static fn (array $shared): Factor => new Factor(...$shared), $this->shared));
        foreach ($this->own as $variable => $highs) {
            $all[] = new Factor([$variable], array_values($highs), $lows[$variable]);
        }

        return $all;
    }
}
