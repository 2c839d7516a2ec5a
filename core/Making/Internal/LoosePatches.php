<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making\Internal;

use KeenSeam\Core\Assembly\ClassKinship;
use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Making\Bench;
use KeenSeam\Core\Making\MadeUnit;
use KeenSeam\Core\Making\Piece;
use KeenSeam\Core\Making\Recipes\StripSets;
use KeenSeam\Core\Making\StripSet;
use KeenSeam\Core\Making\Way;

/**
 * Patches that are cut by themselves, beside the units: those that are a cell, those of grids of plain patches that are
 * not sewn in strips, and all of them where the order runs through cells.
 *
 * @internal
 */
final readonly class LoosePatches
{
    /** @param list<MadeUnit> $made */
    public function __construct(
        private Construction $construction,
        private array $made,
        private Bench $bench,
        private int $blocks,
    ) {}

    /** @return list<Patch> what is cut: without those that come from strips */
    public function cut(): array
    {
        return $this->loose($this->fromStrips(true));
    }

    /** @return list<array{Piece, int}> those outside of grids of plain patches */
    public function plain(): array
    {
        return $this->counted($this->loose($this->fromStrips(false)));
    }

    /** @return array<string, list<array{Piece, int}>> those of grids of plain patches, by the grid's label */
    public function plainIn(): array
    {
        $plain = [];
        foreach ($this->made as $one) {
            if (self::canBeStrips($one) && $one->unit->first !== null) {
                $plain[$one->unit->label] = $this->counted(array_merge(...$one->unit->members));
            }
        }

        return $plain;
    }

    /** @return list<array{set: StripSet, for: list<string>}> */
    public function strips(): array
    {
        $strips = [];
        foreach ($this->made as $one) {
            foreach ($one->way->key === StripSets::KEY ? StripSets::sets($one->unit, $this->bench) : [] as $set) {
                $strips[] = ['set' => $set, 'for' => [$one->unit->label]];
            }
        }

        return $strips;
    }

    /**
     * @param array<int, true> $fromStrips object ids of units whose patches come from strips
     *
     * @return list<Patch>
     */
    private function loose(array $fromStrips): array
    {
        return self::looseIn($this->construction->face->whole, $fromStrips, $this->construction->order->runsThroughCells());
    }

    /**
     * @param list<Patch> $patches
     *
     * @return list<array{Piece, int}> with how many are taken, once all are cut further
     */
    private function counted(array $patches): array
    {
        $found = [];
        foreach ($patches as $patch) {
            $piece = $this->bench->cutter->piece($patch);
            $found[(string) $piece->patch] ??= [$piece, 0];
            $found[(string) $piece->patch][1] += $this->blocks;
        }

        return array_values($found);
    }

    private static function canBeStrips(MadeUnit $made): bool
    {
        return array_filter($made->ways, static fn (Way $way): bool => $way->key === StripSets::KEY) !== [];
    }

    /**
     * @param bool $isChosen only those that are; else all that could
     *
     * @return array<int, true> object ids of small grids whose patches come from strips
     */
    private function fromStrips(bool $isChosen): array
    {
        $labels = [];
        foreach ($this->made as $one) {
            if (($isChosen ? $one->way->key === StripSets::KEY : self::canBeStrips($one)) && $one->unit->first !== null) {
                $labels[ClassKinship::handKey($one->unit->first, false)] = true;
                $labels[ClassKinship::handKey($one->unit->first, true)] = true;
            }
        }
        $keys = [];
        foreach ($labels === [] ? [] : $this->construction->classes as $class) {
            if (isset($labels[ClassKinship::handKey($class->members[0], false)])) {
                foreach ($class->members as $member) {
                    $keys[spl_object_id($member)] = true;
                }
            }
        }

        return $keys;
    }

    /**
     * @param array<int, true> $fromStrips object ids of units whose patches come from strips
     *
     * @return list<Patch>
     */
    private static function looseIn(PlacedUnit $unit, array $fromStrips, bool $areAllLoose): array
    {
        if ($areAllLoose) {
            return $unit->patches();
        }
        $loose = [];
        foreach ($unit->parts as $part) {
            if ($part instanceof Patch) {
                if (count($unit->parts) === 1) {
                    $loose[] = $part;
                }
            } elseif (! isset($fromStrips[spl_object_id($part)])) {
                array_push($loose, ...self::looseIn($part, $fromStrips, false));
            }
        }

        return $loose;
    }
}
