<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

/**
 * A cost that depends on a few variables: a table over their values.
 *
 * @internal
 */
final readonly class Factor
{
    /**
     * @param list<int> $scope variables, ascending
     * @param list<int> $high  weights by mixed radix: the first variable of the scope counts slowest
     * @param list<int> $low   the same
     * @param string    $kind  the same for factors with the same tables, so that these are worked on once; empty when not known
     */
    public function __construct(
        public array $scope,
        public array $high,
        public array $low,
        public string $kind = '',
    ) {}

    /**
     * Where the table holds the weight of these values.
     *
     * @param array<int, int> $values  by variable
     * @param list<int>       $domains number of values of each variable
     */
    public function index(array $values, array $domains): int
    {
        $index = 0;
        foreach ($this->scope as $variable) {
            $index = $index * $domains[$variable] + $values[$variable];
        }

        return $index;
    }

    /** @return array<int, int> the other variables of its scope, as keys */
    public function besides(int $variable): array
    {
        return array_diff_key(array_flip($this->scope), [$variable => null]);
    }

    /**
     * @param list<self> $factors
     *
     * @return array<int, array<int, mixed>> by variable, those it shares a factor with
     */
    public static function neighbours(int $variables, array $factors): array
    {
        $neighbours = array_fill(0, $variables, []);
        foreach ($factors as $factor) {
            foreach ($factor->scope as $variable) {
                $neighbours[$variable] += $factor->besides($variable);
            }
        }

        return $neighbours;
    }

    /**
     * Factors with some of their variables decided.
     *
     * @param list<int>       $domains
     * @param list<self>      $factors
     * @param array<int, int> $case    value by variable
     * @param array<int, int> $numbers new number of each variable that is left
     *
     * @return list<self> over the variables that are left
     */
    public static function fixed(array $domains, array $factors, array $case, array $numbers): array
    {
        $known = [];

        return array_map(static function (self $factor) use ($domains, $case, $numbers, &$known): self {
            // Factors of one kind of which the same is decided stay of one kind.
            $kind = $factor->kind === '' ? '' : $factor->kind.'|'.implode(',', array_map(static fn (int $variable): string => (string) ($case[$variable] ?? ''), $factor->scope));
            if (isset($known[$kind])) {
                $left = array_filter($factor->scope, static fn (int $variable): bool => ! isset($case[$variable]));

                return new self(array_values(array_map(static fn (int $variable): int => $numbers[$variable], $left)), $known[$kind]->high, $known[$kind]->low, $known[$kind]->kind);
            }
            $places = [0];
            $scope = [];
            foreach ($factor->scope as $variable) {
                $values = isset($case[$variable]) ? [$case[$variable]] : range(0, $domains[$variable] - 1);
                $next = [];
                foreach ($places as $place) {
                    foreach ($values as $value) {
                        $next[] = $place * $domains[$variable] + $value;
                    }
                }
                $places = $next;
                if (! isset($case[$variable])) {
                    $scope[] = $numbers[$variable];
                }
            }

            $fixed = new self($scope, array_map(static fn (int $place): int => $factor->high[$place], $places), array_map(static fn (int $place): int => $factor->low[$place], $places), $kind === '' ? '' : 'f'.count($known));
            if ($kind !== '') {
                $known[$kind] = $fixed;
            }

            return $fixed;
        }, $factors);
    }

    /**
     * What it costs at least, whatever the values of its other variables.
     *
     * @param list<int>         $domains
     * @param array<int, mixed> $kept    variables that the cost still depends on
     */
    public function least(array $domains, array $kept): self
    {
        $places = [0];
        $size = 1;
        $scope = [];
        foreach ($this->scope as $variable) {
            $isKept = isset($kept[$variable]);
            $next = [];
            foreach ($places as $place) {
                for ($value = 0; $value < $domains[$variable]; ++$value) {
                    $next[] = $isKept ? $place * $domains[$variable] + $value : $place;
                }
            }
            $places = $next;
            if ($isKept) {
                $scope[] = $variable;
                $size *= $domains[$variable];
            }
        }
        $highs = array_fill(0, $size, PHP_INT_MAX);
        $lows = array_fill(0, $size, PHP_INT_MAX);
        foreach ($places as $entry => $place) {
            if ($this->high[$entry] < $highs[$place] || ($this->high[$entry] === $highs[$place] && $this->low[$entry] < $lows[$place])) {
                $highs[$place] = $this->high[$entry];
                $lows[$place] = $this->low[$entry];
            }
        }

        return new self($scope, array_values($highs), array_values($lows));
    }

    /**
     * Factors over the same variables added up.
     *
     * @param list<self> $factors
     *
     * @return list<self>
     */
    public static function together(array $factors): array
    {
        $byScope = [];
        foreach ($factors as $factor) {
            $byScope[implode(',', $factor->scope)][] = $factor;
        }
        $sums = [];

        return array_map(static function (array $alike) use (&$sums): self {
            $kinds = array_map(static fn (self $factor): string => $factor->kind, $alike);
            $kind = array_filter($kinds, static fn (string $kind): bool => $kind === '') === [] ? implode('+', $kinds) : '';
            [$highs, $lows] = $sums[$kind] ?? self::sum($alike);
            if ($kind !== '') {
                $sums[$kind] = [$highs, $lows];
            }

            return new self($alike[0]->scope, $highs, $lows, $kind);
        }, array_values($byScope));
    }

    /**
     * @param non-empty-list<self> $alike over the same variables
     *
     * @return array{list<int>, list<int>}
     */
    private static function sum(array $alike): array
    {
        $highs = $alike[0]->high;
        $lows = $alike[0]->low;
        foreach (array_slice($alike, 1) as $factor) {
            foreach ($factor->high as $entry => $high) {
                $highs[$entry] = min($highs[$entry] + $high, Weight::FORBIDDEN);
                $lows[$entry] += $factor->low[$entry];
            }
        }

        return [array_values($highs), array_values($lows)];
    }
}
