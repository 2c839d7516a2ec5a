<?php

declare(strict_types=1);

namespace App\Console\Commands;

use KeenSeam\Core\Assembly\ChosenOrder;
use KeenSeam\Core\Assembly\Order;

/** The option that says in which order a block is sewn; it wins over the file's own. */
trait OrderOption
{
    private const ORDER_OPTION = '
        {--order= : how to sew: rows, columns, quarters, twos, diagonal, around or best; as the file says, or rows, if not given}';

    /** @throws \KeenSeam\Core\KeenSeamProblem */
    private function orderAsked(): ?ChosenOrder
    {
        return $this->option('order') === null ? null : $this->oneOf('order', Order::class);
    }
}
