<?php

declare(strict_types=1);

namespace App\Wall;

use KeenSeam\Core\Block\Picture;
use KeenSeam\Core\Block\PlacedUnit;

/** Odd cells the quilter said are meant to be so; what she says of a cell holds as long as it shows the same. */
final readonly class MeantSo
{
    /**
     * @param list<string>          $names
     * @param list<array{int, int}> $path  of the small grid that is open
     */
    public function __construct(
        public array $names,
        private array $path,
    ) {}

    public function holds(PlacedUnit $unit): bool
    {
        return in_array($this->name($unit), $this->names, true);
    }

    public function with(PlacedUnit $unit): self
    {
        return $this->holds($unit) ? $this : new self([...$this->names, $this->name($unit)], $this->path);
    }

    private function name(PlacedUnit $unit): string
    {
        $path = implode('', array_map(static fn (array $place): string => implode('.', $place).'/', $this->path));

        return sprintf('%s%d,%d %s', $path, $unit->cell->row, $unit->cell->column, hash('xxh128', Picture::of($unit)->key));
    }
}
