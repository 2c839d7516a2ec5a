<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\ShelfBlock;
use App\Workings\Figures;
use App\Workings\Sheet;
use App\Workings\WorkingOut;
use KeenSeam\Core\Guide\Comparison;
use KeenSeam\Core\Guide\RuleWords;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\Rule;

/** What one more rule of pressing would cost, beside the plan as it is and the planner's own. */
final readonly class RulePrice implements Sheet
{
    public function __construct(private string $rule) {}

    public function atOnce(): int
    {
        return 3000;
    }

    public function make(ShelfBlock $block, WorkingOut $working): void
    {
        $this->answer($block, $working);
    }

    /**
     * JSON.
     *
     * @throws KeenSeamProblem when it fits no seam, or no plan keeps it
     */
    public function answer(ShelfBlock $block, WorkingOut $working): string
    {
        $rule = Rule::parse($this->rule);
        $said = $working->rules()->saidBy($rule);

        return $working->sheet('rule-price', [$this->rule, ...$working->plans()->sources()], function () use ($block, $working, $rule, $said): array {
            $then = $working->with((clone $block)->fill(['rules' => [...$block->rules, ['text' => $this->rule, 'on' => true]], 'own_way' => true]))->plans()->mine();

            return [
                'rule' => $this->rule,
                'words' => RuleWords::of($rule, $working->design()->fabrics),
                'joins' => array_map(static fn (Lock $lock): int => $lock->join, $said),
                'figures' => Figures::of($then),
                'besideNow' => Comparison::words($working->plan(), $then),
                'besidePlanned' => Comparison::words($working->plans()->withoutLocks(), $then),
            ];
        }, $this);
    }
}
