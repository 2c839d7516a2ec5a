<?php

declare(strict_types=1);

namespace App\Workings;

use App\Models\ShelfBlock;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Guide\Standing;
use KeenSeam\Core\Guide\WorkProgress;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\Locks;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Pressing\RestOfSeams;
use KeenSeam\Core\Pressing\Rule;
use KeenSeam\Core\Pressing\RuleNotPossible;

/**
 * The plans of one block: the quilter's own, that without her locks, and those of other questions. A plan that is known
 * is not searched for again unless it may still be bettered; of each there is a small head that is read in its place.
 */
final class Plans
{
    /** Seams of a block whose unproved plans stay drawn until their search is at its end. */
    private const LARGE = 3000;

    /** @var array<string, PressingPlanner> by what is pressed */
    private array $planners = [];

    public function __construct(
        private readonly WorkingOut $working,
        private readonly ShelfBlock $block,
        private readonly KeptParts $parts,
        private readonly Planning $planning,
    ) {}

    /** How the quilter wants it pressed, her locks left out. */
    public function question(): PressQuestion
    {
        return new PressQuestion($this->block->style, [], $this->block->lump, $this->working->facts()->twoPiles(), $this->block->equal_parts);
    }

    /** Those of single seams; her rules are not among them. */
    public function locks(): Locks
    {
        return new Locks($this->working->construction(), $this->working->facts()->locks());
    }

    /** @return list<mixed> what another plan of hers would depend on, besides how the block is sewn */
    public function sources(): array
    {
        $progress = $this->working->facts()->progress();

        return [$this->question()->name(), $this->block->lump, $this->locks()->all, $this->block->rules, $this->block->own_way, $this->block->rest, $progress->pressed, $progress->elsewhere];
    }

    /**
     * The plan as the quilter has it: with her locks, and where something is pressed otherwise already, with all that is
     * not pressed yet planned anew round it.
     */
    public function mine(): PressingPlan
    {
        $head = $this->head();
        // One that is bettered meanwhile is still the one that the head tells of.
        $kept = $head->proved ? null : $this->parts->recall('plan-of-'.$head->content);

        return $kept instanceof KeptPlan ? $kept->on($this->working->construction()) : $this->planned($this->own(), $this->working->facts()->progress());
    }

    public function head(): PlanHead
    {
        [$locks, $progress] = [$this->own(), $this->working->facts()->progress()];
        $head = $this->headAsLocked($locks);
        if ($progress->agreesWith($head->pressing)) {
            return $head;
        }

        return $this->headOf($this->questionRound($locks, $progress));
    }

    /**
     * All that she decided herself, by single seams and by rules; nothing while her way rests.
     *
     * @return list<Lock>
     */
    public function own(): array
    {
        return $this->block->own_way ? $this->withRules($this->locks()) : [];
    }

    /** What became of each of her rules: the seams it fits, or why it fits none.
     *
     * @return list<array{rule: string, on: bool, joins: list<int>, problem: string|null}>
     */
    public function rules(): array
    {
        $told = [];
        $rules = null;
        foreach ($this->block->rules as $kept) {
            try {
                $rules ??= $this->working->rules();
                $told[] = ['rule' => $kept['text'], 'on' => $kept['on'], 'joins' => array_map(static fn (Lock $lock): int => $lock->join, $rules->saidBy(Rule::parse($kept['text']))), 'problem' => null];
            } catch (RuleNotPossible $problem) {
                $told[] = ['rule' => $kept['text'], 'on' => $kept['on'], 'joins' => [], 'problem' => $problem->getMessage()];
            }
        }

        return $told;
    }

    /** The search her plan comes from, while it may still be bettered. */
    public function search(): ?string
    {
        [$locks, $progress] = [$this->own(), $this->working->facts()->progress()];
        $question = $this->question()->withLocks($locks);
        if (! $progress->agreesWith($this->headAsLocked($locks)->pressing)) {
            $question = $this->questionRound($locks, $progress);
        } elseif ($this->headFlipped($question) !== null) {
            $question = $question->withoutLocks();
        }

        return $this->headOf($question)->proved ? null : $this->keyOf($question, []);
    }

    /** What it would be without her locks. */
    public function withoutLocks(): PressingPlan
    {
        return $this->best($this->question());
    }

    public function headWithoutLocks(): PlanHead
    {
        return $this->headOf($this->question());
    }

    /** With other locks than her own. */
    public function withLocks(Locks $locks): PressingPlan
    {
        return $this->planned($this->withRules($locks), $this->working->facts()->progress());
    }

    /** What a school of pressing makes of the block without her locks, from where the work stands: what is pressed lies as it does. */
    public function headOfStyle(PressStyle $style): PlanHead
    {
        $question = new PressQuestion($style);
        $facts = $this->working->facts()->progress()->facts($this->working->construction());

        return $this->headOf($facts === [] ? $question : $question->withLocks($facts));
    }

    /**
     * The plan in each other order that is possible, by what the order is called.
     *
     * @return array<string, PressingPlan>
     */
    public function inOtherOrders(): array
    {
        $plans = [];
        foreach (Order::cases() as $order) {
            try {
                if ($order !== $this->block->order) {
                    $plans[$order->words()] = $this->working->with((clone $this->block)->fill(['order' => $order]))->plans()->best(new PressQuestion($this->block->style));
                }
            } catch (KeenSeamProblem) {
                continue; // the block has no such order
            }
        }

        return $plans;
    }

    /** What is proved of her plan, and what her locks cost, in words. */
    public function standing(): string
    {
        return $this->parts->part(KeptParts::key('standing', [$this->head()->content, $this->headWithoutLocks()->content]), fn (): string => Standing::words($this->mine(), $this->withoutLocks(), $this->block->style));
    }

    /** The best plan for a question of one's own. */
    public function best(PressQuestion $question): PressingPlan
    {
        $key = $this->keyOf($question, []);
        $known = $this->parts->recall($key);
        $known = $known instanceof KeptPlan ? $known->on($this->working->construction()) : null;

        return $known?->proved === true ? $known : $this->planning->plan($key, $known, $this->block, $question, $this->working->construction(), $this->planner(...));
    }

    public function planner(): PressingPlanner
    {
        $key = KeptParts::key('construction', $this->working->sewnSources());

        return $this->planners[$key] ??= new PressingPlanner($this->working->construction(), $this->parts->memory($key));
    }

    /** @param list<Lock> $locks */
    private function planned(array $locks, WorkProgress $progress): PressingPlan
    {
        $head = $this->headAsLocked($locks);

        return $progress->agreesWith($head->pressing) ? $this->asLocked($locks) : $this->best($this->questionRound($locks, $progress));
    }

    /** @param list<Lock> $locks */
    private function headAsLocked(array $locks): PlanHead
    {
        $question = $this->question()->withLocks($locks);

        return $this->headFlipped($question) ?? $this->headOf($question);
    }

    /** Of a plan that is bettered there is another head each time. */
    private function headOf(PressQuestion $question): PlanHead
    {
        $key = $this->keyOf($question, []);
        $head = $this->parts->recall('head-'.$key);
        // What is drawn of a very large one stays until the search is at its end.
        $stays = $head instanceof PlanHead && count($head->pressing->directions) > self::LARGE && $this->planning->isOn($key);
        if ($head instanceof PlanHead && ($head->proved || $stays || ($head->found === $this->planning->found($key) && ! $this->planning->searchesHere($key)))) {
            if (! $head->proved) {
                $this->planning->better($key, $this->block, $question);
            }

            return $head;
        }

        return $this->parts->keep('head-'.$key, $this->headMade($key, $this->best($question), $this->planning->found($key)));
    }

    /** @param list<Lock> $locks */
    private function asLocked(array $locks): PressingPlan
    {
        $question = $this->question()->withLocks($locks);

        return $this->flipped($question) ?? $this->best($question);
    }

    /** Her locks laid over the plan that is known without them, proved or not; null where the other seams are to follow, or must. */
    private function flipped(PressQuestion $question): ?PressingPlan
    {
        if (! $this->staysRound($question)) {
            return null;
        }
        $key = $this->flippedKey($question, $this->best($question->withoutLocks()));
        $kept = $this->parts->part($key, function () use ($question): KeptPlan|false {
            $plan = $this->planner()->flipped($question);

            return $plan === null ? false : KeptPlan::of($plan);
        });

        return $kept === false ? null : $kept->on($this->working->construction());
    }

    private function headFlipped(PressQuestion $question): ?PlanHead
    {
        if (! $this->staysRound($question)) {
            return null;
        }
        $key = $this->flippedKey($question, $this->headOf($question->withoutLocks()));
        $head = $this->parts->part('head-'.$key, function () use ($question, $key): PlanHead|false {
            $plan = $this->flipped($question);

            return $plan === null ? false : $this->headMade($key, $plan, 0);
        });

        return $head === false ? null : $head;
    }

    /** Whether what is not locked stays as the plan without locks has it. */
    private function staysRound(PressQuestion $question): bool
    {
        return $question->locks !== [] && $this->block->rest === RestOfSeams::Stays;
    }

    /** @param list<Lock> $locks */
    private function questionRound(array $locks, WorkProgress $progress): PressQuestion
    {
        $key = KeptParts::key('round', [...$this->working->sewnSources(), $this->question()->withLocks($locks)->name(), $progress->pressed, $progress->elsewhere]);

        return $this->parts->part($key, function () use ($locks, $progress): PressQuestion {
            $all = new Locks($this->working->construction(), $locks);
            foreach ($progress->facts($this->working->construction(), $this->question()->twoPiles) as $fact) {
                // Her own locks are above it: she may press a seam again.
                $all = $all->hold($fact->join) ? $all : $all->with($fact);
            }

            return $this->question()->withLocks($all->all);
        });
    }

    /** @return list<Lock> */
    private function withRules(Locks $locks): array
    {
        if (array_filter($this->block->rules, static fn (array $rule): bool => $rule['on']) === []) {
            return $locks->all;
        }
        $key = KeptParts::key('ruled', [...$this->working->sewnSources(), $this->block->rules, $locks->all]);

        return $this->parts->part($key, function () use ($locks): array {
            $fitting = array_filter($this->rules(), static fn (array $rule): bool => $rule['on'] && $rule['problem'] === null);

            return $this->working->rules()->locks(array_map(static fn (array $rule): Rule => Rule::parse($rule['rule']), array_values($fitting)), $locks);
        });
    }

    private function headMade(string $key, PressingPlan $plan, int $found): PlanHead
    {
        $content = hash('xxh128', $key.serialize([$plan->pressing, $plan->proved, $plan->bound]));
        if (! $plan->proved) {
            $this->parts->keep('plan-of-'.$content, KeptPlan::of($plan));
        }

        return new PlanHead($content, $plan->pressing, Figures::of($plan), $plan->proved, $found);
    }

    private function flippedKey(PressQuestion $question, PressingPlan|PlanHead $best): string
    {
        return $this->keyOf($question, [$best->pressing]);
    }

    /** @param list<mixed> $more */
    private function keyOf(PressQuestion $question, array $more): string
    {
        return KeptParts::key('plan', [...$this->working->sewnSources(), $question->name(), ...array_filter($more, static fn (mixed $one): bool => $one !== null && $one !== [])]);
    }
}
