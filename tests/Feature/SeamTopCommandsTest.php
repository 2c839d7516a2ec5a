<?php

declare(strict_types=1);

namespace Tests\Feature;

use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Support\Tops;

/** Every command that takes a block file takes a top file too. */
final class SeamTopCommandsTest extends TestCase
{
    private const STRIPED = ['pA', 'hAB', '/', 'hBC', 'pC'];

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function tops(): iterable
    {
        yield 'straight' => [Tops::file(['columns' => 3, 'sashes' => ['width' => '1', 'fabric' => 'C', 'cornerstone' => 'B', 'outer' => true], 'places' => [['row' => 1, 'column' => 2, 'block' => 'two', 'turn' => 90, 'mirrored' => true], ['row' => 2, 'column' => 2, 'fabric' => 'A']]], Tops::PINWHEEL, self::STRIPED)];
        yield 'on point, plain sides' => [Tops::file(['setting' => 'on-point', 'sides' => ['fabric' => 'C', 'float' => '1/2']], Tops::PINWHEEL)];
        yield 'on point, sides of blocks' => [Tops::file(['setting' => 'on-point', 'sides' => ['blocks' => true], 'sashes' => ['width' => '3/4', 'fabric' => 'C']], self::STRIPED)];
    }

    /** @param array<string, mixed> $file */
    #[DataProvider('tops')]
    public function test_all_commands_take_a_top_and_agree(array $file): void
    {
        [$plan, $look, , $joins, $steps] = array_map(static fn (string $what): array => self::printed($what, $file), ['plan', 'look', 'cut', 'joins', 'steps']);

        self::assertTrue($plan['proved']);
        self::assertSame($file['setting'] === 'straight' ? 'upright' : 'on-point', $plan['frame']);
        self::assertSame(array_map(static fn (array $block): int => 1, $file['blocks']), $plan['piles']);
        self::assertCount(count($plan['joins']), $joins['joins']);
        $inPlaces = array_merge(...array_column($plan['places'], 'patches'));
        self::assertSame(count($inPlaces), count(array_unique($inPlaces)));
        $where = static fn (array $told): string => $told['row'].' '.$told['column'];
        self::assertSame([], array_diff(array_map($where, $look['signatures']), array_map($where, $plan['places'])));
        self::assertSewnInOrder($plan, $steps);
    }

    public function test_a_mistake_in_a_top_is_one_sentence_and_nothing_else(): void
    {
        $file = Tops::file(['places' => [['row' => 3, 'column' => 1, 'block' => 'one']]], Tops::PINWHEEL);
        foreach (['plan', 'look', 'cut', 'joins', 'steps'] as $what) {
            $process = self::asked($what, $file);
            self::assertSame([1, '', "Row 3, column 1 is outside the top, which has rows 1 to 2 and columns 1 to 2. Move it or take it away. (/places/0)\n"], [$process->getExitCode(), $process->getOutput(), $process->getErrorOutput()]);
        }
        self::assertSame("The field \"colour\" at the top of the file is unknown. Remove it, or correct its name. (/colour)\n", self::asked('plan', $file + ['colour' => 'red'])->getErrorOutput());
        $block = $file['blocks']['one'];
        unset($block['cells']);
        self::assertSame("\"cells\" is missing at /blocks/one. Add it. (/blocks/one)\n", self::asked('plan', ['blocks' => ['one' => $block]] + $file)->getErrorOutput());
        self::assertSame("Only a top on point is sewn in slanting rows. Choose another order: rows, columns, quarters or twos.\n", self::asked('plan', Tops::file([], Tops::PINWHEEL), '--order=diagonal')->getErrorOutput());
    }

    public function test_a_seam_of_a_top_is_held_by_its_number(): void
    {
        $file = Tops::file([], Tops::PINWHEEL);
        $last = count(self::printed('plan', $file)['joins']) - 1;
        foreach (['left', 'right'] as $side) {
            self::assertSame([$side], array_unique(self::printed('plan', $file, "--lock=$last:$side")['joins'][$last]['press']));
        }
        self::assertSame(['open'], array_unique(array_merge(...array_column(self::printed('plan', $file, '--style=open')['joins'], 'press'))));
    }

    /**
     * Every join is sewn once and pressed once, and before that all its parts are.
     *
     * @param array<string, mixed> $plan
     * @param array<string, mixed> $steps
     */
    private static function assertSewnInOrder(array $plan, array $steps): void
    {
        $at = ['join' => [], 'press' => []];
        foreach ($steps['steps'] as $number => $step) {
            foreach (isset($at[$step['do']]) ? $step['joins'] : [] as $join) {
                self::assertArrayNotHasKey($join, $at[$step['do']]);
                $at[$step['do']][$join] = $number;
            }
        }
        $ids = array_column($plan['joins'], 'id');
        foreach ($at as $done) {
            ksort($done);
            self::assertSame($ids, array_keys($done));
        }
        $made = [];
        foreach ($plan['joins'] as $join) {
            self::assertGreaterThan($at['join'][$join['id']], $at['press'][$join['id']]);
            foreach (['left', 'right'] as $side) {
                if (count($join[$side]) > 1) {
                    self::assertLessThanOrEqual($at['join'][$join['id']], $at['join'][$made[implode(',', $join[$side])]]);
                }
            }
            $whole = [...$join['left'], ...$join['right']];
            sort($whole);
            $made[implode(',', $whole)] = $join['id'];
        }
    }

    /**
     * @param array<string, mixed> $file
     *
     * @return array<string, mixed> what is printed, in the form of its schema
     */
    private static function printed(string $what, array $file, string ...$options): array
    {
        $process = self::asked($what, $file, ...$options);
        self::assertSame([0, ''], [$process->getExitCode(), $process->getErrorOutput()]);
        $schema = json_decode((string) file_get_contents(dirname(__DIR__, 2)."/schema/$what.schema.json"), false, 512, JSON_THROW_ON_ERROR);
        self::assertIsObject($schema);
        self::assertTrue((new Validator())->validate(json_decode($process->getOutput(), false, 512, JSON_THROW_ON_ERROR), $schema)->isValid(), "$what has the form of its schema");

        return json_decode($process->getOutput(), true, 512, JSON_THROW_ON_ERROR);
    }

    /** @param array<string, mixed> $file */
    private static function asked(string $what, array $file, string ...$options): Process
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'keentop');
        file_put_contents($path, json_encode($file, JSON_THROW_ON_ERROR));
        $process = new Process([PHP_BINARY, 'artisan', "seam:$what", $path, ...$options], dirname(__DIR__, 2), timeout: 120);
        $process->run();
        unlink($path);

        return $process;
    }
}
