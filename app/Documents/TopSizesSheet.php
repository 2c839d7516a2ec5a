<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\ShelfTop;
use App\Workings\WorkedTops;
use KeenSeam\Core\Assembly\TopConstruction;
use KeenSeam\Core\Guide\SizeWords;
use KeenSeam\Core\KeenSeamProblem;
use KeenSeam\Core\Matching\BlocksAsMade;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;
use KeenSeam\Core\Top\Setting;
use KeenSeam\Core\Top\TopFace;

/** Blocks of a top that came out at other sizes, and what can be done, as the screens show it. */
final readonly class TopSizesSheet
{
    public function __construct(private WorkedTops $tops) {}

    /**
     * @return array<string, mixed>
     *
     * @throws KeenSeamProblem
     */
    public function of(ShelfTop $kept): array
    {
        $plan = $this->tops->known($kept);
        $sewn = $plan === null ? TopConstruction::asPlaced(TopFace::of($this->tops->top($kept)), $kept->topOrder()) : $plan->sewn;
        $top = $sewn->top->top;
        // Of a top that was made smaller, what was measured where no place is any more says nothing.
        $made = array_filter($kept->made, static fn (string $key): bool => $top->placeOf($key) !== null, ARRAY_FILTER_USE_KEY);
        $raw = array_map(static fn (array $size): array => [self::amount($size[0], $top->unit), self::amount($size[1], $top->unit)], $made);
        $blocks = new BlocksAsMade($top, $sewn->copies, $raw);
        $swaps = $raw === [] ? [] : $blocks->swaps($plan->piles ?? []);
        $place = static fn (string $key): array => $top->placeOf($key)?->told($top->setting) ?? throw new \LogicException('A block stands in a place.');

        return [
            'planned' => array_map(static fn (Fraction $side): string => $side->toText(), $blocks->planned()),
            'edges' => $top->setting === Setting::OnPoint ? ['along its edge to the upper right', 'along its edge to the lower right'] : ['across', 'down'],
            'made' => array_map(static fn (string $key, array $size): array => $place($key) + ['size' => [$size[0], $size[1]]], array_map(strval(...), array_keys($made)), array_values($made)),
            'sentences' => $raw === [] ? [] : (new SizeWords($blocks, $top))->sentences(),
            'swaps' => array_map(static fn (array $swap): array => ['one' => $place($swap[0]), 'other' => $place($swap[1])], $swaps),
            'afterSwaps' => $swaps === [] ? null : (new SizeWords($blocks->swapped($swaps), $top))->sentences()[0] ?? null,
        ];
    }

    private static function amount(string $text, LengthUnit $unit): Fraction
    {
        return Length::parse($text, $unit)->in($unit);
    }
}
