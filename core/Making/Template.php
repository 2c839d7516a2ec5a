<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

/**
 * The outline of a piece that is cut round a template: raw, right side up, its straight grain level, its box at 0, 0; in
 * the block's unit of length.
 */
final readonly class Template
{
    /** Sides and angles that differ by less are the same. */
    private const PARTS = 100_000;

    /** The same for outlines that are equal after a turn, or turned over. */
    public string $key;

    /** Which of its two hands this is; null where turning it over changes nothing. */
    public ?bool $isMirrored;

    /**
     * @param list<array{float, float}> $corners
     * @param list<array{float, float}> $larger  the same with half an allowance more all round
     * @param bool                      $isWedge whether it has three finished sides: such are cut head to tail along a strip
     */
    public function __construct(
        public array $corners,
        public array $larger,
        public bool $isWedge,
    ) {
        $own = self::canonical($corners);
        $other = self::canonical(array_map(static fn (array $corner): array => [-$corner[0], $corner[1]], array_reverse($corners)));
        $this->key = min($own, $other);
        $this->isMirrored = $own === $other ? null : $own > $other;
    }

    /** @return list<array{float, float}> */
    public function outline(Margin $margin): array
    {
        return $margin === Margin::Larger ? $this->larger : $this->corners;
    }

    /** @return list<float> lengths of its raw sides, in the order of its corners */
    public function sides(Margin $margin): array
    {
        $corners = $this->outline($margin);

        return array_map(static fn (array $corner, int $i): float => hypot($corners[($i + 1) % count($corners)][0] - $corner[0], $corners[($i + 1) % count($corners)][1] - $corner[1]), $corners, array_keys($corners));
    }

    /**
     * Lengths of the sides and turns between them, read from the corner that gives the least text.
     *
     * @param list<array{float, float}> $corners
     */
    private static function canonical(array $corners): string
    {
        $count = count($corners);
        $told = [];
        foreach ($corners as $i => [$x, $y]) {
            [$nextX, $nextY] = $corners[($i + 1) % $count];
            [$thenX, $thenY] = $corners[($i + 2) % $count];
            [$ax, $ay, $bx, $by] = [$nextX - $x, $nextY - $y, $thenX - $nextX, $thenY - $nextY];
            $told[] = sprintf('%09d:%09d', (int) round(hypot($ax, $ay) * self::PARTS), (int) round(atan2($ax * $by - $ay * $bx, $ax * $bx + $ay * $by) * self::PARTS));
        }

        return min(array_map(static fn (int $from): string => implode(' ', [...array_slice($told, $from), ...array_slice($told, 0, $from)]), array_keys($told)) ?: ['']);
    }
}
