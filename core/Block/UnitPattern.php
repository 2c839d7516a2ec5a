<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

use KeenSeam\Core\Measure\Fraction;

/** A unit kind with fixed corners: its patches on the unit square and the order in which they are sewn. */
final readonly class UnitPattern
{
    /** The named places of a cell, in halves of its width and height. */
    private const PLACES = [
        'tl' => [0, 0], 't' => [1, 0], 'tr' => [2, 0],
        'l' => [0, 1], 'c' => [1, 1], 'r' => [2, 1],
        'bl' => [0, 2], 'b' => [1, 2], 'br' => [2, 2],
    ];

    /**
     * @param string                                          $kind     as written in block files
     * @param string                                          $name     as a quilter says it, one of them
     * @param string                                          $plural   as a quilter says it, several
     * @param non-empty-list<list<array{Fraction, Fraction}>> $outlines one a patch, x and y as fractions of the cell
     */
    private function __construct(
        public string $kind,
        public string $name,
        public string $plural,
        public array $outlines,
        public SewingOrder $sewing,
    ) {}

    /**
     * @param non-empty-list<string> $patches one a fabric, the names of its corners in order: "tl tr bl"
     */
    public static function of(string $kind, string $name, string $plural, array $patches, SewingOrder $sewing): self
    {
        return new self($kind, $name, $plural, array_map(self::outline(...), $patches), $sewing);
    }

    /** @return list<array{Fraction, Fraction}> */
    private static function outline(string $corners): array
    {
        return array_map(static function (string $place): array {
            [$x, $y] = self::PLACES[$place];

            return [Fraction::of($x, 2), Fraction::of($y, 2)];
        }, explode(' ', $corners));
    }
}
