<?php

declare(strict_types=1);

namespace App\Documents;

use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\StepKind;

/** The open format of the steps, schema/steps.schema.json. */
final class StepsDocument
{
    public const FORMAT = 'keen-seam/steps';

    public const VERSION = 1;

    /**
     * @param list<Step> $steps
     *
     * @return array<string, mixed>
     */
    public static function of(array $steps): array
    {
        return [
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'steps' => array_map(static fn (Step $step, int $i): array => [
                'n' => $i + 1,
                'do' => $step->do->value,
                ...($step->do === StepKind::Join || $step->do === StepKind::Press ? ['joins' => $step->joins] : []),
                ...($step->sets === [] ? [] : ['patches' => $step->sets]),
                ...($step->size === null ? [] : ['size' => $step->size]),
                'times' => $step->times,
                ...($step->first === null ? [] : ['first' => $step->first]),
                ...($step->unitClass === null ? [] : ['class' => $step->unitClass]),
                ...($step->way === null ? [] : ['way' => $step->way]),
                ...($step->stage === null ? [] : ['stage' => $step->stage->value]),
                'text' => $step->text,
            ], $steps, array_keys($steps)),
        ];
    }
}
