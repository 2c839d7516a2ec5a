<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Pressing\Cost;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\TooMuchToWeigh;

/**
 * The factors of a model: what a few decisions cost, worked out for every combination of their values. Factors of one kind
 * are worked out once.
 *
 * @internal
 */
final class PricedFactors
{
    /** @var list<Factor> */
    private array $factors = [];

    /** All factors at their dearest. */
    private Cost $dearest;

    /** @var array<string, array{list<int>, list<int>, Cost}> high and low weights and the dearest cost, by kind */
    private array $known = [];

    /** @var array<string, int> short names of the kinds */
    private array $numbers = [];

    /** @var list<string> of each variable, equal where the values are */
    private readonly array $kinds;

    /** @param list<list<PressDirection|MemberChoice|TopChoice>> $values of each variable */
    public function __construct(private readonly Weight $weight, private readonly array $values)
    {
        $this->dearest = new Cost();
        $named = static fn (PressDirection|MemberChoice|TopChoice $value): string => $value instanceof PressDirection ? $value->value : 'choice';
        $this->kinds = array_map(static fn (array $of): string => implode(',', array_map($named, $of)), $values);
    }

    /**
     * @param list<int>                              $scope variables, ascending
     * @param \Closure(array<int, int>): (Cost|null) $price of the values chosen, by variable; null forbids them
     * @param string                                 $kind  the same for prices that are the same where the variables have the same values; empty when not known
     */
    public function add(array $scope, \Closure $price, string $kind = ''): void
    {
        if ($kind === '') {
            [$highs, $lows, $dearest] = $this->priced($scope, $price);
        } else {
            $kind .= '|'.implode('|', array_map(fn (int $variable): string => $this->kinds[$variable], $scope));
            [$highs, $lows, $dearest] = $this->known[$kind] ??= $this->priced($scope, $price);
            $kind = (string) ($this->numbers[$kind] ??= count($this->numbers));
        }
        $this->dearest = $this->dearest->plus($dearest);
        $this->factors[] = new Factor($scope, $highs, $lows, $kind);
    }

    /**
     * @return list<Factor>
     *
     * @throws TooMuchToWeigh
     */
    public function all(): array
    {
        $this->weight->mustHold($this->dearest);

        return $this->factors;
    }

    /**
     * @param list<int>                              $scope
     * @param \Closure(array<int, int>): (Cost|null) $price
     *
     * @return array{list<int>, list<int>, Cost}
     */
    private function priced(array $scope, \Closure $price): array
    {
        $highs = $lows = [];
        $dearest = new Cost();
        foreach ($this->combinations($scope) as $chosen) {
            $cost = $price($chosen);
            [$highs[], $lows[]] = $cost === null ? Weight::NEVER : [$this->weight->high($cost), $this->weight->low($cost)];
            $dearest = $dearest->most($cost ?? $dearest);
        }

        return [$highs, $lows, $dearest];
    }

    /**
     * @param list<int> $scope
     *
     * @return iterable<array<int, int>> every choice of values, by variable; the first counts slowest
     */
    private function combinations(array $scope): iterable
    {
        $chosen = array_fill_keys($scope, 0);
        do {
            yield $chosen;
            $further = null;
            foreach (array_reverse($scope) as $variable) {
                if (++$chosen[$variable] < count($this->values[$variable])) {
                    $further = $variable;
                    break;
                }
                $chosen[$variable] = 0;
            }
        } while ($further !== null);
    }
}
