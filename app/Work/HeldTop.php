<?php

declare(strict_types=1);

namespace App\Work;

use KeenSeam\Core\Assembly\SeamPlaces;
use KeenSeam\Core\Assembly\TopConstruction;
use KeenSeam\Core\Assembly\TopOrder;
use KeenSeam\Core\Guide\BorderSteps;
use KeenSeam\Core\Guide\Chain;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\WorkSteps;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\Preference;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\Pressing;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Top\Top;
use KeenSeam\Core\Top\TopFace;

/** A top with the plan that is held while it is sewn, and all its steps. */
final readonly class HeldTop
{
    /** @var array<string, Step> by a key that tells where it is done: blocks first, then the top */
    public array $steps;

    /** @var array<string, Step> by key, those of the borders, which come last */
    public array $borderSteps;

    public TopConstruction $sewn;

    /**
     * @param array<string, list<string>> $pressed directions by where seams lie
     *
     * @throws WorkNotPossible when there are seams of which it says nothing
     */
    public function __construct(Top $top, TopOrder $order, Chain $chain, Preference $preference, array $pressed)
    {
        $this->sewn = TopConstruction::asPlaced(TopFace::of($top), $order);
        $places = SeamPlaces::of($this->sewn->construction);
        $directions = array_map(static function (int $join) use ($pressed, $places): array {
            $directions = array_map(PressDirection::from(...), $pressed[$places->places[$join]] ?? []);

            return $directions === [] ? throw WorkNotPossible::notPlanned() : $directions;
        }, array_keys($this->sewn->construction->joins));
        $plan = (new PressingPlanner($this->sewn->construction))->price(new Pressing($directions), new PressQuestion(PressStyle::Nest));
        $this->steps = self::byKey(WorkSteps::of($plan, new CutQuestion(preference: $preference), $chain, $plan->construction), static fn (Step $step): string => $step->at($places)->key());
        // Nothing of a border lies in the frame: its steps are told by what they do, and which of them they are.
        $this->borderSteps = self::byKey(BorderSteps::of($top), static fn (Step $step): string => 'border-'.$step->do->value);
    }

    /**
     * @param list<Step>             $steps
     * @param \Closure(Step): string $name
     *
     * @return array<string, Step>
     */
    private static function byKey(array $steps, \Closure $name): array
    {
        $byKey = $times = [];
        foreach ($steps as $step) {
            $key = $name($step);
            $times[$key] = ($times[$key] ?? 0) + 1;
            $byKey[$times[$key] === 1 ? $key : $key.'-'.$times[$key]] = $step;
        }

        return $byKey;
    }
}
