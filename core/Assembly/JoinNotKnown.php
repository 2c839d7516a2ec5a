<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

use KeenSeam\Core\KeenSeamProblem;

/** Asked for a join that this block, in this order, does not have. */
final class JoinNotKnown extends \InvalidArgumentException implements KeenSeamProblem
{
    public static function of(int $join, Construction $construction): self
    {
        $joins = count($construction->joins);

        return new self($joins === 0
            ? 'This block has no joins: it is one patch.'
            : sprintf('There is no join %d. This block\'s joins are numbered from 0 to %d.', $join, $joins - 1));
    }

    /** @throws self */
    public static function unlessIn(Construction $construction, int $join): void
    {
        if (! isset($construction->joins[$join])) {
            throw self::of($join, $construction);
        }
    }

    public function problemCode(): string
    {
        return 'join-not-known';
    }

    public function where(): string
    {
        return '';
    }
}
