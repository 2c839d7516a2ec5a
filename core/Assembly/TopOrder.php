<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

/** In which order the parts of a top are sewn together. */
final readonly class TopOrder
{
    public function __construct(
        public Order $order = Order::Rows,
        public SashesSewn $sashes = SashesSewn::Between,
    ) {}
}
