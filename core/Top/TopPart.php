<?php

declare(strict_types=1);

namespace KeenSeam\Core\Top;

use KeenSeam\Core\Block\PlacedUnit;

/** What lies in one place of the frame: a whole block, what the edge leaves of one, or a plain piece. */
final readonly class TopPart
{
    /**
     * @param int                        $row     of the frame, rows of sashes counted, from 1
     * @param int                        $column  the same
     * @param TopPlace|null              $place   null for sashes, cornerstones, and sides that are no place of the setting
     * @param non-empty-list<PlacedUnit> $units   one, but of a block that the edge cuts: its patches one by one
     * @param list<int>|null             $origins ids of the block's own patches that are there, where the edge cuts it; null where nothing is cut
     */
    public function __construct(
        public PartRole $role,
        public int $row,
        public int $column,
        public ?TopPlace $place,
        public array $units,
        public ?array $origins = null,
        public int $columnSpan = 1,
    ) {}

    /** The design that lies there whole; null for everything else. */
    public function wholeDesign(): ?Design
    {
        return $this->role === PartRole::Block && $this->place?->holds instanceof Design ? $this->place->holds : null;
    }

    /** @return list<int> */
    public function patchIds(): array
    {
        return array_merge(...array_map(static fn (PlacedUnit $unit): array => array_map(static fn ($patch): int => $patch->id, $unit->patches()), $this->units));
    }
}
