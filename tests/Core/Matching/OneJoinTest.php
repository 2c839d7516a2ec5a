<?php

declare(strict_types=1);

namespace Tests\Core\Matching;

use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\RawEdges;
use KeenSeam\Core\Matching\SquareUp;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

final class OneJoinTest extends TestCase
{
    public function test_a_join_asked_for_by_itself_is_what_it_is_among_all(): void
    {
        $takeUp = Fraction::of(9, 16);
        for ($seed = 0; $seed < 6; ++$seed) {
            $construction = Blocks::construction(Blocks::generated($seed, 3, 3));
            $plan = (new PressingPlanner($construction))->best(new PressQuestion(PressStyle::Nest));
            $edges = new RawEdges($construction);
            $measured = [$construction->joins[2]->id => [3.1, 2.4]];
            foreach (SquareUp::cases() as $squareUp) {
                $all = new Drift($plan, $takeUp, $squareUp, [], $measured);
                foreach ($construction->joins as $join) {
                    self::assertEquals([$all->sheets[$join->id]], Drift::at($plan, $takeUp, $squareUp, $join, $measured, $edges)->sheets, "seed $seed, join $join->id");
                }
            }
        }
    }
}
