<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout;

use KeenSeam\Core\KeenSeamProblem;

/** A change to a layout that cannot be made. */
final class LayoutNotPossible extends \InvalidArgumentException implements KeenSeamProblem
{
    private function __construct(string $message, private readonly string $where)
    {
        parent::__construct($message);
    }

    public static function outside(Area $area, int $rows, int $columns): self
    {
        return new self(sprintf(
            'Row %d, column %d with %d by %d places reaches past the grid of %d rows and %d columns. Choose another place, or add rows and columns first.',
            $area->row,
            $area->column,
            $area->rowSpan,
            $area->columnSpan,
            $rows,
            $columns,
        ), '/area');
    }

    public static function lastLine(Axis $axis): self
    {
        return new self(sprintf('This is the only %s. A layout keeps at least one.', $axis->one()), '/number');
    }

    public static function noSuchLine(Axis $axis, int $number, int $count): self
    {
        return new self(sprintf('There is no %s %d. They are numbered from 1 to %d.', $axis->one(), $number, $count), '/number');
    }

    public static function noGridThere(int $row, int $column): self
    {
        return new self(sprintf('Row %d, column %d holds no small grid to open.', $row, $column), '/path');
    }

    public static function notSymmetric(Symmetry $symmetry): self
    {
        return new self(sprintf('The rows and columns are not such that the block could be %s. Make their widths match, or switch the copies off.', $symmetry->words()), '/follow');
    }

    public static function fabricInUse(string $name): self
    {
        return new self(sprintf('"%s" is used in this block. Say which fabric takes its place.', $name), '/instead');
    }

    public static function fabricUnknown(string $key): self
    {
        return new self(sprintf('There is no fabric "%s" in this block. Choose one that is there.', mb_substr($key, 0, 20)), '/fabric');
    }

    public static function lastCorner(): self
    {
        return new self('This is the only flipped corner. Use a plain patch instead.', '/corner');
    }

    public static function lastFabric(): self
    {
        return new self('This is the only fabric. A block keeps at least one.', '/fabric');
    }

    public static function nothingThere(int $patch): self
    {
        return new self(sprintf('There is no patch %d in this block.', $patch), '/patch');
    }

    public function problemCode(): string
    {
        return 'layout-not-possible';
    }

    public function where(): string
    {
        return $this->where;
    }
}
