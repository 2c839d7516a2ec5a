<?php

declare(strict_types=1);

namespace KeenSeam\Core\Drawing\Sheets;

use KeenSeam\Core\Drawing\Anchor;
use KeenSeam\Core\Drawing\Area;
use KeenSeam\Core\Drawing\Fitted;
use KeenSeam\Core\Drawing\Pages;
use KeenSeam\Core\Drawing\Palette;
use KeenSeam\Core\Drawing\Reading\Tiling;
use KeenSeam\Core\Drawing\Shape;
use KeenSeam\Core\Drawing\Stroke;
use KeenSeam\Core\Drawing\Typesetter;
use KeenSeam\Core\Making\Cut;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Matching\Amount;
use KeenSeam\Core\Measure\LengthUnit;

/** Templates at full size, raw, right side up; those larger than a page in parts that are joined by their marks. */
final readonly class TemplateSheet
{
    private const INCH = 25.4;

    private const OUTLINE = 0.35;

    private const GAP = 5.0;

    /** Of the heading of each page. */
    private const HEAD = 12.0;

    /** Of half an arrow of the grain with its word, at most. */
    private const ARROW = 14.0;

    /** Words below a template have at least this much room across. */
    private const WORDS = 46.0;

    private LengthUnit $unit;

    /** Millimetres of one of the block's unit. */
    private float $scale;

    /** Side of the square that tells whether the page was printed at full size. */
    private float $square;

    public function __construct(private CuttingPlan $plan, private Typesetter $setter)
    {
        $this->unit = $plan->construction->face->block->unit;
        $this->scale = $this->unit === LengthUnit::Inch ? self::INCH : 1.0;
        $this->square = $this->unit === LengthUnit::Inch ? self::INCH : 50.0;
    }

    public function onto(Pages $pages): void
    {
        $cuts = array_values(array_filter($this->plan->cuts, static fn (Cut $cut): bool => $cut->template !== null));
        if ($cuts === []) {
            $pages->begin('Templates', 20);
            $pages->add($this->setter->paragraph('No template is needed: everything here is cut with the ruler.', $pages->width));

            return;
        }
        $room = $pages->height() - self::HEAD - $this->square - 6;
        $small = $large = [];
        foreach ($cuts as $cut) {
            $outline = $this->lying($cut, $pages->width, $room);
            $words = $this->words($cut, max(self::WORDS, $outline === null ? $pages->width : self::extent($outline, 0)));
            if ($outline !== null && self::extent($outline, 1) + 1.5 + $words->height <= $room) {
                $small[] = [max(self::extent($outline, 0), self::WORDS), new Fitted(self::extent($outline, 1) + 1.5 + $words->height, [...$this->drawn($outline, $outline), ...$words->placed(0, self::extent($outline, 1) + 1.5)])];
            } else {
                $large[] = $cut;
            }
        }
        usort($small, static fn (array $one, array $other): int => $other[1]->height <=> $one[1]->height);
        foreach ($this->rowsOnPages($small, $pages->width, $room) as $shapes) {
            $pages->whole($this->atFullSize($shapes, $pages));
        }
        foreach ($large as $cut) {
            $this->inParts($cut, $pages, $room);
        }
    }

    /**
     * In millimetres, its box at 0, 0; turned by a quarter where it only fits so.
     *
     * @return list<array{float, float}>|null null where it fits neither way
     */
    private function lying(Cut $cut, float $width, float $height): ?array
    {
        $upright = $this->outline($cut);
        [$wide, $high] = [self::extent($upright, 0), self::extent($upright, 1)];

        return match (true) {
            $wide <= $width && $high <= $height - 12 => $upright,
            $high <= $width && $wide <= $height - 12 => array_map(static fn (array $corner): array => [$high - $corner[1], $corner[0]], $upright),
            default => null,
        };
    }

    /** @return list<array{float, float}> */
    private function outline(Cut $cut): array
    {
        $corners = array_map(fn (array $corner): array => [$corner[0] * $this->scale, $corner[1] * $this->scale], $cut->outline());
        [$left, $top] = [min([INF, ...array_column($corners, 0)]), min([INF, ...array_column($corners, 1)])];

        return array_map(static fn (array $corner): array => [$corner[0] - $left, $corner[1] - $top], $corners);
    }

    private function words(Cut $cut, float $width): Fitted
    {
        $template = $cut->template ?? throw new \LogicException('Only templates are told here.');
        $sides = array_map(fn (float $side): string => Amount::rounded($side, $this->unit), $template->sides($cut->margin));
        $right = $cut->count - $cut->mirrored;

        return $this->setter->paragraph([
            [$cut->letter.'  ', true],
            [$this->plan->construction->face->block->fabrics[$cut->fabric]->name.', ', false],
            ["cut $cut->count", true],
            [$cut->mirrored === 0 ? '' : ($right === 0 ? ', turned over' : ": $right as it lies, $cut->mirrored turned over"), false],
            ['. Right side up, raw edge; sides '.implode(', ', $sides).' '.$this->unit->value.'.', false],
        ], $width, Typesetter::SMALL);
    }

    /**
     * @param list<array{float, float}> $outline what is drawn of it
     * @param list<array{float, float}> $whole   round whose middle the arrow of the grain lies
     *
     * @return list<Shape>
     */
    private function drawn(array $outline, array $whole): array
    {
        return [new Area($outline, null, Palette::INK, self::OUTLINE, 'template'), ...$this->grain($whole)];
    }

    /**
     * @param list<array{float, float}> $outline
     * @param array{float, float}|null  $at      its middle; that of the outline if null
     *
     * @return list<Shape> an arrow along the straight grain with its word
     */
    private function grain(array $outline, ?array $at = null): array
    {
        [$x, $y] = $at ?? [array_sum(array_column($outline, 0)) / max(1, count($outline)), array_sum(array_column($outline, 1)) / max(1, count($outline))];
        $isUpright = $this->isTurned($outline);
        $reach = max(2.0, min(9.0, self::extent($outline, $isUpright ? 1 : 0) / 6));
        $head = $reach / 4;
        $place = static fn (float $along, float $aside): array => $isUpright ? [$x + $aside, $y + $along] : [$x + $along, $y + $aside];

        return [
            new Stroke([$place(-$reach, 0), $place($reach, 0)], Palette::INK, 0.3, [], 'grain'),
            new Stroke([$place($reach - $head, -$head), $place($reach, 0), $place($reach - $head, $head)], Palette::INK, 0.3),
            new Stroke([$place($head - $reach, -$head), $place(-$reach, 0), $place($head - $reach, $head)], Palette::INK, 0.3),
            ...($reach < 5 ? [] : $this->setter->label('grain', $isUpright ? $x + 1.5 : $x, $isUpright ? $y + 1 : $y - 1, Typesetter::SMALL, $isUpright ? Anchor::Start : Anchor::Middle)->shapes),
        ];
    }

    /** @param list<array{float, float}> $outline whether it was turned to fit, and its grain with it */
    private function isTurned(array $outline): bool
    {
        foreach ($this->plan->cuts as $cut) {
            if ($cut->template !== null && $this->outline($cut) === $outline) {
                return false;
            }
        }

        return true;
    }

    /**
     * Each in the first row that has room for it, or in a row of its own on the first page that has.
     *
     * @param list<array{float, Fitted}> $templates with their widths, the highest first
     *
     * @return list<list<Shape>> by page
     */
    private function rowsOnPages(array $templates, float $width, float $height): array
    {
        $pages = [];
        /** @var array<int, float> $ends how far down each page is filled */
        $ends = [];
        /** @var list<array{int, float, float, float}> $rows page, how far down, height, and how far it is filled */
        $rows = [];
        foreach ($templates as [$wide, $template]) {
            $found = null;
            foreach ($rows as $number => [$page, $down, $high, $right]) {
                if ($template->height <= $high && $right + $wide <= $width) {
                    $found = $number;
                    break;
                }
            }
            if ($found === null) {
                $page = count($ends);
                foreach ($ends as $number => $end) {
                    if ($end + $template->height <= $height) {
                        $page = $number;
                        break;
                    }
                }
                $found = count($rows);
                $rows[] = [$page, $ends[$page] ?? 0.0, $template->height, 0.0];
                $ends[$page] = ($ends[$page] ?? 0.0) + $template->height + self::GAP;
            }
            [$page, $down, $high, $right] = $rows[$found];
            $pages[$page] = [...$pages[$page] ?? [], ...$template->placed($right, $down)];
            $rows[$found] = [$page, $down, $high, $right + $wide + self::GAP];
        }

        return array_values($pages);
    }

    /** @param list<Shape> $shapes */
    private function atFullSize(array $shapes, Pages $pages): Fitted
    {
        $top = $pages->height() - $this->square;
        $words = sprintf('Print at full size, not fitted to the page. Measure this square first: it is %s each way.', $this->unit === LengthUnit::Inch ? '1 in' : '5 cm');
        $told = $this->setter->paragraph($words, $pages->width - $this->square - 6, Typesetter::SMALL);

        return new Fitted($pages->height(), [
            ...$pages->heading('Templates at full size')->shapes,
            ...array_map(static fn (Shape $shape): Shape => $shape->placed(0, self::HEAD, 1), $shapes),
            Area::rectangle($pages->width - $this->square, $top, $this->square, $this->square, null, Palette::INK, 0.25, 'test-square'),
            ...$told->placed(0, $top + $this->square - $told->height),
        ]);
    }

    private function inParts(Cut $cut, Pages $pages, float $room): void
    {
        $outline = $this->outline($cut);
        [$wide, $high] = [$pages->width, $room - 14];
        [$columns, $rows] = [(int) ceil(self::extent($outline, 0) / $wide), (int) ceil(self::extent($outline, 1) / $high)];
        [$centreX, $centreY] = [array_sum(array_column($outline, 0)) / max(1, count($outline)), array_sum(array_column($outline, 1)) / max(1, count($outline))];
        for ($row = 0; $row < $rows; ++$row) {
            for ($column = 0; $column < $columns; ++$column) {
                [$left, $top] = [$column * $wide, $row * $high];
                $shapes = [];
                foreach ($outline as $i => $from) {
                    $seen = self::within($from, $outline[($i + 1) % count($outline)], $left, $top, $left + $wide, $top + $high);
                    if ($seen !== null) {
                        $shapes[] = new Stroke([[$seen[0][0] - $left, $seen[0][1] - $top], [$seen[1][0] - $left, $seen[1][1] - $top]], Palette::INK, self::OUTLINE, [], 'template');
                    }
                }
                if ($centreX >= $left && $centreX < $left + $wide && $centreY >= $top && $centreY < $top + $high) {
                    array_push($shapes, ...array_map(static fn (Shape $shape): Shape => $shape->placed(-$left, -$top, 1), $this->grain($outline, [max($left + self::ARROW, min($left + $wide - self::ARROW, $centreX)), max($top + self::ARROW, min($top + $high - self::ARROW, $centreY))])));
                }
                if ($shapes === [] && ! Tiling::holds($outline, [$left + $wide / 2, $top + $high / 2])) {
                    continue; // none of it lies here
                }
                array_push($shapes, ...$this->joiningMarks($row, $column, $rows, $columns, $wide, $high));
                $words = sprintf('Template %s, part %d of %d. Cut on the dashed lines and lay like numbers on each other.', $cut->letter, $row * $columns + $column + 1, $rows * $columns);
                $told = Fitted::below(0.5, $this->setter->paragraph($words, $pages->width, isBold: true), $this->words($cut, $pages->width));
                $pages->whole($this->atFullSize([...$shapes, ...$told->placed(0, $high + 2)], $pages));
            }
        }
    }

    /** @return list<Shape> on the edges where parts meet, half of each on either part */
    private function joiningMarks(int $row, int $column, int $rows, int $columns, float $wide, float $high): array
    {
        $marks = [];
        $edges = [
            [$column > 0, [[0.0, 0.0], [0.0, $high]], "$row/".($column - 1).'-'],
            [$column + 1 < $columns, [[$wide, 0.0], [$wide, $high]], "$row/$column-"],
            [$row > 0, [[0.0, 0.0], [$wide, 0.0]], ($row - 1)."/$column|"],
            [$row + 1 < $rows, [[0.0, $high], [$wide, $high]], "$row/$column|"],
        ];
        foreach ($edges as [$isInner, [[$fromX, $fromY], [$toX, $toY]], $name]) {
            if (! $isInner) {
                continue;
            }
            $marks[] = new Stroke([[$fromX, $fromY], [$toX, $toY]], Palette::SOFT, 0.2, [2.0, 1.5], 'joining');
            foreach ([0.25, 0.75] as $share) {
                [$x, $y] = [$fromX + $share * ($toX - $fromX), $fromY + $share * ($toY - $fromY)];
                $marks[] = Area::disc($x, $y, 3, null, Palette::INK, 0.25, 'joining-mark');
                $number = (string) $this->numberOf($name, $rows, $columns);
                [$inX, $inY] = [max(4.0, min($wide - 4, $x)), max(5.0, min($high - 3, $y))];
                array_push($marks, ...$this->setter->label($number, $inX === $x ? $x : $inX + ($x < $inX ? 1 : -1), $inY === $y ? $y + 1 : $inY, Typesetter::TEXT, Anchor::Middle, true)->shapes);
            }
        }

        return $marks;
    }

    /** The same for the two parts that meet there. */
    private function numberOf(string $edge, int $rows, int $columns): int
    {
        preg_match('~^(\d+)/(\d+)([-|])$~D', $edge, $part);
        [$row, $column] = [(int) ($part[1] ?? 0), (int) ($part[2] ?? 0)];

        return ($part[3] ?? '') === '-' ? $row * ($columns - 1) + $column + 1 : $rows * ($columns - 1) + $row * $columns + $column + 1;
    }

    /**
     * @param array{float, float} $from
     * @param array{float, float} $to
     *
     * @return array{array{float, float}, array{float, float}}|null what of the line lies within the box
     */
    private static function within(array $from, array $to, float $left, float $top, float $right, float $bottom): ?array
    {
        [$dx, $dy] = [$to[0] - $from[0], $to[1] - $from[1]];
        [$first, $last] = [0.0, 1.0];
        foreach ([[-$dx, $from[0] - $left], [$dx, $right - $from[0]], [-$dy, $from[1] - $top], [$dy, $bottom - $from[1]]] as [$way, $room]) {
            if (abs($way) < 1e-12) {
                if ($room < 0) {
                    return null;
                }
            } elseif ($way < 0) {
                $first = max($first, $room / $way);
            } else {
                $last = min($last, $room / $way);
            }
        }

        return $last - $first < 1e-9 ? null : [[$from[0] + $first * $dx, $from[1] + $first * $dy], [$from[0] + $last * $dx, $from[1] + $last * $dy]];
    }

    /** @param list<array{float, float}> $corners */
    private static function extent(array $corners, int $axis): float
    {
        $places = array_column($corners, $axis);

        return max([0.0, ...$places]) - min([0.0, ...$places]);
    }
}
