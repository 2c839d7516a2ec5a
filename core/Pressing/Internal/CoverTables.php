<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

/**
 * The factors of a problem made ready for a search that decides the variables of its cover one after the other: what is
 * certain before any of them is decided, and how the sums change with each.
 *
 * @internal
 */
final class CoverTables
{
    /** @var array<int, array{array<int, int>, array<int, int>}> by other variable's place: least high and low weight of each of its values */
    public array $sums = [];

    /** @var array{int, int} weight of the factors inside the cover */
    public array $base = [0, 0];

    /**
     * By depth of the cover variable: place of the other variable, if any; tables of high and of low weights before and after
     * it is decided; depths of those decided before.
     *
     * @var array<int, list<array{int|null, array{list<int>, list<int>}, array{list<int>, list<int>}, list<int>}>>
     */
    public array $updates = [];

    /**
     * @param list<int>    $domains
     * @param list<Factor> $factors
     */
    public function __construct(
        private readonly Cover $cover,
        private readonly array $domains,
        array $factors,
    ) {
        foreach ($cover->others as $place => $other) {
            $this->sums[$place] = [array_fill(0, $domains[$other], 0), array_fill(0, $domains[$other], 0)];
        }
        $places = array_flip($cover->others);
        foreach ($factors as $factor) {
            $this->compile($factor, $places);
        }
    }

    /**
     * Prepares a factor: for every number of decided cover variables of its scope, the least weights over the undecided.
     *
     * @param array<int, int> $places of the variables outside the cover
     */
    private function compile(Factor $factor, array $places): void
    {
        $depths = array_flip($this->cover->variables);
        $inside = array_values(array_filter($factor->scope, static fn (int $variable): bool => isset($depths[$variable])));
        usort($inside, static fn (int $a, int $b): int => $depths[$a] <=> $depths[$b]);
        $outside = array_values(array_diff($factor->scope, $inside));
        $other = $outside[0] ?? null;
        $size = $other === null ? 1 : $this->domains[$other];
        // Tables by number of decided variables, from all of them down to none.
        $tables = [count($inside) => $this->ordered($factor, $inside, $other)];
        for ($decided = count($inside) - 1; $decided >= 0; --$decided) {
            $tables[$decided] = $this->minimised($tables[$decided + 1], $this->domains[$inside[$decided]], $size);
        }
        $place = $other === null ? null : $places[$other];
        for ($value = 0; $value < $size; ++$value) {
            if ($place === null) {
                $this->base = [$this->base[0] + $tables[0][0][$value], $this->base[1] + $tables[0][1][$value]];
            } else {
                [$highs, $lows] = $this->sums[$place];
                $highs[$value] += $tables[0][0][$value];
                $lows[$value] += $tables[0][1][$value];
                $this->sums[$place] = [$highs, $lows];
            }
        }
        foreach ($inside as $i => $variable) {
            $this->updates[$depths[$variable]][] = [
                $place,
                [$tables[$i][0], $tables[$i + 1][0]],
                [$tables[$i][1], $tables[$i + 1][1]],
                array_map(static fn (int $decided): int => $depths[$decided], array_slice($inside, 0, $i)),
            ];
        }
    }

    /**
     * @param list<int> $inside
     *
     * @return array{list<int>, list<int>} the factor's weights, cover variables first, the other variable counting fastest
     */
    private function ordered(Factor $factor, array $inside, ?int $other): array
    {
        $scope = $other === null ? $inside : [...$inside, $other];
        $highs = $lows = [];
        foreach (array_keys($factor->high) as $entry) {
            $values = [];
            $rest = $entry;
            foreach (array_reverse($scope) as $variable) {
                $values[$variable] = $rest % $this->domains[$variable];
                $rest = intdiv($rest, $this->domains[$variable]);
            }
            $index = $factor->index($values, $this->domains);
            $highs[] = $factor->high[$index];
            $lows[] = $factor->low[$index];
        }

        return [$highs, $lows];
    }

    /**
     * @param array{list<int>, list<int>} $table
     *
     * @return array{list<int>, list<int>} the last cover variable minimised out
     */
    private function minimised(array $table, int $domain, int $size): array
    {
        $highs = $lows = [];
        $groups = intdiv(count($table[0]), $domain * $size);
        for ($group = 0; $group < $groups; ++$group) {
            for ($value = 0; $value < $size; ++$value) {
                $best = [PHP_INT_MAX, PHP_INT_MAX];
                for ($choice = 0; $choice < $domain; ++$choice) {
                    $at = ($group * $domain + $choice) * $size + $value;
                    $best = min($best, [$table[0][$at], $table[1][$at]]);
                }
                $highs[] = $best[0];
                $lows[] = $best[1];
            }
        }

        return [$highs, $lows];
    }
}
