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

    public function problemCode(): string
    {
        return 'order-not-possible';
    }

    public function where(): string
    {
        return '';
    }
}
