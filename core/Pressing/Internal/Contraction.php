<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

/**
 * Makes a problem smaller where the figure that counts first leaves no choice.
 *
 * Where all factors of a connected group can reach their least first figure at once, every best plan does so; their
 * other entries are then forbidden, and two variables of which each fixes the other become one. In a block of rows
 * that nest, all the seams one above the other become a single variable.
 *
 * @internal
 */
final class Contraction
{
    /** Larger groups are left as they are. */
    private const LARGEST_TABLE = 4_096;

    /** @var list<int> the variable that stands for each variable */
    private array $standsFor;

    /** @var list<list<int>> value of each variable by value of the one that stands for it */
    private array $valueBy = [];

    /** @var array<int, Factor> */
    private array $factors;

    /** @var array<string, list<int>> first figures, by kind of factor */
    private array $firsts = [];

    /** @var array<string, list<int>> high weights where only the least first figure is allowed, by kind of factor */
    private array $tightened = [];

    /** @var array<string, array{list<int>, list<int>, string}> tables over other variables with their new kind, by kind of factor and what stands for its variables */
    private array $rewritten = [];

    /** @var list<int> variables that are left, numbered anew by their place here */
    private array $left = [];

    /**
     * @param list<int>    $domains
     * @param list<Factor> $factors
     * @param int          $unit    the weight of one of the first figure
     */
    private function __construct(private readonly array $domains, array $factors, private readonly int $unit)
    {
        $this->factors = $factors;
        $this->standsFor = array_keys($domains);
        foreach ($domains as $size) {
            $this->valueBy[] = range(0, $size - 1);
        }
    }

    /**
     * @param list<int>    $domains
     * @param list<Factor> $factors
     */
    public static function of(array $domains, array $factors, int $unit): self
    {
        $contraction = new self($domains, $factors, $unit);
        foreach ($contraction->groups() as $group) {
            $contraction->tighten($group);
        }
        $contraction->left = array_values(array_unique($contraction->standsFor));

        return $contraction;
    }

    /** @return list<int> of the variables that are left */
    public function domains(): array
    {
        return array_map(fn (int $variable): int => $this->domains[$variable], $this->left);
    }

    /** @return list<Factor> over the variables that are left, one for each scope */
    public function factors(): array
    {
        $numbers = array_flip($this->left);
        $all = [];
        foreach ($this->factors as $factor) {
            $scope = array_values(array_unique(array_map(fn (int $variable): int => $this->standsFor[$variable], $factor->scope)));
            usort($scope, static fn (int $a, int $b): int => $numbers[$a] <=> $numbers[$b]);
            [$highs, $lows, $kind] = $this->rewritten($factor, $scope);
            $new = array_map(static fn (int $variable): int => $numbers[$variable], $scope);
            $all[] = new Factor($new, $highs, $lows, $kind);
        }

        return Factor::together($all);
    }

    /**
     * @param list<int> $values of the variables that are left
     *
     * @return list<int> of all variables
     */
    public function expanded(array $values): array
    {
        $numbers = array_flip($this->left);

        return array_map(
            fn (int $variable): int => $this->valueBy[$variable][$values[$numbers[$this->standsFor[$variable]]]],
            array_keys($this->domains),
        );
    }

    /**
     * @param list<int> $values of all variables
     *
     * @return list<int> of the variables that are left, as those of them say that stand for others
     */
    public function contracted(array $values): array
    {
        return array_map(static fn (int $variable): int => $values[$variable], $this->left);
    }

    /**
     * @param array<int, mixed> $variables by variable
     *
     * @return array<int, true> those of the variables left that stand for them
     */
    public function standing(array $variables): array
    {
        $numbers = array_flip($this->left);

        return array_fill_keys(array_map(fn (int $variable): int => $numbers[$this->standsFor[$variable]], array_keys($variables)), true);
    }

    /** @return list<list<int>> numbers of the factors that differ in the first figure, in groups that share variables */
    private function groups(): array
    {
        $groupOf = [];
        $groups = [];
        foreach ($this->factors as $id => $factor) {
            $firsts = $this->firsts($factor);
            if (count(array_unique($firsts)) < 2) {
                continue;
            }
            $joined = array_unique(array_filter(array_map(static fn (int $variable): ?int => $groupOf[$variable] ?? null, $factor->scope), is_int(...)));
            $group = $id;
            $groups[$group] = [$id];
            foreach ($joined as $other) {
                $groups[$group] = [...$groups[$group], ...$groups[$other]];
                unset($groups[$other]);
            }
            foreach ($groups[$group] as $member) {
                foreach ($this->factors[$member]->scope as $variable) {
                    $groupOf[$variable] = $group;
                }
            }
        }

        return array_values($groups);
    }

    /** @param list<int> $group numbers of factors */
    private function tighten(array $group): void
    {
        $least = 0;
        $numbers = [];
        $small = [];
        foreach ($group as $id) {
            $firsts = $this->firsts($this->factors[$id]);
            $least += min($firsts);
            foreach ($this->factors[$id]->scope as $variable) {
                $numbers[$variable] = 0;
            }
            $small[] = [$this->factors[$id], $firsts];
        }
        ksort($numbers); // so that scopes stay ascending
        $numbers = array_flip(array_keys($numbers));
        $factors = array_map(static fn (array $one): Factor => self::renumbered($one[0], $one[1], $numbers), $small);
        $domains = array_map(fn (int $variable): int => $this->domains[$variable], array_keys($numbers));
        $found = (new Elimination($domains, $factors))->solve(self::LARGEST_TABLE, static fn (): bool => false, true);
        if ($found === null || ! $found->exact || $found->boundHigh !== $least) {
            return;
        }
        foreach ($group as $id) {
            $firsts = $this->firsts($this->factors[$id]);
            $min = min($firsts);
            $kind = $this->factors[$id]->kind;
            $highs = $this->tightened[$kind] ?? array_map(static fn (int $high, int $first): int => $first === $min ? $high : Weight::FORBIDDEN, $this->factors[$id]->high, $firsts);
            if ($kind !== '') {
                $this->tightened[$kind] = $highs;
            }
            $this->factors[$id] = new Factor($this->factors[$id]->scope, $highs, $this->factors[$id]->low, $kind === '' ? '' : $kind.' tight');
            $this->merge($this->factors[$id], $firsts, $min);
        }
    }

    /**
     * Makes one variable of the two in the factor's scope when each value of either leaves one of the other.
     *
     * @param list<int> $firsts
     */
    private function merge(Factor $factor, array $firsts, int $least): void
    {
        if (count($factor->scope) !== 2) {
            return;
        }
        [$a, $b] = $factor->scope;
        [$rootA, $rootB] = [$this->standsFor[$a], $this->standsFor[$b]];
        if ($rootA === $rootB) {
            return;
        }
        $partner = [];
        foreach ($this->valueBy[$a] as $rootValueA => $valueA) {
            foreach ($this->valueBy[$b] as $rootValueB => $valueB) {
                if ($firsts[$valueA * $this->domains[$b] + $valueB] === $least) {
                    $partner[$rootValueA][] = $rootValueB;
                }
            }
        }
        $partners = array_map(static fn (array $values): int => $values[0], $partner);
        $isOneToOne = count($partner) === $this->domains[$rootA] && array_filter($partner, static fn (array $values): bool => count($values) !== 1) === []
            && count(array_unique($partners)) === $this->domains[$rootB] && $this->domains[$rootA] === $this->domains[$rootB];
        if (! $isOneToOne) {
            return;
        }
        foreach ($this->standsFor as $variable => $root) {
            if ($root === $rootB) {
                $this->standsFor[$variable] = $rootA;
                $old = $this->valueBy[$variable];
                ksort($partners);
                $this->valueBy[$variable] = array_map(static fn (int $value): int => $old[$value], array_values($partners));
            }
        }
    }

    /** @return non-empty-list<int> the first figure of every entry; forbidden ones are far above all others */
    private function firsts(Factor $factor): array
    {
        /** @var non-empty-list<int> $firsts a table has an entry for every combination, and there is always one */
        $firsts = $this->firsts[$factor->kind] ?? array_map(fn (int $high): int => intdiv($high, $this->unit), $factor->high);
        if ($factor->kind !== '') {
            $this->firsts[$factor->kind] = $firsts;
        }

        return $firsts;
    }

    /**
     * The factor's weights over other variables, which stand for its own.
     *
     * @param list<int> $scope
     *
     * @return array{list<int>, list<int>, string} with a name of its kind
     */
    private function rewritten(Factor $factor, array $scope): array
    {
        if ($factor->kind === '') {
            return [...$this->rewrittenAnew($factor, $scope), ''];
        }
        $places = array_flip($scope);
        $name = $factor->kind.'|'.count($scope);
        foreach ($factor->scope as $variable) {
            $name .= ' '.$places[$this->standsFor[$variable]].':'.implode(',', $this->valueBy[$variable]);
        }

        return $this->rewritten[$name] ??= [...$this->rewrittenAnew($factor, $scope), 'r'.count($this->rewritten)];
    }

    /**
     * @param list<int> $scope
     *
     * @return array{list<int>, list<int>}
     */
    private function rewrittenAnew(Factor $factor, array $scope): array
    {
        $step = 1;
        $steps = [];
        foreach (array_reverse($factor->scope) as $variable) {
            $steps[$variable] = $step;
            $step *= $this->domains[$variable];
        }
        $places = [0];
        foreach ($scope as $root) {
            $further = array_fill(0, $this->domains[$root], 0);
            foreach ($factor->scope as $variable) {
                foreach ($this->standsFor[$variable] === $root ? $further : [] as $value => $far) {
                    $further[$value] = $far + $this->valueBy[$variable][$value] * $steps[$variable];
                }
            }
            $next = [];
            foreach ($places as $place) {
                foreach ($further as $far) {
                    $next[] = $place + $far;
                }
            }
            $places = $next;
        }
        $highs = $lows = [];
        foreach ($places as $place) {
            $highs[] = $factor->high[$place];
            $lows[] = $factor->low[$place];
        }

        return [$highs, $lows];
    }

    /**
     * @param list<int>       $weights
     * @param array<int, int> $numbers new number of each variable
     */
    private static function renumbered(Factor $factor, array $weights, array $numbers): Factor
    {
        return new Factor(array_map(static fn (int $variable): int => $numbers[$variable], $factor->scope), $weights, array_fill(0, count($weights), 0), $factor->kind);
    }
}
