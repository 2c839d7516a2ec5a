<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

/** What lies on the table when a way is begun: the under piece, what is laid on it, where lines are drawn and sewn. */
final readonly class Sketch
{
    /** How far beside its line a seam is drawn; for looking at only. */
    private const BESIDE = 0.045;

    /**
     * @param float                                                 $height   of the under piece; it is 1 wide
     * @param list<array{float, float, float, float}>               $over     left, top, width and height of each piece laid on it
     * @param list<array{array{float, float}, array{float, float}}> $lines    drawn, and cut along after sewing
     * @param list<array{array{float, float}, array{float, float}}> $stitches
     */
    private function __construct(
        public float $height,
        public array $over,
        public array $lines,
        public array $stitches,
    ) {}

    /** A square on a square, sewn on both sides of one or both diagonals. */
    public static function diagonals(bool $isBoth): self
    {
        $lines = [[[0.0, 0.0], [1.0, 1.0]], ...($isBoth ? [[[1.0, 0.0], [0.0, 1.0]]] : [])];

        return new self(1.0, [[0.0, 0.0, 1.0, 1.0]], $lines, array_merge(...array_map(self::bothSides(...), $lines)));
    }

    public static function roundTheEdge(): self
    {
        [$near, $far] = [self::BESIDE * 1.4, 1 - self::BESIDE * 1.4];
        $corners = [[$near, $near], [$far, $near], [$far, $far], [$near, $far]];

        return new self(1.0, [[0.0, 0.0, 1.0, 1.0]], [[[0.0, 0.0], [1.0, 1.0]], [[1.0, 0.0], [0.0, 1.0]]], array_map(static fn (array $corner, int $i): array => [$corner, $corners[($i + 1) % 4]], $corners, array_keys($corners)));
    }

    /** Two small squares on opposite corners of a large one, and one line through both. */
    public static function fourGeese(): self
    {
        $line = [[0.0, 0.0], [1.0, 1.0]];

        return new self(1.0, [[0.0, 0.0, 0.53, 0.53], [0.47, 0.47, 0.53, 0.53]], [$line], self::bothSides($line));
    }

    /** A small square on the upper left corner, sewn corner to corner: one seam, on the line. */
    public static function flippedCorner(float $height, float $leg): self
    {
        $line = [[0.0, $leg], [$leg, 0.0]];

        return new self($height, [[0.0, 0.0, $leg, $leg]], [], [$line]);
    }

    /**
     * @param array{array{float, float}, array{float, float}} $line
     *
     * @return list<array{array{float, float}, array{float, float}}>
     */
    private static function bothSides(array $line): array
    {
        [[$x, $y], [$toX, $toY]] = $line;
        $length = hypot($toX - $x, $toY - $y);
        [$dx, $dy] = [-($toY - $y) / $length * self::BESIDE, ($toX - $x) / $length * self::BESIDE];

        return [[[$x + $dx, $y + $dy], [$toX + $dx, $toY + $dy]], [[$x - $dx, $y - $dy], [$toX - $dx, $toY - $dy]]];
    }
}
