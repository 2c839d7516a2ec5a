<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

use KeenSeam\Core\Measure\Fraction;

final readonly class PatternUnit implements PieceUnit
{
    /** @param non-empty-list<Fabric> $fabrics one a patch of the pattern */
    public function __construct(
        public UnitPattern $pattern,
        public array $fabrics,
    ) {
        if (count($fabrics) !== count($pattern->outlines)) {
            throw new \LogicException('A unit needs one fabric a patch.');
        }
    }

    public function pieces(Fraction $width, Fraction $height): array
    {
        return array_map(static fn (Fabric $fabric, array $outline): array => [$fabric, $outline], $this->fabrics, $this->pattern->outlines);
    }

    public function inFabrics(\Closure $fabric): self
    {
        return new self($this->pattern, array_map($fabric, $this->fabrics, array_keys($this->fabrics)));
    }

    public function sewing(): SewingOrder
    {
        return $this->pattern->sewing;
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
