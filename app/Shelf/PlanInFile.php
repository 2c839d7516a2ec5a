<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Models\ShelfBlock;
use App\Workings\WorkingOut;
use App\Workings\Workings;
use KeenSeam\Core\Assembly\ChosenOrder;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\OwnOrder;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Making\BuildChoice;
use KeenSeam\Core\Making\FilePlan;
use KeenSeam\Core\Making\Margin;
use KeenSeam\Core\Pressing\PlacedLock;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Pressing\Rule;

/** What a block file keeps of the work: written from a block of the shelf, and brought onto the shelf with it. */
final readonly class PlanInFile
{
    public function __construct(private Workings $workings) {}

    /** Only what differs from what is usual; nothing that rests. */
    public function of(ShelfBlock $block): FilePlan
    {
        $working = $this->workings->of($block);
        $choices = $working->choices();
        [$locks, $piles] = [$block->locks[$block->order->key()] ?? [], $block->two_piles[$block->order->key()] ?? []];

        return new FilePlan(
            $block->order === Order::Rows && ! $block->order_chosen ? null : $block->order,
            $block->style === PressStyle::Nest ? null : $block->style,
            $block->lump === PressQuestion::LUMP ? null : $block->lump,
            $block->own_way ? array_map(static fn (array $rule): Rule => Rule::parse($rule['text']), array_values(array_filter($block->rules, static fn (array $rule): bool => $rule['on']))) : [],
            $block->own_way ? array_map(PlacedLock::fromArray(...), array_values(array_filter($locks, is_array(...)))) : [],
            array_filter($piles, is_int(...)),
            self::byCell($choices->ways, $working),
            self::byCell($choices->margins, $working) + $choices->stacks,
            self::byCell($choices->builds, $working),
        );
    }

    /**
     * The block's file with its plan.
     *
     * @throws KeenSeamProblem
     */
    public function withPlan(ShelfBlock $block): string
    {
        $plan = $this->of($block)->toArray();
        if ($plan === []) {
            return $block->document;
        }
        $file = self::decoded($block->document);

        return json_encode([...$file, 'plan' => $plan], JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE, OwnOrder::DEEPEST);
    }

    /** The file without its plan: what the shelf keeps as the block's document. */
    public static function withoutPlan(string $text, FilePlan $plan): string
    {
        $file = $plan->toArray() === [] && ! str_contains($text, '"plan"') ? null : self::decoded($text);

        return $file === null ? $text : json_encode(array_diff_key($file, ['plan' => true]), JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
    }

    /**
     * Puts the plan of a file into a block that has no work of its own yet; the block's document is there already.
     *
     * @return list<string> what was left out, in sentences
     */
    public function into(ShelfBlock $block, FilePlan $plan): array
    {
        if ($plan->toArray() === []) {
            return [];
        }
        $face = $this->workings->of($block)->face();
        try {
            [$construction, $leftOut] = $plan->takenApart(static fn (ChosenOrder $order): Construction => Construction::of($face, $order));
        } catch (KeenSeamProblem $problem) {
            return [sprintf('The plan that the file keeps was left out, since the block cannot be sewn as it is: %s', $problem->getMessage())];
        }
        $order = $construction->order;
        $block->fill([
            'own_orders' => $order instanceof OwnOrder ? [$order->name => $order->toArray()] : [],
            'order' => $order,
            'order_chosen' => $plan->order !== null,
            'style' => $plan->style ?? PressStyle::Nest,
            'lump' => $plan->lump ?? PressQuestion::LUMP,
            'rules' => array_map(static fn (Rule $rule): array => ['text' => $rule->toText(), 'on' => true], $plan->rules),
            'locks' => [$order->key() => array_map(static fn (PlacedLock $lock): array => $lock->toArray(), $plan->locks)],
        ]);
        $working = $this->workings->of($block);
        [$ways, $builds, $margins, $stacks, $noUnits] = $plan->making($working->cuttingWith($working->choices()->withoutUnits()), $working->drawnPlaces());
        $texts = static fn (array $choices): array => array_map(static fn (BuildChoice|Margin $choice): string => $choice->value, $choices);
        $block->cutting = ['ways' => $ways, 'builds' => $texts($builds), 'margins' => $texts($margins), 'stacks' => $texts($stacks)] + $working->choices()->toArray();
        $working = $this->workings->of($block);
        [$classes, $noPiles] = $plan->twoPiles($working->places());
        $block->two_piles = $working->facts()->withTwoPiles($classes);
        [, $noSeams] = $plan->pressing($working->construction(), $working->places(), []);

        return [...$leftOut, ...$noUnits, ...$noPiles, ...$noSeams];
    }

    /**
     * @template T
     *
     * @param array<string, T> $choices by the label of a class
     *
     * @return array<string, T>
     */
    private static function byCell(array $choices, WorkingOut $working): array
    {
        $named = [];
        foreach ($choices as $label => $choice) {
            $cell = FilePlan::cellOf($label, $working->drawnPlaces());
            $named += $cell === null ? [] : [$cell => $choice];
        }

        return $named;
    }

    /** @return array<string, mixed> */
    private static function decoded(string $text): array
    {
        $file = json_decode(str_starts_with($text, "\u{FEFF}") ? substr($text, 3) : $text, true, OwnOrder::DEEPEST, JSON_THROW_ON_ERROR);

        return is_array($file) ? $file : [];
    }
}
