<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Drawing\FaceDrawing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

final class FaceDrawingTest extends TestCase
{
    /** @return list<array{int}> */
    public static function seeds(): array
    {
        return array_map(static fn (int $seed): array => [$seed], range(1, 12));
    }

    #[DataProvider('seeds')]
    public function test_every_fabric_covers_as_much_of_the_picture_as_of_the_face(int $seed): void
    {
        $face = Face::of(Blocks::construction(Blocks::generated($seed, 2 + $seed % 3, 2 + $seed % 4))->face->block);
        $svg = simplexml_load_string(FaceDrawing::svg($face, 300));
        self::assertNotFalse($svg);
        $drawn = [];
        foreach ($svg->path as $path) {
            foreach (explode('Z', rtrim((string) $path['d'], 'Z')) as $patch) {
                $drawn[(string) $path['fill']] = ($drawn[(string) $path['fill']] ?? 0) + self::areaDoubled(array_chunk(array_map(intval(...), preg_split('~[M ]~', $patch, -1, PREG_SPLIT_NO_EMPTY) ?: []), 2));
            }
        }
        $cut = [];
        foreach ($face->patches as $patch) {
            $cut[$patch->fabric->color] = ($cut[$patch->fabric->color] ?? 0) + $patch->outline->areaDoubled();
        }
        self::assertEquals($cut, $drawn);
        [, , $width, $height] = array_map(intval(...), explode(' ', (string) $svg['viewBox']));
        self::assertSame(2 * $width * $height, array_sum($drawn), 'the picture is the block and nothing else');
        self::assertSame([(int) round(300 * $width / max($width, $height)), (int) round(300 * $height / max($width, $height))], [(int) $svg['width'], (int) $svg['height']]);
    }

    /** @param list<array<int, int>> $corners */
    private static function areaDoubled(array $corners): int
    {
        $sum = 0;
        foreach ($corners as $number => [$x, $y]) {
            [$nextX, $nextY] = $corners[($number + 1) % count($corners)];
            $sum += $x * $nextY - $nextX * $y;
        }

        return abs($sum);
    }
}
