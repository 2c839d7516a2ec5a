<?php

declare(strict_types=1);

namespace KeenSeam\Core\Guide;

use KeenSeam\Core\Assembly\SeamPlaces;
use KeenSeam\Core\Making\Stage;
use KeenSeam\Core\Making\StageKind;

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
     * @param string|null                $way       key of the way in which the units are made
     * @param StageKind|null             $stage     of that way
     * @param int|null                   $first     how many of them are done and measured before the rest
     * @param list<Stage>                $stages    how what is sewn, cut or pressed lies there, where that is not yet in the shape of its patches
     * @param string|null                $place     tells the step by where its seams and patches lie
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
        public ?string $way = null,
        public ?StageKind $stage = null,
        public ?int $first = null,
        public array $stages = [],
        private ?string $place = null,
    ) {}

    /**
     * Another thing that is done to the same units.
     *
     * @param list<Stage> $stages
     */
    public function doing(StepKind $do, StageKind $stage, string $text, int $times, ?int $first, array $stages): self
    {
        return new self($do, [], $this->patchIds, [], $this->title, $text, $times, $this->unitClass, way: $this->way, stage: $stage, first: $first, stages: $stages);
    }

    /**
     * The same step with these seams.
     *
     * @param list<int> $joins that are sewn or pressed
     * @param list<int> $made  whose assemblies show what it makes
     */
    public function with(array $joins, array $made): self
    {
        return new self($this->do, $joins, $this->patchIds, $made, $this->title, $this->text, $this->times, $this->unitClass, $this->sets, $this->size, $this->way, $this->stage, $this->first, $this->stages);
    }

    /** The same step, told by where it is done: its key is then the same whatever numbers the joins have. */
    public function at(SeamPlaces $places): self
    {
        $joins = static fn (array $ids): string => implode(',', array_map(static fn (int $id): string => $places->places[$id], $ids));
        $patches = static fn (array $ids): string => implode(',', array_map($places->ofPatch(...), $ids));
        $place = implode('/', [$joins($this->joins), $patches($this->patchIds), $joins($this->made), implode(';', array_map($patches, $this->sets))]);

        return new self($this->do, $this->joins, $this->patchIds, $this->made, $this->title, $this->text, $this->times, $this->unitClass, $this->sets, $this->size, $this->way, $this->stage, $this->first, $this->stages, substr(md5($place), 0, 12));
    }

    /** The same for the same step of the same block, however the rest is planned. */
    public function key(): string
    {
        return $this->place === null ? $this->keyByNumbers() : $this->do->value.'-'.$this->place;
    }

    /** As steps were told before they were told by place: what was stored then is found by it. */
    public function keyByNumbers(): string
    {
        return $this->do->value.'-'.substr(md5(implode('/', [implode(',', $this->joins), implode(',', $this->patchIds), implode(',', $this->made), implode(';', array_map(static fn (array $set): string => implode(',', $set), $this->sets))])), 0, 12);
    }
}
