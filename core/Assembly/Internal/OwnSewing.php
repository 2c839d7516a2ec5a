<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly\Internal;

use KeenSeam\Core\Assembly\OrderNotPossible;
use KeenSeam\Core\Assembly\OwnOrder;
use KeenSeam\Core\Assembly\OwnPair;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\SewingOrder;
use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Geometry\OutlineNotConvex;
use KeenSeam\Core\Geometry\Segment;

/**
 * What an order of the quilter's own sews: the block's units and patches as she names them, and in which order.
 *
 * @internal
 */
final class OwnSewing
{
    /** @var list<Patch|PlacedUnit> */
    public array $items = [];

    public readonly SewingOrder $order;

    /** @var array<int, SewingOrder> how units are sewn whose patches she orders herself, by object id */
    public array $ofUnits = [];

    /** @var array<string, PlacedUnit|Patch> by first row and column */
    private array $cells = [];

    /** @throws OrderNotPossible */
    public function __construct(Face $face, private readonly OwnOrder $own)
    {
        foreach ($face->whole->parts as $part) {
            $cell = $part instanceof PlacedUnit ? $part->cell : throw new \LogicException('The block is made of its cells.');
            $this->cells[$cell->row.','.$cell->column] = $part;
        }
        $this->mustNameAll();
        [$made] = $this->sewn($own->sew);
        $this->order = is_int($made) ? SewingOrder::of($made) : $made;
    }

    /** @throws OrderNotPossible */
    private function mustNameAll(): void
    {
        $named = [];
        foreach (OwnPair::leaves($this->own->sew) as $leaf) {
            $cell = OwnOrder::cellOf($leaf);
            $unit = $this->cells[$cell] ?? throw OrderNotPossible::noSuchPlace($leaf);
            $number = str_contains($leaf, '#') ? (int) explode('#', $leaf)[1] : null;
            if ($number !== null && $number > count(self::patchesOf($unit))) {
                throw OrderNotPossible::noSuchPlace($leaf);
            }
            $named[$cell][] = $number;
        }
        foreach ($this->cells as $cell => $unit) {
            $numbers = $named[$cell] ?? throw OrderNotPossible::leftOut($cell);
            if (in_array(null, $numbers, true)) {
                count($numbers) === 1 || throw OrderNotPossible::twice($cell);
                continue;
            }
            foreach (range(1, count(self::patchesOf($unit))) as $number) {
                in_array($number, $numbers, true) || throw OrderNotPossible::leftOut($cell.'#'.$number);
            }
        }
    }

    /**
     * @return array{int|SewingOrder, ConvexPolygon, int, Segment|null, int} what to sew, its outline, how many items are in it, its last seam, and how many items came with it
     *
     * @throws OrderNotPossible
     */
    private function sewn(OwnPair|string $part): array
    {
        $unit = $this->wholeUnit($part);
        if ($unit !== null) {
            return [$this->item($unit), $unit->outline, 1, null, 1];
        }
        if (is_string($part)) {
            return $this->leaf($part);
        }
        [$a, $b] = [$part->first, $part->second];
        [[$first, $firstOutline, $firstCount, $seam, $lastCount], [$second, $secondOutline, $secondCount]] = [$this->sewn($a), $this->sewn($b)];
        $edge = $firstOutline->sharedEdge($secondOutline) ?? throw OrderNotPossible::noStraightSeam(OwnPair::leaves($a), OwnPair::leaves($b));
        try {
            $outline = $firstOutline->joinedWith($secondOutline, $edge);
        } catch (OutlineNotConvex) {
            throw OrderNotPossible::noStraightSeam(OwnPair::leaves($a), OwnPair::leaves($b));
        }
        // One after the other along a row is one strand, twos of twos are not.
        $goesOn = $first instanceof SewingOrder && $seam !== null && $seam->direction()->cross($edge->direction()) === 0 && $secondCount <= $lastCount;
        $order = $goesOn ? SewingOrder::of(...$first->items, ...[$second]) : SewingOrder::of($first, $second);

        return [$order, $outline, $firstCount + $secondCount, $edge, $secondCount];
    }

    /** @return array{int|SewingOrder, ConvexPolygon, int, Segment|null, int} */
    private function leaf(string $leaf): array
    {
        $unit = $this->cells[OwnOrder::cellOf($leaf)];
        if (str_contains($leaf, '#')) {
            $patch = self::patchesOf($unit)[self::number($leaf)];

            return [$this->item($patch), $patch->outline, 1, null, 1];
        }
        if (! $this->own->runsThroughCells() || count(self::patchesOf($unit)) === 1) {
            return [$this->item($unit), $unit->outline, 1, null, 1];
        }
        // Elsewhere patches are sewn across cells: then this unit is sewn of its patches too.
        $patches = self::patchesOf($unit);
        $numbers = array_map($this->item(...), $patches);

        return [StraightOrder::best(array_map(SewnItem::of(...), $patches))->renumbered($numbers), $unit->outline, 1, null, 1];
    }

    /** The unit that a pair sews of all its patches and nothing else; how is kept. */
    private function wholeUnit(OwnPair|string $part): ?PlacedUnit
    {
        $leaves = OwnPair::leaves($part);
        $cells = array_unique(array_map(OwnOrder::cellOf(...), $leaves));
        if (is_string($part) || count($cells) > 1 || $this->own->runsThroughCells()) {
            return null;
        }
        $unit = $this->cells[$cells[0]];
        if (! $unit instanceof PlacedUnit || count($leaves) < count(self::patchesOf($unit))) {
            return null;
        }
        $isOfPatches = array_filter($unit->parts, static fn (Patch|PlacedUnit $one): bool => ! $one instanceof Patch) === [];
        if (! $isOfPatches) {
            throw OrderNotPossible::gridInPatches($cells[0]);
        }
        $numbers = static function (OwnPair|string $one) use (&$numbers): int|SewingOrder {
            return is_string($one) ? self::number($one) : SewingOrder::of($numbers($one->first), $numbers($one->second));
        };
        $this->mustBeStraight($unit, $part);
        $order = $numbers($part);
        $this->ofUnits[spl_object_id($unit)] = is_int($order) ? SewingOrder::of($order) : $order;

        return $unit;
    }

    /**
     * @throws OrderNotPossible
     */
    private function mustBeStraight(PlacedUnit $unit, OwnPair|string $part): ConvexPolygon
    {
        if (is_string($part)) {
            return self::patchesOf($unit)[self::number($part)]->outline;
        }
        $outlines = array_map(fn (OwnPair|string $side): ConvexPolygon => $this->mustBeStraight($unit, $side), [$part->first, $part->second]);
        $edge = $outlines[0]->sharedEdge($outlines[1]);
        try {
            return $edge === null ? throw OrderNotPossible::noStraightSeam(OwnPair::leaves($part->first), OwnPair::leaves($part->second)) : $outlines[0]->joinedWith($outlines[1], $edge);
        } catch (OutlineNotConvex) {
            throw OrderNotPossible::noStraightSeam(OwnPair::leaves($part->first), OwnPair::leaves($part->second));
        }
    }

    /** From 0, of a patch within its cell. */
    private static function number(string $leaf): int
    {
        return (int) explode('#', $leaf)[1] - 1;
    }

    private function item(Patch|PlacedUnit $item): int
    {
        $this->items[] = $item;

        return count($this->items) - 1;
    }

    /** @return list<Patch> */
    private static function patchesOf(Patch|PlacedUnit $unit): array
    {
        return $unit instanceof Patch ? [$unit] : $unit->patches();
    }
}
