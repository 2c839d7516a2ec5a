<?php

declare(strict_types=1);

namespace KeenSeam\Core\Layout;

use KeenSeam\Core\Block\Block;
use KeenSeam\Core\Block\Cell;
use KeenSeam\Core\Block\Fabric;
use KeenSeam\Core\Block\FabricValue;
use KeenSeam\Core\Block\Grid;
use KeenSeam\Core\Block\PatternUnit;
use KeenSeam\Core\Block\Placement;
use KeenSeam\Core\Block\Turn;
use KeenSeam\Core\Block\UnitPatterns;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\Length;
use KeenSeam\Core\Measure\LengthUnit;

/** What a new block begins with. */
enum Start: string
{
    case Blank = 'blank';
    case OneWay = 'one-way';
    case Turning = 'turning';
    case ToTheMiddle = 'to-the-middle';
    case Alternating = 'alternating';
    case Star = 'star';

    public function words(): string
    {
        return match ($this) {
            self::Blank => 'Plain patches',
            self::OneWay => 'Triangles all one way',
            self::Turning => 'Triangles turning in fours',
            self::ToTheMiddle => 'Triangles round the middle',
            self::Alternating => 'Triangles and plain, in turn',
            self::Star => 'A star with a plain middle',
        };
    }

    /**
     * @param non-empty-list<Fraction> $columns      relative widths
     * @param non-empty-list<Fraction> $rows
     * @param Length                   $width        finished
     * @param bool                     $isFigureDark whether the figure is dark on light, or light on dark
     */
    public function block(string $name, LengthUnit $unit, Length $width, Length $height, Length $allowance, array $columns, array $rows, bool $isFigureDark = true): Block
    {
        $fabrics = [
            'A' => new Fabric('A', 'Sailcloth', '#ece5d6', FabricValue::Light),
            'B' => new Fabric('B', 'Harbour ink', '#22405f', FabricValue::Dark),
            'C' => new Fabric('C', 'Lamp gold', '#d9a13b', FabricValue::Medium),
        ];
        [$ground, $figure] = $isFigureDark ? [$fabrics['A'], $fabrics['B']] : [$fabrics['B'], $fabrics['A']];
        $cells = [];
        foreach (array_keys($rows) as $row) {
            foreach (array_keys($columns) as $column) {
                [$kind, $turn] = $this === self::Star ? self::ofStar($row, $column, count($rows), count($columns)) : ['half-square-triangle', $this->turn($row, $column, count($rows), count($columns))];
                $pattern = UnitPatterns::all()[$turn === null ? 'plain' : $kind];
                // A star's points are the sky of geese that fly in.
                $cloths = $turn === null ? [$ground] : ($kind === 'flying-geese' ? [$ground, $figure, $figure] : [$ground, $figure]);
                $cells[] = new Cell($row + 1, $column + 1, 1, 1, new PatternUnit($pattern, $cloths), new Placement($turn ?? Turn::None));
            }
        }

        return new Block($name, $unit, $width, $height, $allowance, $fabrics, Grid::of($columns, $rows, $cells));
    }

    /**
     * Points on all four sides: a goose where there is a middle row or column, else a triangle on either side of the middle.
     *
     * @return array{string, Turn|null} kind and turn; no turn for a plain patch. Rows and columns count from 0
     */
    private static function ofStar(int $row, int $column, int $rows, int $columns): array
    {
        foreach (Turn::QUARTERS as $quarters) {
            // Seen with that side turned up.
            [$down, $along, $deep, $wide] = match ($quarters) {
                0 => [$row, $column, $rows, $columns],
                1 => [$columns - 1 - $column, $row, $columns, $rows],
                2 => [$rows - 1 - $row, $columns - 1 - $column, $rows, $columns],
                default => [$column, $rows - 1 - $row, $columns, $rows],
            };
            if ($down !== 0 || $deep < 3 || $wide < 3) {
                continue;
            }
            $isMiddle = 2 * $along + 1 - $wide;
            if ($isMiddle === 0) {
                return ['flying-geese', Turn::ofQuarters(2 + $quarters)];
            }
            if (abs($isMiddle) === 1) {
                return ['half-square-triangle', Turn::ofQuarters(($isMiddle < 0 ? 1 : 0) + $quarters)];
            }
        }

        return ['plain', null];
    }

    /** How the triangles lie there; null for a plain patch. Rows and columns count from 0. */
    private function turn(int $row, int $column, int $rows, int $columns): ?Turn
    {
        return match ($this) {
            self::Blank, self::Star => null,
            self::OneWay => Turn::None,
            self::Turning => Turn::ofQuarters([[0, 1], [3, 2]][$row % 2][$column % 2]),
            self::ToTheMiddle => Turn::ofQuarters([[0, 1], [3, 2]][2 * $row < $rows ? 0 : 1][2 * $column < $columns ? 0 : 1]),
            self::Alternating => ($row + $column) % 2 === 0 ? Turn::None : null,
        };
    }
}
