<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\SeamTestRecord;
use App\Models\ShelfBlock;
use KeenSeam\Core\Block\FlippedCornersUnit;
use KeenSeam\Core\Guide\SeamEffect;
use KeenSeam\Core\Guide\SeamName;
use KeenSeam\Core\Matching\Amount;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\EdgeTips;
use KeenSeam\Core\Matching\Hold;
use KeenSeam\Core\Matching\JoinEnd;
use KeenSeam\Core\Matching\JoinSheet;
use KeenSeam\Core\Matching\Mark;
use KeenSeam\Core\Matching\Remedy;
use KeenSeam\Core\Matching\Tolerance;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Pressing\PressingPlan;

/** Everything the joins station shows: each join with what must meet along it, and what the quilter's own seams do to the block. */
final class JoinsStationDocument
{
    /**
     * @param array<int, array{string, string}> $measured
     *
     * @return array<string, mixed> all but what is of the block itself, for Spliced::text()
     */
    public static function of(ShelfBlock $block, array $measured, PressingPlan $plan, Drift $drift, Fraction $takeUp): array
    {
        $unit = $plan->construction->face->block->unit;
        $names = SeamName::all($plan->construction);
        $tolerance = $block->tolerance($unit);
        $effect = SeamEffect::of($drift, Remedy::find($plan, $takeUp, $block->square_up, $drift->measured, $tolerance, $drift), $tolerance, $names);

        return [
            'face' => FaceDocument::of($plan->construction->face),
            'takeUp' => $takeUp->toText(),
            'isMeasured' => $block->take_up !== null,
            'leave' => Amount::rounded($tolerance->leave, $unit),
            'ease' => Amount::rounded($tolerance->ease, $unit),
            'squareUp' => $block->square_up->value,
            'joins' => self::joins($block, $measured, $plan, $drift),
            'care' => self::byCare($drift->sheets, $names, $tolerance),
            'raw' => JoinsDocument::block($plan, $drift),
            'effect' => $effect->words,
            'edgeTips' => count(EdgeTips::on($plan->construction->face)),
            'remedy' => $effect->remedy,
        ];
    }

    /**
     * Of the block itself and of the strips that were sewn to test her seams.
     *
     * @param array<int, SeamTestRecord> $tests
     *
     * @return array<string, mixed>
     */
    public static function heading(ShelfBlock $block, array $tests): array
    {
        return [
            'block' => ['id' => $block->id, 'name' => $block->name, 'version' => $block->version],
            'tests' => array_map(static fn (SeamTestRecord $test): array => [
                'id' => $test->id,
                'words' => sprintf('%d strips of %s: %s', $test->strips, $test->width, $test->measured),
                'takeUp' => $test->take_up,
                'notes' => $test->notes,
                'date' => substr((string) $test->created_at, 0, 10),
            ], array_values($tests)),
        ];
    }

    /**
     * @param array<int, array{string, string}> $measured
     *
     * @return \Generator<array<string, mixed>> by join
     */
    private static function joins(ShelfBlock $block, array $measured, PressingPlan $plan, Drift $drift): \Generator
    {
        $names = SeamName::all($plan->construction);
        $tolerance = $block->tolerance($plan->construction->face->block->unit);
        foreach ($drift->sheets as $sheet) {
            yield self::join($tolerance, $measured, $plan, $sheet, $names[$sheet->join->id]);
        }
    }

    /**
     * @param array<int, JoinSheet> $sheets
     * @param array<int, SeamName>  $names
     *
     * @return list<int> the first join of each that are sewn alike, those that want most care first
     */
    private static function byCare(array $sheets, array $names, Tolerance $tolerance): array
    {
        $risks = [];
        foreach ($sheets as $sheet) {
            if (min([$sheet->join->id, ...$names[$sheet->join->id]->pressedToo]) === $sheet->join->id) {
                $risks[$sheet->join->id] = Hold::risk($sheet, $tolerance);
            }
        }
        ksort($risks);
        arsort($risks);

        return array_keys($risks);
    }

    /**
     * One join with its ruler.
     *
     * @param array<int, array{string, string}> $measured
     *
     * @return array<string, mixed>
     */
    public static function join(Tolerance $tolerance, array $measured, PressingPlan $plan, JoinSheet $sheet, SeamName $name): array
    {
        $unit = $plan->construction->face->block->unit;
        $tie = $sheet->join->tie;
        $isFlipped = $tie !== null && $plan->construction->classes[$tie->unitClass]->members[0]->cell->unit instanceof FlippedCornersUnit;
        $open = JoinsDocument::join($plan, $sheet);

        return [
            ...$open,
            'finished' => Amount::rounded($sheet->finished, $unit),
            'raw' => array_map(static fn (float $length): string => Amount::rounded($length, $unit), $sheet->raw),
            'realLengths' => $sheet->real,
            'allowance' => $plan->construction->face->block->seamAllowance->in($unit)->toFloat(),
            'ends_differ' => Amount::rounded(abs($sheet->endsDiffer()), $unit),
            'title' => $name->title,
            'leftName' => $name->left,
            'rightName' => $name->right,
            'times' => count($name->pressedToo),
            'meant' => array_map(Amount::text(...), Remedy::rawSize($plan, $sheet->join->id)),
            'measured' => $measured[$sheet->join->id] ?? null,
            'patches' => $sheet->join->patchIds(),
            'says' => Hold::manner($sheet, $unit, [$name->left, $name->right]),
            'notes' => Hold::notes($sheet, $isFlipped, $unit, [$name->left, $name->right]),
            'ends' => array_map(static fn (JoinEnd $end, string $where): array => [
                'name' => $where,
                'reach' => $end->reach,
                'slant' => array_map(static fn (float $angle): float => cos($angle) / sin($angle), $end->angles),
                'lay' => $end->lay()->value,
            ], $sheet->ends, Hold::endNames($sheet)),
            'firstIn' => $sheet->firstIn(),
            'edges' => $sheet->edges,
            'marks' => array_map(static fn (Mark $mark, array $entry): array => [
                ...$entry,
                'from_edge' => array_map(static fn (float $place): string => Amount::rounded($place, $unit), $mark->fromEdge),
                'miss' => $mark->miss === null ? null : Amount::rounded(abs($mark->miss), $unit),
                'place' => $mark->fromEdge,
                'do' => Hold::words($mark, $sheet),
                'feed' => Hold::feedWords($mark, [$name->left, $name->right]),
                'misses' => Hold::missWords($mark, $tolerance, $unit),
                'verdict' => $mark->miss === null ? null : $tolerance->verdict($mark->miss)->value,
            ], $sheet->marks, $open['marks']),
        ];
    }
}
