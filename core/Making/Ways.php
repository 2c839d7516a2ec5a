<?php

declare(strict_types=1);

namespace KeenSeam\Core\Making;

use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\FlippedCornersUnit;
use KeenSeam\Core\Block\GridUnit;
use KeenSeam\Core\Block\PatternUnit;
use KeenSeam\Core\Block\Picture;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Making\Internal\SewingTable;
use KeenSeam\Core\Making\Internal\TemplateCut;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\LengthUnit;
use KeenSeam\Core\Measure\Surd;

/**
 * Every way to make a unit, with its cutting sizes. Growth by seam allowance s: a square corner takes s on each side, a
 * corner of 45 degrees s(1 + √2); so a half square grows by s(2 + √2), a quarter square's long side by s(2 + 2√2).
 * Source: derived from the outlines; the reference tests move them out with a geometry library.
 *
 * What a batch gives in each hand is found by carrying the way out on modelled cloth.
 */
final readonly class Ways
{
    /** Squares cut once corner to corner, triangles: two s + √2 s. */
    private Surd $half;

    /** Squares cut twice, and those crossed: two s + 2√2 s. */
    private Surd $quarter;

    private Surd $straight;

    /** @param Fraction $allowance in the block's unit of length */
    public function __construct(
        private Fraction $allowance,
        private LengthUnit $unit,
    ) {
        $two = $allowance->times(Fraction::of(2));
        $this->straight = Surd::of($two);
        $this->half = new Surd($two, $allowance);
        $this->quarter = new Surd($two, $two);
    }

    /** @return list<Way> those that make the wanted hand first */
    public function of(UnitToMake $unit): array
    {
        $kind = $unit->unit->kind();
        $ways = match (true) {
            $unit->unit instanceof GridUnit => $this->grids($unit, $unit->unit),
            $kind === 'half-square-triangle' && $unit->isSquare() => $this->halfSquares($unit),
            $kind === 'quarter-square-triangle' && $unit->isSquare() => $this->quarterSquares($unit),
            $kind === 'split-quarter-square-triangle' && $unit->isSquare() => $this->splitQuarters($unit),
            $kind === 'flying-geese' && $unit->width->equals($unit->height->times(Fraction::of(2))) => $this->geese($unit),
            $kind === 'square-in-square' && $unit->isSquare() => $this->squaresOnPoint($unit),
            $unit->unit instanceof FlippedCornersUnit => [$this->flippedCorners($unit, $unit->unit)],
            default => [],
        };

        $rejoined = $ways === [] ? $this->rejoined($unit) : null;

        return $ways === [] ? [$this->fromPatches($unit), ...($rejoined === null ? [] : [$rejoined])] : $ways;
    }

    /** @return list<Way> */
    private function halfSquares(UnitToMake $unit): array
    {
        [$a, $b] = $this->keys($unit);
        $side = Surd::of($unit->width);
        $two = $side->plus($this->half);
        $round = (new Surd(Fraction::zero(), $unit->width))->plus($this->quarter);
        [$lighter] = $this->lighter($unit->fabrics()[0], $unit->fabrics()[1]);
        $oneLine = 'Draw a line corner to corner on the wrong side of '.$lighter.'.';

        return [
            new Way('two-at-a-time', 'two from two squares', $this->squares([$a, $b], $two, 1, $this->proposed($unit->width, 4)), ...$this->counted($unit, SewingTable::twoAtATime($a, $b)), seams: 2, isOuterBias: false, steps: [
                'Lay the two squares right sides together.', $oneLine, 'Sew on both sides of the line, one allowance away.', 'Cut on the line.', 'Open and press.', $this->squareUp($unit, 'the seam on the ruler\'s 45 degree line'),
            ], sketch: Sketch::diagonals(false)),
            new Way('from-triangles', 'from cut triangles', $this->eachOf([$a, $b], $two, Then::Once), own: 1, other: 0, isEitherHand: true, seams: 1, isOuterBias: false, steps: [
                'Cut the squares corner to corner.', 'Lay two triangles right sides together, long sides level.', 'Sew the long side without pulling: it is bias.', 'Open and press.', $this->squareUp($unit, 'the seam on the ruler\'s 45 degree line'),
            ]),
            new Way('eight-at-a-time', 'eight from two large squares', $this->squares([$a, $b], $two->times(Fraction::of(2)), 1, $this->proposed($unit->width->times(Fraction::of(2)), 8)), ...$this->counted($unit, SewingTable::eightAtATime($a, $b)), seams: 4, isOuterBias: false, steps: [
                'Lay the two squares right sides together.', 'Draw both diagonals on the wrong side of '.$lighter.'.', 'Sew on both sides of both lines, one allowance away.', 'Cut through the middle both ways, then on both lines.', 'Open and press.', $this->squareUp($unit, 'the seam on the ruler\'s 45 degree line'),
            ], sketch: Sketch::diagonals(true)),
            new Way('four-at-a-time', 'four sewn round the edge', $this->squares([$a, $b], $round, 1, $this->raised($round)->plus($this->allowance->times(Fraction::of(3, 2)))), ...$this->counted($unit, SewingTable::roundTheEdge($a, $b)), seams: 4, isOuterBias: true, steps: [
                'Lay the two squares right sides together.', 'Sew all round, one allowance from the edge.', 'Cut corner to corner both ways.', 'Open and press: all outer edges are bias now, so starch first and press up and down.', $this->squareUp($unit, 'the seam on the ruler\'s 45 degree line'),
            ], note: 'All outer edges end on the bias.', sketch: Sketch::roundTheEdge()),
            $this->onSheets($unit, $two),
        ];
    }

    /** @return list<Way> */
    private function quarterSquares(UnitToMake $unit): array
    {
        $keys = $this->keys($unit);
        $side = Surd::of($unit->width)->plus($this->quarter);
        $ways = [];
        foreach ([[0, 1, 2, 3], [1, 2, 3, 0]] as [$i, $j, $k, $l]) {
            // Two neighbours are sewn to a half square each; crossed, they give the unit if some turn of the upper one does.
            foreach (SewingTable::crossed([$keys[$i], $keys[$j]], [$keys[$k], $keys[$l]]) as $made) {
                ['own' => $own, 'other' => $other] = $this->counted($unit, $made);
                if ($own + $other > 0 && ($ways === [] || $own > $ways[0]->own)) {
                    $isSame = [$keys[$i], $keys[$j]] === [$keys[$k], $keys[$l]] || [$keys[$j], $keys[$i]] === [$keys[$k], $keys[$l]];
                    $fabrics = $isSame ? [$keys[$i], $keys[$j]] : [$keys[$i], $keys[$j], $keys[$k], $keys[$l]];
                    // One pair of squares gives two half squares: both are crossed with each other, or with those of a second pair.
                    $ways = [new Way('crossed', 'two half-square triangles crossed', $this->squares($fabrics, $side, 1, $this->proposed($unit->width, 6)), $isSame ? $own : 2 * $own, $isSame ? $other : 2 * $other, false, $isSame ? 4 : 8, false, [
                        'Make half-square triangles, two from two squares, and press toward the dark.', 'Lay two right sides together, seams nested, unlike fabrics on each other.', 'Draw a line corner to corner across the seam.', 'Sew on both sides of the line, one allowance away.', 'Cut on the line, open and press.', $this->squareUp($unit, 'the centre at half the size both ways'),
                    ], $other > 0 && $own !== $other ? 'Gives both hands.' : '', sketch: Sketch::diagonals(false))];
                }
            }
        }

        return [...$ways, new Way('from-triangles', 'from four cut triangles', $this->eachOf($keys, $side, Then::Twice), 1, 0, true, 3, false, [
            'Cut the squares corner to corner both ways.', 'Lay the four triangles out as they will lie.', 'Sew two pairs along their short sides.', 'Press one pair left, the other right, so that they nest.', 'Sew the pairs together along the long seam, open and press.', $this->squareUp($unit, 'the centre at half the size both ways'),
        ])];
    }

    /** @return list<Way> */
    private function splitQuarters(UnitToMake $unit): array
    {
        [$large, $b, $c] = $this->keys($unit);
        $finished = Surd::of($unit->width);
        [$small, $big] = [$finished->plus($this->quarter), $finished->plus($this->half)];
        $crossed = SewingTable::crossed([$b, $c], $large)[0];
        $stepped = $this->counted($unit, SewingTable::stepped($b, $c, $large));
        // Stepping the line the other way round gives the other hand; lay the cloth so that the wanted one comes out.
        $stepped = $stepped['own'] === 0 ? ['own' => $stepped['other'], 'other' => 0, 'isEitherHand' => false] : $stepped;
        ['own' => $own, 'other' => $other] = $this->counted($unit, $crossed);

        return [
            new Way('crossed', 'a half-square triangle and a square crossed', [
                ...$this->squares([$b, $c], $small, 1, $this->proposed($unit->width, 6)),
                ...$this->squares([$large], $big, 2, $this->proposed($unit->width, 4)),
            ], 2 * $own, 2 * $other, false, 6, false, [
                'Make two half-square triangles from the smaller squares\' pair and press them.', 'Lay one right sides together with a square of the large fabric.', 'Draw a line corner to corner across the seam.', 'Sew on both sides of the line, one allowance away.', 'Cut on the line, open and press.', $this->squareUp($unit, 'the long seam on the 45 degree line, the crossing in the middle'),
            ], 'Every pair gives one of each hand.', sketch: Sketch::diagonals(false)),
            new Way('from-triangles', 'from a large and two small triangles', [
                ...$this->eachOf([$large], $big, Then::Once),
                ...$this->eachOf([$b, $c], $small, Then::Twice),
            ], 1, 0, true, 2, false, [
                'Cut the squares.', 'Lay the three triangles out as they will lie, this hand or the other.', 'Sew the two small ones along their short side, press.', 'Sew the large one to their long side, open and press.', $this->squareUp($unit, 'the long seam on the 45 degree line'),
            ]),
            new Way('stepped', 'four of one hand, stepped line', [
                ...$this->squares([$b, $c], $small, 1, $this->proposed($unit->width, 6)),
                ...$this->eachOf([$large], $big, Then::Once, times: 4),
            ], ...$stepped, seams: 8, isOuterBias: false, steps: [
                'Lay the two smaller squares right sides together and draw both diagonals.', 'Sew along each half of the diagonals on the same side of it, going round: left of the first, left of the next.', 'Cut on both diagonals: four pairs of one hand.', 'Sew a large triangle to the long side of each.', $this->squareUp($unit, 'the long seam on the 45 degree line'),
            ], note: 'Step the line the other way round for the other hand.', sketch: Sketch::diagonals(true)),
        ];
    }

    /** @return list<Way> */
    private function geese(UnitToMake $unit): array
    {
        [$goose, $left, $right] = $this->keys($unit);
        [$width, $height] = [Surd::of($unit->width), Surd::of($unit->height)];
        $sky = $height->plus($this->half);
        $check = 'the tip one allowance below the raw edge and half way along';
        $sameSky = $left === $right;

        return [
            new Way('four-at-once', 'four at once, without waste', [
                Piece::square($goose, $width->plus($this->quarter), 1, Then::None, $this->proposed($unit->width, 7)),
                ...($sameSky
                    ? [Piece::square($left, $sky, 4, Then::None, $this->proposed($unit->height, 5))]
                    : array_map(fn (string $fabric): Piece => Piece::square($fabric, $sky, 2, Then::None, $this->proposed($unit->height, 5)), [$left, $right])),
            ], ...$this->counted($unit, SewingTable::fourGeese($goose, $left, $right)), seams: 8, isOuterBias: false, steps: [
                'Lay two small squares on opposite corners of the large one, right sides together; clip the tips where they overlap.', 'Draw a line corner to corner across both.', 'Sew on both sides of the line, cut on it, open.', 'Lay a small square on each half\'s corner, draw the line from that corner.', 'Sew on both sides, cut, open and press.', $this->squareUp($unit, $check),
            ], note: $sameSky ? '' : 'Half of them come out in the other hand.', sketch: Sketch::fourGeese()),
            new Way('flipped', 'one at a time, corners flipped', [
                new Piece($goose, CutShape::Rectangle, $width->plus($this->straight), $height->plus($this->straight), 1, Then::None, $this->proposed($unit->width, 3)),
                ...$this->eachOf($sameSky ? [$left, $left] : [$left, $right], $height->plus($this->straight), Then::None, $this->proposed($unit->height, 3)),
            ], 1, 0, true, 2, false, [
                'Draw a line corner to corner on the wrong side of each small square.', 'Lay one on the rectangle\'s end, right sides together.', 'Sew a hair to the waste side of the line.', 'Open and look before you cut off the waste.', 'Press, then the other end the same way.', $this->squareUp($unit, $check),
            ], bonus: $this->bonus(2, $unit->height), sketch: Sketch::flippedCorner(0.5, 0.5)),
            new Way('from-triangles', 'from a large and two small triangles', [
                ...$this->eachOf([$goose], $width->plus($this->quarter), Then::Twice),
                ...$this->eachOf([$left, $right], $sky, Then::Once),
            ], 1, 0, true, 2, false, [
                'Cut the squares.', 'Lay a small triangle on the large one\'s short side, blunt ends level.', 'Sew, open, press; then the other side.', $this->squareUp($unit, $check),
            ]),
            new Way('two-half-squares', 'as two half-square triangles', [
                ...$this->squares([$goose], $sky, 2, $this->proposed($unit->height, 4)),
                ...($sameSky ? $this->squares([$left], $sky, 2, $this->proposed($unit->height, 4)) : $this->squares([$left, $right], $sky, 1, $this->proposed($unit->height, 4))),
            ], 2, 0, true, 6, false, [
                'Make half-square triangles, two from two squares: one pair for each sky.', 'Square them up.', 'Sew a left and a right one together, the goose\'s halves meeting in the middle.', 'Press and check the tip.',
            ], 'Looks the same, with a seam up the middle: the pressing plan counts on units without it.', isByChoice: true),
        ];
    }

    /** @return list<Way> */
    private function squaresOnPoint(UnitToMake $unit): array
    {
        $keys = $this->keys($unit);
        $corners = array_slice($keys, 1);
        $halfSide = $unit->width->times(Fraction::of(1, 2));
        $centre = (new Surd(Fraction::zero(), $halfSide))->plus($this->straight);
        $check = 'each tip one allowance inside the middle of its edge';

        return [
            new Way('from-triangles', 'four triangles round a square', [
                Piece::square($keys[0], $centre, 1, Then::None, $this->raised($centre)),
                ...$this->eachOf($corners, Surd::of($halfSide)->plus($this->half), Then::Once),
            ], 1, 0, true, 4, false, [
                'Fold the square and a triangle in half and match the middles: the overhang at both ends is the allowance.', 'Sew opposite sides first, open, press.', 'Then the other two.', $this->squareUp($unit, $check),
            ]),
            new Way('flipped', 'four squares flipped', [
                Piece::square($keys[0], Surd::of($unit->width)->plus($this->straight), 1, Then::None, $this->proposed($unit->width, 2)),
                ...$this->eachOf($corners, Surd::of($halfSide)->plus($this->straight), Then::None, $this->proposed($halfSide, 3)),
            ], 1, 0, true, 4, false, [
                'Draw a line corner to corner on the wrong side of each small square.', 'Opposite corners first: sew a hair to the waste side of the line.', 'Open and look before you cut off the waste; press.', 'Then the other two corners; clip the tips that cross.', $this->squareUp($unit, $check),
            ], bonus: $this->bonus(4, $halfSide), sketch: Sketch::flippedCorner(1.0, 0.5)),
        ];
    }

    private function flippedCorners(UnitToMake $unit, FlippedCornersUnit $kind): Way
    {
        $pieces = [$this->rectangle($kind->base->key, $unit->width, $unit->height)];
        foreach ($kind->corners as $corner) {
            $leg = $corner->finishedLeg->in($this->unit);
            $pieces[] = Piece::square($corner->fabric->key, Surd::of($leg)->plus($this->straight), 1, Then::None, $this->proposed($leg, 3));
        }

        return new Way('flipped', 'corners sewn and flipped', $pieces, 1, 0, true, count($kind->corners), false, [
            'Draw a line corner to corner on the wrong side of the small square.', 'Lay it on its corner, right sides together; left and right are different units.', 'Sew a hair to the waste side of the line.', 'Open and look before you cut off the waste.', 'Press.', $this->squareUp($unit, 'all sides straight'),
        ], bonus: $kind->corners === [] ? '' : $this->bonus(count($kind->corners), $kind->corners[0]->finishedLeg->in($this->unit)), sketch: $kind->corners === [] ? null : Sketch::flippedCorner(
            $unit->height->dividedBy($unit->width)->toFloat(),
            $kind->corners[0]->finishedLeg->in($this->unit)->dividedBy($unit->width)->toFloat(),
        ));
    }

    /** Sewn on printed sheets: a grid of squares, a half-square triangle from each half of one. */
    private function onSheets(UnitToMake $unit, Surd $square): Way
    {
        [$a, $b] = $this->keys($unit);
        $squares = max(1, intdiv($unit->need + $unit->mirrored + 1, 2));
        // A sheet of at most three by two squares is still handled well.
        $across = min(3, $squares);
        $down = $squares > 3 ? 2 : 1;
        $size = static fn (int $count): Surd => $square->times(Fraction::of($count));
        $pieces = array_map(fn (string $fabric): Piece => new Piece($fabric, $across === $down ? CutShape::Square : CutShape::Rectangle, $size($across), $size($down), 1, Then::None, $this->raised($size($across))->plus($this->allowance->times(Fraction::of(4)))), [$a, $b]);

        return new Way('foundation-sheets', sprintf('on printed sheets, %d at a time', 2 * $across * $down), $pieces, 2 * $across * $down, 0, false, 2 * $across * $down, false, [
            sprintf('Print a grid of %d by %d squares, with their diagonals and the seams beside them.', $across, $down), 'Lay the two fabrics right sides together under the sheet and pin.', 'Sew on the seams with short stitches.', 'Cut on all other lines.', 'Tear the paper off, open and press.', $this->squareUp($unit, 'the seam on the ruler\'s 45 degree line'),
        ], 'Very even, and paper to tear.', isByChoice: true);
    }

    /** A second seam, two allowances from the first toward the corner: what is cut off between them is sewn already. */
    private function bonus(int $corners, Fraction $leg): string
    {
        $two = $this->allowance->times(Fraction::of(2));
        $raw = new Surd($leg->plus($two), $two->negated());
        if ($raw->compareTo($two) <= 0) {
            return '';
        }
        $marks = $this->unit === LengthUnit::Inch ? 8 : 1;
        $size = $raw->raisedTo($marks)->minus(Fraction::of(1, $marks)); // what is sure to come out

        return sprintf('%d small half-square triangle%s, about %s raw', $corners, $corners === 1 ? '' : 's', $size->toText());
    }

    /** @return list<Way> */
    private function grids(UnitToMake $unit, GridUnit $grid): array
    {
        $fromUnits = new Way('from-units', 'from its units and patches', [], 1, 0, true, max(0, count($grid->grid->cells) - 1), false, [
            'Cut and make what lies in it first.', 'Lay it out and look.', 'Sew it like a small block, row by row.', $this->squareUp($unit, 'all sides straight'),
        ]);
        $strips = $this->stripSets($unit, $grid);

        return $strips === null ? [$fromUnits] : [$fromUnits, $strips];
    }

    /** Checks and rails: strips sewn lengthwise, then cut across. Only where every place holds one plain patch. */
    private function stripSets(UnitToMake $unit, GridUnit $grid): ?Way
    {
        $rows = [];
        foreach ($grid->grid->cells as $cell) {
            if (! $cell->unit instanceof PatternUnit || $cell->unit->kind() !== 'plain' || $cell->rowSpan !== 1 || $cell->columnSpan !== 1) {
                return null;
            }
            $rows[$cell->row][] = $cell->unit->fabrics[0]->key;
        }
        $pieces = [];
        $cuts = $unit->need + $unit->mirrored;
        foreach ($rows as $row => $fabrics) {
            $height = $unit->height->times($grid->grid->rowLine($row + 1)->minus($grid->grid->rowLine($row)));
            $length = Surd::of($height)->plus($this->straight)->times(Fraction::of($cuts));
            foreach ($fabrics as $i => $fabric) {
                $width = $unit->width->times($grid->grid->columnLine($i + 2)->minus($grid->grid->columnLine($i + 1)));
                $pieces[] = new Piece($fabric, CutShape::Strip, Surd::of($width)->plus($this->straight), $length, 1, Then::None, $width->plus($this->straight->whole));
            }
        }
        $longest = array_reduce($pieces, static fn (float $most, Piece $piece): float => max($most, $piece->height->toFloat()), 0.0);
        if ($longest > ($this->unit === LengthUnit::Inch ? 40.0 : 1000.0)) {
            return null; // longer than a fabric is wide: piece by piece is less trouble
        }

        return new Way('strip-sets', 'from strips, cut across', $pieces, $cuts, 0, false, count($pieces) - count($rows), false, [
            'Sew the strips of a row together lengthwise, every other seam from the other end.', 'Press toward the darker strips.', sprintf('Cut each set across into %d.', $cuts), 'Sew the cut rows together, seams nested.', $this->squareUp($unit, 'all sides straight'),
        ], 'The strips take the place of the single patches.', isByChoice: true);
    }

    /** A half-square triangle cut in two across its middle, one half turned round, sewn again; what is too high is trimmed. */
    private function rejoined(UnitToMake $unit): ?Way
    {
        $keys = array_values(array_unique($this->keys($unit)));
        if (! $unit->isSquare() || count($keys) !== 2) {
            return null;
        }
        ['own' => $own, 'other' => $other] = $this->counted($unit, SewingTable::rejoined($keys[0], $keys[1]));
        if ($own + $other === 0) {
            return null;
        }
        $two = $this->allowance->times(Fraction::of(2));
        $side = Surd::of($unit->width->plus($two))->plus($this->half);

        return new Way('rejoined', 'half-square triangles cut and sewn again', $this->squares($keys, $side, 1, $this->proposed($unit->width, 6)), 2 * $own, 2 * $other, false, 4, false, [
            'Make two half-square triangles from two squares.', 'Cut each in two across the middle, along the weave.', 'Turn one half round and sew them together again.', $this->squareUp($unit, 'the seam in the middle; the rest is trimmed off'),
        ], isByChoice: true);
    }

    /** Each patch cut by its own outline; where that is no square, rectangle or half square, with a template. */
    private function fromPatches(UnitToMake $unit): Way
    {
        $pieces = [];
        foreach ($unit->unit instanceof \KeenSeam\Core\Block\PieceUnit ? $unit->unit->pieces($unit->width, $unit->height) : [] as [$fabric, $outline]) {
            $pieces[] = TemplateCut::of($fabric->key, array_map(static fn (array $corner): array => [$corner[0]->times($unit->width), $corner[1]->times($unit->height)], $outline), $this->allowance);
        }
        $isTemplate = array_filter($pieces, static fn (Piece $piece): bool => $piece->shape === CutShape::Template) !== [];

        return new Way($pieces === [] ? 'from-units' : ($isTemplate ? 'template' : 'cut'), $pieces === [] ? 'from its units' : ($isTemplate ? 'cut with templates' : 'cut to size'), $pieces, 1, 0, true, max(0, count($pieces) - 1), false, $pieces === [] ? ['Make its units first, then sew them together.'] : [
            $isTemplate ? 'Make a template of each outline, with its allowance, and cut round it.' : 'Cut the pieces.', 'Lay them out as they will lie.', 'Sew them in the order of the plan.', $this->squareUp($unit, 'all sides straight'),
        ]);
    }

    public function rectangle(string $fabric, Fraction $width, Fraction $height): Piece
    {
        $shape = $width->equals($height) ? CutShape::Square : CutShape::Rectangle;

        return new Piece($fabric, $shape, Surd::of($width)->plus($this->straight), Surd::of($height)->plus($this->straight), 1, Then::None, $this->proposed($width, 2));
    }

    /**
     * The same square of each fabric, the proposed larger size as finished size and allowances on top.
     *
     * @param list<string> $fabrics
     *
     * @return list<Piece>
     */
    private function squares(array $fabrics, Surd $side, int $perBatch, Fraction $oversize): array
    {
        return array_map(static fn (string $fabric): Piece => Piece::square($fabric, $side, $perBatch, Then::None, $oversize), $fabrics);
    }

    /**
     * One piece for every fabric named; a fabric named twice gives two.
     *
     * @param list<string> $fabrics
     *
     * @return list<Piece>
     */
    private function eachOf(array $fabrics, Surd $side, Then $then, ?Fraction $oversize = null, int $times = 1): array
    {
        $pieces = [];
        foreach (array_count_values($fabrics) as $fabric => $count) {
            $pieces[] = Piece::square((string) $fabric, $side, $times * $count, $then, $oversize ?? $this->raised($side)->plus($this->allowance->times(Fraction::of(1, 2))));
        }

        return $pieces;
    }

    /** A finished size with so many allowances on top: with 1/4 in, four make the inch that is squared up later. */
    private function proposed(Fraction $finished, int $allowances): Fraction
    {
        return $finished->plus($this->allowance->times(Fraction::of($allowances)));
    }

    private function raised(Surd $size): Fraction
    {
        return $size->raisedTo($this->unit === LengthUnit::Inch ? 8 : 1);
    }

    /**
     * How many of what came out are the wanted unit, after some turn, and how many its mirror image.
     *
     * @param list<Picture> $made
     *
     * @return array{own: int, other: int, isEitherHand: bool}
     */
    private function counted(UnitToMake $unit, array $made): array
    {
        $keys = static fn (bool $mirrored): array => array_map(static fn (Turn $turn): string => $unit->picture->moved(new Placement($turn, $mirrored))->key, Turn::cases());
        [$right, $wrong] = [$keys(false), $keys(true)];
        $own = count(array_filter($made, static fn (Picture $picture): bool => in_array($picture->key, $right, true)));

        return [
            'own' => $own,
            'other' => count(array_filter($made, static fn (Picture $picture): bool => ! in_array($picture->key, $right, true) && in_array($picture->key, $wrong, true))),
            'isEitherHand' => false,
        ];
    }

    /** @return list<string> fabric keys, one a patch */
    private function keys(UnitToMake $unit): array
    {
        return array_map(static fn (Fabric $fabric): string => $fabric->key, $unit->fabrics());
    }

    /** @return array{string, string} names, the one to draw on first */
    private function lighter(Fabric $a, Fabric $b): array
    {
        return $a->value->rank() <= $b->value->rank() ? [$a->name, $b->name] : [$b->name, $a->name];
    }

    private function squareUp(UnitToMake $unit, string $how): string
    {
        $raw = fn (Fraction $finished): string => $finished->plus($this->allowance->times(Fraction::of(2)))->toText();
        $size = $unit->isSquare() ? $raw($unit->width) : $raw($unit->width).' x '.$raw($unit->height);

        return sprintf('Square up to %s: %s; two sides, half a turn, two more.', $size, $how);
    }
}
