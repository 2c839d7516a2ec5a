<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Geometry\Box;
use KeenSeam\Core\Geometry\Point;

/**
 * Sampled points round a place, each kept once: mirror images fall on sampled points again wherever angles are
 * multiples of 45 degrees.
 *
 * @internal
 */
final class PointSet
{
    /** @var list<array{float, float}> */
    public array $points = [];

    /** @var array<int, int> number of a point by its rounded place */
    private array $numbers = [];

    public const BEYOND = -1;

    /**
     * @param float $scale the order of size of the distances to $origin
     * @param Box   $reach what is worth asking about
     */
    public function __construct(
        private readonly Point $origin,
        private readonly float $scale,
        private readonly Box $reach,
    ) {}

    /** @return int the point's number in the set, new or not; BEYOND when it is not worth asking about */
    public function add(float $x, float $y): int
    {
        if (! $this->reach->holds($x, $y)) {
            return self::BEYOND;
        }
        $column = (int) round(($x - $this->origin->x) / $this->scale * 1e6);
        $row = (int) round(($y - $this->origin->y) / $this->scale * 1e6);
        $key = ($column << 32) ^ ($row & 0xFFFFFFFF);
        if (! isset($this->numbers[$key])) {
            $this->numbers[$key] = count($this->points);
            $this->points[] = [$x, $y];
        }

        return $this->numbers[$key];
    }
}
