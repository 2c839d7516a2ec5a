<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making\Internal;

use KeenSeam\Core\Making\PatternLine;

/**
 * Finds, for every unit, the way that the lines of a pattern explain best: the least share that is missing, then the
 * fewest lines left over, then the least that fits only roughly. Of equal ways the first one offered is taken.
 *
 * @internal
 */
final class PatternSearch
{
    /** Ways tried before the best so far has to do. */
    private const PATIENCE = 4_000;

    /** Shares of a unit's pieces are told in so many parts. */
    private const PARTS = 1_000;

    /** Pieces of a size that no margin gives count as so many of them missing one. */
    private const GUESS = 4;

    private int $tried = 0;

    /** @var array{int, int, int}|null */
    private ?array $bestCost = null;

    /** @var list<array{Requirement, int, int, string}> requirement, line, count and way */
    private array $best = [];

    /** @var list<array{Requirement, int}> */
    private array $bestShort = [];

    /** @var array<int, list<array{int, int}>> fitting lines and how well they fit, by requirement */
    private array $fits = [];

    /**
     * @param list<list<array{way: string, needs: list<Requirement>}>> $groups for every unit, its ways
     * @param list<PatternLine>                                        $lines  of pieces
     * @param \Closure(PatternLine): ?string                           $fabric key of the line's fabric; null for one the block has not
     */
    public function __construct(
        private readonly array $groups,
        private readonly array $lines,
        private readonly \Closure $fabric,
    ) {
        $this->look(0, array_map(static fn (PatternLine $line): int => 4 * $line->count, $lines), [], [], 0, 0);
    }

    /** @return list<array{Requirement, int, int, string}> which line serves which requirement, for how many pieces, in which way */
    public function served(): array
    {
        return $this->best;
    }

    /** @return list<array{Requirement, int}> */
    public function short(): array
    {
        return $this->bestShort;
    }

    /**
     * @param list<int>                                  $left   quarters of pieces of each line
     * @param list<array{Requirement, int, int, string}> $served
     * @param list<array{Requirement, int}>              $short
     */
    private function look(int $group, array $left, array $served, array $short, int $missing, int $rough): void
    {
        if ($this->bestCost !== null && ($this->tried > self::PATIENCE || $missing > $this->bestCost[0])) {
            return;
        }
        ++$this->tried;
        if ($group === count($this->groups)) {
            $unused = count(array_filter($this->lines, static fn (PatternLine $line, int $i): bool => $left[$i] === 4 * $line->count, ARRAY_FILTER_USE_BOTH));
            $cost = [$missing, $unused, $rough];
            if ($this->bestCost === null || $cost < $this->bestCost) {
                [$this->bestCost, $this->best, $this->bestShort] = [$cost, $served, $short];
            }

            return;
        }
        $options = array_map(fn (array $option): array => [$this->taken($option['needs'], $option['way'], $left)], $this->groups[$group]);
        usort($options, static fn (array $a, array $b): int => [$a[0][3], $a[0][4]] <=> [$b[0][3], $b[0][4]]);
        foreach ($options as [[$rest, $taken, $lacking, $share, $roughly]]) {
            $this->look($group + 1, $rest, [...$served, ...$taken], [...$short, ...$lacking], $missing + $share, $rough + $roughly);
            if ($this->bestCost === [0, 0, 0]) {
                return;
            }
        }
    }

    /**
     * @param list<Requirement> $needs
     * @param list<int>         $left
     *
     * @return array{list<int>, list<array{Requirement, int, int, string}>, list<array{Requirement, int}>, int, int} what is left, taken and lacking, the share that is lacking, and how roughly it fits
     */
    private function taken(array $needs, string $way, array $left): array
    {
        [$taken, $short, $rough, $guessed] = [[], [], 0, 0];
        foreach ($needs as $need) {
            $wanted = $need->count;
            foreach ($this->fitting($need) as [$line, $fit]) {
                $count = min($wanted, intdiv($left[$line], $need->quarters()));
                if ($count > 0) {
                    $left[$line] -= $count * $need->quarters();
                    $wanted -= $count;
                    $taken[] = [$need, $line, $count, $way];
                    $rough += $fit;
                    $guessed += Requirement::isGuess($fit) ? $count : 0;
                }
            }
            if ($wanted > 0) {
                $short[] = [$need, $wanted];
            }
        }

        $all = max(1, array_sum(array_map(static fn (Requirement $need): int => $need->count, $needs)));

        return [array_values($left), $taken, $short, intdiv(self::PARTS * (self::GUESS * array_sum(array_column($short, 1)) + $guessed), self::GUESS * $all), $rough];
    }

    /** @return list<array{int, int}> lines that fit, the best and earliest first */
    private function fitting(Requirement $need): array
    {
        $key = spl_object_id($need);
        if (! isset($this->fits[$key])) {
            $fits = [];
            foreach ($this->lines as $i => $line) {
                $fit = ($this->fabric)($line) === $need->piece->fabric ? $need->fit($line) : null;
                if ($fit !== null) {
                    $fits[] = [$i, $fit];
                }
            }
            usort($fits, static fn (array $a, array $b): int => [$a[1], $a[0]] <=> [$b[1], $b[0]]);
            $this->fits[$key] = $fits;
        }

        return $this->fits[$key];
    }
}
