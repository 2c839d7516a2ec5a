<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

final readonly class PatternUnit implements Unit
{
    /** @param list<Fabric> $fabrics one a patch of the pattern */
    public function __construct(
        public UnitPattern $pattern,
        public array $fabrics,
    ) {
        if (count($fabrics) !== count($pattern->outlines)) {
            throw new \LogicException('A unit needs one fabric a patch.');
        }
    }

    public function kind(): string
    {
        return $this->pattern->kind;
    }

    public function name(): string
    {
        return $this->pattern->name;
    }

    public function plural(): string
    {
        return $this->pattern->plural;
    }
}
