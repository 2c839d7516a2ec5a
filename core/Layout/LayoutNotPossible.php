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

    public static function cutWithoutLength(): self
    {
        return new self('The cut ends where it begins. Choose another mark to cut to.', '/to');
    }

    public static function cutOutside(): self
    {
        return new self('The cut leaves the unit. Give both ends as shares of its width and height, from 0 to 1.', '/to');
    }

    public static function cutEndsInside(): self
    {
        return new self('The cut ends inside a patch, and no straight seam ends in the middle of one. Cut on to its edge, or cut through everything.', '/to');
    }

    public static function cutAlongSeam(): self
    {
        return new self('There is nothing to cut along this line: it runs along a seam or an edge.', '/to');
    }

    public static function notTwoPatches(int $count): self
    {
        return new self(sprintf('Choose two of the %d patches to sew back into one.', $count), '/patches');
    }

    public static function noSeamBetween(): self
    {
        return new self('These two patches have no whole seam in common: together they would have a corner that points in, and no straight seam goes round that.', '/patches');
    }

    public static function pointsIn(): self
    {
        return new self('These two patches together would have a corner that points in, and no straight seam goes round that. Leave them two.', '/patches');
    }

    public static function oneCellOnly(): self
    {
        return new self('One unit alone makes no small grid. Choose several that lie side by side.', '/places');
    }

    public static function nothingChosen(): self
    {
        return new self('Nothing is chosen there. Choose a place on the wall.', '/places');
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
