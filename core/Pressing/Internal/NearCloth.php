<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Pressing\PressDirection;

/**
 * The part of an assembly that has cloth near a junction, with the points at which it is asked for plies.
 *
 * @internal
 */
interface NearCloth
{
    /** @return list<bool> for each point asked, whether any pressing can bring cloth there */
    public function touched(): array;

    /** @return list<array{int, int}> join id and segment of the seams whose pressing matters here, parts before wholes */
    public function slots(): array;

    /**
     * Plies at every point asked.
     *
     * @param list<PressDirection> $pressing one a slot
     *
     * @return list<int>
     */
    public function plies(array $pressing): array;

    /** A text that is equal for surroundings of equal shape; places are told relative to the junction. */
    public function describe(Point $junction): string;
}
