<?php

declare(strict_types=1);

namespace App\Documents;

use KeenSeam\Core\Matching\Amount;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\JoinEnd;
use KeenSeam\Core\Matching\JoinSheet;
use KeenSeam\Core\Matching\Mark;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Pressing\PressingPlan;

/** The open format of joins, schema/joins.schema.json. */
final class JoinsDocument
{
    public const FORMAT = 'keen-seam/joins';

    public const VERSION = 1;

    /** @return array<string, mixed> */
    public static function of(PressingPlan $plan, Drift $drift, Fraction $takeUp): array
    {
        $face = $plan->construction->face;
        $unit = $face->block->unit;
        $two = $face->block->seamAllowance->times(2);

        return [
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'take_up' => $takeUp->toText(),
            'joins' => array_map(static fn (JoinSheet $sheet): array => [
                'id' => $sheet->join->id,
                'finished' => Amount::text($sheet->finished),
                'raw' => array_map(Amount::text(...), $sheet->raw),
                'reach' => array_map(static fn (JoinEnd $end): array => ['left' => Amount::text($end->reach[0]), 'right' => Amount::text($end->reach[1])], $sheet->ends),
                'ends_differ' => Amount::text($sheet->endsDiffer()),
                'up' => $sheet->up,
                'bias' => $sheet->bias,
                'marks' => array_map(static fn (Mark $mark): array => [
                    'at' => $face->lattice->toText($mark->at),
                    'from_edge' => array_map(Amount::text(...), $mark->fromEdge),
                    'left' => $mark->left->value,
                    'right' => $mark->right->value,
                    'kind' => $mark->kind->value,
                    'nest' => $mark->nest?->value,
                    'miss' => $mark->miss === null ? null : Amount::text($mark->miss),
                ], $sheet->marks),
            ], $drift->sheets),
            'block' => [
                'unfinished' => [$face->block->finishedWidth->plus($two)->toText($unit), $face->block->finishedHeight->plus($two)->toText($unit)],
                'expected' => array_map(Amount::text(...), $drift->expected),
            ],
        ];
    }
}
