<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Piece;
use KeenSeam\Core\Geometry\Box;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Pressing\Junction;
use KeenSeam\Core\Pressing\Layers;

/**
 * Computes junction tables. Junctions with the same surroundings share one computation.
 *
 * The sampled points are pushed down the tree to the patches, adding their mirror images at each fold on the way;
 * counts come back up for the pressings somebody asks for.
 *
 * @internal
 */
final class JunctionTables
{
    /** @var array<string, NearCloth> by the text of the junction's surroundings */
    private array $known = [];

    /** @var array<string, JunctionTable> by place, and by what is sewn otherwise there */
    private array $tables = [];

    /** @var array<string, array{NearCloth, list<array{int, int}>}> by surroundings: the cloth, and its slots by the number of the seam there */
    private array $seen = [];

    private readonly Cloth $cloth;

    private readonly Assembly $root;

    private readonly float $radius;

    /**
     * @param bool       $perSegment whether the segments of a join are pressed each its own way
     * @param list<Join> $others     joins that may be sewn instead of some, numbered on
     */
    public function __construct(Construction $construction, private readonly bool $perSegment, array $others = [])
    {
        $this->root = $construction->root;
        $this->cloth = new Cloth($construction);
        $this->cloth->add($others);
        $this->radius = $construction->face->lattice->toFloatSteps(Junction::radius());
    }

    public function of(Junction $junction): JunctionTable
    {
        return $this->tables[$junction->at->key()] ??= $this->made($junction, $this->cloth);
    }

    /**
     * The table where some parts are sewn in another way.
     *
     * @param array<int, Assembly> $instead by the id of the join that makes the part otherwise; the same cloth, sewn with other seams
     */
    public function sewnOtherwise(Junction $junction, array $instead): JunctionTable
    {
        $name = $junction->at->key().' '.implode(' ', array_map(static fn (Assembly $part): int => $part instanceof Join ? $part->id : -1, $instead));

        return $this->tables[$name] ??= $this->made($junction, $this->cloth->sewnWith($instead));
    }

    private function made(Junction $junction, Cloth $cloth): JunctionTable
    {
        $around = Surroundings::of($this->root, $cloth, $junction->at, $this->radius, $this->perSegment);
        if (! isset($this->seen[$around->text])) {
            $near = $this->near($junction, $cloth);
            $this->seen[$around->text] = [$this->known[$near->describe($junction->at)] ??= $near, array_map($around->toNumber(...), $near->slots())];
        }
        [$near, $slots] = $this->seen[$around->text];

        return new JunctionTable(array_map($around->toSlot(...), $slots), $near);
    }

    private function near(Junction $junction, Cloth $cloth): NearCloth
    {
        $points = [];
        for ($i = 0; $i < Layers::DIRECTIONS; ++$i) {
            $angle = ($i + 0.5) * 2 * M_PI / Layers::DIRECTIONS;
            $points[] = [$junction->at->x + $this->radius * cos($angle), $junction->at->y + $this->radius * sin($angle)];
        }

        return $this->push($this->root, $cloth, $points, $junction->at)
            ?? throw new \LogicException('There is cloth round every junction.');
    }

    /**
     * @param list<array{float, float}> $points all within the assembly's reach
     *
     * @return NearCloth|null null when the assembly has no cloth at any of the points
     */
    private function push(Assembly $assembly, Cloth $cloth, array $points, Point $junction): ?NearCloth
    {
        if ($points === []) {
            return null;
        }
        $assembly = $this->descend($assembly, $cloth, $points);

        return match (true) {
            $assembly instanceof Piece => NearPatch::of($assembly->patch, $cloth->outlines[$assembly->patch->id], $points),
            $assembly instanceof Join => $this->pushThrough($assembly, $cloth, $points, $junction),
            default => throw new \LogicException('An assembly is a piece or a join.'),
        };
    }

    /** @param list<array{float, float}> $points */
    private function pushThrough(Join $join, Cloth $cloth, array $points, Point $junction): ?NearCloth
    {
        $line = $cloth->lines[$join->id];
        $asked = [
            new PointSet($junction, $this->radius, $cloth->reach($join->left)),
            new PointSet($junction, $this->radius, $cloth->reach($join->right)),
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
        $left = $this->push($join->left, $cloth, $asked[0]->points, $junction);
        $right = $this->push($join->right, $cloth, $asked[1]->points, $junction);

        return $left === null && $right === null
            ? null
            : new NearJoin($join, [$left, $right], $here, $segments, $direct, $mirrored);
    }

    /**
     * The smallest part that has all cloth at the points: large blocks have long trees above it.
     *
     * @param non-empty-list<array{float, float}> $points
     */
    private function descend(Assembly $assembly, Cloth $cloth, array $points): Assembly
    {
        $box = Box::round($points);
        while (($assembly = $cloth->sewn($assembly)) instanceof Join) {
            $line = $cloth->lines[$assembly->id];
            [$least, $most] = $line->distances($box);
            if ($least <= 0 && $most >= 0) {
                break;
            }
            [$here, $there] = $least > 0 ? [$assembly->right, $assembly->left] : [$assembly->left, $assembly->right];
            if ($cloth->reach($there)->touches($box) || $cloth->reach($here)->touches($line->mirroredBox($box))) {
                break;
            }
            $assembly = $here;
        }

        return $assembly;
    }
}
