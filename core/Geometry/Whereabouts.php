<?php

declare(strict_types=1);

namespace KeenSeam\Core\Geometry;

/** Boxes by the squares of the plane they reach into: those at a place are found without asking all of them. */
final class Whereabouts
{
    /** @var array<string, list<int>> numbers of the boxes by square */
    private array $inSquare = [];

    /** Side of the squares, in lattice steps. */
    private readonly float $side;

    /** @param array<int, Box> $boxes */
    public function __construct(private readonly array $boxes)
    {
        // About the size of a box: small ones lie in few squares then, and few of them in one.
        $sizes = array_map(static fn (Box $box): float => hypot($box->right - $box->left, $box->bottom - $box->top), $boxes);
        $this->side = $side = $sizes === [] ? 1.0 : array_sum($sizes) / count($sizes);
        foreach ($boxes as $number => $box) {
            foreach (range((int) floor($box->left / $side), (int) floor($box->right / $side)) as $column) {
                foreach (range((int) floor($box->top / $side), (int) floor($box->bottom / $side)) as $row) {
                    $this->inSquare[$column.','.$row][] = $number;
                }
            }
        }
    }

    /** @return list<int> numbers of the boxes that hold the place, in the order in which they were given */
    public function at(float $x, float $y): array
    {
        $near = $this->inSquare[((int) floor($x / $this->side)).','.((int) floor($y / $this->side))] ?? [];

        return array_values(array_filter($near, fn (int $number): bool => $this->boxes[$number]->holds($x, $y)));
    }

    /** @return list<array{int, int}> numbers of every two boxes that touch, each two once */
    public function touching(): array
    {
        $pairs = [];
        foreach ($this->inSquare as $near) {
            foreach ($near as $i => $one) {
                foreach (array_slice($near, $i + 1) as $other) {
                    if ($this->boxes[$one]->touches($this->boxes[$other])) {
                        $pairs[$one.' '.$other] = [$one, $other];
                    }
                }
            }
        }

        sort($pairs);

        return $pairs;
    }
}
