<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout;

/** Columns, which lie across the width, or rows, which lie down the height. */
enum Axis: string
{
    case Columns = 'columns';
    case Rows = 'rows';

    public function one(): string
    {
        return $this === self::Columns ? 'column' : 'row';
    }
}
