<?php

declare(strict_types=1);

namespace Tests\Feature;

use Opis\JsonSchema\Validator;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Support\Blocks;

final class SeamStepsCommandTest extends TestCase
{
    public function test_prints_the_whole_work_in_the_form_of_its_schema(): void
    {
        $process = $this->steps();
        self::assertSame([0, ''], [$process->getExitCode(), $process->getErrorOutput()]);
        $schema = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/schema/steps.schema.json'), false, 512, JSON_THROW_ON_ERROR);
        self::assertIsObject($schema);
        self::assertTrue((new Validator())->validate(json_decode($process->getOutput(), false, 512, JSON_THROW_ON_ERROR), $schema)->isValid());

        $steps = json_decode($process->getOutput(), true, 512, JSON_THROW_ON_ERROR)['steps'];
        self::assertSame(range(1, count($steps)), array_column($steps, 'n'));
        $square = array_values(array_filter($steps, static fn (array $step): bool => $step['do'] === 'square-up'))[0];
        self::assertSame([['4 1/2', '2 1/2'], 4, 'U1'], [$square['size'], count($square['patches']), $square['class']]);
    }

    public function test_several_blocks_are_counted_and_absurd_numbers_refused(): void
    {
        $steps = json_decode($this->steps('--blocks=6', '--chain=webbed')->getOutput(), true, 512, JSON_THROW_ON_ERROR)['steps'];
        self::assertSame(6, end($steps)['times']);
        $absurd = $this->steps('--blocks=5000');
        self::assertSame([1, '', 'The number of blocks must be from 1 to 400. Correct it. (/blocks)'], [$absurd->getExitCode(), $absurd->getOutput(), trim($absurd->getErrorOutput())]);
    }

    private function steps(string ...$options): Process
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'keenseam');
        file_put_contents($file, json_encode(Blocks::inwardGeese(), JSON_THROW_ON_ERROR));
        $process = new Process([PHP_BINARY, 'artisan', 'seam:steps', $file, ...$options], dirname(__DIR__, 2));
        $process->run();
        unlink($file);

        return $process;
    }
}
