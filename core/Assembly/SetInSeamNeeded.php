<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\KeenSeamProblem;

/** No straight seam takes these patches apart; sewing them needs a set-in or partial seam. */
final class SetInSeamNeeded extends \DomainException implements KeenSeamProblem
{
    /** @param list<int> $patchIds the patches in the way, where they are known */
    private function __construct(string $message, public readonly array $patchIds = [])
    {
        parent::__construct($message);
    }

    public static function between(Assembly $left, Assembly $right): self
    {
        $ids = [...$left->patchIds(), ...$right->patchIds()];

        return new self(sprintf(
            'Patches %s cannot be joined by one straight seam; they need a set-in or partial seam. Divide the unit along a straight line.',
            implode(', ', $ids),
        ), $ids);
    }

    /** @param list<int> $items numbers of the parts of one unit that no straight line divides */
    public static function amongItems(array $items): self
    {
        return new self(sprintf(
            'No straight seam takes patches %s of a unit apart; they need a set-in or partial seam. Divide one of them along a straight line.',
            implode(', ', array_map(static fn (int $item): int => $item + 1, $items)),
        ));
    }

    /** @param list<Cell> $cells */
    public static function amongCells(array $cells): self
    {
        $places = array_map(static fn (Cell $cell): string => sprintf('row %d column %d', $cell->row, $cell->column), $cells);
        $last = array_pop($places);

        return new self(sprintf(
            'No straight seam takes the cells at %s and %s apart; they need a set-in or partial seam. Divide one of the cells that span others.',
            implode(', ', $places),
            $last,
        ));
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
