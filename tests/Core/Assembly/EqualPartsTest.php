<?php

declare(strict_types=1);

namespace Tests\Core\Assembly;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\EqualPart;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Piece;
use KeenSeam\Core\Pressing\EqualParts;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\Pressing;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

final class EqualPartsTest extends TestCase
{
    /** A windmill of four equal squares, each of one light and one dark triangle, given as bare patches. */
    private const WINDMILL = [
        ['A', '0,0 1/2,1/2 0,1/2'], ['B', '0,0 1/2,0 1/2,1/2'],
        ['A', '1/2,0 1,0 1/2,1/2'], ['B', '1,0 1,1/2 1/2,1/2'],
        ['A', '1,1/2 1,1 1/2,1/2'], ['B', '1/2,1/2 1,1 1/2,1'],
        ['A', '1/2,1/2 1/2,1 0,1'], ['B', '0,1/2 1/2,1/2 0,1'],
    ];

    public function test_parts_that_come_out_equal_after_a_turn_are_recognised(): void
    {
        $parts = self::windmill()->equalParts();

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

        self::assertSame([], self::ofPatches($mirrored)->equalParts());
    }

    public function test_they_are_pressed_alike_only_when_asked(): void
    {
        $construction = self::windmill();
        $planner = new PressingPlanner($construction);
        foreach (PressStyle::cases() as $style) {
            $apart = $planner->best(new PressQuestion($style));
            $alike = $planner->best(new PressQuestion($style, equalParts: EqualParts::Alike));

            self::assertCount(1, self::towards($construction, $alike->pressing), $style->value);
            self::assertGreaterThanOrEqual(0, $alike->cost->compareTo($apart->cost, $style));
        }
    }

    public function test_the_best_plan_with_parts_alike_is_the_best_of_all_such_plans(): void
    {
        $construction = self::windmill();
        $planner = new PressingPlanner($construction);
        $question = new PressQuestion(PressStyle::Nest, equalParts: EqualParts::Alike);
        $halves = $construction->equalParts()[0]->members;
        // The second half is the first turned half round: what lies left in the one lies right in the other.
        $isHalfTurned = $halves[0]->leftSide === $halves[1]->leftSide;
        $best = null;
        for ($bits = 0; $bits < 2 ** count($construction->joins); ++$bits) {
            $pressing = Pressing::wholeJoins($construction, array_map(
                static fn (Join $join): PressDirection => ($bits >> $join->id & 1) === 1 ? PressDirection::Right : PressDirection::Left,
                $construction->joins,
            ));
            $agree = $pressing->of($halves[0])[0] === $pressing->of($halves[1])[0];
            if (count(self::towards($construction, $pressing)) === 1 && $agree === self::sameSideAfterTurn($halves[0], $halves[1])) {
                $cost = $planner->price($pressing, $question)->cost;
                $best = $best === null || $cost->compareTo($best, PressStyle::Nest) < 0 ? $cost : $best;
            }
        }

        self::assertTrue($isHalfTurned);
        self::assertEquals($best, $planner->best($question)->cost);
    }

    /** Whether the first half's left square comes to lie on the second half's left square when turned half round. */
    private static function sameSideAfterTurn(Join $first, Join $second): bool
    {
        $turned = $first->left->outline()->seenFrom($first->outline()->corner())->turned(2);
        $whole = $first->outline()->seenFrom($first->outline()->corner())->turned(2);
        $there = $second->left->outline();

        return $turned->corner()->minus($whole->corner())->equals($there->corner()->minus($second->outline()->corner()));
    }

    /** @return array<string, true> the fabrics toward which the small squares are pressed */
    private static function towards(Construction $construction, Pressing $pressing): array
    {
        $towards = [];
        foreach ($construction->joins as $join) {
            if ($join->left instanceof Piece && $join->right instanceof Piece) {
                $towards[match ($pressing->of($join)[0]) {
                    PressDirection::Left => $join->left->patch->fabric->key,
                    PressDirection::Right => $join->right->patch->fabric->key,
                    PressDirection::Open => 'open',
                }] = true;
            }
        }

        return $towards;
    }

    private static function windmill(): Construction
    {
        return self::ofPatches(self::WINDMILL);
    }

    /** @param list<array{string, string}> $patches fabric and corners */
    private static function ofPatches(array $patches): Construction
    {
        $file = Blocks::file('pA');
        $file['cells'] = [['row' => 1, 'column' => 1, 'unit' => 'patches', 'patches' => array_map(static fn (array $patch): array => [
            'fabric' => $patch[0],
            'points' => array_map(static fn (string $corner): array => explode(',', $corner), explode(' ', $patch[1])),
        ], $patches)]];

        return Blocks::construction($file);
    }
}
