<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

use KeenSeam\Core\Assembly\TopCopy;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Listed;
use KeenSeam\Core\Pressing\Nesting;
use KeenSeam\Core\Pressing\TopPlan;
use KeenSeam\Core\Top\Top;
use KeenSeam\Core\Top\TopPlace;
use KeenSeam\Core\Top\TurnsAllowed;

/** What the plan of a top comes to, as it is said at a sewing table. */
final readonly class TopWords
{
    /** So many places are named one by one. */
    private const NAMED = 6;

    /** @var array<string, Turn> how each place lies before the plan turns it, by place */
    private array $placed;

    /** @param bool $isHeld whether the quilter holds some of it */
    public function __construct(private TopPlan $plan, private Top $asPlaced, private bool $isHeld = false)
    {
        $placed = [];
        foreach ($asPlaced->places as $place) {
            $placed[$place->key()] = $place->placement->turn;
        }
        $this->placed = $placed;
    }

    /** By how much the plan turns a block from how it was placed. */
    public function turned(int $copy): Turn
    {
        $place = $this->place($this->plan->sewn->copies[$copy]);

        return Turn::ofQuarters($place->placement->turn->quarters() - ($this->placed[$place->key()] ?? Turn::None)->quarters());
    }

    /** @return list<string> */
    public function sentences(): array
    {
        return array_values(array_filter([...$this->making(), $this->turning(), $this->crossings(), $this->sureness()], static fn (string $sentence): bool => $sentence !== ''));
    }

    /** @return list<string> how many of each block are pressed which way */
    private function making(): array
    {
        $counts = [];
        foreach ($this->plan->sewn->copies as $number => $copy) {
            $counts[$copy->made][$this->plan->piles[$number]] = ($counts[$copy->made][$this->plan->piles[$number]] ?? 0) + 1;
        }
        $several = count($counts) > 1;
        $sentences = [];
        foreach ($counts as $made => $piles) {
            ksort($piles);
            $name = $several ? ' of '.$made : '';
            $all = array_sum($piles);
            $sentences[] = match (true) {
                count($piles) > 1 => sprintf('Make %s.', Listed::of(array_map(static fn (int $count, int $pile): string => sprintf('%d%s pressed as pile %d', $count, $pile === 0 ? $name : '', $pile + 1), $piles, array_keys($piles)))),
                $all === 1 => sprintf('Make 1%s.', $name === '' ? ' block' : $name),
                default => sprintf('Make %d%s, %s pressed alike.', $all, $name === '' ? ' blocks' : $name, $all === 2 ? 'both' : 'all'),
            };
        }

        return $sentences;
    }

    private function turning(): string
    {
        $turned = [];
        foreach (array_keys($this->plan->sewn->copies) as $number) {
            $turn = $this->turned($number);
            if ($turn !== Turn::None) {
                $turned[$number] = $turn;
            }
        }
        if ($turned === []) {
            return 'Lay them as they are placed.';
        }
        $turns = array_unique(array_map(static fn (Turn $turn): int => $turn->value, $turned));
        $by = count($turns) === 1 ? match (reset($turned)) {
            Turn::Half => ' half round',
            Turn::Quarter => ' a quarter to the right',
            default => ' a quarter to the left',
        } : ' as the picture shows';
        if ($this->isEveryOther(array_keys($turned))) {
            return sprintf('Turn every other block%s.', $by);
        }
        $places = array_map(fn (int $number): string => $this->whereIs($number), array_keys($turned));

        return count($turned) > self::NAMED || count($turns) > 1
            ? sprintf('Turn %d of the %d blocks%s.', count($turned), count($this->plan->sewn->copies), count($turns) > 1 ? $by : $by.': they are marked in the picture')
            : sprintf('Turn the %s at %s%s.', count($turned) === 1 ? 'block' : 'blocks', implode('; ', $places), $by);
    }

    private function crossings(): string
    {
        $plan = $this->plan->plan;
        $all = count($plan->matches);
        $stacked = $plan->count(Nesting::Stacked);

        return match (true) {
            $all === 0 => '',
            $stacked === 0 && $plan->count(Nesting::Nested) === $all => sprintf('%s, the outer seams of the blocks too.', $all === 1 ? 'The one crossing nests' : sprintf('All %d crossings nest', $all)),
            default => sprintf('%d of %d crossings nest; %s ridge on ridge.', $plan->count(Nesting::Nested), $all, $stacked === 1 ? '1 lies' : $stacked.' lie'),
        };
    }

    private function sureness(): string
    {
        if (! $this->plan->plan->proved) {
            return 'Found in the time there was; a better way may exist.';
        }
        $best = $this->asPlaced->turns === TurnsAllowed::Fixed ? 'no other way to press them is better, lying so.' : 'no other way to turn and press them is better.';

        return $this->isHeld ? 'With what you hold, '.$best : ucfirst($best);
    }

    /** @param list<int> $copies */
    private function isEveryOther(array $copies): bool
    {
        $colours = [];
        foreach (array_keys($this->plan->sewn->copies) as $number) {
            $place = $this->place($this->plan->sewn->copies[$number]);
            $colours[(intdiv($place->rowDoubled, 2) + intdiv($place->columnDoubled, 2)) % 2][] = $number;
        }

        return count($this->plan->sewn->copies) > 3 && ($copies === ($colours[0] ?? []) || $copies === ($colours[1] ?? [])) && array_filter($this->plan->sewn->copies, fn (TopCopy $copy): bool => $this->place($copy)->rowDoubled % 2 === 1) === [];
    }

    private function whereIs(int $copy): string
    {
        $place = $this->place($this->plan->sewn->copies[$copy]);
        $setting = $this->plan->sewn->top->top->setting;

        return sprintf('row %s, column %s', TopPlace::number($place->rowDoubled, $setting), TopPlace::number($place->columnDoubled, $setting));
    }

    private function place(TopCopy $copy): TopPlace
    {
        return $copy->place->place ?? throw new \LogicException('A block stands in a place.');
    }
}
