<?php

declare(strict_types=1);

namespace Tests\Core\Making;

use KeenSeam\Core\Making\Cut;
use KeenSeam\Core\Making\CutQuestion;
use KeenSeam\Core\Making\CuttingPlan;
use KeenSeam\Core\Making\Then;
use KeenSeam\Core\Making\Way;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

/**
 * Three units of 3 in, or three geese of 4 x 2 in, in every way there is. Common practice, no published source: a square cut once
 * is the finished side and 7/8 in, cut twice the long side and 1 1/4 in; eight at a time twice what two at a time take; the middle
 * of a square in a square the finished side over the root of two and 1/2 in.
 */
final class CutListTest extends TestCase
{
    /** @return list<array{string, string, list<string>, int, int}> unit, way, stacks, how many come out, and of how many batches */
    private static function ways(): array
    {
        return [
            ['hAB', 'two-at-a-time', ['A 2 square 3 7/8', 'B 2 square 3 7/8'], 4, 2],
            ['hAB', 'from-triangles', ['A 2 square 3 7/8 once', 'B 2 square 3 7/8 once'], 3, 3],
            ['hAB', 'eight-at-a-time', ['A 1 square 7 3/4', 'B 1 square 7 3/4'], 8, 1],
            ['hAB', 'four-at-a-time', ['A 1 square 5 1/2', 'B 1 square 5 1/2'], 4, 1],
            ['hAB', 'foundation-sheets', ['A 1 rectangle 7 3/4 x 3 7/8', 'B 1 rectangle 7 3/4 x 3 7/8'], 4, 1],
            ['hAA', 'two-at-a-time', ['A 4 square 3 7/8'], 4, 2],
            ['hAA', 'from-triangles', ['A 3 square 3 7/8 once'], 3, 3],
            ['hAA', 'eight-at-a-time', ['A 2 square 7 3/4'], 8, 1],
            ['hAA', 'four-at-a-time', ['A 2 square 5 1/2'], 4, 1],
            ['hAA', 'foundation-sheets', ['A 2 rectangle 7 3/4 x 3 7/8'], 4, 1],
            ['qABAB', 'crossed', ['A 2 square 4 1/4', 'B 2 square 4 1/4'], 4, 2],
            ['qABAB', 'from-triangles', ['A 2 square 4 1/4 twice', 'B 2 square 4 1/4 twice'], 3, 3],
            ['qABCB', 'crossed', ['A 1 square 4 1/4', 'B 2 square 4 1/4', 'C 1 square 4 1/4'], 4, 1],
            ['qABCB', 'from-triangles', ['A 1 square 4 1/4 twice', 'B 2 square 4 1/4 twice', 'C 1 square 4 1/4 twice'], 3, 3],
            ['qABCA', 'crossed', ['A 4 square 4 1/4', 'B 2 square 4 1/4', 'C 2 square 4 1/4'], 6, 2],
            ['qABCA', 'from-triangles', ['A 2 square 4 1/4 twice', 'B 1 square 4 1/4 twice', 'C 1 square 4 1/4 twice'], 3, 3],
            ['sABC', 'crossed', ['A 3 square 3 7/8', 'B 2 square 4 1/4', 'C 2 square 4 1/4'], 6, 2],
            ['sABC', 'from-triangles', ['A 2 square 3 7/8 once', 'B 1 square 4 1/4 twice', 'C 1 square 4 1/4 twice'], 3, 3],
            ['sABC', 'stepped', ['A 2 square 3 7/8 once', 'B 1 square 4 1/4', 'C 1 square 4 1/4'], 4, 1],
            ['sABA', 'crossed', ['A 2 square 4 1/4', 'A 3 square 3 7/8', 'B 2 square 4 1/4'], 6, 2],
            ['sABA', 'from-triangles', ['A 1 square 4 1/4 twice', 'A 2 square 3 7/8 once', 'B 1 square 4 1/4 twice'], 3, 3],
            ['sABA', 'stepped', ['A 1 square 4 1/4', 'A 2 square 3 7/8 once', 'B 1 square 4 1/4'], 4, 1],
            ['gABB', 'four-at-once', ['A 1 square 5 1/4', 'B 4 square 2 7/8'], 4, 1],
            ['gABB', 'flipped', ['A 3 rectangle 4 1/2 x 2 1/2', 'B 6 square 2 1/2'], 3, 3],
            ['gABB', 'from-triangles', ['A 1 square 5 1/4 twice', 'B 3 square 2 7/8 once'], 3, 3],
            ['gABB', 'two-half-squares', ['A 3 square 2 7/8', 'B 3 square 2 7/8'], 3, 3],
            ['gABC', 'four-at-once', ['A 2 square 5 1/4', 'B 4 square 2 7/8', 'C 4 square 2 7/8'], 8, 2],
            ['gABC', 'flipped', ['A 3 rectangle 4 1/2 x 2 1/2', 'B 3 square 2 1/2', 'C 3 square 2 1/2'], 3, 3],
            ['gABC', 'from-triangles', ['A 1 square 5 1/4 twice', 'B 2 square 2 7/8 once', 'C 2 square 2 7/8 once'], 3, 3],
            ['gABC', 'two-half-squares', ['A 4 square 2 7/8', 'B 2 square 2 7/8', 'C 2 square 2 7/8'], 4, 2],
            ['tABB', 'template', ['A 3 template 3 1/2', 'B 6 template 3 1/2 x 2 1/4 m3'], 3, 3],
            ['tABC', 'template', ['A 3 template 3 1/2', 'B 3 template 3 1/2 x 2 1/4', 'C 3 template 3 1/2 x 2 1/4'], 3, 3],
            ['dABBBB', 'flipped', ['A 3 square 3 1/2', 'B 12 square 2'], 3, 3],
            ['dABBBB', 'from-triangles', ['A 3 square 2 5/8', 'B 6 square 2 3/8 once'], 3, 3],
            ['dABCBC', 'flipped', ['A 3 square 3 1/2', 'B 6 square 2', 'C 6 square 2'], 3, 3],
            ['dABCBC', 'from-triangles', ['A 3 square 2 5/8', 'B 3 square 2 3/8 once', 'C 3 square 2 3/8 once'], 3, 3],
        ];
    }

    public function test_every_way_takes_the_cloth_that_handbooks_give(): void
    {
        foreach (self::ways() as [$word, $way, $stacks, $makes, $batches]) {
            $plan = self::plan($word, $way);

            self::assertSame($stacks, array_map(static fn (Cut $cut): string => sprintf('%s %d %s %s%s%s%s', $cut->fabric, $cut->count, $cut->shape->value, $cut->width->toText(), $cut->height->equals($cut->width) ? '' : ' x '.$cut->height->toText(), match ($cut->then) {
                Then::None => '',
                Then::Once => ' once',
                Then::Twice => ' twice',
            }, $cut->mirrored === 0 ? '' : ' m'.$cut->mirrored), $plan->cuts), "$word, $way");
            self::assertSame([$makes, $batches], [$plan->units[0]->makes(), $plan->units[0]->batches()], "$word, $way");
        }
    }

    public function test_these_are_all_ways_and_they_are_offered_for_the_units_they_are_for(): void
    {
        $told = [];
        foreach (self::ways() as [$word, $way]) {
            $told[$word][] = $way;
        }
        foreach ($told as $word => $ways) {
            self::assertSame($ways, array_map(static fn (Way $way): string => $way->key, self::plan($word, $ways[0])->units[0]->ways), $word);
        }
    }

    private static function plan(string $word, string $way): CuttingPlan
    {
        return CuttingPlan::of(Blocks::construction(['finished' => ['width' => $word[0] === 'g' ? '12' : '9', 'height' => $word[0] === 'g' ? '2' : '3']] + Blocks::file("$word $word $word")), new CutQuestion(ways: ['U1' => $way]));
    }
}
