<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\KeenSeamProblem;

/** No straight seam takes these patches apart; sewing them needs a set-in or partial seam. */
final class SetInSeamNeeded extends \DomainException implements KeenSeamProblem
{
    /**
     * @param list<int>       $items    numbers of the cells, or of a unit's parts, that no straight line divides
     * @param list<int>       $patchIds the patches in the way, once they are known
     * @param list<UnitClass> $made     the units that can be made all the same
     */
    private function __construct(
        string $message,
        public readonly array $items,
        public readonly array $patchIds = [],
        public readonly array $made = [],
    ) {
        parent::__construct($message);
    }

    public static function between(Assembly $left, Assembly $right): self
    {
        $ids = [...$left->patchIds(), ...$right->patchIds()];

        return new self(sprintf(
            'Patches %s cannot be joined by one straight seam; they need a set-in or partial seam. Divide the unit along a straight line.',
            implode(', ', $ids),
        ), [], $ids);
    }

    /** @param list<int> $items numbers of the parts of one unit that no straight line divides */
    public static function amongItems(array $items): self
    {
        return new self(sprintf(
            'No straight seam takes patches %s of a unit apart; they need a set-in or partial seam. Divide one of them along a straight line.',
            implode(', ', array_map(static fn (int $item): int => $item + 1, $items)),
        ), $items);
    }

    /** @param array<int, Cell> $cells by their number in the grid */
    public static function amongCells(array $cells): self
    {
        $places = array_map(static fn (Cell $cell): string => sprintf('row %d column %d', $cell->row, $cell->column), array_values($cells));
        $last = array_pop($places);

        return new self(sprintf(
            'No straight seam takes the cells at %s and %s apart; they need a set-in or partial seam. Divide one of the cells that span others.',
            implode(', ', $places),
            $last,
        ), array_keys($cells));
    }

    /** The same, the numbered parts being those of the unit. */
    public function inUnit(PlacedUnit $unit): self
    {
        $ids = [];
        foreach ($this->items as $item) {
            $part = $unit->parts[$item];
            array_push($ids, ...array_map(static fn (Patch $patch): int => $patch->id, $part instanceof Patch ? [$part] : $part->patches()));
        }

        return new self($this->getMessage(), [], $this->patchIds === [] ? $ids : $this->patchIds, $this->made);
    }

    /** @param list<UnitClass> $made */
    public function afterMaking(array $made): self
    {
        return new self($this->getMessage(), $this->items, $this->patchIds, $made);
    }

    public function problemCode(): string
    {
        return 'set-in-seam-needed';
    }

    public function where(): string
    {
        return '/cells';
    }
}
