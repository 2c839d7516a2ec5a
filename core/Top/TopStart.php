<?php

declare(strict_types=1);

namespace KeenSeam\Core\Top;

use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\GridUnit;
use KeenSeam\Core\Block\PieceUnit;
use KeenSeam\Core\Block\Unit;
use KeenSeam\Core\Measure\Fraction;

/** How a top begins: from blocks that stand by themselves, each with fabrics of its own. */
final class TopStart
{
    /** Letters of a name that a key keeps. */
    private const LONGEST_KEY = 20;

    /**
     * A top file's entries for some blocks, all in the size of the first. Fabrics of one key, name and colour are one; of others that share a key the later ones
     * get a new one.
     *
     * @param non-empty-list<array{Block, string}> $blocks each with the order in which it is sewn
     *
     * @return array{fabrics: non-empty-array<string, Fabric>, designs: non-empty-array<string, Design>}
     *
     * @throws TopNotPossible when the blocks are not of one shape, unit and seam allowance
     */
    public static function of(array $blocks): array
    {
        $fabrics = $designs = [];
        $first = $blocks[0][0];
        foreach ($blocks as [$block, $order]) {
            if ($block->unit !== $first->unit || ! $block->seamAllowance->equals($first->seamAllowance)) {
                throw TopNotPossible::because(sprintf('"%s" and "%s" are not drawn in one unit with one seam allowance. Blocks of a top share both.', $first->name, $block->name), '/blocks');
            }
            $keys = [];
            foreach ($block->fabrics as $key => $fabric) {
                $keys[$key] = self::keyFor($fabric, $fabrics);
                $fabrics[$keys[$key]] = new Fabric($keys[$key], $fabric->name, $fabric->color, $fabric->value);
            }
            $block = self::sized($block, $first);
            $design = new Design(self::nameFor($block->name, $designs), self::inFabrics($block, static fn (Fabric $fabric): Fabric => $fabrics[$keys[$fabric->key]], $fabrics), $order);
            $other = reset($designs);
            if ($other !== false && (! $other->block->finishedWidth->equals($block->finishedWidth) || ! $other->block->finishedHeight->equals($block->finishedHeight))) {
                throw TopNotPossible::differentSizes($other, $design, '/blocks');
            }
            $designs[$design->key] = $design;
        }

        return ['fabrics' => $fabrics, 'designs' => $designs];
    }

    /** A block of the same shape in another size is taken in the size of the first. */
    private static function sized(Block $block, Block $first): Block
    {
        $scale = $first->finishedWidth->inches->dividedBy($block->finishedWidth->inches);
        $isAlike = $first->finishedHeight->inches->equals($block->finishedHeight->inches->times($scale));

        return $isAlike && ! $scale->equals(Fraction::of(1))
            ? $block->with(width: $first->finishedWidth, height: $first->finishedHeight, grid: $block->grid->scaled($scale, $block->unit))
            : $block;
    }

    /**
     * @param \Closure(Fabric): Fabric        $fabric
     * @param non-empty-array<string, Fabric> $fabrics
     */
    private static function inFabrics(Block $block, \Closure $fabric, array $fabrics): Block
    {
        $changed = static function (Unit $unit) use (&$changed, $fabric): Unit {
            return match (true) {
                $unit instanceof GridUnit => $unit->withUnits($changed),
                $unit instanceof PieceUnit => $unit->inFabrics($fabric),
                default => throw new \LogicException('A unit is a grid or of pieces.'),
            };
        };

        return $block->with(fabrics: $fabrics, grid: $block->grid->withCells(static fn ($cell) => $cell->holding($changed($cell->unit))));
    }

    /** @param array<string, Fabric> $taken */
    private static function keyFor(Fabric $fabric, array $taken): string
    {
        foreach ($taken as $key => $other) {
            if ($other->name === $fabric->name && $other->color === $fabric->color && $other->value === $fabric->value) {
                return (string) $key;
            }
        }
        for ($number = 1; isset($taken[$key = $number === 1 ? $fabric->key : mb_substr($fabric->key, 0, 16).$number]); ++$number) {
            continue;
        }

        return $key;
    }

    /** @param array<string, Design> $taken */
    private static function nameFor(string $name, array $taken): string
    {
        $name = mb_substr($name, 0, self::LONGEST_KEY);
        for ($number = 1; isset($taken[$key = $number === 1 ? $name : $name.' '.$number]); ++$number) {
            continue;
        }

        return $key;
    }
}
