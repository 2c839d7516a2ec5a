<?php

declare(strict_types=1);

namespace KeenSeam\Core\Top;

use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;
use KeenSeam\Core\Measure\Surd;

/** A top as the quilter means it: which blocks, how they are set, and what runs between and round them. */
final readonly class Top
{
    /**
     * @param non-empty-array<string, Fabric> $fabrics by key
     * @param non-empty-array<string, Design> $designs by key
     * @param list<TopPlace>                  $places  every place, in reading order; on point those whose halves stand at the rim too
     * @param array<string, int>              $piles   how many piles a design may be pressed in, by its key; 1 where nothing is said
     * @param list<Border>                    $borders from the inside out
     */
    public function __construct(
        public string $name,
        public LengthUnit $unit,
        public Length $allowance,
        public array $fabrics,
        public array $designs,
        public Setting $setting,
        public int $rows,
        public int $columns,
        public array $places,
        public TurnsAllowed $turns,
        public array $piles,
        public ?Sashes $sashes,
        public ?Sides $sides,
        public array $borders,
    ) {}

    public function firstDesign(): Design
    {
        return $this->designs[array_key_first($this->designs)];
    }

    /** The width of a place, which is the finished width of every block; in the top's unit. */
    public function placeWidth(): Fraction
    {
        return $this->firstDesign()->block->finishedWidth->in($this->unit);
    }

    public function placeHeight(): Fraction
    {
        return $this->firstDesign()->block->finishedHeight->in($this->unit);
    }

    public function sashWidth(): Fraction
    {
        return $this->sashes?->width->in($this->unit) ?? Fraction::zero();
    }

    public function pilesOf(Design $design): int
    {
        return $this->piles[$design->key] ?? 1;
    }

    /** @return array{Surd, Surd} finished width and height as it hangs, without its borders, in the top's unit; on point they hold the root of two */
    public function hanging(): array
    {
        $across = $this->placeWidth()->plus($this->sashWidth());
        $down = $this->placeHeight()->plus($this->sashWidth());
        if ($this->setting === Setting::OnPoint) {
            $float = $this->sides?->float->in($this->unit) ?? Fraction::zero();
            $side = static fn (int $places): Surd => new Surd(Fraction::zero(), $across->times(Fraction::of($places))->plus($float));

            return [$side($this->columns), $side($this->rows)];
        }
        // One sash more than between the blocks where they run round, one less where they do not.
        $rest = $this->sashWidth()->times(Fraction::of($this->sashes?->outer === true ? 1 : -1));
        $side = static fn (Fraction $each, int $places): Surd => Surd::of($each->times(Fraction::of($places))->plus($rest));

        return [$side($across, $this->columns), $side($down, $this->rows)];
    }

    /** @return array{float, float} the same, for reading */
    public function hangingSize(): array
    {
        [$width, $height] = $this->hanging();

        return [$width->toFloat(), $height->toFloat()];
    }

    /**
     * The same top with its places lying otherwise.
     *
     * @param list<TopPlace> $places
     */
    public function withPlaces(array $places): self
    {
        return new self($this->name, $this->unit, $this->allowance, $this->fabrics, $this->designs, $this->setting, $this->rows, $this->columns, $places, $this->turns, $this->piles, $this->sashes, $this->sides, $this->borders);
    }

    /** The place with a key; null where there is none. */
    public function placeOf(string $key): ?TopPlace
    {
        foreach ($this->places as $place) {
            if ($place->key() === $key) {
                return $place;
            }
        }

        return null;
    }

    public function withoutSashes(): self
    {
        return new self($this->name, $this->unit, $this->allowance, $this->fabrics, $this->designs, $this->setting, $this->rows, $this->columns, $this->places, $this->turns, $this->piles, null, $this->sides, $this->borders);
    }

    /** The top of the first rows and columns alone; null where there are no more. */
    public function corner(int $lines): ?self
    {
        if ($this->rows <= $lines && $this->columns <= $lines) {
            return null;
        }
        [$rows, $columns] = [min($lines, $this->rows), min($lines, $this->columns)];
        $places = [];
        foreach ($this->places as $place) {
            // What stands at the far rim goes on standing at the rim.
            $row = $place->rowDoubled === 2 * $this->rows + 1 ? 2 * $rows + 1 : $place->rowDoubled;
            $column = $place->columnDoubled === 2 * $this->columns + 1 ? 2 * $columns + 1 : $place->columnDoubled;
            $isAtRim = $row !== $place->rowDoubled || $column !== $place->columnDoubled;
            $isThere = $row <= 2 * $rows + ($isAtRim ? 1 : 0) && $column <= 2 * $columns + ($isAtRim ? 1 : 0);
            if ($isThere) {
                $places[$row.','.$column] = new TopPlace($row, $column, $place->holds, $place->placement);
            }
        }

        return new self($this->name, $this->unit, $this->allowance, $this->fabrics, $this->designs, $this->setting, $rows, $columns, array_values($places), $this->turns, $this->piles, $this->sashes, $this->sides, $this->borders);
    }

    /** One of its blocks by itself. */
    public function alone(Design $design, Placement $placement): self
    {
        return new self($design->key, $this->unit, $this->allowance, $this->fabrics, $this->designs, Setting::Straight, 1, 1, [new TopPlace(2, 2, $design, $placement)], TurnsAllowed::Fixed, [], null, null, []);
    }
}
