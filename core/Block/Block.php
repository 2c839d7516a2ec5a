<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;

/** A block as the quilter means it: sizes, fabrics and what lies in every cell. */
final readonly class Block
{
    /** @param non-empty-array<string, Fabric> $fabrics by key */
    public function __construct(
        public string $name,
        public LengthUnit $unit,
        public Length $finishedWidth,
        public Length $finishedHeight,
        public Length $seamAllowance,
        public array $fabrics,
        public Grid $grid,
    ) {}

    /** Of any block: longer than any bed. */
    public static function longestSide(LengthUnit $unit): Length
    {
        return Length::of(Fraction::of($unit === LengthUnit::Inch ? 144 : 3660), $unit);
    }

    /**
     * The same block with another of these; null leaves it as it is.
     *
     * @param non-empty-array<string, Fabric>|null $fabrics by key
     */
    public function with(
        ?string $name = null,
        ?Length $width = null,
        ?Length $height = null,
        ?Length $allowance = null,
        ?array $fabrics = null,
        ?Grid $grid = null,
    ): self {
        return new self($name ?? $this->name, $this->unit, $width ?? $this->finishedWidth, $height ?? $this->finishedHeight, $allowance ?? $this->seamAllowance, $fabrics ?? $this->fabrics, $grid ?? $this->grid);
    }
}
