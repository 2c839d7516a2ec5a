<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

/**
 * Good pressings of a top, found quickly, for the search to begin with.
 *
 * @internal
 */
final readonly class TopStarts
{
    /** Entries of tables that are worked through at once. */
    private const QUICK_TABLE = 4_096;

    /** So many of the best patterns are looked at more closely. */
    private const BETTERED = 12;

    public function __construct(private TopModel $model) {}

    /**
     * Good values of all variables in which blocks that stand alike lie alike: those of the best pattern that is found.
     *
     * @param \Closure(): bool $timeIsUp
     *
     * @return list<int>
     */
    public function inPattern(\Closure $timeIsUp): array
    {
        $tried = [];
        foreach ($this->model->variables->patterns() as $decided) {
            if ($tried !== [] && $timeIsUp()) {
                break;
            }
            $values = $this->completed($decided);
            $tried[] = [Descent::weigh($this->model->factors(), $values, $this->model->domains()), $values, $decided];
        }
        usort($tried, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        [$best, $least] = [$tried[0][1] ?? throw new \LogicException('There is at least one pattern.'), $tried[0][0]];
        foreach (array_slice($tried, 0, self::BETTERED) as [, $values, $decided]) {
            $values = $this->bettered($values, $decided, $timeIsUp);
            $weight = Descent::weigh($this->model->factors(), $values, $this->model->domains());
            if ($weight < $least) {
                [$best, $least] = [$values, $weight];
            }
        }

        return $best;
    }

    /**
     * Betters values by deciding anew, in turn, how the piles are pressed, and how blocks lie and the seams between them.
     *
     * @param list<int>         $values
     * @param array<int, mixed> $held     variables that stay as they are
     * @param \Closure(): bool  $timeIsUp
     *
     * @return list<int>
     */
    public function bettered(array $values, array $held, \Closure $timeIsUp): array
    {
        $piles = $this->model->variables->ofPiles();
        $least = Descent::weigh($this->model->factors(), $values, $this->model->domains());
        do {
            $before = $least;
            foreach ([array_diff_key($values, $piles), array_intersect_key($values, $piles)] as $kept) {
                $tried = $this->completed(array_intersect_key($values, $kept + $held));
                $weight = Descent::weigh($this->model->factors(), $tried, $this->model->domains());
                if ($weight < $least) {
                    [$values, $least] = [$tried, $weight];
                }
            }
        } while ($least < $before && ! $timeIsUp());

        return $values;
    }

    /**
     * The best that there is with some things decided, as far as it is found quickly.
     *
     * @param array<int, int> $decided value by variable
     *
     * @return list<int> of all variables
     */
    public function completed(array $decided): array
    {
        $domains = $this->model->domains();
        $left = array_values(array_diff(array_keys($domains), array_keys($decided)));
        $rest = Factor::together(Factor::fixed($domains, $this->model->factors(), $decided, array_flip($left)));
        $found = (new Elimination(array_map(static fn (int $variable): int => $domains[$variable], $left), $rest))->solve(self::QUICK_TABLE, static fn (): bool => false)
            ?? throw new \LogicException('Without a clock there is a result.');
        $values = $decided + array_combine($left, $found->values);
        ksort($values);

        return array_values($values);
    }
}
