<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

/**
 * A cover of a problem: a set of variables without which no factor holds two others.
 *
 * @internal
 */
final readonly class Cover
{
    /**
     * @param list<int> $variables in the order in which they are decided
     * @param list<int> $others    each of which is decided by itself once the cover is
     */
    private function __construct(
        public array $variables,
        public array $others,
    ) {}

    /**
     * Takes the variable with most neighbours into the cover until no two others are neighbours.
     *
     * @param list<int>    $domains
     * @param list<Factor> $factors
     */
    public static function of(array $domains, array $factors): self
    {
        $neighbours = Factor::neighbours(count($domains), $factors);
        $cover = [];
        while (true) {
            $degrees = array_map(count(...), $neighbours);
            $most = array_keys($degrees, max([0, ...$degrees]), true)[0] ?? null;
            if ($most === null || $degrees[$most] === 0) {
                break;
            }
            $cover[] = $most;
            foreach (array_keys($neighbours[$most]) as $neighbour) {
                unset($neighbours[$neighbour][$most]);
            }
            $neighbours[$most] = [];
        }

        return new self($cover, array_values(array_diff(array_keys($domains), $cover)));
    }
}
