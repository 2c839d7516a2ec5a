<?php

declare(strict_types=1);

namespace Tests\Core\Pressing;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Pressing\EqualParts;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\Locks;
use KeenSeam\Core\Pressing\PressDirection;
use KeenSeam\Core\Pressing\Pressing;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Pressing\RestOfSeams;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Blocks;

/** Whatever a quilter locks, in any school: her word holds, the rest stays or follows, and the price is that of what lies there. */
final class LockedPlansTest extends TestCase
{
    /** @return iterable<string, array{Construction, PressStyle}> small blocks with units that may be turned */
    public static function blocks(): iterable
    {
        $words = ['qABAB', 'qABCB', 'dABBBB', 'hAB', 'gABB', 'pA', 'pB'];
        for ($seed = 0; $seed < 2; ++$seed) {
            $random = new Randomizer(new Mt19937($seed));
            $word = static fn (): string => $words[$random->getInt(0, 6)].(90 * $random->getInt(0, 3));
            $construction = Blocks::sewn($word().' '.$word(), $word().' '.$word());
            foreach (PressStyle::cases() as $style) {
                yield "$style->value, block $seed" => [$construction, $style];
            }
        }
    }

    #[DataProvider('blocks')]
    public function test_the_lock_holds_and_what_is_priced_is_what_lies_there(Construction $construction, PressStyle $style): void
    {
        $planner = new PressingPlanner($construction);
        $free = $planner->best(new PressQuestion($style));
        self::assertSamePrice($planner, $free, new PressQuestion($style));
        foreach ($construction->joins as $join) {
            foreach (PressDirection::cases() as $direction) {
                $question = new PressQuestion($style, [new Lock($join->id, $direction)]);
                $plan = $planner->planned($question, RestOfSeams::Follows);
                self::assertSame([$direction->value], self::words($plan, $join), "join $join->id");
                self::assertTrue($plan->proved);
                self::assertSamePrice($planner, $plan, $question);
                if (self::words($free, $join) === [$direction->value]) {
                    self::assertSame(0, $plan->cost->compareTo($free->cost, $style), 'what is so already costs nothing');
                } elseif (in_array($direction, $style->school()->directions($join), true)) {
                    self::assertGreaterThanOrEqual(0, $plan->cost->compareTo($free->cost, $style));
                }
                $staying = $planner->planned($question, RestOfSeams::Stays);
                self::assertSame([$direction->value], self::words($staying, $join));
                $held = (new Locks($construction, $question->locks))->held();
                foreach ($construction->joins as $other) {
                    // A furl beside it may have to follow, so that the allowances still turn like a wheel.
                    if (! $style->allowsFurls() && ! in_array($other->id, $held, true) && $staying->turnedUnits === $free->turnedUnits) {
                        self::assertSame($free->pressing->directions[$other->id], $staying->pressing->directions[$other->id], "join $other->id stays");
                    }
                }
                self::assertSamePrice($planner, $staying, $question);
                if (in_array($direction, $style->school()->directions($join), true)) {
                    self::assertGreaterThanOrEqual(0, $staying->cost->compareTo($plan->cost, $style), 'nothing that stays is better than what follows');
                }
            }
        }
    }

    /** Two locks at a time: kept both, and never cheaper than either alone. */
    public function test_two_locks_hold_together(): void
    {
        for ($seed = 0; $seed < 6; ++$seed) {
            $construction = Blocks::construction(Blocks::generated($seed, 2, 2));
            $planner = new PressingPlanner($construction);
            $random = new Randomizer(new Mt19937($seed));
            $own = array_values(array_filter($construction->joins, static fn (Join $join): bool => $join->tie === null));
            foreach ([PressStyle::Nest, PressStyle::NestFurl, PressStyle::Mixed] as $style) {
                $locks = array_map(static fn (int $i): Lock => new Lock($own[$i]->id, PressDirection::cases()[$random->getInt(0, 1)]), [0, count($own) - 1]);
                $both = $planner->best(new PressQuestion($style, $locks));
                foreach ($locks as $lock) {
                    self::assertSame([$lock->at(0)->value], self::words($both, $construction->joins[$lock->join]));
                    self::assertGreaterThanOrEqual(0, $both->cost->compareTo($planner->best(new PressQuestion($style, [$lock]))->cost, $style));
                }
            }
        }
    }

    /** Allowing more can only help: furls beside nesting, two piles beside one; pressing equal parts alike can only cost. */
    public function test_what_allows_more_costs_no_more(): void
    {
        for ($seed = 0; $seed < 8; ++$seed) {
            $construction = Blocks::construction(Blocks::generated($seed, 2, 2));
            $planner = new PressingPlanner($construction);
            $nest = $planner->best(new PressQuestion(PressStyle::Nest));
            self::assertLessThanOrEqual(0, $planner->best(new PressQuestion(PressStyle::NestFurl))->cost->compareTo($nest->cost, PressStyle::Nest));
            foreach (array_keys($construction->classes) as $class) {
                self::assertLessThanOrEqual(0, $planner->best((new PressQuestion(PressStyle::Nest))->withTwoPiles($class))->cost->compareTo($nest->cost, PressStyle::Nest));
            }
            $drawn = Blocks::construction(Blocks::slantedPatches($seed, 6));
            $free = (new PressingPlanner($drawn))->best(new PressQuestion(PressStyle::Nest));
            self::assertGreaterThanOrEqual(0, (new PressingPlanner($drawn))->best(new PressQuestion(PressStyle::Nest, equalParts: EqualParts::Alike))->cost->compareTo($free->cost, PressStyle::Nest));
        }
    }

    public function test_questions_are_told_apart_by_all_they_ask(): void
    {
        $lock = new Lock(3, PressDirection::Left);
        $questions = [
            new PressQuestion(PressStyle::Nest), new PressQuestion(PressStyle::Mixed), new PressQuestion(PressStyle::Mixed, [], 8), new PressQuestion(PressStyle::Nest, [$lock]),
            new PressQuestion(PressStyle::Nest, [new Lock(3, PressDirection::Right)]), new PressQuestion(PressStyle::Nest, twoPiles: [0]), new PressQuestion(PressStyle::Nest, twoPiles: [0, 1]),
            new PressQuestion(PressStyle::Nest, equalParts: EqualParts::Alike), new PressQuestion(PressStyle::Nest, stretched: [2]),
        ];
        $names = array_map(static fn (PressQuestion $question): string => $question->name(), $questions);
        self::assertSame($names, array_unique($names));
        self::assertSame($names[0], (new PressQuestion(PressStyle::Nest, [], 8))->name(), 'a lump matters only where it is asked for');
        $furl = new PressQuestion(PressStyle::Nest, [new Lock(4, PressDirection::Left, PressDirection::Right), $lock], stretched: [9, 2]);
        self::assertSame([2, 4, 9], $furl->stretched);
        self::assertTrue($furl->allowsFurls() && $furl->withoutLocks()->allowsFurls() && ! $questions[0]->allowsFurls() && (new PressQuestion(PressStyle::NestFurl))->allowsFurls());
        self::assertSame([[], [$lock], [1, 5]], [$furl->withoutLocks()->locks, $questions[0]->withLocks([$lock])->locks, (new PressQuestion(PressStyle::Nest, twoPiles: [1]))->withTwoPiles(5)->twoPiles]);
    }

    private static function assertSamePrice(PressingPlanner $planner, PressingPlan $plan, PressQuestion $question): void
    {
        // Units that the plan turns lie otherwise in it than on the face: their seams are told as they lie.
        if ($plan->turnedUnits === []) {
            self::assertSame($planner->price(new Pressing($plan->pressing->directions), $question)->cost->figures($question->style), $plan->cost->figures($question->style));
        }
    }

    /** @return list<string> */
    private static function words(PressingPlan $plan, Join $join): array
    {
        return array_values(array_unique(array_map(static fn (PressDirection $one): string => $one->value, $plan->pressing->of($join))));
    }
}
