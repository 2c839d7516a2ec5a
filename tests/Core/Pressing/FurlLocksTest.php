<?php

declare(strict_types=1);

namespace Tests\Core\Pressing;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Geometry\Point;
use KeenSeam\Core\Pressing\Furled;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\LockNotPossible;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\Pressing;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use PHPUnit\Framework\TestCase;
use Tests\Support\Blocks;

/** Locks that hold a way for every stretch of a seam. */
final class FurlLocksTest extends TestCase
{
    public function test_a_four_patch_furls_as_it_is_told_in_any_school_but_open(): void
    {
        $construction = Blocks::sewn('pA pB', 'pB pA');
        foreach ([PressStyle::Nest, PressStyle::NestFurl, PressStyle::Mixed] as $style) {
            foreach (['2:left,right', '2:right,left'] as $told) {
                $plan = (new PressingPlanner($construction))->best(new PressQuestion($style, [Lock::parse($told)]));
                self::assertSame($told, '2:'.implode(',', array_column($plan->pressing->directions[2], 'value')));
                self::assertSame([5], $plan->peaks(), 'common practice, no published source: a furled four-patch lies five deep');
                self::assertTrue(self::turnsLikeAWheel($construction, $plan->pressing));
                self::assertTrue($plan->proved);
                $last = $construction->joins[2];
                $onFace = self::sense($last, $plan->pressing->of($last)[1], $last->matchPoints()[0]->at, $last->seam->to);
                self::assertSame([$onFace < 0], array_map(static fn (Furled $furl): bool => $furl->isClockwise, Furled::along($last, $plan->pressing)), 'the back turns the other way round');
                self::assertSame([], Furled::along($construction->joins[0], $plan->pressing));
            }
        }
    }

    public function test_every_lock_by_stretches_is_kept_as_the_best_wheel_or_refused_where_there_is_none(): void
    {
        $refused = 0;
        // Two equal pairs, one above the other, are one pile: their seams lie the same way and never turn.
        $pairs = Blocks::file('pA', 'pA');
        foreach ([0, 1] as $row) {
            $pairs['cells'][$row] = ['row' => $row + 1, 'column' => 1, 'unit' => 'grid', 'columns' => ['1', '1'], 'rows' => ['1'], 'cells' => Blocks::file('pA pB')['cells']];
        }
        foreach ([Blocks::file('pA pB pA', 'pB pA pB'), $pairs, Blocks::file('hAB pB hAB90', 'pB hAB pA'), Blocks::file('pA pB', 'hAB hAB90', 'pB pA')] as $file) {
            $construction = Blocks::construction($file);
            $planner = new PressingPlanner($construction);
            $long = array_values(array_filter($construction->joins, static fn (Join $join): bool => $join->segmentCount() > 1 && $join->tie === null))[0];
            $all = self::allPressings($construction, $long);
            foreach (self::words($long->segmentCount()) as $words) {
                $question = new PressQuestion(PressStyle::Nest, [new Lock($long->id, ...$words)]);
                $possible = array_filter($all, static fn (Pressing $pressing): bool => $pressing->of($long) === $words);
                if ($possible === []) {
                    ++$refused;
                    self::assertRefused($planner, $question);
                    continue;
                }
                $plan = $planner->best($question);
                self::assertSame($words, $plan->pressing->of($long));
                self::assertTrue(self::turnsLikeAWheel($construction, $plan->pressing));
                foreach ($possible as $other) {
                    self::assertLessThanOrEqual(0, $plan->cost->compareTo($planner->price($other, $question)->cost, PressStyle::Nest));
                }
            }
        }
        self::assertGreaterThan(0, $refused);
    }

    public function test_what_stays_round_a_flipped_stretch_still_turns_like_a_wheel(): void
    {
        $isFlipped = [];
        for ($seed = 1; $seed <= 10; ++$seed) {
            $construction = Blocks::construction(Blocks::generated($seed, 3, 2));
            $planner = new PressingPlanner($construction);
            $free = $planner->best(new PressQuestion(PressStyle::NestFurl));
            foreach ($construction->joins as $join) {
                $directions = $free->pressing->of($join);
                foreach (array_keys($directions) as $segment) {
                    $flipped = array_replace($directions, [$segment => $directions[$segment]->swapped()]);
                    $question = new PressQuestion(PressStyle::NestFurl, [new Lock($join->id, ...$flipped)]);
                    try {
                        $plan = $planner->bestThenFlipped($question);
                    } catch (LockNotPossible) {
                        continue;
                    }
                    $stays = $planner->flipped($question);
                    $isFlipped[] = $stays !== null;
                    self::assertEquals($stays ?? $planner->best($question), $plan);
                    self::assertSame($flipped, $plan->pressing->of($join));
                    self::assertTrue(self::turnsLikeAWheel($construction, $plan->pressing));
                }
            }
        }
        self::assertCount(2, array_unique($isFlipped), 'some can be laid over the plan, others need another one');
    }

    public function test_the_reason_says_how_the_meeting_seams_would_have_to_lie(): void
    {
        $construction = Blocks::sewn('pA pB', 'pB pA');
        $planner = new PressingPlanner($construction);
        try {
            $planner->best(new PressQuestion(PressStyle::Nest, array_map(Lock::parse(...), ['0:left', '1:left', '2:left,right'])));
            self::fail('Both rows lie the same way.');
        } catch (LockNotPossible $problem) {
            self::assertSame('2,2', ($problem->crossing->x * 4 / self::width($construction)).','.($problem->crossing->y * 4 / self::width($construction)));
            self::assertStringContainsString('Join 2 cannot change sides at 2, 2', $problem->getMessage());
            self::assertSame([0, 1], array_keys($problem->needs));
            self::assertNotSame($problem->needs[0], PressDirection::Open);
        }
        // With the rows as it says, it can.
        $locks = array_map(static fn (int $join): Lock => new Lock($join, $problem->needs[$join]), [0, 1]);
        self::assertSame([5], $planner->best(new PressQuestion(PressStyle::Nest, [...$locks, Lock::parse('2:left,right')]))->peaks());
    }

    public function test_the_reason_names_the_seam_that_cannot_change_sides(): void
    {
        $planner = new PressingPlanner(Blocks::sewn('pA pB', 'pB pA', 'pA pB'));
        // The first long seam could; the rows along the second lie the same way.
        $this->expectExceptionMessage('Join 4 cannot change sides at 2, 4');
        $planner->best(new PressQuestion(PressStyle::Nest, array_map(Lock::parse(...), ['1:left', '2:left', '3:left,right', '4:left,right'])));
    }

    /** Others are decided stretch by stretch for a comparison; where the school has no furls they lie on one side all the same. */
    public function test_only_the_seam_that_is_told_to_and_its_likes_change_sides(): void
    {
        $construction = Blocks::sewn('pA pB pA', 'pB pA pB', 'pA pB pA');
        [$first, $second] = array_values(array_filter($construction->joins, static fn (Join $join): bool => $join->segmentCount() > 1));
        $plan = (new PressingPlanner($construction))->best(new PressQuestion(PressStyle::Nest, [new Lock($first->id, PressDirection::Left, PressDirection::Right, PressDirection::Left)], stretched: [$second->id]));
        self::assertCount(1, array_unique(array_column($plan->pressing->of($second), 'value')));

        // Two units alike, each with two long seams.
        $unit = ['unit' => 'grid', 'columns' => ['1', '1', '1'], 'rows' => ['1', '1', '1'], 'cells' => Blocks::file('pC pB pA', 'pB pA pB', 'pA pB pA')['cells']];
        $file = Blocks::file('pA pC pA');
        foreach ([0, 2] as $cell) {
            $file['cells'][$cell] = array_intersect_key($file['cells'][$cell], ['row' => 0, 'column' => 0]) + $unit;
        }
        $construction = Blocks::construction($file);
        $long = array_values(array_filter($construction->joins, static fn (Join $join): bool => $join->segmentCount() > 1 && $join->tie !== null));
        self::assertCount(4, $long);
        foreach ([PressDirection::Left, PressDirection::Right] as $way) {
            $plan = (new PressingPlanner($construction))->best(new PressQuestion(PressStyle::Nest, [new Lock($long[0]->id, $way, $way->swapped(), $way)], stretched: array_map(static fn (Join $join): int => $join->id, $long)));
            self::assertSame([2, 1, 2, 1], array_map(static fn (Join $join): int => count(array_unique(array_column($plan->pressing->of($join), 'value'))), $long));
        }
    }

    public function test_a_lock_with_other_stretches_than_the_seam_is_refused(): void
    {
        $planner = new PressingPlanner(Blocks::sewn('pA pB', 'pB pA'));
        foreach (['2:left,right,left' => 'has 2 stretches', '0:left,right' => 'has one stretch', '2:left,open' => 'open along all of its length or nowhere', '9:left,right' => 'no join 9'] as $told => $expected) {
            try {
                $planner->best(new PressQuestion(PressStyle::Nest, [Lock::parse($told)]));
                self::fail($told);
            } catch (\KeenSeam\Core\KeenSeamProblem $problem) {
                self::assertStringContainsString($expected, $problem->getMessage());
            }
        }
        self::assertSame('2:left', Lock::parse('2:left,left')->toText(), 'one way all along is the whole seam');
    }

    private static function assertRefused(PressingPlanner $planner, PressQuestion $question): void
    {
        try {
            $planner->best($question);
            self::fail('No pressing turns like a wheel there.');
        } catch (LockNotPossible $problem) {
            self::assertNotNull($problem->crossing);
        }
    }

    /**
     * Every pressing of the piles in which one long seam may change sides where that is a wheel.
     *
     * @return list<Pressing>
     */
    private static function allPressings(Construction $construction, Join $long): array
    {
        $piles = [];
        foreach ($construction->joins as $join) {
            $piles[$join->tie === null ? 'join '.$join->id : $join->tie->unitClass.' '.$join->tie->join][] = $join;
        }
        $found = [];
        foreach (self::words($long->segmentCount()) as $words) {
            for ($choice = 0; $choice < 1 << count($piles); ++$choice) {
                $directions = [];
                foreach (array_values($piles) as $bit => $joins) {
                    foreach ($joins as $join) {
                        $directions[$join->id] = $join === $long ? $words : array_fill(0, $join->segmentCount(), ($choice >> $bit) & 1 ? PressDirection::Right : PressDirection::Left);
                    }
                }
                ksort($directions);
                $pressing = new Pressing(array_values($directions));
                if (self::turnsLikeAWheel($construction, $pressing)) {
                    $found[] = $pressing;
                }
            }
        }

        return $found;
    }

    /** @return array<non-empty-list<PressDirection>> */
    private static function words(int $segments): array
    {
        $all = [[]];
        for ($i = 0; $i < $segments; ++$i) {
            $all = array_merge(...array_map(static fn (array $words): array => [[...$words, PressDirection::Left], [...$words, PressDirection::Right]], $all));
        }

        return array_filter($all);
    }

    /** Looked at from each crossing: all four ridges lie clockwise of their seam, or all the other way. */
    private static function turnsLikeAWheel(Construction $construction, Pressing $pressing): bool
    {
        foreach ($construction->joins as $join) {
            $directions = $pressing->of($join);
            foreach ($join->matchPoints() as $number => $match) {
                if ($directions[$number] === $directions[$number + 1]) {
                    continue;
                }
                $senses = [
                    self::sense($join, $directions[$number], $match->at, $join->seam->from),
                    self::sense($join, $directions[$number + 1], $match->at, $join->seam->to),
                ];
                foreach ([$match->lastOfLeft, $match->lastOfRight] as $seam) {
                    $far = $seam->seam->from->equals($match->at) ? $seam->seam->to : $seam->seam->from;
                    $senses[] = self::sense($seam, $pressing->atEnd($seam, $match->at), $match->at, $far);
                }
                if (count(array_unique($senses)) > 1) {
                    return false;
                }
            }
        }

        return true;
    }

    /** 1 when the ridge that runs from a place lies on the clockwise side of it. */
    private static function sense(Join $join, PressDirection $direction, Point $at, Point $far): int
    {
        $part = $direction === PressDirection::Left ? $join->left : $join->right;
        foreach ($part->outline()->points as $corner) {
            $side = ($far->x - $at->x) * ($corner->y - $at->y) <=> ($far->y - $at->y) * ($corner->x - $at->x);
            if ($side !== 0) {
                return $side;
            }
        }

        return 0;
    }

    private static function width(Construction $construction): int
    {
        return max(array_map(static fn (Point $corner): int => $corner->x, $construction->face->outline()->points));
    }
}
