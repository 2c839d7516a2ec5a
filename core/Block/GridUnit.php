<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

final readonly class GridUnit implements Unit
{
    public const KIND = 'grid';

    public function __construct(public Grid $grid) {}

    public function kind(): string
    {
        return self::KIND;
    }

    public function name(): string
    {
        return 'small grid';
    }

    public function plural(): string
    {
        return 'small grids';
    }
}
