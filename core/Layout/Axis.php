<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout;

use KeenSeam\Core\Block\Grid;
use KeenSeam\Core\Measure\Fraction;

/** Columns, which lie across the width, or rows, which lie down the height. */
enum Axis: string
{
    case Columns = 'columns';
    case Rows = 'rows';

    public function one(): string
    {
        return $this === self::Columns ? 'column' : 'row';
    }

    /** @return non-empty-list<Fraction> relative */
    public function widths(Grid $grid): array
    {
        return $this === self::Columns ? $grid->columns : $grid->rows;
    }
}
