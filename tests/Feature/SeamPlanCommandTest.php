<?php

declare(strict_types=1);

namespace Tests\Feature;

use KeenSeam\Core\Measure\Length;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Support\Blocks;

/** The command as a shell sees it: what goes to which stream, and the exit status. */
final class SeamPlanCommandTest extends TestCase
{
    private string $file;

    protected function setUp(): void
    {
        $this->file = (string) tempnam(sys_get_temp_dir(), 'keenseam');
    }

    protected function tearDown(): void
    {
        unlink($this->file);
    }

    public function test_prints_a_plan_that_fits_its_schema(): void
    {
        foreach ([Blocks::inwardGeese(), Blocks::file('hAB hAB90', 'dABCBA qABAB')] as $block) {
            $process = $this->plan($block);

            self::assertSame(0, $process->getExitCode(), $process->getErrorOutput());
            self::assertSame('', $process->getErrorOutput());
            $plan = json_decode($process->getOutput(), false, 512, JSON_THROW_ON_ERROR);
            $schema = json_decode((string) file_get_contents(self::root().'/schema/plan.schema.json'), false, 512, JSON_THROW_ON_ERROR);
            self::assertIsObject($schema);
            self::assertTrue((new Validator())->validate($plan, $schema)->isValid());
        }
    }

    public function test_the_figures_of_the_inward_geese(): void
    {
        $plan = json_decode($this->plan(Blocks::inwardGeese())->getOutput(), true, 512, JSON_THROW_ON_ERROR);

        self::assertSame([
            'joins' => 16, 'matches' => 4, 'nested' => 4, 'stacked' => 0, 'lopsided' => 0, 'flat' => 0,
            'peak_squared' => 392, 'shadow' => '8', 'folded' => 4, 'furls' => 0,
        ], $plan['totals']);
        self::assertTrue($plan['proved']);
        self::assertSame(['id' => 0, 'fabric' => 'A', 'points' => [['0', '0'], ['2', '0'], ['2', '2'], ['0', '2']]], $plan['patches'][0]);
        self::assertSame(['2', '0'], $plan['joins'][8]['from']);
        self::assertSame(['2', '2'], $plan['joins'][8]['to']);
        self::assertSame([['at' => ['2', '2'], 'kind' => 'nested'], ['at' => ['6', '2'], 'kind' => 'nested']], $plan['joins'][14]['matches']);
    }

    public function test_joins_are_sewn_and_pressed_once_each_and_pressed_before_they_are_crossed(): void
    {
        $plan = json_decode($this->plan(Blocks::file('hAB sABC pA', 'qABAB dABCBA hAB'))->getOutput(), true, 512, JSON_THROW_ON_ERROR);
        $sewn = $pressed = [];
        foreach ($plan['steps'] as $n => $step) {
            foreach ($step['joins'] as $join) {
                $step['do'] === 'join' ? $sewn[$join][] = $n : $pressed[$join][] = $n;
            }
        }
        foreach ($plan['joins'] as $join) {
            self::assertCount(1, $sewn[$join['id']]);
            self::assertCount(1, $pressed[$join['id']]);
            self::assertGreaterThan($sewn[$join['id']][0], $pressed[$join['id']][0]);
            foreach ($plan['joins'] as $inner) {
                $isPart = $inner['id'] !== $join['id']
                    && array_diff([...$inner['left'], ...$inner['right']], [...$join['left'], ...$join['right']]) === [];
                // Seams that do not touch, like those of one row, may go through the machine on one trip.
                if ($isPart && self::touch($inner, $join)) {
                    self::assertLessThan($sewn[$join['id']][0], $pressed[$inner['id']][0], "join {$join['id']} crosses join {$inner['id']}");
                } elseif ($isPart) {
                    self::assertLessThanOrEqual($sewn[$join['id']][0], $sewn[$inner['id']][0], "join {$inner['id']} lies in join {$join['id']}");
                }
            }
        }
    }

    /**
     * @param array<string, mixed> $a
     * @param array<string, mixed> $b
     */
    private static function touch(array $a, array $b): bool
    {
        $number = static fn (string $text): float => Length::parse($text)->inches->toFloat();
        $point = static fn (array $texts): array => array_map($number, $texts);
        foreach ([[$a, $b], [$b, $a]] as [$one, $other]) {
            [$from, $to] = [$point($one['from']), $point($one['to'])];
            foreach ([$point($other['from']), $point($other['to'])] as $end) {
                // On the line exactly when the way over that place is no longer.
                $way = hypot($end[0] - $from[0], $end[1] - $from[1]) + hypot($to[0] - $end[0], $to[1] - $end[1]);
                if (abs($way - hypot($to[0] - $from[0], $to[1] - $from[1])) < 1e-9) {
                    return true;
                }
            }
        }

        return false;
    }

    public function test_a_lock_holds(): void
    {
        $free = json_decode($this->plan(Blocks::inwardGeese())->getOutput(), true, 512, JSON_THROW_ON_ERROR);
        $other = $free['joins'][14]['press'][0] === 'left' ? 'right' : 'left';
        $locked = json_decode($this->plan(Blocks::inwardGeese(), '--lock=14:'.$other)->getOutput(), true, 512, JSON_THROW_ON_ERROR);

        self::assertSame([$other, $other, $other], $locked['joins'][14]['press']);
        self::assertTrue($locked['proved']);
        self::assertGreaterThan($free['totals']['folded'], $locked['totals']['folded']);
    }

    public function test_the_files_own_plan_is_kept_and_options_win_over_it(): void
    {
        $file = Blocks::file('hAB pA', 'pB hAB180') + ['plan' => [
            'order' => ['name' => 'Sides first', 'sew' => [['1,1', '2,1'], ['1,2', '2,2']]],
            'style' => 'open',
            'rules' => ['units half-square-triangle: dark', 'units flying-geese: open'],
            'locks' => [['seam' => [['1/2', '0'], ['1/2', '1']], 'press' => ['right']]],
        ]];
        $answer = $this->plan($file);
        $kept = json_decode($answer->getOutput(), true, 512, JSON_THROW_ON_ERROR);

        self::assertSame(0, $answer->getExitCode());
        self::assertStringContainsString('The rule "units flying-geese: open" was left out', $answer->getErrorOutput());
        self::assertSame([['2', '0'], ['2', '4']], [$kept['joins'][4]['from'], $kept['joins'][4]['to']]);
        self::assertSame([['right'], ['open'], ['right', 'right']], [$kept['joins'][0]['press'], $kept['joins'][2]['press'], $kept['joins'][4]['press']]);

        $asked = json_decode($this->plan($file, '--rule=last: left', '--rule=columns: up down', '--style=nest', '--lock=0:left')->getOutput(), true, 512, JSON_THROW_ON_ERROR);
        self::assertSame([['left'], ['left'], ['right'], ['left', 'left']], [$asked['joins'][0]['press'], $asked['joins'][2]['press'], $asked['joins'][3]['press'], $asked['joins'][4]['press']]);
        $rows = json_decode($this->plan($file, '--order=rows')->getOutput(), true, 512, JSON_THROW_ON_ERROR);
        self::assertSame([['0', '2'], ['4', '2']], [$rows['joins'][4]['from'], $rows['joins'][4]['to']]);
    }

    public function test_a_stretch_by_stretch_lock_furls_in_every_command(): void
    {
        $file = Blocks::file('pA pB', 'pB pA');
        $plan = json_decode($this->plan($file, '--lock=2:left,right')->getOutput(), true, 512, JSON_THROW_ON_ERROR);
        self::assertSame([['left', 'right'], 5, 1], [$plan['joins'][2]['press'], $plan['junctions'][0]['peak'], $plan['totals']['furls']]);
    }

    /** @return array<string, array{list<string>, string}> */
    public static function refused(): array
    {
        return [
            'unknown style' => [['--style=starch'], '--style is "starch". Use one of: nest, nest-furl, open, dark, mixed.'],
            'unknown order' => [['--order=spiral'], '--order is "spiral". Use one of: rows, columns, quarters, twos, diagonal, around, best.'],
            'unreadable lock' => [['--lock=here'], '"here" is not a lock. Write a join\'s number and left, right or open, like 12:left, or a word for each of its stretches, like 12:left,right.'],
            'no such join' => [['--lock=99:left'], 'There is no join 99. This block\'s joins are numbered from 0 to 15.'],
            'an unreadable rule' => [['--rule=rows: sideways'], '"sideways" is no way to press "rows". Use left, right, up, down, out, in, open, dark, light, free, toward or away from a fabric.'],
            'a rule that fits nothing' => [['--rule=columns: up'], 'The rule "columns: up" fits no seam of this block as it is sewn. Change it, or leave it out.'],
            'no wheel' => [['--lock=8:left', '--lock=10:left', '--lock=14:left,right,right'], 'Join 14 cannot change sides at'],
            'no number' => [['--time-limit=soon'], '--time-limit is "soon". Give a number, zero or more.'],
        ];
    }

    /** @param list<string> $options */
    #[DataProvider('refused')]
    public function test_wrong_options_are_answered_with_one_sentence(array $options, string $message): void
    {
        self::assertRefused($message, $this->plan(Blocks::inwardGeese(), ...$options));
    }

    public function test_a_missing_file_is_named(): void
    {
        $process = new Process([PHP_BINARY, 'artisan', 'seam:plan', '/nowhere/at-all.json'], self::root());
        $process->run();

        self::assertRefused('There is no file "/nowhere/at-all.json" to read. Give the path of a block file.', $process);
    }

    private static function assertRefused(string $message, Process $process): void
    {
        self::assertSame(1, $process->getExitCode());
        self::assertSame('', $process->getOutput());
        self::assertStringStartsWith($message, trim($process->getErrorOutput()));
        self::assertSame(1, substr_count($process->getErrorOutput(), "\n"));
    }

    /** @param array<string, mixed> $block */
    private function plan(array $block, string ...$options): Process
    {
        file_put_contents($this->file, json_encode($block, JSON_THROW_ON_ERROR));
        $process = new Process([PHP_BINARY, 'artisan', 'seam:plan', $this->file, ...$options], self::root());
        $process->run();

        return $process;
    }

    private static function root(): string
    {
        return dirname(__DIR__, 2);
    }
}
