<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Block\Patch;
use KeenSeam\Core\Geometry\Point;

/** @internal */
final readonly class NearPatch implements NearCloth
{
    /** @param list<bool> $covered */
    private function __construct(
        private Patch $patch,
        private array $covered,
    ) {}

    /**
     * @param list<array{float, float}> $points
     *
     * @return self|null null when the patch covers none of them
     */
    public static function of(Patch $patch, CutOutline $outline, array $points): ?self
    {
        $covered = array_map(static fn (array $point): bool => $outline->covers($point[0], $point[1]), $points);

        return array_filter($covered) === [] ? null : new self($patch, $covered);
    }

    public function touched(): array
    {
        return $this->covered;
    }

    public function slots(): array
    {
        return [];
    }

    public function plies(array $pressing): array
    {
        return array_map(static fn (bool $covered): int => $covered ? 1 : 0, $this->covered);
    }

    public function describe(Point $junction): string
    {
        return $this->patch->outline->seenFrom($junction)->key();
    }
}
