<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly\Internal;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\JoinTie;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\OrderNotPossible;
use KeenSeam\Core\Assembly\Piece;
use KeenSeam\Core\Assembly\SashesSewn;
use KeenSeam\Core\Assembly\SetInSeamNeeded;
use KeenSeam\Core\Assembly\TopConstruction;
use KeenSeam\Core\Assembly\TopCopy;
use KeenSeam\Core\Assembly\TopOrder;
use KeenSeam\Core\Assembly\TopTurn;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\SewingOrder;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Geometry\Segment;
use KeenSeam\Core\Top\Design;
use KeenSeam\Core\Top\Laying;
use KeenSeam\Core\Top\PartRole;
use KeenSeam\Core\Top\Setting;
use KeenSeam\Core\Top\TopFace;
use KeenSeam\Core\Top\TopPart;

/**
 * Sews every copy of a block as its design is sewn, then the top of them.
 *
 * Each design, and its mirror image, has unit classes of its own, and one more for the joins between its units: ties hold
 * within what is made alike.
 *
 * @internal
 */
final class TopBuilder
{
    private readonly Sewing $sewing;

    /** @var array<string, Construction> by design */
    private array $designs = [];

    /** @var list<TopCopy> */
    private array $copies = [];

    /** @var array<string, list<int>> class in the top of each class of a design, the design's own last, by what is made */
    private array $classes = [];

    /** @var list<array{string, int|null}> what is made and the class in its design, null for the design itself; by class */
    private array $ofClass = [];

    /** @var list<Join> */
    private array $others = [];

    /** @var array<int, array<string, array{Assembly, array<string, Join>}>> the ways in which a part's seams run, each with its joins by their seams; by part and the names of all its seams */
    private array $known = [];

    public function __construct(private readonly TopFace $top, private readonly TopOrder $order)
    {
        $this->sewing = new Sewing();
    }

    /** @param bool $isTurned whether the ways are wanted, too, in which a block may be turned and still look the same */
    public function build(bool $isTurned): TopConstruction
    {
        $items = $sewings = [];
        foreach ($this->top->parts as $number => $part) {
            $design = $part->wholeDesign();
            if ($design !== null) {
                $sewings[] = count($items);
                $items[] = $this->copy($number, $part, $design);
                continue;
            }
            $numbers = array_keys($part->units);
            $base = count($items);
            foreach ($part->units as $unit) {
                $items[] = new Piece($unit->patches()[0]);
            }
            $sewings[] = count($numbers) === 1 ? $base : $this->cutBlock($part, $base);
        }
        $order = self::filled($this->bands(), $sewings);
        try {
            $root = $this->sewing->sewWhole($order, $items);
        } catch (SetInSeamNeeded) {
            throw OrderNotPossible::runsInRows(); // rows always can be sewn: the top is laid out in them
        }
        $construction = new Construction($this->top->face, $this->order->order, $root, $this->sewing->joins, $this->classes(), $this->sewing->strands);
        $turns = $isTurned ? Turn::cases() : [Turn::None];
        $copies = array_map(fn (TopCopy $copy): TopCopy => $copy->turning(array_values(array_filter(array_map(fn (Turn $turn): ?TopTurn => $this->turned($copy, $turn), $turns)))), $this->copies);

        return new TopConstruction($this->top, $this->order, $construction, $copies, $this->others);
    }

    /** @throws OrderNotPossible */
    private function bands(): SewingOrder
    {
        $groups = $this->order->sashes === SashesSewn::First ? $this->withSashes() : array_map(static fn (int $number): array => [[$number]], array_keys($this->top->parts));
        $cells = array_map($this->cellOf(...), $groups);
        $order = match ($this->order->order) {
            Order::Rows => BandOrder::bands($cells, true),
            Order::Columns => BandOrder::bands($cells, false),
            Order::Quarters => BandOrder::halves($cells),
            Order::Twos => BandOrder::twos($cells),
            Order::Diagonal => $this->top->top->setting === Setting::OnPoint ? BandOrder::bands($cells, true) : throw OrderNotPossible::straightTop(),
            Order::Around, Order::Best => throw OrderNotPossible::ofTop(),
        };
        $sewn = static fn (array $items): int|SewingOrder => count($items) === 1 ? $items[0] : SewingOrder::of(...$items);

        return self::filled($order, array_map(static fn (array $rows): int|SewingOrder => $sewn(array_map($sewn, $rows)), $groups));
    }

    /**
     * Every part with the sashes that are sewn to it first: the one at its right, and the one below with its cornerstone.
     *
     * @return list<non-empty-list<non-empty-list<int>>> numbers of parts, the upper row first
     *
     * @throws OrderNotPossible when there are no sashes
     */
    private function withSashes(): array
    {
        if ($this->top->top->sashes === null) {
            throw OrderNotPossible::noSashes();
        }
        $at = [];
        foreach ($this->top->parts as $number => $part) {
            $at[$part->row.' '.$part->column] = $number;
        }
        $groups = $taken = [];
        foreach ($this->top->parts as $number => $part) {
            if ($part->role === PartRole::Sash || $part->role === PartRole::Cornerstone) {
                continue;
            }
            // A sash that runs on below the next block is no strip of this one's.
            $own = function (int $down, int $aside, PartRole $role) use ($at, $part): ?int {
                $other = $at[($part->row + $down).' '.($part->column + $aside)] ?? null;

                return $other !== null && $this->top->parts[$other]->role === $role && $this->top->parts[$other]->columnSpan === 1 ? $other : null;
            };
            [$right, $below, $corner] = [$own(0, 1, PartRole::Sash), $own(1, 0, PartRole::Sash), $own(1, 1, PartRole::Cornerstone)];
            $rows = [$right === null ? [$number] : [$number, $right]];
            if ($below !== null) {
                $rows[] = $corner === null ? [$below] : [$below, $corner];
            }
            $groups[] = $rows;
            $taken += array_flip(array_merge(...$rows));
        }
        foreach (array_keys(array_diff_key($this->top->parts, $taken)) as $number) {
            $groups[] = [[$number]];
        }

        return $groups;
    }

    /** @param non-empty-list<non-empty-list<int>> $group */
    private function cellOf(array $group): Cell
    {
        $parts = array_map(fn (int $number): TopPart => $this->top->parts[$number], array_merge(...$group));
        $row = min(array_map(static fn (TopPart $part): int => $part->row, $parts));
        $column = min(array_map(static fn (TopPart $part): int => $part->column, $parts));

        return new Cell(
            $row,
            $column,
            max(array_map(static fn (TopPart $part): int => $part->row, $parts)) - $row + 1,
            max(array_map(static fn (TopPart $part): int => $part->column + $part->columnSpan, $parts)) - $column,
            $parts[0]->units[0]->cell->unit,
        );
    }

    /** @param list<int|SewingOrder> $sewings what stands for each part */
    private static function filled(SewingOrder $order, array $sewings): SewingOrder
    {
        return SewingOrder::of(...array_map(static fn (int|SewingOrder $item): int|SewingOrder => is_int($item) ? $sewings[$item] : self::filled($item, $sewings), $order->items));
    }

    private function copy(int $number, TopPart $part, Design $design): Assembly
    {
        $construction = $this->design($design);
        $made = $design->key.($part->place?->placement->mirrored === true ? ' mirrored' : '');
        if (! isset($this->classes[$made])) {
            foreach ([...array_keys($construction->classes), null] as $class) {
                $this->classes[$made][] = count($this->ofClass);
                $this->ofClass[] = [$made, $class];
            }
        }
        $member = count(array_filter($this->copies, static fn (TopCopy $copy): bool => $copy->made === $made));
        $firstPatch = $part->patchIds()[0];
        // The block's own joins, numbered as the design has them, whatever order this tree is walked in.
        $own = array_flip(array_map(static fn (Join $join): int => $join->id, self::ownJoins($construction)));
        $joins = [];
        $root = $this->sewnLike($construction->root, fn (Patch $patch): Assembly => new Piece($this->top->face->patches[$firstPatch + $patch->id]), function (Join $join, Assembly $left, Assembly $right) use ($construction, $made, $member, $own, &$joins): Join {
            $tie = $join->tie;
            $made = $this->classes[$made];
            $sewn = $this->sewing->join($left, $right, $tie === null
                ? new JoinTie($made[count($made) - 1], $own[$join->id], $member)
                : new JoinTie($made[$tie->unitClass], $tie->join, $member * count($construction->classes[$tie->unitClass]->members) + $tie->member));
            $joins[$join->id] = $sewn->id;

            return $sewn;
        });
        ksort($joins);
        $this->copies[] = new TopCopy($number, $part, $made, $member, $construction, array_values($joins), $firstPatch, $root, []);

        return $root;
    }

    /** @return list<Join> those that lie in none of its units */
    private static function ownJoins(Construction $design): array
    {
        return array_values(array_filter($design->joins, static fn (Join $join): bool => $join->tie === null));
    }

    private function design(Design $design): Construction
    {
        return $this->designs[$design->key] ??= Construction::of($this->top->designs[$design->key], Order::from($design->order));
    }

    /**
     * The same tree over other patches, sewn in the same order: parts of a join before it.
     *
     * @param \Closure(Patch): Assembly                    $piece
     * @param \Closure(Join, Assembly, Assembly): Assembly $sew
     */
    private function sewnLike(Assembly $assembly, \Closure $piece, \Closure $sew): Assembly
    {
        if ($assembly instanceof Piece) {
            return $piece($assembly->patch);
        }
        if (! $assembly instanceof Join) {
            throw new \LogicException('An assembly is a piece or a join.');
        }

        return $sew($assembly, $this->sewnLike($assembly->left, $piece, $sew), $this->sewnLike($assembly->right, $piece, $sew));
    }

    /** A block that the edge cuts is sewn of its patches in the order of the whole one. */
    private function cutBlock(TopPart $part, int $firstItem): SewingOrder
    {
        $design = $part->place?->holds;
        if (! $design instanceof Design || $part->origins === null) {
            throw new \LogicException('Only blocks are cut into patches.');
        }
        $items = array_flip($part->origins);
        $order = self::restricted($this->design($design)->root, static fn (Patch $patch): ?int => isset($items[$patch->id]) ? $firstItem + $items[$patch->id] : null);

        return is_int($order) || $order === null ? throw new \LogicException('Several patches are left.') : $order;
    }

    /** @param \Closure(Patch): (int|null) $item */
    private static function restricted(Assembly $assembly, \Closure $item): int|SewingOrder|null
    {
        if ($assembly instanceof Piece) {
            return $item($assembly->patch);
        }
        $kept = array_filter(array_map(static fn (Assembly $part): int|SewingOrder|null => self::restricted($part, $item), $assembly->children()), static fn (int|SewingOrder|null $part): bool => $part !== null);

        return count($kept) > 1 ? SewingOrder::of(...array_values($kept)) : ($kept === [] ? null : reset($kept));
    }

    /** @return list<UnitClass> */
    private function classes(): array
    {
        return array_map(function (array $of, int $index): UnitClass {
            [$made, $class] = $of;
            $copies = array_values(array_filter($this->copies, static fn (TopCopy $copy): bool => $copy->made === $made));
            $members = $numbers = $placements = [];
            foreach ($copies as $copy) {
                foreach ($class === null ? [$copy->place->units[0]] : $this->unitsOf($copy, $copy->design->classes[$class]->members) as $number => $unit) {
                    $members[] = $unit;
                    $numbers[] = $number;
                    $placements[] = $copy->place->place->placement ?? new Placement();
                }
            }

            return $this->classOf($index, $copies[0]->design, $class, $members, $numbers, $placements);
        }, $this->ofClass, array_keys($this->ofClass));
    }

    /**
     * @param list<PlacedUnit> $members
     * @param list<int>        $numbers    of each within its class in the design
     * @param list<Placement>  $placements of the blocks they are in
     */
    private function classOf(int $index, Construction $design, ?int $class, array $members, array $numbers, array $placements): UnitClass
    {
        $inDesign = $class === null ? null : $design->classes[$class];
        $own = $class === null ? self::ownJoins($design) : array_values(array_filter($design->joins, static fn (Join $join): bool => $join->tie?->unitClass === $class && $join->tie->member === 0));
        $reversed = [];
        foreach ($numbers as $member => $of) {
            $reversed[] = array_map(static fn (Join $join, int $number): bool => ($inDesign?->isReversed($of, $number) ?? false)
                !== (Laying::reverses(self::seamOf($design, $class, $of, $number, $join), $placements[$member]) !== Laying::reverses($join->seam, $placements[0])), $own, array_keys($own));
        }

        // What has a last seam lies on itself after a half turn at most, and a half turn is one in a mirror too.
        return $members === [] ? throw new \LogicException('A class has members.') : new UnitClass($index, $members, $inDesign === null ? [] : $inDesign->turns, $reversed);
    }

    /** The seam of a member's join as it lies in the design. */
    private static function seamOf(Construction $design, ?int $class, int $member, int $number, Join $ofFirst): Segment
    {
        foreach ($design->joins as $join) {
            if ($join->tie !== null && $join->tie->unitClass === $class && $join->tie->member === $member && $join->tie->join === $number) {
                return $join->seam;
            }
        }

        return $ofFirst->seam;
    }

    /**
     * @param list<PlacedUnit> $units of the design
     *
     * @return list<PlacedUnit> the same ones in a copy
     */
    private function unitsOf(TopCopy $copy, array $units): array
    {
        $found = [];
        $walk = static function (PlacedUnit $inDesign, PlacedUnit $inTop) use (&$walk, $units, &$found): void {
            foreach ($units as $i => $unit) {
                if ($unit === $inDesign) {
                    $found[$i] = $inTop;
                }
            }
            foreach ($inDesign->parts as $i => $part) {
                $there = $inTop->parts[$i];
                if ($part instanceof PlacedUnit && $there instanceof PlacedUnit) {
                    $walk($part, $there);
                }
            }
        };
        $walk($copy->design->face->whole, $copy->place->units[0]);
        ksort($found);

        return array_values($found);
    }

    /** @return TopTurn|null null when the face does not stay the same */
    private function turned(TopCopy $copy, Turn $turn): ?TopTurn
    {
        $asPlaced = array_map(fn (int $id): Join => $this->sewing->joins[$id], $copy->joins);
        $this->known[$copy->part] ??= [self::nameOfSeams(array_map(static fn (Join $join): Segment => $join->seam, $asPlaced)) => [$copy->root, self::bySeam($asPlaced)]];
        $placement = $copy->place->place->placement ?? new Placement();
        $after = new Placement(Turn::ofQuarters($placement->turn->quarters() + $turn->quarters()), $placement->mirrored);
        if ($turn === Turn::None) {
            return new TopTurn($turn, $copy->root, array_map(static fn (int $id, Join $join): array => ['join' => $id, 'swapped' => false, 'reversed' => Laying::reverses($join->seam, $after)], $copy->joins, $copy->design->joins));
        }
        $patches = $this->patchesAfter($copy, $after);
        if ($patches === null) {
            return null;
        }
        $lay = $this->lay($copy, $after);
        $seams = array_map(static fn (Join $join): Segment => Segment::between($lay($join->seam->from), $lay($join->seam->to)), $copy->design->joins);
        [$root, $bySeam] = $this->known[$copy->part][self::nameOfSeams($seams)] ??= $this->otherwise($copy, $patches);

        return new TopTurn($turn, $root, array_map(static function (Join $inDesign, Segment $seam) use ($bySeam, $after, $lay): array {
            $join = $bySeam[self::name($seam)];

            return ['join' => $join->id, 'swapped' => $seam->sideOf($lay($inDesign->cornerOfLeft())) !== $join->leftSide, 'reversed' => Laying::reverses($inDesign->seam, $after)];
        }, $copy->design->joins, $seams));
    }

    /**
     * A copy as it is sewn when it is turned and its seams then run otherwise.
     *
     * @param array<int, Patch> $patches of the top, where each of the design's comes to lie
     *
     * @return array{Assembly, array<string, Join>}
     */
    private function otherwise(TopCopy $copy, array $patches): array
    {
        $first = count($this->sewing->joins) + count($this->others);
        $sewn = [];
        $root = $this->sewnLike($copy->design->root, static fn (Patch $patch): Assembly => new Piece($patches[$patch->id]), static function (Join $join, Assembly $left, Assembly $right) use ($first, &$sewn): Join {
            return $sewn[] = new Join($first + count($sewn), $left, $right);
        });
        array_push($this->others, ...$sewn);

        return [$root, self::bySeam($sewn)];
    }

    /**
     * @param list<Join> $joins
     *
     * @return array<string, Join>
     */
    private static function bySeam(array $joins): array
    {
        return array_combine(array_map(static fn (Join $join): string => self::name($join->seam), $joins), $joins);
    }

    /** @param list<Segment> $seams */
    private static function nameOfSeams(array $seams): string
    {
        $names = array_map(self::name(...), $seams);
        sort($names);

        return implode(' ', $names);
    }

    private static function name(Segment $seam): string
    {
        return $seam->from->key().' '.$seam->to->key();
    }

    /** @return \Closure(Point): Point from the design to the top, with the copy lying so */
    private function lay(TopCopy $copy, Placement $placement): \Closure
    {
        $face = $copy->design->face;
        $lay = Laying::of($face, $placement, intdiv($this->top->face->lattice->steps, $face->lattice->steps));
        $origin = $copy->place->units[0]->outline->corner();

        return static fn (Point $point): Point => new Point($lay($point)->x + $origin->x, $lay($point)->y + $origin->y);
    }

    /** @return array<int, Patch>|null the patch of the top that lies where each of the design's comes to lie; null where the face is another */
    private function patchesAfter(TopCopy $copy, Placement $after): ?array
    {
        $face = $copy->design->face;
        $unit = $copy->place->units[0];
        if ($after->turn->swapsSides() !== ($copy->place->place?->placement->turn->swapsSides() ?? false) && ! ($copy->place->wholeDesign()?->isSquare() ?? false)) {
            return null;
        }
        $byShape = [];
        foreach ($unit->patches() as $patch) {
            $byShape[$patch->fabric->key.' '.$patch->outline->key()] = $patch;
        }
        $lay = $this->lay($copy, $after);
        $patches = [];
        foreach ($face->patches as $patch) {
            $outline = ConvexPolygon::of(array_map($lay, $patch->outline->points));
            $there = $byShape[$patch->fabric->key.' '.$outline->key()] ?? null;
            if ($there === null) {
                return null;
            }
            $patches[$patch->id] = $there;
        }

        return $patches;
    }
}
