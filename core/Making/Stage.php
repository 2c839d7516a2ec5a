<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

/**
 * One stage of making a unit, read off the carrying-out of its recipe: what is done, and how it then lies on the table at
 * raw size, in the block's unit of length.
 */
final readonly class Stage
{
    /**
     * @param int                                                                                $count    pieces that this is done to in one batch: pairs under the needle, units at the iron
     * @param list<list<array{fabric: string, points: list<array{float, float}>, isBack: bool}>> $cloth    each thing that lies there, from the lowest layer to the uppermost
     * @param list<array{array{float, float}, array{float, float}}>                              $marks    drawn lines
     * @param list<array{array{float, float}, array{float, float}}>                              $stitches lines of stitching
     * @param list<array{array{float, float}, array{float, float}}>                              $knives   lines that are cut along
     * @param int                                                                                $round    how many times what lies here was sewn and opened before
     */
    public function __construct(
        public StageKind $do,
        public string $words,
        public int $count,
        public array $cloth,
        public array $marks = [],
        public array $stitches = [],
        public array $knives = [],
        public int $round = 0,
    ) {}
}
