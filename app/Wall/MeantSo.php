<?php

declare(strict_types=1);

namespace App\Wall;

use KeenSeam\Core\Block\PlacedUnit;
use KeenSeam\Core\Layout\Picture;

/** Odd cells the quilter said are meant to be so; what she says of a cell holds as long as it shows the same. */
final readonly class MeantSo
{
    /** @param list<string> $names */
    public function __construct(public array $names) {}

    public function holds(PlacedUnit $unit): bool
    {
        return in_array(self::name($unit), $this->names, true);
    }

    public function with(PlacedUnit $unit): self
    {
        return $this->holds($unit) ? $this : new self([...$this->names, self::name($unit)]);
    }

    private static function name(PlacedUnit $unit): string
    {
        return sprintf('%d,%d %s', $unit->cell->row, $unit->cell->column, hash('xxh128', Picture::of($unit)->key));
    }
}
