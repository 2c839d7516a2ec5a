<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\ShelfBlock;
use Illuminate\Testing\TestResponse;
use KeenSeam\Core\Block\BlockFile;
use KeenSeam\Core\Block\BlockFileWriter;
use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Blocks;
use Tests\Support\SpoiledFiles;

/** Whatever is kept can be opened again, and whatever cannot is refused with a sentence or named on the shelf. */
final class KeptBlocksTest extends TestCase
{
    /** Every station of a block. */
    private const STATIONS = ['', '/file', '/orders', '/plan', '/styles', '/piles', '/joins', '/joins/spread?sewing=1/64&cutting=1/64&folding=1/128&tolerance=1/8', '/cutting', '/cutting/largest?size=5&as=square', '/cutting/sizes?sizes=4,5', '/wall', '/wall/figures', '/wall/impostors?places=1.1', '/work', '/logbook'];

    /** @return array<string, array{array<string, mixed>, string}> what is wrong in an otherwise good file, and a part of the sentence */
    public static function refused(): array
    {
        return [
            'NUL in the name' => [['name' => "Lamp\0Room"], 'cannot be seen or printed'],
            'a bell in the name' => [['name' => "Lamp\x07Room"], 'cannot be seen or printed'],
            'a line in a fabric' => [['fabrics' => [['name' => "Sail\ncloth"]]], 'cannot be seen or printed'],
            'a blank name' => [['name' => '   '], 'Write a name'],
            'a name that cannot be seen' => [['name' => "\u{200b}\u{00a0}"], 'Write a name'],
            'a blank fabric' => [['fabrics' => [['name' => ' ']]], 'Write a name'],
            'an allowance of 14 for 1/4' => [['seam_allowance' => '14'], 'mostly seam'],
            'an allowance wider than a patch' => [['seam_allowance' => '3/4', 'columns' => ['1', '8']], 'wider than a patch that is 0.434 in across'],
            'millimetres taken for inches' => [['finished' => ['width' => '300', 'height' => '300']], 'set "units" to "mm"'],
            'larger than any top' => [['units' => 'mm', 'seam_allowance' => '6', 'finished' => ['width' => '3661', 'height' => '300']], 'at most 3660 mm'],
            '12 mm blocks with a 6 mm seam' => [['units' => 'mm', 'seam_allowance' => '6', 'finished' => ['width' => '12', 'height' => '12']], 'Make the block larger'],
            'a strip that is all seam' => [['units' => 'mm', 'seam_allowance' => '6', 'finished' => ['width' => '300', 'height' => '23.9']], 'mostly seam'],
            '65 columns' => [['columns' => array_fill(0, 65, '1')], 'more than 64 columns'],
        ];
    }

    /** @param array<string, mixed> $wrong */
    #[DataProvider('refused')]
    public function test_what_makes_no_block_is_refused_by_name_whichever_way_it_comes(array $wrong, string $words): void
    {
        $before = ShelfBlock::query()->get()->toArray();
        $file = array_replace_recursive(Blocks::file('hAB hAB', 'pA pC'), $wrong);
        foreach ([$this->postJson('/api/blocks', $file), $this->putJson('/api/blocks/3', $file, self::seen(1))] as $answer) {
            self::assertStringContainsString($words, (string) $answer->assertUnprocessable()->json('message'));
        }
        self::assertSame($before, ShelfBlock::query()->get()->toArray());
    }

    public function test_the_largest_and_the_smallest_that_make_sense_are_kept(): void
    {
        foreach ([
            ['finished' => ['width' => '144', 'height' => '144']],
            ['units' => 'mm', 'seam_allowance' => '6', 'finished' => ['width' => '3660', 'height' => '3660']],
            ['units' => 'mm', 'seam_allowance' => '6', 'finished' => ['width' => '24', 'height' => '24']],
            ['name' => 'Πύλη 🌊'],
            // A strip as wide as the seam beside it can be sewn.
            ['columns' => ['1', '15'], 'finished' => ['width' => '4', 'height' => '4'], 'seam_allowance' => '1/4'],
        ] as $good) {
            $this->postJson('/api/blocks', array_replace_recursive(Blocks::file('pA pB', 'pA pC'), $good))->assertCreated();
        }
        $this->postJson('/api/starts', ['name' => 'Top', 'start' => 'blank', 'units' => 'in', 'width' => '144', 'height' => '144', 'columns' => '64', 'rows' => '64'])->assertCreated();
    }

    public function test_the_wall_refuses_sizes_that_make_no_sense_and_names_that_cannot_be_seen(): void
    {
        $before = ShelfBlock::query()->findOrFail(3)->document;
        foreach ([['do' => 'allowance', 'size' => '14'], ['do' => 'size', 'width' => '300', 'height' => '300'], ['do' => 'name', 'name' => "a\0b"], ['do' => 'name', 'name' => '  ']] as $edit) {
            $this->postJson('/api/blocks/3/edits', ['edit' => $edit, 'follow' => 'none'], self::seen(1))->assertUnprocessable();
        }
        $this->postJson('/api/starts', ['name' => 'x', 'start' => 'blank', 'units' => 'in', 'width' => '6', 'height' => '6', 'columns' => '40', 'rows' => '2'])->assertUnprocessable();
        self::assertSame($before, ShelfBlock::query()->findOrFail(3)->document);
    }

    public function test_one_key_said_twice_is_refused_wherever_it_stands(): void
    {
        $text = json_encode(Blocks::file('hAB pA'), JSON_THROW_ON_ERROR);
        foreach (['{"name":"First",' => '{', '"width":"1","width":' => '"width":', '{"row":1,"r\u006fw":' => '{"row":'] as $twice => $once) {
            $at = strpos($text, $once);
            self::assertNotFalse($at);
            $answer = $this->call('POST', '/api/blocks', content: substr_replace($text, $twice, $at, strlen($once)));
            self::assertStringContainsString('twice in one place', (string) $answer->assertUnprocessable()->json('message'));
        }
        // The same key in two objects, or as a text, is no fault.
        $this->call('POST', '/api/blocks', content: str_replace('"Test block"', '"name, \"name\": {"', $text))->assertCreated();
    }

    /** What the reader takes the writer writes, and the reader takes again as the same length. */
    public function test_lengths_come_back_to_the_last_decimal(): void
    {
        $random = new Randomizer(new Mt19937(7));
        for ($i = 0; $i < 300; ++$i) {
            $isMetric = $i % 2 === 0;
            $digits = $random->getInt(0, 4);
            $number = (string) $random->getInt(30, 140).($digits === 0 ? '' : '.'.str_pad((string) $random->getInt(0, 10 ** $digits - 1), $digits, '0', STR_PAD_LEFT));
            $given = $number.['', ' mm', ' in', ' cm'][$isMetric ? $random->getInt(0, 1) : 2 * $random->getInt(0, 1)];
            $file = array_replace_recursive(Blocks::file('pA'), ['units' => $isMetric ? 'mm' : 'in', 'seam_allowance' => $isMetric ? '6' : '1/4', 'finished' => ['width' => $given, 'height' => '40']]);
            $block = BlockFile::read($file);
            $again = BlockFile::read(BlockFileWriter::write($block));
            self::assertTrue($again->finishedWidth->equals($block->finishedWidth), $given);
        }
        foreach (['12.123457', '73 mm', '1234.567 mm', '31.4159 cm', '12 3/4096'] as $odd) {
            $block = BlockFile::read(array_replace_recursive(Blocks::file('pA'), ['finished' => ['width' => $odd, 'height' => '40']]));
            self::assertTrue(BlockFile::read(BlockFileWriter::write($block))->finishedWidth->equals($block->finishedWidth), $odd);
        }
    }

    public function test_outlines_that_close_on_their_first_corner_are_mended_and_degenerate_ones_named(): void
    {
        $with = static function (array $second): array {
            $file = Blocks::file('pA pB');
            $file['cells'][0] = ['row' => 1, 'column' => 1, 'unit' => 'patches', 'patches' => [['fabric' => 'A', 'points' => [['0', '0'], ['1', '0'], ['0', '1']]], ['fabric' => 'B', 'points' => $second]]];

            return $file;
        };
        $open = [['1', '0'], ['1', '1'], ['0', '1']];
        $ids = array_map(fn (array $second): int => $this->postJson('/api/blocks', $with($second))->assertCreated()->json('id'), [$open, [...$open, $open[0]], [$open[0], ...$open]]);
        foreach (['/plan', '/cutting', '/joins', '/wall'] as $station) {
            $answers = array_map(fn (int $id): string => preg_replace('~"id":\d+,|"plan":"[0-9a-f]+",~', '', (string) $this->getJson("/api/blocks/$id$station")->assertOk()->getContent()), $ids);
            self::assertCount(1, array_unique($answers), $station);
        }
        foreach (['has no area' => [['1', '0'], ['1/2', '1/2'], ['0', '1']], 'is not convex' => [['1', '0'], ['3/4', '3/4'], ['1', '1'], ['0', '1']]] as $words => $second) {
            self::assertStringStartsWith("Patch 2 of this unit $words", (string) $this->postJson('/api/blocks', $with($second))->assertUnprocessable()->json('message'));
        }
        self::assertStringContainsString('no area', (string) $this->postJson('/api/blocks', $with([$open[0], $open[0], $open[0]]))->assertUnprocessable()->json('message'));
    }

    public function test_far_too_much_is_refused_at_a_glance(): void
    {
        $many = Blocks::file('pA');
        $many['cells'] = array_fill(0, 18_000, $many['cells'][0]);
        foreach ([json_encode($many, JSON_THROW_ON_ERROR), '{"cells":['.str_repeat('{"a":1},', 240_000).'{}]}', '['.str_repeat('[],', 600_000).'1]', '{"a":"'.str_repeat('\\"', 900_000).'"}', str_repeat('x', 3_000_000)] as $text) {
            $started = microtime(true);
            $this->call('POST', '/api/blocks', content: $text)->assertUnprocessable();
            self::assertLessThan(1.0, microtime(true) - $started);
        }
    }

    public function test_blocks_without_a_junction_work_at_every_station(): void
    {
        foreach (['one half-square triangle' => 'hAB', 'three plain squares' => 'pA pB pA', 'one patch' => 'pA'] as $name => $row) {
            $id = $this->postJson('/api/blocks', ['name' => $name] + Blocks::file($row))->assertCreated()->json('id');
            foreach (self::STATIONS as $station) {
                self::assertContains($this->getJson("/api/blocks/$id$station")->getStatusCode(), [200, 422], "$name $station");
            }
            foreach (['', '/orders', '/plan', '/styles', '/joins', '/cutting', '/wall', '/wall/figures', '/work', '/logbook'] as $station) {
                $this->getJson("/api/blocks/$id$station")->assertOk();
            }
        }
    }

    public function test_numbers_that_are_no_seam_or_block_are_not_found(): void
    {
        foreach (['999', '999999', '9999999', '99999999999999999999'] as $number) {
            foreach ([['GET', "/blocks/3/seams/$number/choices"], ['GET', "/blocks/3/work/unpicking/$number"], ['PUT', "/blocks/3/locks/$number"], ['DELETE', "/blocks/3/locks/$number"], ['PUT', "/blocks/3/joins/$number/measured"], ['GET', "/blocks/$number"]] as [$method, $address]) {
                $this->json($method, '/api'.$address, ['direction' => 'left'], self::seen(1))->assertNotFound();
            }
        }
    }

    public function test_the_shelf_names_what_it_cannot_open_and_lets_go_of_it(): void
    {
        $documents = ['nonsense' => 'no JSON', 'empty' => '{}', 'blank name' => json_encode(['name' => ' '] + Blocks::file('pA'), JSON_THROW_ON_ERROR)];
        foreach ($documents as $name => $document) {
            ShelfBlock::query()->create(['name' => $name, 'document' => $document]);
        }
        $shelf = $this->getJson('/api/blocks')->assertOk()->json();
        self::assertCount(3, $shelf['blocks']);
        self::assertSame(array_keys($documents), self::namesIn($shelf['unopened'], array_keys($documents)));
        foreach ($shelf['unopened'] as $unopened) {
            self::assertMatchesRegularExpression('~^[\p{Lu}"].*[.]$~u', $unopened['problem']);
            self::assertSame($documents[$unopened['name']], $this->get("/api/blocks/{$unopened['id']}/file")->assertOk()->getContent());
            foreach (array_diff(self::STATIONS, ['/file', '/logbook']) as $station) {
                self::assertSame(422, $this->getJson("/api/blocks/{$unopened['id']}$station")->getStatusCode(), $station);
            }
            $this->deleteJson("/api/blocks/{$unopened['id']}")->assertNoContent();
        }
        $shelf = $this->getJson('/api/blocks')->json();
        self::assertSame([[], array_keys($documents)], [$shelf['unopened'], self::namesIn($shelf['takenOff'], array_keys($documents))]);
        $this->postJson("/api/blocks/{$shelf['takenOff'][0]['id']}/restore")->assertOk();
    }

    public function test_a_step_back_to_what_cannot_be_opened_is_refused(): void
    {
        $this->postJson('/api/blocks/3/edits', ['edit' => ['do' => 'swap', 'places' => [[1, 1]]], 'follow' => 'none'], self::seen(1))->assertOk();
        $document = ShelfBlock::query()->findOrFail(3)->document;
        \App\Models\BlockEdit::query()->update(['before' => json_encode(['document' => '{}'])]);
        $this->postJson('/api/blocks/3/undo', [], self::seen(2))->assertUnprocessable();
        self::assertSame([$document, 2], [ShelfBlock::query()->findOrFail(3)->document, ShelfBlock::query()->findOrFail(3)->version]);
    }

    /** Bytes and values changed at random: refused by a sentence within a second, or kept and then open everywhere. */
    public function test_500_spoiled_files_break_nothing(): void
    {
        $random = new Randomizer(new Mt19937(12));
        $good = SpoiledFiles::sound();
        $kept = 0;
        for ($i = 0; $i < 500; ++$i) {
            $text = SpoiledFiles::from($good[$i % 3], $random);
            $started = microtime(true);
            $answer = $this->call('POST', '/api/blocks', content: $text);
            self::assertLessThan(1.0, microtime(true) - $started, $text);
            self::assertContains($answer->getStatusCode(), [201, 422], $text.$answer->getContent());
            if ($answer->getStatusCode() === 422) {
                self::assertMatchesRegularExpression('~[.!?]$~', (string) $answer->json('message'), $text);

                continue;
            }
            ++$kept;
            $this->assertOpens($answer, $text);
        }
        self::assertGreaterThan(25, $kept);
        self::assertLessThan(400, $kept);
        self::assertSame([], $this->getJson('/api/blocks')->assertOk()->json('unopened'));
    }

    /** @param TestResponse<\Illuminate\Http\JsonResponse> $made */
    private function assertOpens(TestResponse $made, string $text): void
    {
        $id = $made->json('id');
        foreach (['', '/wall', '/joins', '/cutting', '/work'] as $station) {
            $answer = $this->getJson("/api/blocks/$id$station");
            self::assertContains($answer->getStatusCode(), $station === '' || $station === '/wall' ? [200] : [200, 422], $station.$text.$answer->getContent());
        }
        $this->postJson("/api/blocks/$id/edits", ['edit' => ['do' => 'name', 'name' => 'Again'], 'follow' => 'none'], self::seen(1))->assertOk();
    }

    /**
     * @param list<array{name: string}> $blocks
     * @param list<string>              $order
     *
     * @return list<string>
     */
    private static function namesIn(array $blocks, array $order): array
    {
        return array_values(array_intersect($order, array_column($blocks, 'name')));
    }
}
