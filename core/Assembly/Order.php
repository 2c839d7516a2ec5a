<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

use KeenSeam\Core\Assembly\Internal\BandOrder;
use KeenSeam\Core\Block\Grid;
use KeenSeam\Core\Block\SewingOrder;

/** The orders in which a grid can be sewn together. */
enum Order: string
{
    case Rows = 'rows';

    /**
     * The numbers in the result count the grid's cells in reading order.
     *
     * @throws SetInSeamNeeded
     */
    public function sewing(Grid $grid): SewingOrder
    {
        return match ($this) {
            self::Rows => BandOrder::rowsFirst($grid->cells),
        };
    }
}
