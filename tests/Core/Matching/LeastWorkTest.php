<?php

declare(strict_types=1);

namespace Tests\Core\Matching;

use KeenSeam\Core\Assembly\Construction;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\Face;
use KeenSeam\Core\Matching\Drift;
use KeenSeam\Core\Matching\JoinSheet;
use KeenSeam\Core\Matching\Mark;
use KeenSeam\Core\Matching\Remedy;
use KeenSeam\Core\Matching\SquareUp;
use KeenSeam\Core\Matching\Tolerance;
use KeenSeam\Core\Measure\Fraction;
use KeenSeam\Core\Measure\LengthUnit;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Blocks;

/** What has to be unpicked, trimmed or made again, tried through: every deed and every pair of deeds, on generated misfortunes. */
final class LeastWorkTest extends TestCase
{
    /** Common practice, no published source: a cut is soon made, a seam unpicked takes twice that, a part made again four times. */
    private const WORK = ['trim' => 1, 'unpick' => 2, 'remake' => 4];

    public function test_no_other_one_or_two_deeds_mend_more_or_are_less_work(): void
    {
        $seen = [];
        for ($seed = 0; $seed < 40; ++$seed) {
            $random = new Randomizer(new Mt19937($seed));
            $cells = static fn (): string => implode(' ', array_map(static fn (): string => ['pA', 'pB', 'hAB', 'gABB'][$random->getInt(0, 3)], [1, 2, 3]));
            $plan = self::plan(Blocks::file($cells(), $cells()));
            $takeUp = Fraction::of([32, 34, 36, 39][$random->getInt(0, 3)], 64);
            $measured = [];
            foreach ($plan->construction->joins as $join) {
                if ($join->tie === null && $random->getInt(0, 1) === 1) {
                    $size = Remedy::rawSize($plan, $join->id);
                    $measured[$join->id] = [$size[0] + $random->getInt(-12, 12) / 32, $size[1] + $random->getInt(-4, 4) / 32];
                }
            }
            $squareUp = [SquareUp::Units, SquareUp::None][$seed % 2];
            $found = Remedy::find($plan, $takeUp, $squareUp, $measured, Tolerance::usual(LengthUnit::Inch));
            $wrong = static fn (array $errors, array $measured): array => self::wrong(new Drift($plan, $takeUp, $squareUp, $errors, $measured));
            $before = $wrong([], $measured);
            $tried = [];
            foreach (self::sets($plan, $before, $measured, ! $takeUp->equals(Fraction::of(1, 2))) as $set) {
                $tried[] = [count($wrong(...self::after($plan, $set, $measured, 0.5 - $takeUp->toFloat()))), array_sum(array_map(static fn (array $deed): int => self::WORK[$deed['do']], $set))];
            }
            $least = $before === [] || $tried === [] ? [count($before), 0] : min(min($tried), [count($before), 0]);

            self::assertSame(count($before), $found->before, "seed $seed");
            self::assertSame($least, [$found->after, array_sum(array_map(static fn (array $deed): int => self::WORK[$deed['do']], $found->deeds))], "seed $seed");
            self::assertSame($found->after === 0, $found->isEnough, "seed $seed");
            self::assertCount($found->after, $wrong(...self::after($plan, $found->deeds, $measured, 0.5 - $takeUp->toFloat())), "seed $seed");
            foreach ($found->deeds as $deed) {
                $seen[$deed['do']] = true;
            }
            $seen[count($found->deeds)] = $seen[$found->isEnough ? 'enough' : 'not enough'] = true;
        }
        ksort($seen);
        self::assertEqualsCanonicalizing([0, 1, 2, 'trim', 'unpick', 'remake', 'enough', 'not enough'], array_keys($seen));
    }

    /**
     * @param array<int, array{float, float}> $measured
     * @param list<JoinSheet>                 $wrong
     *
     * @return iterable<list<array{do: string, join: int}>>
     */
    private static function sets(PressingPlan $plan, array $wrong, array $measured, bool $isOff): iterable
    {
        $deeds = [];
        foreach (array_keys($measured) as $join) {
            $deeds["trim $join"] = ['do' => 'trim', 'join' => $join];
            $deeds["remake $join"] = ['do' => 'remake', 'join' => $join];
        }
        foreach ($isOff ? $wrong : [] as $sheet) {
            foreach ([$sheet->join->left, $sheet->join->right] as $part) {
                if ($part instanceof Join && $part->tie === null) {
                    $deeds["unpick {$part->id}"] = ['do' => 'unpick', 'join' => $part->id];
                }
            }
        }
        // No more than fourteen are tried by the search; here there are never so many.
        self::assertLessThanOrEqual(14, count($deeds));
        foreach ($deeds as $i => $one) {
            yield [$one];
            foreach ($deeds as $j => $other) {
                if ($i < $j) {
                    yield [$one, $other];
                }
            }
        }
    }

    /**
     * @param list<array{do: string, join: int}> $deeds
     * @param array<int, array{float, float}>    $measured
     * @param float                              $true     the error that makes a seam true again
     *
     * @return array{array<int, float>, array<int, array{float, float}>} errors and measured parts afterwards
     */
    private static function after(PressingPlan $plan, array $deeds, array $measured, float $true): array
    {
        $errors = [];
        foreach ($deeds as ['do' => $do, 'join' => $join]) {
            if ($do === 'unpick') {
                $errors[$join] = $true;
            } elseif ($do === 'remake') {
                unset($measured[$join]);
            } elseif (isset($measured[$join])) {
                $outline = $plan->construction->joins[$join]->outline()->points;
                foreach (['x', 'y'] as $axis => $name) {
                    $places = array_map(static fn ($point): int => $point->{$name}, $outline);
                    $measured[$join][$axis] = min($measured[$join][$axis], (max($places) - min($places)) / $plan->construction->face->lattice->steps + 0.5);
                }
            }
        }

        return [$errors, $measured];
    }

    /** @return list<JoinSheet> joins in which something is off by more than an eighth of an inch, which nobody eases */
    private static function wrong(Drift $drift): array
    {
        return array_values(array_filter($drift->sheets, static fn (JoinSheet $sheet): bool => max(array_map(abs(...), [$sheet->endsDiffer(), ...array_map(static fn (Mark $mark): float => $mark->miss ?? 0.0, $sheet->marks)])) > 0.125 + 1e-9));
    }

    /** @param array<string, mixed> $file */
    private static function plan(array $file): PressingPlan
    {
        return (new PressingPlanner(Construction::of(Face::of(BlockFile::read($file)), Order::Rows)))->best(new PressQuestion(PressStyle::Nest));
    }
}
