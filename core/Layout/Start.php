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

    public function words(): string
    {
        return match ($this) {
            self::Blank => 'Plain patches',
            self::OneWay => 'Triangles all one way',
            self::Turning => 'Triangles turning in fours',
            self::ToTheMiddle => 'Triangles round the middle',
            self::Alternating => 'Triangles and plain, in turn',
        };
    }

    /**
     * @param non-empty-list<Fraction> $columns relative widths
     * @param non-empty-list<Fraction> $rows
     * @param Length                   $width   finished
     */
    public function block(string $name, LengthUnit $unit, Length $width, Length $height, Length $allowance, array $columns, array $rows): Block
    {
        $fabrics = [
            'A' => new Fabric('A', 'Sailcloth', '#ece5d6', FabricValue::Light),
            'B' => new Fabric('B', 'Harbour ink', '#22405f', FabricValue::Dark),
            'C' => new Fabric('C', 'Lamp gold', '#d9a13b', FabricValue::Medium),
        ];
        $plain = new PatternUnit(UnitPatterns::all()['plain'], [$fabrics['A']]);
        $triangles = new PatternUnit(UnitPatterns::all()['half-square-triangle'], [$fabrics['A'], $fabrics['B']]);
        $cells = [];
        foreach (array_keys($rows) as $row) {
            foreach (array_keys($columns) as $column) {
                $turn = $this->turn($row, $column, count($rows), count($columns));
                $cells[] = new Cell($row + 1, $column + 1, 1, 1, $turn === null ? $plain : $triangles, new Placement($turn ?? Turn::None));
            }
        }

        return new Block($name, $unit, $width, $height, $allowance, $fabrics, Grid::of($columns, $rows, $cells));
    }

    /** How the triangles lie there; null for a plain patch. Rows and columns count from 0. */
    private function turn(int $row, int $column, int $rows, int $columns): ?Turn
    {
        return match ($this) {
            self::Blank => null,
            self::OneWay => Turn::None,
            self::Turning => Turn::ofQuarters([[0, 1], [3, 2]][$row % 2][$column % 2]),
            self::ToTheMiddle => Turn::ofQuarters([[0, 1], [3, 2]][2 * $row < $rows ? 0 : 1][2 * $column < $columns ? 0 : 1]),
            self::Alternating => ($row + $column) % 2 === 0 ? Turn::None : null,
        };
    }
}
