<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

/**
 * Solves a model in which a few variables are shared by all that is otherwise only near to near: how the piles of a top
 * are pressed decides over every block of it, but with the piles decided, blocks and seams only touch their neighbours.
 *
 * The shared variables are decided best first (A*, Hart, Nilsson and Raphael, IEEE Transactions on Systems Science and
 * Cybernetics 4, 1968), by what everything else costs at least when each factor has its own way with the rest; that is
 * told by mini-buckets (Kask and Dechter, "A general scheme for automatic generation of search heuristics from
 * specification dependencies", Artificial Intelligence 129, 2001). For every setting that may still be the best the rest is
 * eliminated in tables that grow as long as it is the one that is least sure.
 *
 * @internal
 */
final class SharedSearch
{
    /** Entries of the largest table that tells how to go on. */
    private const GUIDE_TABLE = 65_536;

    /** Entries of the largest tables for the rest, one after the other. */
    private const TABLES = [16, 256, 4_096, 65_536];

    /** So many looks at the rest are soon done; what is not proved by then needs a good start. */
    private const FIRST_LOOKS = 100;

    /** What so many looks do not prove, more of them will hardly prove. */
    private const MOST_LOOKS = 400;

    /** With more shared variables that touch others it needs one at once. */
    private const FEW_SHARED = 20;

    /** @var list<array{int, list<Factor>, list<Factor>}> of the shared variables that touch others, in the order in which they are decided */
    private array $buckets = [];

    /** @var \SplPriorityQueue<non-empty-array<int>, array{array<int, int>, int, int, int}> what is decided by variable, how often the rest was looked at, and the bound; the lowest bound first */
    private \SplPriorityQueue $waiting;

    /** @var array<int, int> numbers of the variables of the rest */
    private array $rest;

    /** @var array{int, int} the weight of the best values */
    private array $least;

    private int $seen = 0;

    private int $looked = 0;

    /**
     * @param list<int>                    $domains
     * @param list<Factor>                 $factors
     * @param list<int>                    $values   the best known
     * @param \Closure(): (list<int>|null) $start
     * @param \Closure(): bool             $timeIsUp
     * @param non-empty-list<int>          $tables
     */
    private function __construct(
        private readonly array $domains,
        private readonly array $factors,
        private array $values,
        private readonly \Closure $start,
        private readonly \Closure $timeIsUp,
        private readonly array $tables,
    ) {
        $this->least = Descent::weigh($factors, $values, $domains);
        $this->waiting = new \SplPriorityQueue();
        $this->rest = [];
    }

    /**
     * @param list<int>                    $domains
     * @param list<Factor>                 $factors
     * @param array<int, mixed>            $shared   by variable
     * @param list<int>                    $values   to begin with
     * @param \Closure(): (list<int>|null) $start    others to go on from, asked for once the search is long
     * @param \Closure(): bool             $timeIsUp
     * @param non-empty-list<int>          $tables   entries of the largest tables for the rest, one after the other
     */
    public static function best(array $domains, array $factors, array $shared, array $values, \Closure $start, \Closure $timeIsUp, array $tables = self::TABLES): Optimum
    {
        $search = new self($domains, $factors, $values, $start, $timeIsUp, $tables);

        return $search->from($search->guided($shared));
    }

    /**
     * Works out how to go on from what is decided.
     *
     * @param array<int, mixed> $shared by variable
     *
     * @return array{int, int} the bound with nothing decided
     */
    private function guided(array $shared): array
    {
        $outer = [];
        foreach ($this->factors as $factor) {
            $of = array_intersect_key(array_flip($factor->scope), $shared);
            $outer += count($of) < count($factor->scope) ? $of : [];
        }
        $numbers = array_flip(array_keys($shared));
        $relaxed = array_map(function (Factor $factor) use ($shared, $numbers): Factor {
            $least = $factor->least($this->domains, $shared);

            return new Factor(array_map(static fn (int $variable): int => $numbers[$variable], $least->scope), $least->high, $least->low);
        }, $this->factors);
        $variables = array_keys($shared);
        $ofShared = array_map(fn (int $variable): int => $this->domains[$variable], $variables);
        [$buckets, $bound] = (new Elimination($ofShared, Factor::together($relaxed)))->bucketsOf(array_flip(array_intersect_key($numbers, $outer)), self::GUIDE_TABLE);
        $named = static fn (Factor $factor): Factor => new Factor(array_map(static fn (int $number): int => $variables[$number], $factor->scope), $factor->high, $factor->low);
        foreach (array_reverse($buckets) as [$number, $factors, $messages]) {
            $this->buckets[] = [$variables[$number], array_map($named, $factors), array_map($named, $messages)];
        }
        $this->rest = array_flip(array_values(array_diff(array_keys($this->domains), array_column($this->buckets, 0))));

        return $bound;
    }

    /** @param array{int, int} $bound */
    private function from(array $bound): Optimum
    {
        if (count($this->buckets) > self::FEW_SHARED) {
            $this->startAnew();
        }
        $this->wait([], 0, $bound);
        $stuck = $this->least;
        while (! $this->waiting->isEmpty()) {
            [$decided, $looks, $high, $low] = $this->next();
            if ([$high, $low] >= $this->least) {
                break;
            }
            if ($this->looked === self::MOST_LOOKS || ($this->timeIsUp)()) {
                $stuck = min($stuck, [$high, $low]);
                break;
            }
            if (count($decided) < count($this->buckets)) {
                $this->decide($decided, [$high, $low]);
            } elseif ($looks < count($this->tables)) {
                $this->look($decided, $looks, [$high, $low]);
            } else {
                $stuck = min($stuck, [$high, $low]);
            }
        }
        $bound = min($stuck, $this->least);

        return new Optimum($this->values, $bound[0], $bound[1], $bound === $this->least);
    }

    /** @return array{array<int, int>, int, int, int} */
    private function next(): array
    {
        /** @var array{array<int, int>, int, int, int} $next only the data are taken out */
        $next = $this->waiting->extract();

        return $next;
    }

    /**
     * @param array<int, int> $decided value by variable
     * @param array{int, int} $bound
     */
    private function decide(array $decided, array $bound): void
    {
        [$variable, $factors, $messages] = $this->buckets[count($decided)];
        $said = Descent::weigh($messages, $decided, $this->domains);
        for ($value = 0; $value < $this->domains[$variable]; ++$value) {
            $decided[$variable] = $value;
            $now = Descent::weigh($factors, $decided, $this->domains);
            $this->wait($decided, 0, [$bound[0] - $said[0] + $now[0], $bound[1] - $said[1] + $now[1]]);
        }
    }

    private function startAnew(): void
    {
        $values = ($this->start)();
        if ($values !== null) {
            $this->take($values);
        }
    }

    /** @param list<int> $values */
    private function take(array $values): void
    {
        $weight = Descent::weigh($this->factors, $values, $this->domains);
        if ($weight < $this->least) {
            [$this->values, $this->least] = [$values, $weight];
        }
    }

    /**
     * Looks at the rest with all shared variables decided.
     *
     * @param array<int, int> $decided value by variable
     * @param array{int, int} $bound
     */
    private function look(array $decided, int $looks, array $bound): void
    {
        if (++$this->looked === self::FIRST_LOOKS && count($this->buckets) <= self::FEW_SHARED) {
            $this->startAnew();
        }
        $domains = array_map(fn (int $variable): int => $this->domains[$variable], array_keys($this->rest));
        $factors = Factor::together(Factor::fixed($this->domains, $this->factors, $decided, $this->rest));
        $found = (new Elimination($domains, $factors))->solve($this->tables[$looks], $this->timeIsUp);
        if ($found === null) {
            $this->wait($decided, $looks, $bound);

            return;
        }
        $values = $found->exact ? $found->values : Descent::from($domains, $factors, $found->values, $this->timeIsUp);
        $all = $decided + array_combine(array_keys($this->rest), $values);
        ksort($all);
        $this->take(array_values($all));
        if (! $found->exact) {
            $this->wait($decided, $looks + 1, max($bound, [$found->boundHigh, $found->boundLow]));
        }
    }

    /**
     * @param array<int, int> $decided value by variable
     * @param array{int, int} $bound
     */
    private function wait(array $decided, int $looks, array $bound): void
    {
        if ($bound < $this->least) {
            $this->waiting->insert([$decided, $looks, $bound[0], $bound[1]], [-$bound[0], -$bound[1], count($decided), -++$this->seen]);
        }
    }
}
