<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

use KeenSeam\Core\Assembly\Internal\BestOrder;
use KeenSeam\Core\Assembly\Internal\ConstructionBuilder;
use KeenSeam\Core\Assembly\Internal\EqualPartsFinder;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Geometry\Segment;

/** A block taken apart into its joins: the whole order of sewing. */
final readonly class Construction
{
    /**
     * @param list<Join>      $joins   by id; the parts of each come before it
     * @param list<UnitClass> $classes of the units that have joins
     * @param list<Strand>    $strands of the block's own joins, in the order they are sewn
     */
    public function __construct(
        public Face $face,
        public ChosenOrder $order,
        public Assembly $root,
        public array $joins,
        public array $classes,
        public array $strands,
    ) {}

    /**
     * @throws SetInSeamNeeded  when no straight seams build the block
     * @throws OrderNotPossible when the block has no seams for this order
     */
    public static function of(Face $face, ChosenOrder $order): self
    {
        return $order === Order::Best ? BestOrder::of($face) : (new ConstructionBuilder($face, $order))->build();
    }

    /** @return list<EqualPart> parts that come more than once within a unit of patches, the largest of each unit first */
    public function equalParts(): array
    {
        return (new EqualPartsFinder($this))->parts;
    }

    /**
     * For joins of equal parts, by class and number of the join within its unit: the join of another part that is the
     * same after a turn, whether its left part is the other's right, and whether its start is the other's end.
     *
     * @return array<int, array<int, array{join: int, swapped: bool, reversed: bool}>>
     */
    public function alikeWithinUnits(): array
    {
        return (new EqualPartsFinder($this))->alike;
    }

    /** @return list<Join> those that end at the edge: what lies beside them meets their ridges */
    public function outerJoins(): array
    {
        $edges = array_map(static fn (array $edge): Segment => Segment::between(...$edge), $this->face->outline()->edges());

        return array_values(array_filter($this->joins, static fn (Join $join): bool => array_filter($edges, static fn (Segment $edge): bool => $edge->contains($join->seam->from) || $edge->contains($join->seam->to)) !== []));
    }
}
