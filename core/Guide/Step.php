<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

/** One thing to do at the machine, the iron or the table. */
final readonly class Step
{
    /**
     * @param list<int>                  $joins     ids of the joins that are sewn or pressed
     * @param list<int>                  $patchIds  what lies on the table
     * @param list<int>                  $made      ids of joins whose assemblies show what the step makes, one of each kind
     * @param string                     $title     a word or two: "Row 2"
     * @param string                     $text      the whole instruction
     * @param int                        $times     how often the motion is done, all blocks counted
     * @param string|null                $unitClass label of the class of units it is done to
     * @param list<list<int>>            $sets      patches of each part that is squared up or measured
     * @param array{string, string}|null $size      raw width and height that each of them must have, in the block's unit
     */
    public function __construct(
        public StepKind $do,
        public array $joins,
        public array $patchIds,
        public array $made,
        public string $title,
        public string $text,
        public int $times = 1,
        public ?string $unitClass = null,
        public array $sets = [],
        public ?array $size = null,
    ) {}

    /** The same for the same step of the same block, however the rest is planned. */
    public function key(): string
    {
        return $this->do->value.'-'.substr(md5(implode('/', [implode(',', $this->joins), implode(',', $this->patchIds), implode(',', $this->made), implode(';', array_map(static fn (array $set): string => implode(',', $set), $this->sets))])), 0, 12);
    }
}
