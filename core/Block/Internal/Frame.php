<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block\Internal;

use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Measure\Fraction;

/**
 * Where a unit's own square (0 to 1 both ways) lies on the block's face, in the block's unit of length.
 *
 * @internal
 */
final readonly class Frame
{
    /**
     * @param array{Fraction, Fraction} $origin where the unit's own 0, 0 lies
     * @param array{Fraction, Fraction} $across where its left to right goes
     * @param array{Fraction, Fraction} $down   where its top to bottom goes
     */
    private function __construct(
        private array $origin,
        private array $across,
        private array $down,
    ) {}

    public static function ofBlock(Fraction $width, Fraction $height): self
    {
        $zero = Fraction::zero();

        return new self([$zero, $zero], [$width, $zero], [$zero, $height]);
    }

    /** How wide the unit is in its own frame; frames stand upright or lie on their side. */
    public function ownWidth(): Fraction
    {
        return $this->across[0]->absolute()->plus($this->across[1]->absolute());
    }

    public function ownHeight(): Fraction
    {
        return $this->down[0]->absolute()->plus($this->down[1]->absolute());
    }

    /** @return array{Fraction, Fraction} the place on the face of a place in the unit's own square */
    public function place(Fraction $u, Fraction $v): array
    {
        return [
            $this->origin[0]->plus($u->times($this->across[0]))->plus($v->times($this->down[0])),
            $this->origin[1]->plus($u->times($this->across[1]))->plus($v->times($this->down[1])),
        ];
    }

    /** The frame of a unit that fills the given part of this one, placed as told. */
    public function inside(Fraction $left, Fraction $top, Fraction $right, Fraction $bottom, Placement $placement): self
    {
        $corner = fn (int $u, int $v): array => $this->place($u === 0 ? $left : $right, $v === 0 ? $top : $bottom);
        [$origin, $across, $down] = array_map(
            static fn (array $ownCorner): array => $corner(...self::whereItLies($ownCorner[0], $ownCorner[1], $placement)),
            [[0, 0], [1, 0], [0, 1]],
        );

        return new self($origin, self::difference($across, $origin), self::difference($down, $origin));
    }

    /** @return array{int, int} the cell's corner on which the unit's own corner lies */
    private static function whereItLies(int $u, int $v, Placement $placement): array
    {
        $u = $placement->mirrored ? 1 - $u : $u;

        return match ($placement->turn) {
            Turn::None => [$u, $v],
            Turn::Quarter => [1 - $v, $u],
            Turn::Half => [1 - $u, 1 - $v],
            Turn::ThreeQuarters => [$v, 1 - $u],
        };
    }

    /**
     * @param array{Fraction, Fraction} $a
     * @param array{Fraction, Fraction} $b
     *
     * @return array{Fraction, Fraction}
     */
    private static function difference(array $a, array $b): array
    {
        return [$a[0]->minus($b[0]), $a[1]->minus($b[1])];
    }
}
