<?php

declare(strict_types=1);

namespace App\Console\Commands;

use KeenSeam\Core\Assembly\ChosenOrder;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\OrderNotPossible;
use KeenSeam\Core\Assembly\SashesSewn;
use KeenSeam\Core\Assembly\TopOrder;

/** The option that says in which order a block is sewn; it wins over the file's own. */
trait OrderOption
{
    private const ORDER_OPTION = '
        {--order= : how to sew: rows, columns, quarters, twos, diagonal, around or best; as the file says, or rows, if not given}
        {--sashes=between : of a top: when sashes are sewn: between the blocks, in rows of their own, or first, to the blocks}';

    /** @throws \KeenSeam\Core\KeenSeamProblem */
    private function orderAsked(): ?ChosenOrder
    {
        if ($this->oneOf('sashes', SashesSewn::class) === SashesSewn::First) {
            throw OrderNotPossible::noSashes();
        }

        return $this->option('order') === null ? null : $this->oneOf('order', Order::class);
    }

    /** @throws \KeenSeam\Core\KeenSeamProblem */
    private function orderOfTopAsked(): TopOrder
    {
        return new TopOrder($this->option('order') === null ? Order::Rows : $this->oneOf('order', Order::class), $this->oneOf('sashes', SashesSewn::class));
    }
}
