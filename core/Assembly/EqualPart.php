<?php

declare(strict_types=1);

namespace KeenSeam\Core\Assembly;

/** A part that comes more than once within one unit of patches: it looks and is built the same wherever it lies, up to a turn. */
final readonly class EqualPart
{
    /**
     * @param string               $label   printed as U1a, U1b, ...: the class of the unit it is a part of, and a letter
     * @param non-empty-list<Join> $members the join that finishes each, in the first unit of the class
     */
    public function __construct(
        public int $unitClass,
        public string $label,
        public array $members,
    ) {}
}
