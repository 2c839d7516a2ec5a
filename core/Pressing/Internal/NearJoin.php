<?php

declare(strict_types=1);

namespace KeenSeam\Core\Pressing\Internal;

use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Pressing\PressDirection;

/** @internal */
final readonly class NearJoin implements NearCloth
{
    /** @var list<bool> */
    private array $touched;

    /** @var list<int> segments of this join whose pressing matters here, ascending */
    private array $segments;

    /**
     * @param array{NearCloth|null, NearCloth|null} $parts     left and right; null has no cloth here
     * @param list<int>                             $here      for each point, the part on whose side it lies: 0 left, 1 right
     * @param list<int>                             $segmentAt for each point, the segment beside which it lies
     * @param array{list<int>, list<int>}           $direct    for each part, the number of each point among those asked of it, -1 where it has no cloth
     * @param list<int>                             $mirrored  for each point, the number of its mirror image among those asked of the part it lies on, or -1
     */
    public function __construct(
        private Join $join,
        private array $parts,
        private array $here,
        private array $segmentAt,
        private array $direct,
        private array $mirrored,
    ) {
        $touchedParts = [$parts[0]?->touched(), $parts[1]?->touched()];
        $touched = [];
        $matters = [];
        foreach ($here as $i => $part) {
            $movable = ($touchedParts[1 - $part][$direct[1 - $part][$i]] ?? false) || ($touchedParts[$part][$mirrored[$i]] ?? false);
            if ($movable) {
                $matters[$segmentAt[$i]] = true;
            }
            $touched[] = $movable || ($touchedParts[$part][$direct[$part][$i]] ?? false);
        }
        ksort($matters);
        $this->touched = $touched;
        $this->segments = array_keys($matters);
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

    public function counts(array $directions): array
    {
        $nothing = [[]];
        $ofLeft = $this->parts[0]?->counts($directions) ?? $nothing;
        $ofRight = $this->parts[1]?->counts($directions) ?? $nothing;
        $own = $this->ownPressings($directions);
        $counts = [];
        foreach ($ofLeft as $left) {
            foreach ($ofRight as $right) {
                foreach ($own as $pressing) {
                    $counts[] = $this->folded([$left, $right], $pressing);
                }
            }
        }

        return $counts;
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

    /**
     * @param non-empty-list<PressDirection> $directions
     *
     * @return non-empty-list<array<int, PressDirection>> every way to press the segments that matter
     */
    private function ownPressings(array $directions): array
    {
        $pressings = [[]];
        foreach ($this->segments as $segment) {
            $longer = [];
            foreach ($pressings as $pressing) {
                foreach ($directions as $direction) {
                    $longer[] = $pressing + [$segment => $direction];
                }
            }
            $pressings = $longer;
        }

        return $pressings;
    }
}
