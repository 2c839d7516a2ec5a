<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout;

use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Corner;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\FabricValue;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Block\FlippedCorner;
use KeenSeam\Core\Block\FlippedCornersUnit;
use KeenSeam\Core\Block\Grid;
use KeenSeam\Core\Block\GridUnit;
use KeenSeam\Core\Block\PatchesUnit;
use KeenSeam\Core\Block\PatternUnit;
use KeenSeam\Core\Block\Picture;
use KeenSeam\Core\Block\Unit;
use KeenSeam\Core\Block\UnitPatterns;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;

/** A kind of unit in the tray, ready to be placed: which of its patches are figure, and which ground. */
final readonly class TrayUnit
{
    /** By kind, what each fabric of it is: the figure, the ground, or a second figure. */
    private const ROLES = [
        'plain' => 'f',
        'half-square-triangle' => 'gf',
        'quarter-square-triangle' => 'gfgf',
        'split-quarter-square-triangle' => 'gfs',
        'flying-geese' => 'fgg',
        'triangle-in-square' => 'fgg',
        'square-in-square' => 'fgggg',
        FlippedCornersUnit::KIND => 'gf',
        GridUnit::KIND => 'fg',
        PatchesUnit::KIND => 'fgf',
    ];

    /** @param int $ratio width to height of the cell it is meant for */
    private function __construct(
        public string $kind,
        public string $name,
        public int $ratio,
        public Picture $picture,
    ) {}

    /** @return list<self> pictures in three fabrics with the keys f, g and s */
    public static function all(): array
    {
        [$figure, $ground, $second] = array_map(static fn (string $key): Fabric => new Fabric($key, $key, '#000000', FabricValue::Dark), ['f', 'g', 's']);
        $one = [Fraction::of(1)];
        [$side, $allowance] = [Length::ofInches(2), Length::ofInches(1, 4)];

        return array_map(static function (string $kind) use ($figure, $ground, $second, $one, $side, $allowance): self {
            $unit = self::unit($kind, $figure, $ground, $second, $side, LengthUnit::Inch);
            $block = new Block($kind, LengthUnit::Inch, $side, $side, $allowance, ['f' => $figure, 'g' => $ground, 's' => $second], Grid::of($one, $one, [new Cell(1, 1, 1, 1, $unit)]));

            return new self($kind, $unit->name(), $kind === 'flying-geese' ? 2 : 1, Picture::of(Face::of($block)->whole));
        }, array_keys(self::ROLES));
    }

    public static function isKnown(string $kind): bool
    {
        return isset(self::ROLES[$kind]);
    }

    /**
     * @param Length $side the shorter side of the cell it is for; a flipped corner takes half of it
     */
    public static function unit(string $kind, Fabric $figure, Fabric $ground, Fabric $second, Length $side, LengthUnit $unit): Unit
    {
        if ($kind === FlippedCornersUnit::KIND) {
            $leg = Length::of($side->in($unit)->times(Fraction::of(1, 2)), $unit);

            return new FlippedCornersUnit($ground, [new FlippedCorner(Corner::TopLeft, $figure, $leg)], $unit, '/corners');
        }
        if ($kind === GridUnit::KIND) {
            $lines = [Fraction::of(1), Fraction::of(1)];
            $plain = static fn (Fabric $fabric): PatternUnit => new PatternUnit(UnitPatterns::all()['plain'], [$fabric]);

            return new GridUnit(Grid::of($lines, $lines, [
                new Cell(1, 1, 1, 1, $plain($figure)),
                new Cell(1, 2, 1, 1, $plain($ground)),
                new Cell(2, 1, 1, 1, $plain($ground)),
                new Cell(2, 2, 1, 1, $plain($figure)),
            ]));
        }

        if ($kind === PatchesUnit::KIND) {
            return self::rails([$figure, $ground, $figure]);
        }

        return new PatternUnit(UnitPatterns::all()[$kind], array_map(static fn (string $role): Fabric => match ($role) {
            'f' => $figure,
            's' => $second,
            default => $ground,
        }, str_split(self::ROLES[$kind])));
    }

    /**
     * Three strips, one below the other: patches to begin with, to be repainted or changed in the block's file.
     *
     * @param list<Fabric> $fabrics
     */
    private static function rails(array $fabrics): PatchesUnit
    {
        $pieces = [];
        foreach ($fabrics as $i => $fabric) {
            [$left, $right] = [Fraction::zero(), Fraction::of(1)];
            [$top, $bottom] = [Fraction::of($i, count($fabrics)), Fraction::of($i + 1, count($fabrics))];
            $pieces[] = [$fabric, [[$left, $top], [$right, $top], [$right, $bottom], [$left, $bottom]]];
        }

        return PatchesUnit::of($pieces === [] ? throw new \LogicException('A unit has patches.') : $pieces, '/patches');
    }
}
