<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\SeamTestRecord;
use App\Models\ShelfBlock;
use KeenSeam\Core\Block\FlippedCornersUnit;
use KeenSeam\Core\Guide\RemedyWords;
use KeenSeam\Core\Guide\SeamName;
use KeenSeam\Core\Guide\Words;
use KeenSeam\Core\Matching\Amount;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\EdgeTips;
use KeenSeam\Core\Matching\Hold;
use KeenSeam\Core\Matching\JoinSheet;
use KeenSeam\Core\Matching\Mark;
use KeenSeam\Core\Matching\Remedy;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\LengthUnit;
use KeenSeam\Core\Pressing\PressingPlan;

/** Everything the joins station shows: each join with what must meet along it, and what the quilter's own seams do to the block. */
final class JoinsStationDocument
{
    /**
     * @param iterable<SeamTestRecord> $tests
     *
     * @return array<string, mixed>
     */
    public static function of(ShelfBlock $block, PressingPlan $plan, Drift $drift, Fraction $takeUp, iterable $tests): array
    {
        $unit = $plan->construction->face->block->unit;
        $names = SeamName::all($plan->construction);
        $tolerance = $block->tolerance($unit);
        $told = JoinsDocument::of($plan, $drift, $takeUp);

        return [
            'block' => ['id' => $block->id, 'name' => $block->name, 'version' => $block->version],
            'face' => FaceDocument::of($plan->construction->face),
            'takeUp' => $takeUp->toText(),
            'isMeasured' => $block->take_up !== null,
            'leave' => Amount::rounded($tolerance->leave, $unit),
            'ease' => Amount::rounded($tolerance->ease, $unit),
            'squareUp' => $block->square_up->value,
            'joins' => self::joins($block, $plan, $drift, $takeUp),
            'raw' => $told['block'],
            'effect' => self::effect($drift, $plan, $unit),
            'edgeTips' => count(EdgeTips::on($plan->construction->face)),
            'remedy' => self::remedy($block, $plan, $takeUp, $names),
            'tests' => array_values(array_map(static fn (SeamTestRecord $test): array => [
                'id' => $test->id,
                'words' => sprintf('%d strips of %s: %s', $test->strips, $test->width, $test->measured),
                'takeUp' => $test->take_up,
                'notes' => $test->notes,
                'date' => substr((string) $test->created_at, 0, 10),
            ], is_array($tests) ? $tests : iterator_to_array($tests))),
        ];
    }

    /**
     * @return list<array<string, mixed>> by join
     */
    public static function joins(ShelfBlock $block, PressingPlan $plan, Drift $drift, Fraction $takeUp): array
    {
        $unit = $plan->construction->face->block->unit;
        $names = SeamName::all($plan->construction);
        $tolerance = $block->tolerance($unit);
        $classes = $plan->construction->classes;
        $isFlipped = static fn (JoinSheet $sheet): bool => $sheet->join->tie !== null && $classes[$sheet->join->tie->unitClass]->members[0]->cell->unit instanceof FlippedCornersUnit;
        $told = JoinsDocument::of($plan, $drift, $takeUp);
        return array_map(static fn (JoinSheet $sheet, array $open, SeamName $name): array => [
            ...$open,
            'finished' => Amount::rounded($sheet->finished, $unit),
            'raw' => array_map(static fn (float $length): string => Amount::rounded($length, $unit), $sheet->raw),
            'rawLengths' => $sheet->raw,
            'finishedLength' => $sheet->finished,
            'ends_differ' => Amount::rounded(abs($sheet->endsDiffer()), $unit),
            'title' => $name->title,
            'leftName' => $name->left,
            'rightName' => $name->right,
            'times' => count($name->pressedToo),
            'meant' => array_map(Amount::text(...), Remedy::rawSize($plan, $sheet->join->id)),
            'measured' => $block->measuredNow()[$sheet->join->id] ?? null,
            'isFirst' => min([$sheet->join->id, ...$name->pressedToo]) === $sheet->join->id,
            'patches' => $sheet->join->patchIds(),
            'risk' => Hold::risk($sheet, $tolerance),
            'notes' => Hold::notes($sheet, $isFlipped($sheet), $unit),
            'length' => max($sheet->raw),
            'edges' => $sheet->edges,
            'marks' => array_map(static fn (Mark $mark, array $entry): array => [
                ...$entry,
                'from_edge' => array_map(static fn (float $place): string => Amount::rounded($place, $unit), $mark->fromEdge),
                'miss' => $mark->miss === null ? null : Amount::rounded(abs($mark->miss), $unit),
                'place' => $mark->fromEdge,
                'do' => Hold::words($mark, $sheet),
                'feed' => Hold::feedWords($mark),
                'verdict' => $mark->miss === null ? null : $tolerance->verdict($mark->miss)->value,
            ], $sheet->marks, $open['marks']),
        ], $drift->sheets, $told['joins'], $names);
    }

    /**
     * The least work that lets everything be eased.
     *
     * @param list<SeamName> $names
     */
    private static function remedy(ShelfBlock $block, PressingPlan $plan, Fraction $takeUp, array $names): string
    {
        $remedy = Remedy::find($plan, $takeUp, $block->square_up, $block->measuredSizes($plan->construction->face->block->unit), $block->tolerance($plan->construction->face->block->unit));

        return RemedyWords::of($remedy, $names);
    }

    /** What the take-up does to the whole block, in plain words. */
    private static function effect(Drift $drift, PressingPlan $plan, LengthUnit $unit): string
    {
        $face = $plan->construction->face;
        $two = $face->block->seamAllowance->times(2);
        $off = $face->block->finishedWidth->plus($two)->in($unit)->toFloat() - $drift->expected[0];
        $sheets = array_filter($drift->sheets, static fn (JoinSheet $sheet): bool => $sheet->join->tie === null && abs($sheet->endsDiffer()) > 1e-9);
        usort($sheets, static fn (JoinSheet $a, JoinSheet $b): int => abs($b->endsDiffer()) <=> abs($a->endsDiffer()));
        if (abs($off) < 1e-9 && $sheets === []) {
            return 'With these seams everything comes out as it should.';
        }

        return sprintf(
            'The block comes out %s %s wide, %s.%s',
            Amount::rounded($drift->expected[0], $unit),
            $unit->value,
            abs($off) < 1e-9 ? 'as it should' : sprintf('%s %s %s', Amount::rounded(abs($off), $unit), $unit->value, $off > 0 ? 'too small' : 'too large'),
            $sheets === [] ? '' : self::unevenEdges($sheets[0], SeamName::all($plan->construction)[$sheets[0]->join->id], $unit),
        );
    }

    /** " Row 2, of 5 pieces along the seam, comes out 1/8 in shorter than row 1, of 3 pieces." */
    private static function unevenEdges(JoinSheet $sheet, SeamName $name, LengthUnit $unit): string
    {
        $sides = [
            [$name->left, count($sheet->edges[0])],
            [$name->right, count($sheet->edges[1])],
        ];
        [$short, $long] = $sheet->endsDiffer() < 0 ? $sides : array_reverse($sides);

        return sprintf(
            ' %s, of %s along the seam, comes out %s %s shorter than %s, of %s.',
            ucfirst($short[0]),
            Words::counted($short[1], 'piece', 'pieces'),
            Amount::rounded(abs($sheet->endsDiffer()), $unit),
            $unit->value,
            $long[0],
            Words::counted($long[1], 'piece', 'pieces'),
        );
    }
}
