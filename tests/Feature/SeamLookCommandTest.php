<?php

declare(strict_types=1);

namespace Tests\Feature;

use Opis\JsonSchema\Validator;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Support\Blocks;

final class SeamLookCommandTest extends TestCase
{
    public function test_prints_how_the_units_lie_in_the_form_of_its_schema(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'keenseam');
        file_put_contents($file, json_encode(Blocks::file('pA gABB pA', 'gABC90 pB gABC270', 'pA gABB pA'), JSON_THROW_ON_ERROR));
        $process = new Process([PHP_BINARY, 'artisan', 'seam:look', $file, '--order=columns'], dirname(__DIR__, 2));
        $process->run();
        unlink($file);

        self::assertSame([0, ''], [$process->getExitCode(), $process->getErrorOutput()]);
        $look = json_decode($process->getOutput(), false, 512, JSON_THROW_ON_ERROR);
        $schema = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/schema/look.schema.json'), false, 512, JSON_THROW_ON_ERROR);
        self::assertIsObject($schema);
        self::assertTrue((new Validator())->validate($look, $schema)->isValid());

        $look = json_decode($process->getOutput(), true, 512, JSON_THROW_ON_ERROR);
        self::assertSame(['half-turn', [['row' => 1, 'column' => 2, 'mend' => ['turn' => 180, 'mirrored' => false]], ['row' => 3, 'column' => 2, 'mend' => ['turn' => 180, 'mirrored' => false]]]], [$look['symmetry'], $look['odd']]);
        self::assertSame(2, $look['hands'][0]['left'] + $look['hands'][0]['right']);
        self::assertSame(['row' => 2, 'column' => 1, 'text' => 'goose points right, Harbour ink on its left'], $look['signatures'][3]);
    }
}
