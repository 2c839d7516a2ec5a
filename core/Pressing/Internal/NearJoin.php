<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Pressing\PressDirection;

/** @internal */
final class NearJoin implements NearCloth
{
    /** @var list<bool> */
    private readonly array $touched;

    /** @var list<int> segments of this join whose pressing matters here, ascending */
    private readonly array $segments;

    private readonly int $slotsOfLeft;

    private readonly int $slotsOfRight;

    /** @var array<string, list<int>> plies by pressing, as far as somebody asked */
    private array $known = [];

    /**
     * @param array{NearCloth|null, NearCloth|null} $parts     left and right; null has no cloth here
     * @param list<int>                             $here      for each point, the part on whose side it lies: 0 left, 1 right
     * @param list<int>                             $segmentAt for each point, the segment beside which it lies
     * @param array{list<int>, list<int>}           $direct    for each part, the number of each point among those asked of it, -1 where it has no cloth
     * @param list<int>                             $mirrored  for each point, the number of its mirror image among those asked of the part it lies on, or -1
     */
    public function __construct(
        private readonly Join $join,
        private readonly array $parts,
        private readonly array $here,
        private readonly array $segmentAt,
        private readonly array $direct,
        private readonly array $mirrored,
    ) {
        $touchedParts = [$parts[0]?->touched(), $parts[1]?->touched()];
        $touched = [];
        $matters = [];
        foreach ($here as $i => $part) {
            $movable = ($touchedParts[1 - $part][$direct[1 - $part][$i]] ?? false) || ($touchedParts[$part][$mirrored[$i]] ?? false);
            if ($movable) {
                $matters[] = $segmentAt[$i];
            }
            $touched[] = $movable || ($touchedParts[$part][$direct[$part][$i]] ?? false);
        }
        sort($matters);
        $this->touched = $touched;
        $this->segments = array_values(array_unique($matters));
        $this->slotsOfLeft = count($parts[0]?->slots() ?? []);
        $this->slotsOfRight = count($parts[1]?->slots() ?? []);
    }

    public function touched(): array
    {
        return $this->touched;
    }

    public function slots(): array
    {
        return [
            ...($this->parts[0]?->slots() ?? []),
            ...($this->parts[1]?->slots() ?? []),
            ...array_map(fn (int $segment): array => [$this->join->id, $segment], $this->segments),
        ];
    }

    public function plies(array $pressing): array
    {
        $key = implode(' ', array_map(static fn (PressDirection $press): string => $press->value, $pressing));

        return $this->known[$key] ??= $this->folded([
            $this->parts[0]?->plies(array_slice($pressing, 0, $this->slotsOfLeft)) ?? [],
            $this->parts[1]?->plies(array_slice($pressing, $this->slotsOfLeft, $this->slotsOfRight)) ?? [],
        ], array_combine($this->segments, array_slice($pressing, $this->slotsOfLeft + $this->slotsOfRight)));
    }

    public function describe(Point $junction): string
    {
        [$left, $right] = [$this->parts[0]?->describe($junction), $this->parts[1]?->describe($junction)];
        if ($this->segments === [] && ($left === null || $right === null)) {
            return (string) ($left ?? $right); // the seam lies too far off to matter
        }

        return sprintf('(%s + %s along %s)', $left ?? '-', $right ?? '-', $this->describeSeam($junction));
    }

    /** The line and the places where the segments that matter meet, without how far the seam runs on either way. */
    private function describeSeam(Point $junction): string
    {
        $seam = $this->join->seam;
        $direction = $seam->direction();
        $unit = $direction->reduced();
        $text = $unit->key().' off '.$unit->cross($junction->minus($seam->from)).' left '.$this->join->leftSide;
        $matches = $this->join->matchPoints();
        foreach ($this->segments as $i => $segment) {
            $text .= $i === 0 ? '' : ' at '.$matches[$segment - 1]->at->minus($junction)->key();
        }

        return $text;
    }

    /**
     * @param array{list<int>, list<int>} $plies    of left and right, at the points asked of them
     * @param array<int, PressDirection>  $pressing by segment
     *
     * @return list<int>
     */
    private function folded(array $plies, array $pressing): array
    {
        $counts = [];
        foreach ($this->here as $i => $part) {
            $count = $plies[$part][$this->direct[$part][$i]] ?? 0;
            $press = $pressing[$this->segmentAt[$i]] ?? null;
            if ($press !== null && ($part === 1 ? $press->foldsRight() : $press->foldsLeft())) {
                $count += $plies[$part][$this->mirrored[$i]] ?? 0;
                if ($press !== PressDirection::Open) {
                    $count += $plies[1 - $part][$this->direct[1 - $part][$i]] ?? 0;
                }
            }
            $counts[] = $count;
        }

        return $counts;
    }
}
