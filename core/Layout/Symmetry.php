<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout;

use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Turn;

/** What a layout may repeat itself by. */
enum Symmetry: string
{
    case QuarterTurn = 'quarter-turn';
    case HalfTurn = 'half-turn';
    case MirrorVertical = 'mirror-vertical';
    case MirrorHorizontal = 'mirror-horizontal';
    case MirrorBoth = 'mirror-both';
    case MirrorDiagonals = 'mirror-diagonals';
    case Full = 'full';
    case Repeat = 'repeat';
    case None = 'none';

    /**
     * The moves of the whole block that leave it as it is; none for a repeat, which shifts instead.
     *
     * A flip left to right comes before the turn: flipped and half turned is a flip top to bottom.
     *
     * @return list<Placement> the one that moves nothing first
     */
    public function moves(): array
    {
        $turns = static fn (bool $mirrored, Turn ...$turns): array => array_map(static fn (Turn $turn): Placement => new Placement($turn, $mirrored), array_values($turns));
        [$none, $quarter, $half, $last] = Turn::cases();

        return match ($this) {
            self::QuarterTurn => $turns(false, $none, $quarter, $half, $last),
            self::HalfTurn => $turns(false, $none, $half),
            self::MirrorVertical => [new Placement(), new Placement($none, true)],
            self::MirrorHorizontal => [new Placement(), new Placement($half, true)],
            self::MirrorBoth => [...$turns(false, $none, $half), ...$turns(true, $none, $half)],
            self::MirrorDiagonals => [...$turns(false, $none, $half), ...$turns(true, $quarter, $last)],
            self::Full => self::all(),
            self::Repeat, self::None => [new Placement()],
        };
    }

    /** @return list<Placement> the eight ways a square can lie, turns first */
    public static function all(): array
    {
        return array_merge(...array_map(
            static fn (bool $mirrored): array => array_map(static fn (Turn $turn): Placement => new Placement($turn, $mirrored), Turn::cases()),
            [false, true],
        ));
    }

    /** As a quilter says it. */
    public function words(): string
    {
        return match ($this) {
            self::QuarterTurn => 'the same after a quarter turn',
            self::HalfTurn => 'the same after half a turn',
            self::MirrorVertical => 'left and right halves alike',
            self::MirrorHorizontal => 'top and bottom halves alike',
            self::MirrorBoth => 'left and right, top and bottom alike',
            self::MirrorDiagonals => 'alike across both diagonals',
            self::Full => 'the same from every side',
            self::Repeat => 'a repeat',
            self::None => 'no symmetry',
        };
    }

    /** Whether some of its moves make mirror images. */
    public function isMirroring(): bool
    {
        return array_filter($this->moves(), static fn (Placement $move): bool => $move->mirrored) !== [];
    }

    /** What is offered to let copies follow by, none first: a repeat shifts, and is no move of the whole block. */
    public function followWords(): string
    {
        return match ($this) {
            self::None => 'No copies',
            self::QuarterTurn => 'Quarter turns',
            self::HalfTurn => 'Half turn',
            self::MirrorVertical => 'Mirrored left to right',
            self::MirrorHorizontal => 'Mirrored top to bottom',
            self::MirrorBoth => 'Mirrored both ways',
            self::MirrorDiagonals => 'Mirrored across the diagonals',
            self::Full => 'From every side',
            self::Repeat => '',
        };
    }
}
