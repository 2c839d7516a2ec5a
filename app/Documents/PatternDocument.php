<?php

declare(strict_types=1);

namespace App\Documents;

use KeenSeam\Core\Making\PatternCheck;

/** How a pattern's own list compares with what the block needs, as `seam:cut --pattern` prints it. */
final class PatternDocument
{
    /** @return array<string, mixed> */
    public static function of(PatternCheck $check): array
    {
        return [
            'explained' => array_map(static fn (array $one): array => ['line' => $one['line'], 'way' => $one['way'], 'margin' => $one['margin']->value], $check->explained),
            'short' => array_map(static fn (array $one): array => array_filter([
                'what' => $one['what'],
                'fabric' => $one['fabric'],
                'size' => $one['size'] === null ? null : [$one['size'][0]->toText(), $one['size'][1]->toText()],
                'class' => $one['class'],
                'count' => $one['count'],
            ], static fn (mixed $value): bool => $value !== null), $check->short),
            'unknown' => $check->unknown,
        ];
    }

    /** @return list<string> what to tell at the table; nothing where the lists agree */
    public static function sentences(PatternCheck $check): array
    {
        return [
            ...array_map(static fn (array $one): string => sprintf('%s: %d missing.', $one['what'], $one['count']), $check->short),
            ...array_map(static fn (array $one): string => sprintf('Line %d: %s', $one['line'], lcfirst($one['reason'])), $check->unknown),
        ];
    }
}
