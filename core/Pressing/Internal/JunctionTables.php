<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Piece;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Pressing\Junction;
use KeenSeam\Core\Pressing\Layers;
use KeenSeam\Core\Pressing\PressDirection;

/**
 * Computes junction tables. Junctions that look alike close up share one computation.
 *
 * The sampled points are pushed down the tree to the patches, adding their mirror images at each fold on the way;
 * then counts come back up, for all pressings of an assembly at once.
 *
 * @internal
 */
final class JunctionTables
{
    /** @var array<string, list<int>> peaks by the text of the junction's surroundings */
    private array $known = [];

    private readonly Cloth $cloth;

    private readonly Assembly $root;

    private readonly float $radius;

    /**
     * @param non-empty-list<PressDirection> $directions the ways a seam may be pressed
     * @param bool                           $perSegment whether the segments of a join are pressed each its own way
     */
    public function __construct(
        Construction $construction,
        private readonly array $directions,
        private readonly bool $perSegment,
    ) {
        $this->root = $construction->root;
        $this->cloth = new Cloth($construction);
        $this->radius = $construction->face->lattice->toFloatSteps(Junction::radius());
    }

    public function of(Junction $junction): JunctionTable
    {
        $points = [];
        for ($i = 0; $i < Layers::DIRECTIONS; ++$i) {
            $angle = ($i + 0.5) * 2 * M_PI / Layers::DIRECTIONS;
            $points[] = [$junction->at->x + $this->radius * cos($angle), $junction->at->y + $this->radius * sin($angle)];
        }
        $near = $this->push($this->root, $points, $junction->at)
            ?? throw new \LogicException('There is cloth round every junction.');
        $key = $near->describe($junction->at);
        $this->known[$key] ??= array_map(
            static fn (array $counts): int => $counts === [] ? 0 : max($counts),
            $near->counts($this->directions),
        );

        return new JunctionTable($near->slots(), $this->known[$key]);
    }

    /**
     * @param list<array{float, float}> $points all within the assembly's reach
     *
     * @return NearCloth|null null when the assembly has no cloth at any of the points
     */
    private function push(Assembly $assembly, array $points, Point $junction): ?NearCloth
    {
        return match (true) {
            $points === [] => null,
            $assembly instanceof Piece => NearPatch::of($assembly->patch, $this->cloth->outlines[$assembly->patch->id], $points),
            $assembly instanceof Join => $this->pushThrough($assembly, $points, $junction),
            default => throw new \LogicException('An assembly is a piece or a join.'),
        };
    }

    /** @param list<array{float, float}> $points */
    private function pushThrough(Join $join, array $points, Point $junction): ?NearCloth
    {
        $line = $this->cloth->lines[$join->id];
        $asked = [
            new PointSet($junction, $this->radius, $this->cloth->reach($join->left)),
            new PointSet($junction, $this->radius, $this->cloth->reach($join->right)),
        ];
        $here = [];
        $segments = [];
        $direct = [[], []];
        $mirrored = [];
        foreach ($points as [$x, $y]) {
            $part = $line->isOnRight($x, $y) ? 1 : 0;
            $here[] = $part;
            $segments[] = $this->perSegment ? $line->segmentAt($x, $y) : 0;
            $direct[0][] = $asked[0]->add($x, $y);
            $direct[1][] = $asked[1]->add($x, $y);
            $mirrored[] = $asked[$part]->add(...$line->mirrored($x, $y));
        }
        $left = $this->push($join->left, $asked[0]->points, $junction);
        $right = $this->push($join->right, $asked[1]->points, $junction);

        return $left === null && $right === null
            ? null
            : new NearJoin($join, [$left, $right], $here, $segments, $direct, $mirrored);
    }
}
