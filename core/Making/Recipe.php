<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Making\Table\Table;

/**
 * A way to make a unit, as operations that are carried out on modelled cloth. What is cut, what comes out and built how,
 * the pictures and words of every stage and its counts are read off that one carrying-out (Way::carriedOut).
 *
 * A new way is one class in Recipes/, and its name in Recipes::ALL.
 */
interface Recipe
{
    /** @return list<self> as it can be done for this unit; none where it makes no such unit */
    public static function for(UnitToMake $unit, Bench $bench): array;

    /** As the open formats write it: "two-at-a-time". */
    public function key(): string;

    /** As a quilter says it. */
    public function words(): string;

    /** What to know before choosing it; '' for nothing. */
    public function note(): string;

    /** Whether it is only taken when the quilter asks for it: other seams than drawn, or paper. */
    public function isByChoice(): bool;

    public function carryOut(Table $table): void;
}
