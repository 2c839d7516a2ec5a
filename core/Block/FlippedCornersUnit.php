<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;

/** A square or rectangle with corners sewn and flipped, each of its own size. */
final readonly class FlippedCornersUnit implements PieceUnit
{
    public const KIND = 'flipped-corners';

    /** Opposite corners first, as in a square in a square. */
    private const SEWN = [Corner::TopLeft, Corner::BottomRight, Corner::TopRight, Corner::BottomLeft];

    /**
     * @param list<FlippedCorner> $corners clockwise from the top left, each at most once
     * @param LengthUnit          $unit    the block's unit of length
     * @param string              $where   pointer to the corners in the block file
     */
    public function __construct(
        public Fabric $base,
        public array $corners,
        private LengthUnit $unit,
        private string $where,
    ) {}

    public function kind(): string
    {
        return self::KIND;
    }

    public function name(): string
    {
        return count($this->corners) === 1 ? 'patch with a flipped corner' : 'patch with flipped corners';
    }

    public function plural(): string
    {
        return count($this->corners) === 1 ? 'patches with a flipped corner' : 'patches with flipped corners';
    }

    public function pieces(Fraction $width, Fraction $height): array
    {
        $this->ensureRoom($width, $height);
        [$zero, $one] = [Fraction::zero(), Fraction::of(1)];
        $base = [];
        $triangles = [];
        foreach (Corner::cases() as $corner) {
            [$x, $y] = match ($corner) {
                Corner::TopLeft => [$zero, $zero],
                Corner::TopRight => [$one, $zero],
                Corner::BottomRight => [$one, $one],
                Corner::BottomLeft => [$zero, $one],
            };
            $flipped = $this->at($corner);
            if ($flipped === null) {
                $base[] = [$x, $y];
                continue;
            }
            $leg = $flipped->finishedLeg->in($this->unit);
            $along = [$x->equals($zero) ? $leg->dividedBy($width) : $one->minus($leg->dividedBy($width)), $y];
            $down = [$x, $y->equals($zero) ? $leg->dividedBy($height) : $one->minus($leg->dividedBy($height))];
            // Clockwise, the outline comes up the left side, goes along the top, down the right side and back below.
            $cut = $corner === Corner::TopLeft || $corner === Corner::BottomRight ? [$down, $along] : [$along, $down];
            $base = [...$base, ...$cut];
            $triangles[] = [$flipped->fabric, [[$x, $y], ...$cut]];
        }

        return [[$this->base, $base], ...$triangles];
    }

    public function inFabrics(\Closure $fabric): self
    {
        $base = $fabric($this->base, 0);

        return new self($base, array_map(
            static fn (FlippedCorner $corner, int $i): FlippedCorner => new FlippedCorner($corner->corner, $fabric($corner->fabric, $i + 1), $corner->finishedLeg),
            $this->corners,
            array_keys($this->corners),
        ), $this->unit, $this->where);
    }

    public function scaled(Fraction $scale): self
    {
        return new self($this->base, array_map(
            fn (FlippedCorner $corner): FlippedCorner => new FlippedCorner($corner->corner, $corner->fabric, Length::of($corner->finishedLeg->in($this->unit)->times($scale), $this->unit)),
            $this->corners,
        ), $this->unit, $this->where);
    }

    /** The same with that corner flipped as told, or not at all; null when no flipped corner would be left. */
    public function with(Corner $corner, ?FlippedCorner $flipped): ?self
    {
        $corners = array_filter($this->corners, static fn (FlippedCorner $one): bool => $one->corner !== $corner);
        $corners = $flipped === null ? $corners : [...$corners, $flipped];
        usort($corners, static fn (FlippedCorner $a, FlippedCorner $b): int => array_search($a->corner, Corner::cases(), true) <=> array_search($b->corner, Corner::cases(), true));

        return $corners === [] ? null : new self($this->base, $corners, $this->unit, $this->where);
    }

    public function sewing(): SewingOrder
    {
        $numbers = [];
        foreach ($this->corners as $i => $corner) {
            $numbers[(int) array_search($corner->corner, self::SEWN, true)] = $i + 1;
        }
        ksort($numbers);

        return SewingOrder::of(0, ...array_values($numbers));
    }

    public function at(Corner $corner): ?FlippedCorner
    {
        foreach ($this->corners as $flipped) {
            if ($flipped->corner === $corner) {
                return $flipped;
            }
        }

        return null;
    }

    private function ensureRoom(Fraction $width, Fraction $height): void
    {
        $leg = fn (Corner $corner): Fraction => $this->at($corner)?->finishedLeg->in($this->unit) ?? Fraction::zero();
        $sides = [
            [Corner::TopLeft, Corner::TopRight, $width],
            [Corner::BottomLeft, Corner::BottomRight, $width],
            [Corner::TopLeft, Corner::BottomLeft, $height],
            [Corner::TopRight, Corner::BottomRight, $height],
        ];
        foreach ($sides as [$a, $b, $side]) {
            foreach ([$a, $b] as $corner) {
                if ($leg($corner)->compareTo($side) > 0) {
                    throw BlockNotPossible::cornerTooLarge($corner, $leg($corner), $side, $this->where);
                }
            }
            if ($leg($a)->plus($leg($b))->compareTo($side) > 0) {
                throw BlockNotPossible::cornersOverlap($a, $b, $this->where);
            }
        }
        $isWhole = static fn (Corner $corner): bool => $leg($corner)->equals($width) && $width->equals($height);
        if (($isWhole(Corner::TopLeft) && $isWhole(Corner::BottomRight)) || ($isWhole(Corner::TopRight) && $isWhole(Corner::BottomLeft))) {
            throw BlockNotPossible::because('The two opposite corners leave nothing of the patch under them. Use a half-square triangle.', $this->where);
        }
    }
}
