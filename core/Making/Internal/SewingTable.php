<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making\Internal;

use KeenSeam\Core\Block\Picture;

/**
 * The ways to make several units at once, carried out on modelled cloth: laid right sides together, stitched along
 * lines, cut apart, opened. What comes out is looked at, not known beforehand.
 *
 * A piece laid on top lies face down; its corners are given as they are seen from above.
 *
 * @internal
 */
final class SewingTable
{
    /** Fine enough for every cut below. */
    private const SIDE = 64;

    /**
     * Two squares, a seam on each side of the diagonal, cut along it.
     *
     * @return list<Picture>
     */
    public static function twoAtATime(string $under, string $over): array
    {
        return self::pictures(self::alongDiagonal(self::square($under), self::square($over)));
    }

    /**
     * Two squares stitched all round the edge, cut along both diagonals.
     *
     * @return list<Picture>
     */
    public static function roundTheEdge(string $under, string $over): array
    {
        $pieces = [];
        foreach (self::quarters() as [$region, $edge]) {
            $pieces[] = self::opened(self::square($under), self::square($over), $edge, ...$region);
        }

        return self::pictures($pieces);
    }

    /**
     * Two large squares, a seam on each side of both diagonals, cut along these and through the middle both ways.
     *
     * @return list<Picture>
     */
    public static function eightAtATime(string $under, string $over): array
    {
        $half = intdiv(self::SIDE, 2);
        $pieces = [];
        foreach ([0, 1, 2, 3] as $turns) {
            // The upper left quarter of the squares, turned to each of the four places.
            $corner = static fn (string $fabric): Cloth => Cloth::rectangle($fabric, -$half, -$half, $half, $half)->turned($turns);
            $diagonal = $turns % 2 === 0 ? Line::through(0, 0, 1, 1) : Line::through(0, 0, 1, -1);
            $pieces[] = self::opened($corner($under), $corner($over), $diagonal, $diagonal);
            $pieces[] = self::opened($corner($under), $corner($over), $diagonal, $diagonal->reversed());
        }

        return self::pictures($pieces);
    }

    /**
     * Two half-square triangles, or one and a square, crossed: laid right sides together, a seam on each side of the
     * diagonal that crosses the seam below, cut along it. All four ways to lay the upper one are tried.
     *
     * @param array{string, string}        $under its corner at the top left, and the one across
     * @param array{string, string}|string $over  the same of the upper one as it is seen on its own face, or a plain square
     *
     * @return list<list<Picture>> what comes out, by how the upper one is turned
     */
    public static function crossed(array $under, array|string $over): array
    {
        $base = self::triangles($under);
        $out = [];
        foreach (is_string($over) ? [0] : [0, 1, 2, 3] as $turns) {
            $upper = is_string($over) ? self::square($over) : self::faceDown(self::triangles($over), $turns);
            $diagonal = Line::through(0, 0, self::SIDE, self::SIDE);
            // The seam below runs from corner to corner the other way: the cut must cross it.
            $out[] = self::pictures([self::opened($base, $upper, $diagonal, $diagonal), self::opened($base, $upper, $diagonal, $diagonal->reversed())]);
        }

        return $out;
    }

    /**
     * Two squares cut along both diagonals, each quarter stitched along the same one of its two short sides: pairs of one
     * hand. Each is sewn to a large triangle.
     *
     * @return list<Picture>
     */
    public static function stepped(string $under, string $over, string $large): array
    {
        $half = intdiv(self::SIDE, 2);
        $square = static fn (string $fabric): Cloth => Cloth::rectangle($fabric, -$half, -$half, 2 * $half, 2 * $half);
        // The upper quarter of the squares about their middle, stitched along the side to its right.
        [$toLeft, $toRight] = [Line::through(-$half, -$half, 0, 0), Line::through(0, 0, $half, -$half)];
        $pair = self::opened($square($under), $square($over), $toRight, $toRight->reversed(), $toLeft->reversed());
        $unit = $pair->with($square($large)->cutTo(Line::through(-$half, -$half, $half, $half)));
        // The line steps the same way at every quarter, so the others are this one turned.
        $pieces = array_map($unit->turned(...), [0, 1, 2, 3]);

        return self::pictures($pieces);
    }

    /**
     * One large square; two small ones on opposite corners, stitched on both sides of the diagonal, cut along it; then one
     * more small square on each half's corner, stitched and cut the same way.
     *
     * @return list<Picture>
     */
    public static function fourGeese(string $goose, string $firstSky, string $secondSky): array
    {
        [$side, $half] = [self::SIDE, intdiv(self::SIDE, 2)];
        $base = self::square($goose);
        $skies = Cloth::rectangle($firstSky, 0, 0, $half, $half)->with(Cloth::rectangle($firstSky, $half, $half, $half, $half));
        $diagonal = Line::through(0, 0, $side, $side);
        $geese = [];
        foreach ([[$diagonal, 0, $side], [$diagonal->reversed(), $side, 0]] as [$kept, $x, $y]) {
            $heart = self::opened($base, $skies, $diagonal, $kept);
            $last = Cloth::rectangle($secondSky, $x === 0 ? 0 : $half, $y === 0 ? 0 : $half, $half, $half);
            $cut = Line::through($x, $y, $half, $half);
            foreach ([$cut, $cut->reversed()] as $keep) {
                $geese[] = self::opened($heart, $last, $cut, $keep);
            }
        }

        return self::pictures($geese);
    }

    /**
     * A half-square triangle cut upright through the middle, the right half turned round, the two sewn together again.
     *
     * @return list<Picture>
     */
    public static function rejoined(string $one, string $other): array
    {
        $half = intdiv(self::SIDE, 2);
        $unit = self::triangles([$one, $other])->movedBy(-$half, -$half);
        $middle = Line::through(0, -$half, 0, $half);
        // Turned round about the block's middle the right half lies on the left; it is carried back to the right.
        $turned = $unit->cutTo($middle->reversed())->turned(2)->movedBy($half, 0);

        return self::pictures([$unit->cutTo($middle)->with($turned)]);
    }

    private static function square(string $fabric): Cloth
    {
        return Cloth::rectangle($fabric, 0, 0, self::SIDE, self::SIDE);
    }

    /** @param array{string, string} $fabrics */
    private static function triangles(array $fabrics): Cloth
    {
        $seam = Line::through(self::SIDE, 0, 0, self::SIDE);

        return self::square($fabrics[0])->cutTo($seam)->with(self::square($fabrics[1])->cutTo($seam->reversed()));
    }

    /** As a square looks from above once it is turned, then laid face down. */
    private static function faceDown(Cloth $cloth, int $quarterTurns): Cloth
    {
        $side = self::SIDE;
        $turned = $cloth->turned($quarterTurns);
        $turned = match ($quarterTurns) {
            1 => $turned->movedBy($side, 0),
            2 => $turned->movedBy($side, $side),
            3 => $turned->movedBy(0, $side),
            default => $turned,
        };

        return $turned->foldedOver(Line::through(intdiv($side, 2), 0, intdiv($side, 2), $side));
    }

    /** Stitched along $seam, cut to what lies on the kept sides, the upper layer opened out. */
    private static function opened(Cloth $under, Cloth $over, Line $seam, Line ...$kept): Cloth
    {
        return $under->cutTo(...$kept)->with($over->cutTo(...$kept)->foldedOver($seam));
    }

    /** @return list<Cloth> */
    private static function alongDiagonal(Cloth $under, Cloth $over): array
    {
        $diagonal = Line::through(0, 0, self::SIDE, self::SIDE);

        return [self::opened($under, $over, $diagonal, $diagonal), self::opened($under, $over, $diagonal, $diagonal->reversed())];
    }

    /** @return list<array{list<Line>, Line}> the four quarters between a square's diagonals, each with the outer edge it touches */
    private static function quarters(): array
    {
        $side = self::SIDE;
        [$down, $up] = [Line::through(0, 0, $side, $side), Line::through(0, $side, $side, 0)];

        return [
            [[$down->reversed(), $up->reversed()], Line::through(0, 0, $side, 0)],
            [[$down->reversed(), $up], Line::through($side, 0, $side, $side)],
            [[$down, $up], Line::through(0, $side, $side, $side)],
            [[$down, $up->reversed()], Line::through(0, 0, 0, $side)],
        ];
    }

    /**
     * @param list<Cloth> $pieces
     *
     * @return list<Picture>
     */
    private static function pictures(array $pieces): array
    {
        return array_map(static fn (Cloth $piece): Picture => $piece->picture(), $pieces);
    }
}
