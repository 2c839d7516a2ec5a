<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

/**
 * A problem told in fewer, larger variables: those that meet the same others become one that has every combination of
 * their values. It is the same problem, but what is thought of a cluster sees all its variables at once.
 *
 * @internal
 */
final class Clusters
{
    /** Combinations of the largest cluster, and of the largest table over several of them. */
    private const SIZES = [32, 16, 8, 4];

    private const LARGEST_TABLE = 16_384;

    /** Beyond so many variables no two of them are looked at for what they have in common. */
    private const MOST_VARIABLES = 160;

    /** @var array<int, int> the cluster of each variable */
    private array $clusterOf = [];

    /** @var array<int, int> how far one step of each variable moves among the combinations of its cluster */
    private array $steps = [];

    /** @var list<int> */
    public readonly array $domains;

    /**
     * @param list<int>       $sizes
     * @param list<list<int>> $clusters
     */
    private function __construct(private readonly array $sizes, array $clusters)
    {
        $domains = [];
        foreach ($clusters as $number => $variables) {
            $step = 1;
            foreach (array_reverse($variables) as $variable) {
                [$this->clusterOf[$variable], $this->steps[$variable]] = [$number, $step];
                $step *= $sizes[$variable];
            }
            $domains[] = $step;
        }
        $this->domains = $domains;
    }

    /**
     * @param list<int>    $domains
     * @param list<Factor> $factors what they weigh does not matter here
     *
     * @return self|null null where the tables would grow too large however small the clusters
     */
    public static function of(array $domains, array $factors): ?self
    {
        if ($domains === [] || count($domains) > self::MOST_VARIABLES) {
            return null;
        }
        $common = self::inCommon($domains, $factors);
        foreach (self::SIZES as $largest) {
            $clusters = self::grown($domains, $common, $largest);
            if (self::largestTable($domains, $factors, $clusters) <= self::LARGEST_TABLE) {
                return new self($domains, $clusters);
            }
        }

        return null;
    }

    /**
     * @param list<int> $values of the clusters
     *
     * @return list<int> of the variables
     */
    public function expanded(array $values): array
    {
        return array_map(fn (int $variable): int => intdiv($values[$this->clusterOf[$variable]], $this->steps[$variable]) % $this->sizes[$variable], array_keys($this->sizes));
    }

    /**
     * The factors over clusters in place of variables.
     *
     * @param list<Factor> $factors over the scopes that the clusters are for
     *
     * @return list<Factor> one for each scope
     */
    public function merged(array $factors): array
    {
        $tables = [];
        foreach ($factors as $factor) {
            $scope = array_values(array_unique(array_map(fn (int $variable): int => $this->clusterOf[$variable], $factor->scope)));
            sort($scope);
            $places = $this->places($factor, $scope);
            [$highs, $lows] = [$factor->high, $factor->low];
            $key = implode(',', $scope);
            $known = $tables[$key] ?? null;
            $sumHighs = $sumLows = [];
            foreach ($places as $at => $place) {
                $sumHighs[] = min(($known?->high[$at] ?? 0) + $highs[$place], Weight::FORBIDDEN);
                $sumLows[] = ($known?->low[$at] ?? 0) + $lows[$place];
            }
            $tables[$key] = new Factor($scope, $sumHighs, $sumLows);
        }

        return array_values($tables);
    }

    /**
     * How much any two variables have to do with each other: factors they share, and neighbours.
     *
     * @param list<int>    $domains
     * @param list<Factor> $factors
     *
     * @return array<int, array<int, int>>
     */
    private static function inCommon(array $domains, array $factors): array
    {
        $neighbours = Factor::neighbours(count($domains), $factors);
        $common = [];
        foreach ($neighbours as $a => $ofA) {
            $common[$a] = [];
            foreach ($neighbours as $b => $ofB) {
                $common[$a][$b] = count(array_intersect_key($ofA, $ofB)) + (isset($ofA[$b]) ? 1 : 0);
            }
        }

        return $common;
    }

    /**
     * Joins the two clusters that have most in common, again and again.
     *
     * @param list<int>                   $domains
     * @param array<int, array<int, int>> $common
     *
     * @return list<list<int>>
     */
    private static function grown(array $domains, array $common, int $largest): array
    {
        $clusters = array_map(static fn (int $variable): array => [$variable], array_keys($domains));
        $sizes = $domains;
        while (true) {
            [$most, $best] = [0.0, null];
            foreach ($clusters as $a => $ofA) {
                foreach ($clusters as $b => $ofB) {
                    if ($a < $b && $sizes[$a] * $sizes[$b] <= $largest && $common[$a][$b] > $most * count($ofA) * count($ofB)) {
                        [$most, $best] = [$common[$a][$b] / (count($ofA) * count($ofB)), [$a, $b]];
                    }
                }
            }
            if ($best === null) {
                return array_values($clusters);
            }
            [$a, $b] = $best;
            $clusters[$a] = [...$clusters[$a], ...$clusters[$b]];
            $sizes[$a] *= $sizes[$b];
            foreach ($clusters as $other => $_) {
                $common[$a][$other] += $common[$b][$other];
                $common[$other][$a] = $common[$a][$other];
            }
            unset($clusters[$b], $sizes[$b]);
        }
    }

    /**
     * @param list<int>       $domains
     * @param list<Factor>    $factors
     * @param list<list<int>> $clusters
     */
    private static function largestTable(array $domains, array $factors, array $clusters): int
    {
        $clusterOf = $sizes = [];
        foreach ($clusters as $number => $variables) {
            $clusterOf += array_fill_keys($variables, $number);
            $sizes[] = self::product(array_map(static fn (int $variable): int => $domains[$variable], $variables));
        }
        $largest = 1;
        foreach ($factors as $factor) {
            $scope = array_unique(array_map(static fn (int $variable): int => $clusterOf[$variable], $factor->scope));
            $largest = max($largest, self::product(array_map(static fn (int $cluster): int => $sizes[$cluster], $scope)));
        }

        return $largest;
    }

    /** @param array<int, int> $numbers */
    private static function product(array $numbers): int
    {
        return array_reduce($numbers, static fn (int $product, int $number): int => min($product * $number, PHP_INT_MAX >> 16), 1);
    }

    /**
     * @param list<int> $scope clusters
     *
     * @return list<int> where the factor's table holds the weight of each combination of the clusters
     */
    private function places(Factor $factor, array $scope): array
    {
        $steps = [];
        $step = 1;
        foreach (array_reverse($factor->scope) as $variable) {
            $steps[$this->clusterOf[$variable]][$variable] = $step;
            $step *= $this->sizes[$variable];
        }
        $places = [0];
        foreach ($scope as $cluster) {
            $next = [];
            foreach ($places as $place) {
                for ($combination = 0; $combination < $this->domains[$cluster]; ++$combination) {
                    $at = $place;
                    foreach ($steps[$cluster] as $variable => $own) {
                        $at += $own * (intdiv($combination, $this->steps[$variable]) % $this->sizes[$variable]);
                    }
                    $next[] = $at;
                }
            }
            $places = $next;
        }

        return $places;
    }
}
