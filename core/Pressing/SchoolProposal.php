<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;

/**
 * Which school suits a block, by how many patches meet and how large its units are: small blocks are pressed to a side, in
 * larger ones seams are opened where many triangles meet (common practice, no published source).
 */
final readonly class SchoolProposal
{
    /** So many patches at a crossing make a lump when everything lies to a side. */
    public const MANY = 8;

    /** Share of the back that opened allowances may cover before they are in each other's way. */
    private const CROWDED = 0.7;

    private function __construct(
        public PressStyle $style,
        public int $crossings,
        public float $smallestUnit,
        public float $covered,
    ) {}

    public static function of(Construction $construction): self
    {
        $many = count(array_filter(Junction::allOn($construction->face), static fn (Junction $junction): bool => count($junction->patchIds) >= self::MANY));
        $opened = OpenedSeams::of($construction);
        $isSmall = $opened->covered > self::CROWDED || 2 * count($opened->short) > count($construction->joins);

        return new self(
            match (true) {
                $many === 0 => PressStyle::Nest,
                $isSmall => PressStyle::NestFurl,
                default => PressStyle::Mixed,
            },
            $many,
            self::smallestSide($construction),
            $opened->covered,
        );
    }

    /** In the block's unit of length. */
    private static function smallestSide(Construction $construction): float
    {
        $sides = array_map(static fn (Patch|PlacedUnit $unit): int => min($unit->outline->size()), $construction->face->whole->parts);

        return min($sides) / $construction->face->lattice->steps;
    }
}
