<?php

declare(strict_types=1);

namespace KeenSeam\Core;

/** Several things in one sentence. */
final class Listed
{
    /** @param list<string|int> $items "1", "1 and 2", "1, 2 and 3" */
    public static function of(array $items): string
    {
        $last = array_pop($items);

        return $items === [] ? (string) $last : implode(', ', $items).' and '.$last;
    }
}
