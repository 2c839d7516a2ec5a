<?php

declare(strict_types=1);

namespace KeenSeam\Core\Block;

use KeenSeam\Core\Geometry\ConvexPolygon;
use KeenSeam\Core\Geometry\Lattice;
use KeenSeam\Core\Geometry\OutlineNotConvex;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\LengthUnit;

/** Any convex patches that tile the unit; the order of their joins follows from where they lie. */
final readonly class PatchesUnit implements PieceUnit
{
    public const KIND = 'patches';

    /** So many patches in one unit: every pair of them is looked at, and every way to take them apart. */
    public const MOST_PATCHES = 400;

    /** @param non-empty-list<array{Fabric, list<array{Fraction, Fraction}>}> $pieces */
    private function __construct(public array $pieces) {}

    /**
     * @param non-empty-list<array{Fabric, list<array{Fraction, Fraction}>}> $pieces fabric, and corners as fractions of the unit
     * @param string                                                         $where  pointer to the patches in the block file
     *
     * @throws \KeenSeam\Core\KeenSeamProblem unless the patches are convex, lie in the unit and tile it
     */
    public static function of(array $pieces, string $where): self
    {
        if (count($pieces) > self::MOST_PATCHES) {
            throw BlockNotPossible::tooMany('patches in one unit', self::MOST_PATCHES, $where);
        }
        $outlines = self::outlines($pieces, $where);
        self::ensureTiled($outlines, $where);

        return new self($pieces);
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function name(): string
    {
        return 'pieced unit';
    }

    public function plural(): string
    {
        return 'pieced units';
    }

    public function pieces(Fraction $width, Fraction $height): array
    {
        return $this->pieces;
    }

    public function inFabrics(\Closure $fabric): self
    {
        return new self(array_map(static fn (array $piece, int $i): array => [$fabric($piece[0], $i), $piece[1]], $this->pieces, array_keys($this->pieces)));
    }

    public function sewing(): ?SewingOrder
    {
        return null;
    }

    /**
     * @param non-empty-list<array{Fabric, list<array{Fraction, Fraction}>}> $pieces
     *
     * @return array{Lattice, list<ConvexPolygon>}
     */
    private static function outlines(array $pieces, string $where): array
    {
        $places = array_merge(...array_column($pieces, 1));
        $lattice = Lattice::through(array_merge(...$places), LengthUnit::Inch);
        $outlines = [];
        foreach ($pieces as $i => [, $corners]) {
            foreach ($corners as $c => $corner) {
                foreach ($corner as $coordinate) {
                    if ($coordinate->compareTo(Fraction::of(1)) > 0) {
                        throw BlockNotPossible::because(
                            sprintf('Patch %d reaches out of its cell. Write x and y as fractions of the cell, from 0 to 1.', $i + 1),
                            "$where/$i/points/$c",
                        );
                    }
                }
            }
            try {
                $outlines[] = ConvexPolygon::of(array_map(static fn (array $corner) => $lattice->point($corner[0], $corner[1]), $corners));
            } catch (OutlineNotConvex $problem) {
                throw $problem->at("$where/$i/points", $i + 1);
            }
        }

        return [$lattice, $outlines];
    }

    /** @param array{Lattice, list<ConvexPolygon>} $laidOut */
    private static function ensureTiled(array $laidOut, string $where): void
    {
        [$lattice, $outlines] = $laidOut;
        $area = 0;
        foreach ($outlines as $i => $outline) {
            $area += $outline->areaDoubled();
            for ($j = 0; $j < $i; ++$j) {
                if ($outlines[$j]->overlaps($outline)) {
                    throw BlockNotPossible::because(sprintf('Patches %d and %d overlap. Move their corners apart.', $j + 1, $i + 1), "$where/$i");
                }
            }
        }
        if ($area !== 2 * $lattice->steps ** 2) {
            throw BlockNotPossible::because('The patches leave a gap. Make their corners meet so that they fill the cell.', $where);
        }
    }
}
