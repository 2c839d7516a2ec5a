<?php

declare(strict_types=1);

namespace App\Documents;

use KeenSeam\Core\Block\FaceKind;
use KeenSeam\Core\Making\TopBorders;
use KeenSeam\Core\Matching\Amount;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\JoinEnd;
use KeenSeam\Core\Matching\JoinSheet;
use KeenSeam\Core\Matching\Mark;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Top\Top;

/** The open format of joins, schema/joins.schema.json. */
final class JoinsDocument
{
    public const FORMAT = 'keen-seam/joins';

    public const VERSION = 1;

    /** @return array<string, mixed> */
    public static function of(PressingPlan $plan, Drift $drift, Fraction $takeUp): array
    {
        return [
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'take_up' => $takeUp->toText(),
            'joins' => array_map(static fn (JoinSheet $sheet): array => self::join($plan, $sheet), $drift->sheets),
            'block' => self::block($plan, $drift),
        ];
    }

    /** @return list<array{border: int, sides: string, times: int, finished: string}> seams of a top's borders, with the length that they are planned for */
    public static function borders(Top $top): array
    {
        return array_map(static fn (array $seam): array => ['border' => $seam['border'], 'sides' => $seam['isSide'] ? 'left and right' : 'top and bottom', 'times' => 2, 'finished' => Amount::text($seam['length']->toFloat())], TopBorders::seams($top));
    }

    /** @return array{id: int, marks: list<array<string, mixed>>, ...<string, mixed>} */
    public static function join(PressingPlan $plan, JoinSheet $sheet): array
    {
        $lattice = $plan->construction->face->lattice;

        return [
            'id' => $sheet->join->id,
            'finished' => Amount::text($sheet->finished),
            'raw' => array_map(Amount::text(...), $sheet->raw),
            'reach' => array_map(static fn (JoinEnd $end): array => ['left' => Amount::text($end->reach[0]), 'right' => Amount::text($end->reach[1])], $sheet->ends),
            'ends_differ' => Amount::text($sheet->endsDiffer()),
            'up' => $sheet->up,
            'bias' => $sheet->bias,
            'marks' => array_map(static fn (Mark $mark): array => [
                'at' => $lattice->toText($mark->at),
                'from_edge' => array_map(Amount::text(...), $mark->fromEdge),
                'left' => $mark->left->value,
                'right' => $mark->right->value,
                'kind' => $mark->kind->value,
                'nest' => $mark->nest?->value,
                'miss' => $mark->miss === null ? null : Amount::text($mark->miss),
            ], $sheet->marks),
        ];
    }

    /** @return array{unfinished: list<string>, expected: list<string>} raw size of the block as it is meant, and as it comes out */
    public static function block(PressingPlan $plan, Drift $drift): array
    {
        $block = $plan->construction->face->block;
        $two = $block->seamAllowance->times(2);
        // On point the size holds the root of two and has no exact text.
        $unfinished = $plan->construction->face->kind === FaceKind::TopOnPoint
            ? array_map(Amount::text(...), $drift->meant)
            : [$block->finishedWidth->plus($two)->toText($block->unit), $block->finishedHeight->plus($two)->toText($block->unit)];

        return [
            'unfinished' => $unfinished,
            'expected' => array_map(Amount::text(...), $drift->expected),
        ];
    }
}
