<?php

declare(strict_types=1);

namespace KeenSeam\Core\Geometry;

use KeenSeam\Core\KeenSeamProblem;

/** Corners that do not go once round a convex area. */
final class OutlineNotConvex extends \InvalidArgumentException implements KeenSeamProblem
{
    private function __construct(string $message, private readonly string $where = '')
    {
        parent::__construct($message);
    }

    public static function withoutArea(): self
    {
        return new self('This patch has no area. Give it at least three corners that are not in one line.');
    }

    public static function dented(): self
    {
        return new self('This patch is not convex. List its corners in order round it, and split a patch with a dent in two.');
    }

    /** @param int $patch of its unit, from 1 */
    public function at(string $where, int $patch): self
    {
        return new self(str_replace('This patch', 'Patch '.$patch.' of this unit', $this->getMessage()), $where);
    }

    public function problemCode(): string
    {
        return 'outline-not-convex';
    }

    public function where(): string
    {
        return $this->where;
    }
}
