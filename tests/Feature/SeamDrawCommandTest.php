<?php

declare(strict_types=1);

namespace Tests\Feature;

use KeenSeam\Core\Assembly\Join;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Support\Blocks;

final class SeamDrawCommandTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/draw-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
        file_put_contents($this->folder.'/geese.keenseam.json', json_encode(Blocks::inwardGeese(), JSON_THROW_ON_ERROR));
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), glob($this->folder.'/*') ?: []);
        rmdir($this->folder);
    }

    public function test_a_picture_is_as_wide_as_asked_and_asks_nothing_of_the_net(): void
    {
        $stretches = array_sum(array_map(static fn (Join $join): int => $join->segmentCount(), Blocks::construction(Blocks::inwardGeese())->joins));
        foreach (['face' => 0, 'back' => $stretches, 'outlines' => 0] as $side => $arrows) {
            $process = $this->draw("$side.svg", "--side=$side", '--width=321');
            self::assertSame(0, $process->getExitCode(), $process->getErrorOutput());
            $svg = (string) file_get_contents("$this->folder/$side.svg");
            self::assertStringContainsString('width="321"', $svg);
            self::assertSame($arrows, substr_count($svg, 'class="arrow"'));
            self::assertDoesNotMatchRegularExpression('~href|url\(|<script~', $svg);
        }
        $this->draw('open.svg', '--side=back', '--style=open');
        self::assertSame($stretches, substr_count((string) file_get_contents("$this->folder/open.svg"), 'class="arrow open"'));
    }

    /** @return list<array{list<string>, string}> */
    public static function mistakes(): array
    {
        return [
            [['--width=0'], '--width is "0". Give a whole number from 1 to 20000.'],
            [['--width=wide'], '--width is "wide". Give a whole number from 1 to 20000.'],
            [['--side=inside'], '--side is "inside". Use one of: face, back, outlines.'],
        ];
    }

    /** @param list<string> $options */
    #[DataProvider('mistakes')]
    public function test_a_mistake_is_one_sentence_and_no_file_is_written(array $options, string $says): void
    {
        $process = $this->draw('out.svg', ...$options);
        self::assertSame([1, '', $says."\n"], [$process->getExitCode(), $process->getOutput(), $process->getErrorOutput()]);
        self::assertFileDoesNotExist($this->folder.'/out.svg');
    }

    public function test_a_file_that_cannot_be_written_is_one_sentence(): void
    {
        $process = $this->draw('not-there/out.svg');
        self::assertSame([1, '', "\"$this->folder/not-there/out.svg\" cannot be written. Name a file in a folder that is there and that you may write to.\n"], [$process->getExitCode(), $process->getOutput(), $process->getErrorOutput()]);
        self::assertSame([], glob(sys_get_temp_dir().'/.seam*') ?: []);
    }

    private function draw(string $out, string ...$options): Process
    {
        $process = new Process([PHP_BINARY, 'artisan', 'seam:draw', $this->folder.'/geese.keenseam.json', "$this->folder/$out", ...$options], dirname(__DIR__, 2));
        $process->run();

        return $process;
    }
}
