<?php

declare(strict_types=1);

namespace Tests\Reference;

use KeenSeam\Core\Pressing\Internal\Factor;
use KeenSeam\Core\Pressing\Internal\JunctionTables;
use KeenSeam\Core\Pressing\Internal\PressingModel;
use KeenSeam\Core\Pressing\Internal\TopModel;
use KeenSeam\Core\Pressing\Internal\Weight;
use KeenSeam\Core\Pressing\Junction;
use KeenSeam\Core\Pressing\PressingPlanner;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use KeenSeam\Core\Pressing\TopPlanner;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Support\Blocks;
use Tests\Support\Tops;

/** Every style's best plan against HiGHS, a general-purpose MILP solver, minimising the very same cost tables. */
final class OptimumTest extends TestCase
{
    /** @return array<string, array{PressStyle, int}> */
    public static function questions(): array
    {
        $questions = [];
        foreach (PressStyle::cases() as $style) {
            for ($seed = 0; $seed < 6; ++$seed) {
                $questions["{$style->value}, block $seed"] = [$style, $seed];
            }
        }

        return $questions;
    }

    #[DataProvider('questions')]
    public function test_no_plan_is_better_than_ours(PressStyle $style, int $seed): void
    {
        $construction = Blocks::construction(Blocks::generated($seed, $seed % 2 + 2, 2));
        $question = new PressQuestion($style, twoPiles: $seed === 5 ? [0] : []);
        $plan = (new PressingPlanner($construction))->best($question);

        self::assertTrue($plan->proved);
        $found = array_values($plan->cost->figures($style));
        $found[count($found) - 2] = intdiv($found[count($found) - 2] + 500, 1000); // shadow: the tables hold millionths
        self::assertLeast($found, new PressingModel($construction, Junction::allOn($construction->face), $question, new JunctionTables($construction, $style->allowsFurls())), $style);
    }

    /** @return iterable<string, array{array<string, mixed>, PressStyle}> */
    public static function tops(): iterable
    {
        yield 'pinwheels that may turn' => [Tops::file(['columns' => 3], Tops::PINWHEEL), PressStyle::Nest];
        yield 'two piles' => [Tops::file(['turns' => 'fixed', 'piles' => ['one' => 2]], Tops::PINWHEEL), PressStyle::Nest];
        yield 'by the lump' => [Tops::file([], ['pA', 'pB', '/', 'pB', 'pA']), PressStyle::Mixed];
        yield 'on point' => [Tops::file(['setting' => 'on-point', 'sides' => ['fabric' => 'C']], ['pA', 'pB', '/', 'pB', 'pA']), PressStyle::NestFurl];
    }

    /** @param array<string, mixed> $file */
    #[DataProvider('tops')]
    public function test_no_plan_of_a_top_is_better_than_ours(array $file, PressStyle $style): void
    {
        $top = Tops::sewn($file);
        $question = new PressQuestion($style);
        $plan = (new TopPlanner($top))->best($question)->plan;

        self::assertTrue($plan->proved);
        $found = array_values($plan->cost->figures($style));
        $found[count($found) - 2] = intdiv($found[count($found) - 2] + 500, 1000);
        self::assertLeast($found, new TopModel($top, Junction::allOn($top->construction->face), new JunctionTables($top->construction, $style->allowsFurls(), $top->others), $question, $top->top->top->turns), $style);
    }

    /** @param list<int> $found */
    private static function assertLeast(array $found, PressingModel|TopModel $model, PressStyle $style): void
    {
        $least = self::solve($model, $style);
        self::assertEqualsWithDelta($least, $found, 8.0, 'shadow is rounded in every entry');
        self::assertSame(array_slice($least, 0, -2), array_slice($found, 0, -2));
        self::assertSame(end($least), end($found));
    }

    /** @return list<int> */
    private static function solve(PressingModel|TopModel $model, PressStyle $style): array
    {
        $factors = array_map(static fn (Factor $factor): array => [
            'scope' => $factor->scope,
            'costs' => array_map(static function (int $high, int $low) use ($style, $model): ?array {
                $figures = $model->weight->toCost($high, $low)->figures($style);
                $figures['shadow'] = intdiv($figures['shadow'], 1000);

                return $high >= Weight::FORBIDDEN ? null : array_values($figures);
            }, $factor->high, $factor->low),
        ], $model->factors());
        $process = new Process(
            ['node', __DIR__.'/milp.mjs'],
            dirname(__DIR__, 2),
            input: json_encode(['domains' => $model->domains(), 'factors' => $factors], JSON_THROW_ON_ERROR),
            timeout: 120,
        );
        $process->mustRun();

        return json_decode($process->getOutput(), true, 512, JSON_THROW_ON_ERROR);
    }
}
