<?php

declare(strict_types=1);

namespace Tests\Core\Pressing;

use KeenSeam\Core\Assembly\Construction;
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

/** Equal parts within a drawn unit, pressed alike where the quilter wants that. */
final class EqualPartsTest extends TestCase
{
    public function test_they_are_pressed_alike_only_when_asked(): void
    {
        $construction = Blocks::pinwheelOfPatches();
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
        $construction = Blocks::pinwheelOfPatches();
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
}
