<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making\Internal;

use KeenSeam\Core\Block\Picture;

/**
 * Cloth on the table, as patches with whole-number corners, clockwise, seen from above. Seam allowances are left out:
 * stitching and cutting line fall together, so that what comes out can be compared with a finished unit.
 *
 * Lines run along the weave or halfway between; folding along them keeps corners whole.
 *
 * @internal
 */
final readonly class Cloth
{
    /** @param list<array{string, list<array{int, int}>}> $patches fabric and corners */
    private function __construct(public array $patches) {}

    public static function rectangle(string $fabric, int $x, int $y, int $width, int $height): self
    {
        return new self([[$fabric, [[$x, $y], [$x + $width, $y], [$x + $width, $y + $height], [$x, $y + $height]]]]);
    }

    public function with(self ...$others): self
    {
        return new self(array_merge($this->patches, ...array_map(static fn (self $other): array => $other->patches, $others)));
    }

    /** What lies on the given side of all the lines; the side is the one the line's left-hand normal points away from. */
    public function cutTo(Line ...$lines): self
    {
        $patches = $this->patches;
        foreach ($lines as $line) {
            $kept = [];
            foreach ($patches as [$fabric, $corners]) {
                $part = $line->clipped($corners);
                if (count($part) > 2) {
                    $kept[] = [$fabric, $part];
                }
            }
            $patches = $kept;
        }

        return new self($patches);
    }

    /** Turned over along the line, as when a piece that was sewn on face down is opened. */
    public function foldedOver(Line $line): self
    {
        return new self(array_map(static fn (array $patch): array => [
            $patch[0],
            array_reverse(array_map($line->mirrored(...), $patch[1])),
        ], $this->patches));
    }

    /** Turned clockwise about the origin. */
    public function turned(int $quarterTurns): self
    {
        return new self(array_map(static fn (array $patch): array => [$patch[0], array_map(static function (array $corner) use ($quarterTurns): array {
            for ($i = 0; $i < $quarterTurns; ++$i) {
                $corner = [-$corner[1], $corner[0]];
            }

            return $corner;
        }, $patch[1])], $this->patches));
    }

    public function movedBy(int $x, int $y): self
    {
        return new self(array_map(static fn (array $patch): array => [$patch[0], array_map(static fn (array $corner): array => [$corner[0] + $x, $corner[1] + $y], $patch[1])], $this->patches));
    }

    /**
     * What it shows, laid square. A piece that came out standing on its corner is turned by half a right angle first.
     */
    public function picture(): Picture
    {
        $area = $bounds = 0;
        $patches = $this->patches;
        foreach ([0, 1] as $isTurned) {
            $corners = array_merge(...array_column($patches, 1));
            [$xs, $ys] = [array_column($corners, 0) ?: [0], array_column($corners, 1) ?: [0]];
            $bounds = (max($xs) - min($xs)) * (max($ys) - min($ys));
            $area = array_sum(array_map(static fn (array $patch): int => self::doubledArea($patch[1]), $patches));
            if ($area === 2 * $bounds || $isTurned === 1) {
                break;
            }
            $patches = array_map(static fn (array $patch): array => [$patch[0], array_map(static fn (array $corner): array => [$corner[0] - $corner[1], $corner[0] + $corner[1]], $patch[1])], $patches);
        }
        if ($area !== 2 * $bounds) {
            throw new \LogicException('What is sewn here is no rectangle.');
        }

        return Picture::ofPatches(array_map(static fn (array $patch): array => [$patch[0], $patch[1] === [] ? [[0, 0]] : $patch[1]], $patches));
    }

    /** @param list<array{int, int}> $corners */
    private static function doubledArea(array $corners): int
    {
        $area = 0;
        foreach ($corners as $i => [$x, $y]) {
            [$nextX, $nextY] = $corners[($i + 1) % count($corners)];
            $area += $x * $nextY - $y * $nextX;
        }

        return $area;
    }
}
