<?php

declare(strict_types=1);

namespace Tests\Core\Assembly;

use KeenSeam\Core\Assembly\EqualPart;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

final class EqualPartsTest extends TestCase
{
    public function test_parts_that_come_out_equal_after_a_turn_are_recognised(): void
    {
        $parts = Blocks::pinwheelOfPatches()->equalParts();

        self::assertSame(
            [['U1a', 2, 4], ['U1b', 4, 2]],
            array_map(static fn (EqualPart $part): array => [$part->label, count($part->members), count($part->members[0]->patchIds())], $parts),
        );
    }

    public function test_units_of_a_grid_are_classes_already(): void
    {
        self::assertSame([], Blocks::sewn('hAB hAB90', 'hAB270 hAB180')->equalParts());
    }

    public function test_mirror_images_are_not_equal_parts(): void
    {
        $mirrored = [['A', '0,0 1/2,0 0,1'], ['B', '1/2,0 1/2,1 0,1'], ['A', '1/2,0 1,0 1,1'], ['B', '1/2,0 1,1 1/2,1']];

        self::assertSame([], Blocks::ofPatches($mirrored)->equalParts());
    }
}
