<?php

declare(strict_types=1);

namespace Tests\Core\Assembly;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\FaceSide;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Assembly\SeamPlaces;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Pressing\PressDirection;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

final class SeamPlacesTest extends TestCase
{
    public function test_a_seam_is_told_by_its_ends_as_fractions_of_the_block(): void
    {
        // Two half-square triangles side by side: two slanting seams and the level one between the units... upright, that is.
        $construction = self::construction(Blocks::file('hAB hAB'));
        $places = SeamPlaces::of($construction);

        self::assertSame(['0,1 1/2,0', '1/2,1 1,0', '1/2,0 1/2,1'], $places->places);
        self::assertSame([0, 2, 2, null], array_map($places->joinAt(...), ['0,1 1/2,0', '1/2,0 1/2,1', '1/2,1 1/2,0', '0,0 1,1']));
    }

    /** @return iterable<string, array{array<string, mixed>, Order}> */
    public static function blocks(): iterable
    {
        foreach (['tide-gate', 'lamp-room', 'slack-water'] as $name) {
            $file = json_decode((string) file_get_contents(dirname(__DIR__, 3)."/database/demo/$name.keenseam.json"), true, 64, JSON_THROW_ON_ERROR);
            foreach ([Order::Rows, Order::Columns, Order::Quarters] as $order) {
                yield "$name by {$order->value}" => [$file, $order];
            }
        }
    }

    /** @param array<string, mixed> $file */
    #[DataProvider('blocks')]
    public function test_places_tell_seams_apart_and_outlive_another_size_and_other_cloth(array $file, Order $order): void
    {
        $construction = self::construction($file, $order);
        $places = SeamPlaces::of($construction);
        $other = $file;
        $other['finished'] = ['width' => '17 1/3', 'height' => '9'];
        $other['fabrics'][0]['color'] = '#123456';
        $same = SeamPlaces::of(self::construction($other, $order));

        self::assertCount(count($construction->joins), array_unique($places->places));
        self::assertEquals([$places->places, $places->whole()], [$same->places, $same->whole()]);
        foreach ($construction->joins as $join) {
            self::assertSame($join->id, $places->joinAt($places->places[$join->id]));
            self::assertSame($places->partOf($join->id), $same->partOf($join->id));
        }
        foreach ($construction->face->patches as $patch) {
            self::assertSame($places->ofPatch($patch->id), $same->ofPatch($patch->id));
        }
    }

    public function test_a_part_is_another_once_a_seam_in_it_lies_otherwise(): void
    {
        $places = SeamPlaces::of(self::construction(Blocks::file('hAB hAB', 'hAB hAB')));
        $turned = Blocks::file('hAB hAB', 'hAB hAB');
        $turned['cells'][3]['turn'] = 90;
        $other = SeamPlaces::of(self::construction($turned));

        self::assertSame($places->partOf($places->joinAt('1/2,0 1/2,1/2') ?? -1), $other->partOf($other->joinAt('1/2,0 1/2,1/2') ?? -1), 'the upper row is what it was');
        self::assertNotSame($places->partOf($places->joinAt('1/2,1/2 1/2,1') ?? -1), $other->partOf($other->joinAt('1/2,1/2 1/2,1') ?? -1), 'the lower row holds a turned unit');
        self::assertNotSame($places->whole(), $other->whole());
    }

    /** @param array<string, mixed> $file */
    #[DataProvider('blocks')]
    public function test_sides_are_those_one_sees_on_the_face(array $file, Order $order): void
    {
        $construction = self::construction($file, $order);
        $middle = static function (array $points): array {
            return [array_sum(array_map(static fn (Point $p): int => $p->x, $points)) / count($points), array_sum(array_map(static fn (Point $p): int => $p->y, $points)) / count($points)];
        };
        foreach ($construction->joins as $join) {
            [$left, $right] = [$middle($join->left->outline()->points), $middle($join->right->outline()->points)];
            $isLevel = $join->seam->from->y === $join->seam->to->y;
            // Both parts are convex, so their middles lie on their own sides; at a slanting seam that may be told along the level only.
            $meant = match (true) {
                $isLevel => $left[1] < $right[1] ? FaceSide::Up : FaceSide::Down,
                $join->seam->from->x === $join->seam->to->x => $left[0] < $right[0] ? FaceSide::Left : FaceSide::Right,
                default => FaceSide::ofLeftPart($join),
            };
            self::assertSame($meant, FaceSide::ofLeftPart($join));
            foreach (PressDirection::cases() as $direction) {
                $word = $direction->onFace($meant);
                self::assertSame($direction, PressDirection::fromFace($word, $meant));
                self::assertContains($word, $isLevel ? ['up', 'down', 'open'] : ['left', 'right', 'open']);
            }
            self::assertNull(PressDirection::fromFace($isLevel ? 'left' : 'up', $meant));
        }
        self::assertSame([FaceSide::Down, FaceSide::Up, FaceSide::Right, FaceSide::Left], array_map(static fn (FaceSide $side): FaceSide => $side->opposite(), [FaceSide::Up, FaceSide::Down, FaceSide::Left, FaceSide::Right]));
    }

    /** @param array<string, mixed> $file */
    private static function construction(array $file, Order $order = Order::Rows): Construction
    {
        return Construction::of(Face::of(BlockFile::read($file)), $order);
    }
}
