<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

use KeenSeam\Core\Assembly\Internal\BandOrder;
use KeenSeam\Core\Assembly\Internal\SewnItem;
use KeenSeam\Core\Assembly\Internal\StraightOrder;
use KeenSeam\Core\Block\GridUnit;
use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Block\SewingOrder;

/** The orders in which a grid can be sewn together. */
enum Order: string implements ChosenOrder
{
    case Rows = 'rows';
    case Columns = 'columns';
    case Quarters = 'quarters';
    case Twos = 'twos';
    case Diagonal = 'diagonal';
    case Around = 'around';
    case Best = 'best';

    public function key(): string
    {
        return $this->value;
    }

    /**
     * The numbers in the result count the parts of the placed grid: its cells in reading order.
     *
     * Diagonal rows run through the cells of the block, so inside a nested grid its own rows are sewn instead.
     *
     * @throws SetInSeamNeeded
     */
    public function sewing(PlacedUnit $placed): SewingOrder
    {
        $unit = $placed->cell->unit;
        if (! $unit instanceof GridUnit) {
            throw new \LogicException('Only grids are sewn in an order of their own.');
        }

        return match ($this) {
            self::Rows, self::Diagonal => BandOrder::bands($unit->grid->cells, true),
            self::Columns => BandOrder::bands($unit->grid->cells, false),
            self::Quarters => BandOrder::halves($unit->grid->cells),
            self::Twos => BandOrder::twos($unit->grid->cells),
            self::Around => BandOrder::around($unit->grid->cells),
            self::Best => StraightOrder::best(array_map(SewnItem::of(...), $placed->parts)),
        };
    }

    /** As a quilter says it. */
    public function words(): string
    {
        return match ($this) {
            self::Rows => 'By rows',
            self::Columns => 'By columns',
            self::Quarters => 'Halves of halves',
            self::Twos => 'Twos and twos of twos',
            self::Diagonal => 'Slanting rows',
            self::Around => 'Round a centre',
            self::Best => 'Fewest points to match',
        };
    }

    /** What the parts of a strand are called, by how deep they lie. */
    public function stripName(int $depth): string
    {
        return match (true) {
            $depth > 1, $this === self::Best, $this === self::Twos => 'part',
            $this === self::Rows => 'row',
            $this === self::Columns => 'column',
            $this === self::Diagonal => 'slanting row',
            $this === self::Around => 'strip',
            default => 'half',
        };
    }

    /** Whether the block is sewn from its patches, whatever cells they lie in. */
    public function runsThroughCells(): bool
    {
        return $this === self::Diagonal;
    }
}
