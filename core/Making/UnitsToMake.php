<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Assembly\Assembly;
use KeenSeam\Core\Assembly\ClassKinship;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Assembly\UnitName;
use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\Grid;
use KeenSeam\Core\Block\GridUnit;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PatchesUnit;
use KeenSeam\Core\Block\Picture;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\Unit;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;

/** Every kind of unit of a block that has to be made: its classes with their mirror twins, and known units within drawn ones. */
final class UnitsToMake
{
    /** @var array<int, array<int, list<Join>>> joins by class and member */
    private array $joins = [];


    private function __construct(private readonly Construction $construction, private readonly int $blocks)
    {
        foreach ($construction->joins as $join) {
            if ($join->tie !== null) {
                $this->joins[$join->tie->unitClass][$join->tie->member][] = $join;
            }
        }
    }

    /** @return list<UnitToMake> each followed by the known units within it */
    public static function of(Construction $construction, int $blocks): array
    {
        return (new self($construction, $blocks))->all();
    }

    /** @return list<UnitToMake> */
    private function all(): array
    {
        $classes = $this->construction->classes;
        $twins = ClassKinship::twins($classes);
        $alike = ClassKinship::lookAlikes($classes);
        $units = [];
        foreach ($classes as $class) {
            $twin = $twins[$class->index] ?? null;
            if ($twin === null || $twin > $class->index) {
                $unit = $this->unit($class, $twin === null ? null : $classes[$twin], array_map(static fn (int $other): string => $classes[$other]->label(), $alike[$class->index] ?? []));
                array_push($units, $unit, ...$unit->parts);
            }
        }

        return $units;
    }

    /** @param list<string> $alike */
    private function unit(UnitClass $class, ?UnitClass $twin, array $alike): UnitToMake
    {
        $first = $class->members[0];
        $root = $this->rootOf($class->index, 0);
        $known = $first->cell->unit instanceof PatchesUnit && $root !== null ? KnownUnit::of($root) : null;
        $kind = $known === null ? $first->cell->unit : $known->unit;
        [$width, $height] = $known === null ? $this->size($first) : [$this->length($known->width), $this->length($known->height)];
        $name = UnitName::given($class);

        return new UnitToMake(
            $class->label(),
            $name ?? $known?->name() ?? self::nameOf($kind, false),
            $name ?? $known?->plural() ?? self::nameOf($kind, true),
            $kind,
            $first,
            $width,
            $height,
            $this->blocks * count($class->members),
            $twin === null ? 0 : $this->blocks * count($twin->members),
            $this->picture($kind, $width, $height),
            $alike,
            $known->patches ?? $first->patches(),
            $first->outline,
            array_map(static fn (PlacedUnit $member): array => $member->patches(), [...$class->members, ...($twin === null ? [] : $twin->members)]),
            $this->joins[$class->index][0] ?? [],
            $known === null && $first->cell->unit instanceof PatchesUnit ? $this->parts($class, $twin) : [],
        );
    }

    /**
     * Known units within a drawn one, equal ones of all its members together, both hands.
     *
     * @return list<UnitToMake>
     */
    private function parts(UnitClass $class, ?UnitClass $twin): array
    {
        $groups = [];
        foreach (array_filter([$class, $twin]) as $one) {
            $root = $this->rootOf($one->index, 0);
            foreach ($root === null ? [] : KnownUnit::within($root) as $join) {
                $known = KnownUnit::of($join) ?? throw new \LogicException('What was found is known.');
                [$own, $mirror] = [ClassKinship::handKeyOf($known->patches, $known->outline, false), ClassKinship::handKeyOf($known->patches, $known->outline, true)];
                $key = min($own, $mirror);
                $groups[$key] ??= ['known' => $known, 'own' => $own, 'join' => $join, 'counts' => [0, 0], 'members' => []];
                $groups[$key]['counts'][$own === $groups[$key]['own'] ? 0 : 1] += $this->blocks * count($one->members);
                foreach (array_keys($one->members) as $member) {
                    $groups[$key]['members'][] = $this->patchesOf($this->joinLike($join, $member));
                }
            }
        }
        $parts = [];
        foreach (array_values($groups) as $i => ['known' => $known, 'join' => $join, 'counts' => $counts, 'members' => $members]) {
            [$width, $height] = [$this->length($known->width), $this->length($known->height)];
            $parts[] = new UnitToMake($class->label().'.'.($i + 1), $known->name(), $known->plural(), $known->unit, null, $width, $height, $counts[0], $counts[1], $this->picture($known->unit, $width, $height), [], $known->patches, $known->outline, $members, self::joinsOf($join));
        }

        return $parts;
    }

    /** The join of another member that is sewn like this one. */
    private function joinLike(Join $join, int $member): Join
    {
        foreach ($join->tie === null ? [] : $this->joins[$join->tie->unitClass][$member] as $other) {
            if ($other->tie?->join === $join->tie?->join) {
                return $other;
            }
        }

        throw new \LogicException('Units of one class are sewn alike.');
    }

    private function rootOf(int $class, int $member): ?Join
    {
        $joins = $this->joins[$class][$member] ?? [];

        return $joins === [] ? null : $joins[count($joins) - 1];
    }

    /** @return list<Patch> */
    private function patchesOf(Join $join): array
    {
        return array_map(fn (int $id): Patch => $this->construction->face->patches[$id], $join->patchIds());
    }

    /** @return list<Join> in the order they are sewn */
    private static function joinsOf(Assembly $part): array
    {
        return $part instanceof Join ? [...self::joinsOf($part->left), ...self::joinsOf($part->right), $part] : [];
    }

    /** @return array{Fraction, Fraction} finished width and height in the unit's own frame */
    private function size(PlacedUnit $unit): array
    {
        [$width, $height] = array_map($this->length(...), $unit->outline->size());

        return $unit->placement->turn->swapsSides() ? [$height, $width] : [$width, $height];
    }

    private function length(int $steps): Fraction
    {
        return Fraction::of($steps, $this->construction->face->lattice->steps);
    }

    private function picture(Unit $unit, Fraction $width, Fraction $height): Picture
    {
        $one = [Fraction::of(1)];
        $block = $this->construction->face->block;
        $alone = new Block($block->name, $block->unit, Length::of($width, $block->unit), Length::of($height, $block->unit), $block->seamAllowance, $block->fabrics, Grid::of($one, $one, [new Cell(1, 1, 1, 1, $unit)]));

        return Picture::of(Face::of($alone)->whole);
    }

    /** A grid of plain squares has a name of its own. */
    private static function nameOf(Unit $unit, bool $isSeveral): string
    {
        $known = ['2 x 2' => ['four-patch', 'four-patches'], '3 x 3' => ['nine-patch', 'nine-patches']];
        if ($unit instanceof GridUnit) {
            $isPlain = array_filter($unit->grid->cells, static fn (Cell $cell): bool => $cell->unit->kind() !== 'plain') === [];
            $isEven = count(array_unique([...array_map(static fn (Fraction $one): string => $one->toText(), $unit->grid->columns)])) === 1 && count(array_unique(array_map(static fn (Fraction $one): string => $one->toText(), $unit->grid->rows))) === 1;
            $name = $known[sprintf('%d x %d', count($unit->grid->columns), count($unit->grid->rows))] ?? null;
            if ($isPlain && $isEven && $name !== null) {
                return $name[$isSeveral ? 1 : 0];
            }
        }

        return $isSeveral ? $unit->plural() : $unit->name();
    }
}
