<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing\Reading;

use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\FabricValue;
use KeenSeam\Core\Block\UnitPattern;
use KeenSeam\Core\Block\UnitPatterns;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\LengthUnit;

/**
 * A block made of the shapes of a drawing: the grid on which their corners lie is found, straight lines that run through
 * become columns and rows, what fills a cell becomes a known unit where it is one, and every colour a fabric.
 */
final class DrawnBlock
{
    /** Parts across the drawing that are tried, until all corners lie on one. */
    private const MOST_PARTS = 96;

    /** How far a corner may lie off, as a share of the drawing: nobody draws more exactly by hand. */
    private const OFF = 0.0025;

    /** Where shapes overlap, corners come about between the parts. */
    private const MOST_BETWEEN = 24;

    private const GROUND = '#ffffff';

    /** @var list<string> what was done or left out, in sentences */
    public array $says;

    /** @var array<string, mixed> as a block file has it */
    public array $file;

    /** @var array<string, string> key by colour */
    private array $fabrics = [];

    /** @var int parts in which corners are written, across and down */
    private int $across = 1;

    private int $down = 1;

    /** @var array<string, array{columns: list<string>, rows: list<string>, cells: list<array<string, mixed>>}> by box: the ways to part what lies around it meet again in it */
    private array $grids = [];

    /**
     * @param Fraction|null $width finished, in the unit; as the drawing says, or 12 in or 300 mm, if null
     *
     * @throws DrawingNotReadable
     */
    public function __construct(SvgShapes $drawing, string $name, LengthUnit $unit, ?Fraction $width = null)
    {
        $this->says = $drawing->says;
        $all = array_merge(...array_map(static fn (DrawnShape $shape): array => $shape->corners, $drawing->shapes));
        [$xs, $ys] = [array_column($all, 0), array_column($all, 1)];
        [$left, $top, $wide, $high] = [min([INF, ...$xs]), min([INF, ...$ys]), max([-INF, ...$xs]) - min([INF, ...$xs]), max([-INF, ...$ys]) - min([INF, ...$ys])];
        if ($wide <= 0 || $high <= 0 || ! is_finite($wide + $high)) {
            throw DrawingNotReadable::flat();
        }
        $shapes = array_map(static fn (DrawnShape $shape): array => [array_map(static fn (array $corner): array => [($corner[0] - $left) / $wide, ($corner[1] - $top) / $high], $shape->corners), $shape->colour], $drawing->shapes);
        [$shapes, $this->across, $this->down] = $this->onGrid($shapes);
        $pieces = Tiling::of([[[[0.0, 0.0], [1.0, 0.0], [1.0, 1.0], [0.0, 1.0]], self::GROUND], ...$shapes]);
        $this->sayWhatIsCovered($drawing, $shapes, $pieces);
        $this->between($pieces);
        foreach ($pieces as $piece) {
            $this->fabrics[$piece->colour] ??= self::key(count($this->fabrics));
        }
        $size = $this->size($drawing, $wide, $high, $unit, $width);
        $grid = $this->grid([0.0, 0.0, 1.0, 1.0], $pieces, $high / $wide);
        $this->file = [
            'format' => BlockFile::FORMAT,
            'version' => BlockFile::VERSION,
            'name' => $name,
            'units' => $unit->value,
            'finished' => ['width' => $size[0]->toText(), 'height' => $size[1]->toText()],
            'seam_allowance' => $unit === LengthUnit::Inch ? '1/4' : '6',
            'fabrics' => array_map(static fn (string $colour, string $key): array => ['key' => $key, 'name' => "Fabric $key", 'color' => $colour, 'value' => FabricValue::proposedFor($colour)->value], array_keys($this->fabrics), $this->fabrics),
            ...$grid,
        ];
    }

    /**
     * The coarsest grid on which all corners lie.
     *
     * @param list<array{list<array{float, float}>, string}> $shapes
     *
     * @return array{list<array{list<array{float, float}>, string}>, int, int} the shapes with their corners on it, and its parts across and down
     */
    private function onGrid(array $shapes): array
    {
        $all = array_merge(...array_column($shapes, 0));
        $across = $this->parts(array_column($all, 0));
        $down = $this->parts(array_column($all, 1));
        if ($across === null || $down === null) {
            $this->says[] = sprintf('Not all corners lie on a grid: each was moved to the nearest of %d parts.', self::MOST_PARTS);
        }
        [$across, $down] = [$across ?? self::MOST_PARTS, $down ?? self::MOST_PARTS];

        return [array_map(static fn (array $shape): array => [array_map(static fn (array $corner): array => [round($corner[0] * $across) / $across, round($corner[1] * $down) / $down], $shape[0]), $shape[1]], $shapes), $across, $down];
    }

    /** @param list<float> $places from 0 to 1 */
    private function parts(array $places): ?int
    {
        for ($parts = 1; $parts <= self::MOST_PARTS; ++$parts) {
            // Half way to the next part a corner could as well lie there.
            $off = min(self::OFF, 0.2 / $parts);
            if (array_filter($places, static fn (float $place): bool => abs($place - round($place * $parts) / $parts) > $off) === []) {
                return $parts;
            }
        }

        return null;
    }

    /** @param list<SeenPiece> $pieces whose corners lie where shapes cross, too */
    private function between(array $pieces): void
    {
        $all = array_merge(...array_map(static fn (SeenPiece $piece): array => $piece->corners, $pieces));
        foreach ([0, 1] as $axis) {
            $parts = $axis === 0 ? $this->across : $this->down;
            for ($times = 1; $times < self::MOST_BETWEEN; ++$times) {
                if (array_filter(array_column($all, $axis), static fn (float $place): bool => abs($place * $parts * $times - round($place * $parts * $times)) > 1e-4) === []) {
                    break;
                }
            }
            if ($times === self::MOST_BETWEEN) {
                throw DrawingNotReadable::crossing();
            }
            $axis === 0 ? $this->across *= $times : $this->down *= $times;
        }
    }

    /**
     * @param list<array{list<array{float, float}>, string}> $shapes
     * @param list<SeenPiece>                                $pieces
     */
    private function sayWhatIsCovered(SvgShapes $drawing, array $shapes, array $pieces): void
    {
        foreach ($shapes as $i => $shape) {
            if (abs(Tiling::areaOf($shape[0])) < 1e-6) {
                $this->says[] = $drawing->shapes[$i]->called.' covers nothing.';
            }
        }
        $area = array_sum(array_map(static fn (SeenPiece $piece): float => $piece->colour === self::GROUND ? Tiling::areaOf($piece->corners) : 0.0, $pieces));
        if ($area > 1e-4 && array_filter($shapes, static fn (array $shape): bool => $shape[1] === self::GROUND) === []) {
            $this->says[] = sprintf('%s of the block is covered by no shape: it is taken for a white ground.', $area >= 0.005 ? round(100 * $area).' %' : 'A little');
        }
    }

    /** @return array{Fraction, Fraction} finished, on the marks of a ruler */
    private function size(SvgShapes $drawing, float $wide, float $high, LengthUnit $unit, ?Fraction $width): array
    {
        $marks = $unit === LengthUnit::Inch ? 8 : 1;
        $onMark = static fn (float $length): Fraction => Fraction::of(max(1, (int) round($length * $marks)), $marks);
        if ($width === null) {
            $told = $drawing->millimetres === null ? null : $drawing->millimetres * $wide / ($unit === LengthUnit::Inch ? 25.4 : 1.0);
            $width = $told !== null && $told > 1 ? $onMark($told) : Fraction::of($unit === LengthUnit::Inch ? 12 : 300);
        }

        return [$width, abs($wide - $high) < self::OFF * $wide ? $width : $onMark($width->toFloat() * $high / $wide)];
    }

    /**
     * In the fewest cells of the ways there are.
     *
     * @param array{float, float, float, float} $box    left, top, right and bottom
     * @param list<SeenPiece>                   $pieces
     * @param float                             $ratio  height to width of the drawing
     *
     * @return array{columns: list<string>, rows: list<string>, cells: list<array<string, mixed>>}
     */
    private function grid(array $box, array $pieces, float $ratio): array
    {
        $key = implode(' ', array_map(static fn (float $side): string => (string) round($side, 6), $box));
        if (isset($this->grids[$key])) {
            return $this->grids[$key];
        }
        $best = $least = null;
        foreach ($this->ways($box, $pieces) ?: [[[$box[0], $box[2]], [$box[1], $box[3]]]] as [$columns, $rows]) {
            $grid = $this->along($columns, $rows, $pieces, $ratio);
            $count = self::countOf($grid);
            if ($least === null || $count < $least) {
                [$best, $least] = [$grid, $count];
            }
        }

        return $this->grids[$key] = $best;
    }

    /**
     * @param non-empty-list<float> $columns lines with both sides
     * @param non-empty-list<float> $rows
     * @param list<SeenPiece>       $pieces
     *
     * @return array{columns: list<string>, rows: list<string>, cells: list<array<string, mixed>>}
     */
    private function along(array $columns, array $rows, array $pieces, float $ratio): array
    {
        $cells = [];
        foreach (array_slice($rows, 1) as $row => $bottom) {
            foreach (array_slice($columns, 1) as $column => $right) {
                $inner = [$columns[$column], $rows[$row], $right, $bottom];
                $within = self::within($pieces, $inner);
                $isWhole = count($columns) === 2 && count($rows) === 2;
                $cells[] = ['row' => $row + 1, 'column' => $column + 1, ...$this->unit($inner, $within, $ratio, $isWhole)];
            }
        }
        $widths = fn (array $lines, int $parts): array => array_map(static fn (float $from, float $to): string => Fraction::of((int) round(($to - $from) * $parts))->toText(), array_slice($lines, 0, -1), array_slice($lines, 1));

        return ['columns' => $widths($columns, $this->across), 'rows' => $widths($rows, $this->down), 'cells' => $cells];
    }

    /** @param array<string, mixed> $unit a cell or a grid; how many cells it has in the end, patches of a drawn one counted */
    private static function countOf(array $unit): int
    {
        return max(1, count((array) ($unit['patches'] ?? [])) + array_sum(array_map(self::countOf(...), (array) ($unit['cells'] ?? []))));
    }

    /**
     * Columns and rows along which the box may be parted, by lines from side to side that no drawn shape lies across: along the
     * edges that were drawn whole; where shapes leave more of each other, along all of them, or only those across or down.
     *
     * @param array{float, float, float, float} $box
     * @param list<SeenPiece>                   $pieces
     *
     * @return list<array{non-empty-list<float>, non-empty-list<float>}> none where it is not parted
     */
    private function ways(array $box, array $pieces): array
    {
        $drawn = [$this->freeLines($box, $pieces, 0, false), $this->freeLines($box, $pieces, 1, false)];
        $all = [$this->freeLines($box, $pieces, 0, true), $this->freeLines($box, $pieces, 1, true)];
        $ways = $drawn === $all ? [$drawn] : [$drawn, $all, [$all[0], []], [[], $all[1]]];

        return array_map(
            static fn (array $lines): array => [[$box[0], ...$lines[0], $box[2]], [$box[1], ...$lines[1], $box[3]]],
            array_values(array_filter($ways, static fn (array $lines): bool => $lines !== [[], []])),
        );
    }

    /**
     * @param array{float, float, float, float} $box
     * @param list<SeenPiece>                   $pieces
     * @param 0|1                               $axis
     *
     * @return list<float>
     */
    private function freeLines(array $box, array $pieces, int $axis, bool $ofRests): array
    {
        $lines = [];
        foreach ($pieces as $piece) {
            foreach ($piece->isRest && ! $ofRests ? [] : $piece->corners as $i => $corner) {
                $next = $piece->corners[($i + 1) % count($piece->corners)];
                if (abs($corner[$axis] - $next[$axis]) < 1e-6 && $corner[$axis] > $box[$axis] + 1e-6 && $corner[$axis] < $box[$axis + 2] - 1e-6) {
                    $lines[(string) round($corner[$axis], 6)] = $corner[$axis];
                }
            }
        }
        $free = array_filter($lines, static function (float $line) use ($pieces, $axis): bool {
            foreach ($pieces as $piece) {
                $places = array_column($piece->corners, $axis);
                if (! $piece->isRest && min([INF, ...$places]) < $line - 1e-6 && max([-INF, ...$places]) > $line + 1e-6) {
                    return false;
                }
            }

            return true;
        });
        sort($free);

        return $free;
    }

    /**
     * @param list<SeenPiece>                   $pieces
     * @param array{float, float, float, float} $box
     *
     * @return list<SeenPiece> what of them lies in the box; remains of one colour joined where they can be
     */
    private static function within(array $pieces, array $box): array
    {
        [$left, $top, $right, $bottom] = $box;
        $inside = [];
        foreach ($pieces as $piece) {
            $corners = $piece->corners;
            foreach ([[[$left, $top], [$right, $top]], [[$right, $top], [$right, $bottom]], [[$right, $bottom], [$left, $bottom]], [[$left, $bottom], [$left, $top]]] as [$from, $to]) {
                $corners = $corners === [] ? [] : Tiling::clipped($corners, $from, $to);
            }
            if ($corners !== []) {
                $inside[] = new SeenPiece($corners, $piece->colour, $piece->isRest);
            }
        }
        for ($i = 0; $i < count($inside); ++$i) {
            for ($j = 0; $j < count($inside); ++$j) {
                $joined = $i !== $j && $inside[$i]->isRest && $inside[$j]->isRest && $inside[$i]->colour === $inside[$j]->colour ? Tiling::joined($inside[$i]->corners, $inside[$j]->corners) : null;
                if ($joined !== null) {
                    $inside[$i] = new SeenPiece($joined, $inside[$i]->colour, true);
                    array_splice($inside, $j, 1);
                    [$i, $j] = [-1, count($inside)];
                }
            }
        }

        return $inside;
    }

    /**
     * @param array{float, float, float, float} $box
     * @param list<SeenPiece>                   $pieces
     * @param bool                              $isWhole whether it is all there is, and was looked through for lines already
     *
     * @return array<string, mixed> a cell's unit, as a block file has it
     */
    private function unit(array $box, array $pieces, float $ratio, bool $isWhole): array
    {
        $colours = array_map(static fn (SeenPiece $piece): string => $piece->colour, $pieces);
        if (count($pieces) === 1 || (count(array_unique($colours)) === 1 && array_filter($pieces, static fn (SeenPiece $piece): bool => ! $piece->isRest) === [])) {
            return ['unit' => 'plain', 'fabrics' => [$this->fabrics[$colours[0]]]];
        }
        $outlines = array_map(fn (SeenPiece $piece): array => $this->shares($piece->corners, $box), $pieces);
        $known = self::known($outlines, $colours, ($box[2] - $box[0]) / (($box[3] - $box[1]) * $ratio));
        if ($known !== null) {
            [$kind, $turn, $inOrder] = $known;

            return ['unit' => $kind, ...($turn === 0 ? [] : ['turn' => 90 * $turn]), 'fabrics' => array_map(fn (string $colour): string => $this->fabrics[$colour], $inOrder)];
        }
        if (! $isWhole && $this->ways($box, $pieces) !== []) {
            return ['unit' => 'grid', ...$this->grid($box, $pieces, $ratio)];
        }

        return ['unit' => 'patches', 'patches' => array_map(fn (array $outline, string $colour): array => [
            'fabric' => $this->fabrics[$colour],
            'points' => array_map(static fn (array $corner): array => [$corner[0]->toText(), $corner[1]->toText()], $outline),
        ], $outlines, $colours)];
    }

    /**
     * @param list<array{float, float}>         $corners
     * @param array{float, float, float, float} $box
     *
     * @return list<array{Fraction, Fraction}> shares of the box
     */
    private function shares(array $corners, array $box): array
    {
        $share = static fn (float $place, float $from, float $to, int $parts): Fraction => Fraction::of((int) round($place * $parts) - (int) round($from * $parts), max(1, (int) round($to * $parts) - (int) round($from * $parts)));

        return array_map(fn (array $corner): array => [$share($corner[0], $box[0], $box[2], $this->across), $share($corner[1], $box[1], $box[3], $this->down)], $corners);
    }

    /**
     * @param list<list<array{Fraction, Fraction}>> $outlines
     * @param list<string>                          $colours  one an outline
     * @param float                                 $ratio    width to height of the cell
     *
     * @return array{string, int, list<string>}|null kind, quarter turns and the colours in the kind's own order
     */
    private static function known(array $outlines, array $colours, float $ratio): ?array
    {
        $name = static function (array $outline): string {
            $corners = array_map(static fn (array $corner): string => $corner[0]->toText().','.$corner[1]->toText(), $outline);
            sort($corners);

            return implode(' ', $corners);
        };
        $there = array_combine(array_map($name, $outlines), $colours);
        foreach (UnitPatterns::all() as $pattern) {
            for ($turn = 0; $turn < 4; ++$turn) {
                if (count($pattern->outlines) !== count($outlines) || ! self::isOfShape($pattern, $turn % 2 === 0 ? $ratio : 1 / $ratio)) {
                    continue;
                }
                $wanted = array_map(static fn (array $outline): string => $name(array_map(static fn (array $corner): array => self::turned($corner, $turn), $outline)), $pattern->outlines);
                if (array_filter($wanted, static fn (string $one): bool => ! isset($there[$one])) === []) {
                    return [$pattern->kind, $turn, array_map(static fn (string $one): string => $there[$one], $wanted)];
                }
            }
        }

        return null;
    }

    /** A goose is twice as wide as it is high; any other is a triangle in a square. */
    private static function isOfShape(UnitPattern $pattern, float $ratio): bool
    {
        return match ($pattern->kind) {
            'flying-geese' => abs($ratio - 2) < 0.01,
            'triangle-in-square' => abs($ratio - 2) >= 0.01,
            default => true,
        };
    }

    /**
     * @param array{Fraction, Fraction} $corner
     *
     * @return array{Fraction, Fraction}
     */
    private static function turned(array $corner, int $quarters): array
    {
        for ($i = 0; $i < $quarters; ++$i) {
            $corner = [Fraction::of(1)->minus($corner[1]), $corner[0]];
        }

        return $corner;
    }

    /** A to Z, then AA. */
    private static function key(int $number): string
    {
        return ($number < 26 ? '' : chr(64 + intdiv($number, 26))).chr(65 + $number % 26);
    }
}
