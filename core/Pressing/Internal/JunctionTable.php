<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Pressing\PressDirection;

/**
 * The most plies round one junction for any way of pressing the seams that matter there.
 *
 * @internal
 */
final readonly class JunctionTable
{
    /**
     * @param list<array{int, int}> $slots join id and segment of the seams that matter
     * @param NearCloth             $near  the cloth round this junction, or round another one of the same shape
     */
    public function __construct(
        public array $slots,
        private NearCloth $near,
    ) {}

    /** The same for tables of one construction that tell the same plies for the same pressings. */
    public function shape(): string
    {
        return (string) spl_object_id($this->near);
    }

    /**
     * @param list<PressDirection> $pressing one a slot
     *
     * @return list<int> as Layers::around() counts them
     */
    public function plies(array $pressing): array
    {
        return $this->near->plies($pressing);
    }

    /** @param list<PressDirection> $pressing one a slot */
    public function peak(array $pressing): int
    {
        return max([0, ...$this->near->plies($pressing)]);
    }
}
