<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

use KeenSeam\Core\KeenSeamProblem;

/** The block has no seams for the order that was asked for; another order will do. */
final class OrderNotPossible extends \DomainException implements KeenSeamProblem
{
    public static function noDiagonalSeam(): self
    {
        return new self('No seam runs slantwise across the whole block, so it has no diagonal rows. Choose another order: rows, columns, quarters, around or best.');
    }

    public static function straightTop(): self
    {
        return new self('Only a top on point is sewn in slanting rows. Choose another order: rows, columns, quarters or twos.');
    }

    public static function runsInRows(): self
    {
        return new self('The larger triangles at the sides, or the sashes without cornerstones, run along the rows of this top. Sew it by rows.');
    }

    public static function noSashes(): self
    {
        return new self('There are no sashes to sew first.');
    }

    public static function ofTop(): self
    {
        return new self('A top is sewn by rows, by columns, in halves of halves, in twos, or on point in slanting rows. Choose one of them.');
    }

    public static function noName(int $longest): self
    {
        return new self(sprintf('An order of your own has a name of 1 to %d letters. Give it one.', $longest));
    }

    public static function noPair(): self
    {
        return new self('An order of your own sews two parts at a time: lists of two, down to cells like "1,2" or patches like "1,2#3". Correct it.');
    }

    public static function noPlace(string $given): self
    {
        return new self(sprintf('"%s" is neither a cell nor a patch. Write row and column like "1,2", or a patch of the cell like "1,2#3".', mb_substr($given, 0, 40)));
    }

    public static function noSuchPlace(string $leaf): self
    {
        return new self(sprintf('The order sews "%s", which is not in the block. Cells are told by their first row and column, patches as they stand in the file, from 1.', $leaf));
    }

    public static function twice(string $leaf): self
    {
        return new self(sprintf('The order sews "%s" twice. Leave one of them out.', $leaf));
    }

    public static function leftOut(string $leaf): self
    {
        return new self(sprintf('The order leaves out "%s". Say when it is sewn.', $leaf));
    }

    public static function gridInPatches(string $cell): self
    {
        return new self(sprintf('The small grid at "%s" is sewn as one; its patches take no order of their own. Name it as a cell.', $cell));
    }

    public static function noUnit(): self
    {
        return new self('That is no single unit of several patches. Choose a unit that is not sewn to another yet.');
    }

    /**
     * @param list<string> $a
     * @param list<string> $b
     */
    public static function noStraightSeam(array $a, array $b): self
    {
        $named = static fn (array $leaves): string => implode(' ', array_slice($leaves, 0, 4)).(count($leaves) > 4 ? ' ...' : '');

        return new self(sprintf('No one straight seam joins %s and %s. Choose two parts that have a whole edge in common.', $named($a), $named($b)));
    }

    public function problemCode(): string
    {
        return 'order-not-possible';
    }

    public function where(): string
    {
        return '';
    }
}
