<?php

declare(strict_types=1);

namespace Tests\Core\Assembly;

use KeenSeam\Core\Assembly\UnitClass;
use KeenSeam\Core\Assembly\UnitName;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

final class UnitNameTest extends TestCase
{
    public function test_a_name_given_to_one_is_the_name_of_its_class(): void
    {
        $file = Blocks::file('hAB hAB90', 'gABC hAB180');
        $file['cells'][1]['label'] = 'Bollard';
        self::assertSame([['Bollard', 'Bollard'], ['flying goose', 'flying geese']], self::names($file));
    }

    public function test_only_classes_that_are_called_the_same_are_tagged(): void
    {
        $classes = Blocks::sewn('hAB hBC', 'gABC pA')->classes;
        self::assertSame(['U1', 'U2', ''], UnitName::tags($classes));
        self::assertSame([''], UnitName::tags([$classes[0]]));
    }

    public function test_a_drawn_unit_of_a_known_shape_is_called_by_it(): void
    {
        $file = Blocks::file('pA pB pA');
        $patch = static fn (string $fabric, array ...$points): array => ['fabric' => $fabric, 'points' => $points];
        $file['cells'][0] = ['row' => 1, 'column' => 1, 'unit' => 'patches', 'patches' => [$patch('A', ['0', '0'], ['1', '0'], ['1', '1']), $patch('B', ['0', '0'], ['1', '1'], ['0', '1'])]];
        $file['cells'][1] = ['row' => 1, 'column' => 2, 'unit' => 'patches', 'patches' => [$patch('A', ['0', '0'], ['1', '0'], ['1', '1/3'], ['0', '1/3']), $patch('B', ['0', '1/3'], ['1', '1/3'], ['1', '1'], ['0', '1'])]];
        $file['cells'][2] = ['row' => 1, 'column' => 3, 'unit' => 'grid', 'columns' => ['1', '1'], 'rows' => ['1', '1'], 'cells' => array_map(static fn (int $i): array => ['row' => intdiv($i, 2) + 1, 'column' => $i % 2 + 1, 'unit' => 'plain', 'fabrics' => [$i % 3 === 0 ? 'A' : 'B']], [0, 1, 2, 3])];
        self::assertSame([['half-square triangle', 'half-square triangles'], ['pieced unit', 'pieced units'], ['four-patch', 'four-patches']], self::names($file));
    }

    /**
     * @param array<string, mixed> $file
     *
     * @return list<array{string, string}>
     */
    private static function names(array $file): array
    {
        return array_map(static fn (UnitClass $class): array => [UnitName::ofClass($class, false), UnitName::ofClass($class, true)], Blocks::construction($file)->classes);
    }
}
