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

    /**
     * @param list<self> $factors
     *
     * @return array<int, array<int, true>> by variable, those it shares a factor with
     */
    public static function neighbours(int $variables, array $factors): array
    {
        $neighbours = array_fill(0, $variables, []);
        foreach ($factors as $factor) {
            foreach ($factor->scope as $a) {
                foreach ($factor->scope as $b) {
                    if ($a !== $b) {
                        $neighbours[$a][$b] = true;
                    }
                }
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
        return array_map(static function (self $factor) use ($domains, $case, $numbers): self {
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

            return new self($scope, array_map(static fn (int $place): int => $factor->high[$place], $places), array_map(static fn (int $place): int => $factor->low[$place], $places));
        }, $factors);
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
        $highs = $lows = $scopes = [];
        foreach ($factors as $factor) {
            $name = implode(',', $factor->scope);
            if (! isset($scopes[$name])) {
                [$scopes[$name], $highs[$name], $lows[$name]] = [$factor->scope, $factor->high, $factor->low];
                continue;
            }
            foreach ($factor->high as $entry => $high) {
                $highs[$name][$entry] = min($highs[$name][$entry] + $high, Weight::FORBIDDEN);
                $lows[$name][$entry] += $factor->low[$entry];
            }
        }

        return array_map(static fn (string $name): self => new self($scopes[$name], array_values($highs[$name]), array_values($lows[$name])), array_map(strval(...), array_keys($scopes)));
    }
}
