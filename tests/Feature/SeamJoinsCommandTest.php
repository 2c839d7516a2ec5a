<?php

declare(strict_types=1);

namespace Tests\Feature;

use Opis\JsonSchema\Validator;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Support\Blocks;

final class SeamJoinsCommandTest extends TestCase
{
    public function test_prints_what_must_meet_in_the_form_of_its_schema(): void
    {
        $process = $this->joins();
        self::assertSame([0, ''], [$process->getExitCode(), $process->getErrorOutput()]);
        $schema = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/schema/joins.schema.json'), false, 512, JSON_THROW_ON_ERROR);
        self::assertIsObject($schema);
        self::assertTrue((new Validator())->validate(json_decode($process->getOutput(), false, 512, JSON_THROW_ON_ERROR), $schema)->isValid());

        $joins = json_decode($process->getOutput(), true, 512, JSON_THROW_ON_ERROR);
        self::assertSame(['1/2', range(0, 15), ['unfinished' => ['8 1/2', '8 1/2'], 'expected' => ['8 1/2', '8 1/2']]], [$joins['take_up'], array_column($joins['joins'], 'id'), $joins['block']]);
        self::assertSame([
            'id' => 14, 'finished' => '8', 'raw' => ['8 1/2', '8 1/2'], 'reach' => [['left' => '1/4', 'right' => '1/4'], ['left' => '1/4', 'right' => '1/4']], 'ends_differ' => '0', 'up' => 'left', 'bias' => 'none',
            'marks' => [
                ['at' => ['2', '2'], 'from_edge' => ['2 1/4', '2 1/4'], 'left' => 'seam', 'right' => 'seam', 'kind' => 'match', 'nest' => 'nested', 'miss' => '0'],
                ['at' => ['4', '2'], 'from_edge' => ['4 1/4', '4 1/4'], 'left' => 'tip', 'right' => 'plain', 'kind' => 'tip', 'nest' => null, 'miss' => null],
                ['at' => ['6', '2'], 'from_edge' => ['6 1/4', '6 1/4'], 'left' => 'seam', 'right' => 'seam', 'kind' => 'match', 'nest' => 'nested', 'miss' => '0'],
            ],
        ], $joins['joins'][14]);
    }

    public function test_a_wide_seam_makes_the_block_small_and_a_slip_is_questioned(): void
    {
        $wide = json_decode($this->joins('--take-up=17/32')->getOutput(), true, 512, JSON_THROW_ON_ERROR);
        self::assertSame(['8 7/16', '8 7/16'], $wide['block']['expected']);
        $slip = $this->joins('--take-up=12');
        self::assertSame([1, '', 'A seam here takes up about 1/2 in; "12" is not likely. Measure again, and give what one seam takes. (/take_up)'], [$slip->getExitCode(), $slip->getOutput(), trim($slip->getErrorOutput())]);
    }

    private function joins(string ...$options): Process
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'keenseam');
        file_put_contents($file, json_encode(Blocks::inwardGeese(), JSON_THROW_ON_ERROR));
        $process = new Process([PHP_BINARY, 'artisan', 'seam:joins', $file, ...$options], dirname(__DIR__, 2));
        $process->run();
        unlink($file);

        return $process;
    }
}
