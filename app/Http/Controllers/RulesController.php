<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\RulePrice;
use App\Exceptions\ChoiceNotKnown;
use App\Http\PressAnswers;
use App\Models\ShelfBlock;
use App\Workings\Workings;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use KeenSeam\Core\Guide\RuleWords;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Pressing\Rule;

/** Pressing in the quilter's own sentences: the list of them, and what one more would cost. */
final readonly class RulesController
{
    private const MOST = 50;

    public function __construct(
        private Workings $workings,
        private PressAnswers $answers,
    ) {}

    /** @throws KeenSeamProblem */
    public function store(Request $request, ShelfBlock $block): JsonResponse
    {
        $rules = $this->given($request->json('rules'));
        // One that was there before may have lost its seams; a new one must fit.
        $known = array_column($block->rules, 'text');
        foreach ($rules as $rule) {
            if ($rule['on'] && ! in_array($rule['text'], $known, true)) {
                $this->workings->of($block)->rules()->saidBy(Rule::parse($rule['text']));
            }
        }
        $added = array_values(array_diff(array_column($rules, 'text'), $known));
        $fabrics = $this->workings->of($block)->design()->fabrics;
        $words = match (true) {
            $added !== [] => RuleWords::of(Rule::parse($added[0]), $fabrics),
            count($rules) < count($known) => 'Take a rule away',
            default => 'Change the rules',
        };

        return $this->answers->after($request, $block, $words, static function () use ($block, $rules): void {
            $block->rules = $rules;
            $block->own_way = true;
        });
    }

    /**
     * What a rule would press, and what that costs beside the plan as it is and beside the planner's.
     *
     * @throws KeenSeamProblem
     */
    public function price(Request $request, ShelfBlock $block): JsonResponse
    {
        $text = $request->query('rule');
        $rule = Rule::parse(is_string($text) ? $text : '');

        return JsonResponse::fromJsonString((new RulePrice($rule->toText()))->answer($block, $this->workings->of($block)));
    }

    /**
     * @return list<array{text: string, on: bool}>
     *
     * @throws KeenSeamProblem
     */
    private function given(mixed $given): array
    {
        if (! is_array($given) || ! array_is_list($given) || count($given) > self::MOST) {
            throw ChoiceNotKnown::among('rules', ['a text, and whether it is on']);
        }

        return array_map(static function (mixed $rule): array {
            $text = is_array($rule) ? ($rule['text'] ?? null) : null;
            $on = is_array($rule) ? ($rule['on'] ?? true) : null;
            if (! is_string($text) || ! is_bool($on)) {
                throw ChoiceNotKnown::among('rules', ['a text, and whether it is on']);
            }

            return ['text' => Rule::parse($text)->toText(), 'on' => $on];
        }, $given);
    }
}
