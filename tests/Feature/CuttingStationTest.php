<?php

declare(strict_types=1);

namespace Tests\Feature;

use Opis\JsonSchema\Validator;
use Symfony\Component\Process\Process;
use Tests\Support\Blocks;

final class CuttingStationTest extends TestCase
{
    public function test_the_table_tells_what_to_cut_and_how_to_make_every_unit(): void
    {
        $table = $this->getJson('/api/blocks/3/cutting')->assertOk()->json();

        self::assertSame(['two-at-a-time', 'four-at-once', 'from-triangles'], array_column($table['units'], 'method'));
        self::assertSame([['1 1/4', '1 1/4'], ['2 1/4', '1 1/4'], ['2 1/4', '2 1/4']], array_column($table['units'], 'halves'));
        self::assertSame(['1/4 yd', '1/4 yd', '1/4 yd'], array_column($table['fabric'], 'buy'));
        self::assertSame(array_column($table['cuts'], 'letter'), array_unique(array_column($table['cuts'], 'letter')));
    }

    public function test_another_way_more_blocks_and_ticks_are_kept(): void
    {
        $chosen = $this->putJson('/api/blocks/3/cutting', ['blocks' => 6, 'ways' => ['U1' => 'eight-at-a-time'], 'margins' => ['U1' => 'larger']], self::seen(1))->assertOk()->json();
        self::assertSame(['eight-at-a-time', 24, 3, 24], [$chosen['units'][0]['method'], $chosen['units'][0]['need'], $chosen['units'][0]['batches'], $chosen['units'][0]['makes']]);
        self::assertContains('6', array_column($chosen['cuts'], 'size')); // 2 x 2 in and 2 in more, to square up

        $name = $chosen['cuts'][0]['name'];
        $this->putJson('/api/blocks/3/cutting/done', ['name' => $name, 'isDone' => true], self::seen(2))->assertOk()->assertJsonPath('cuts.0.isDone', true);
        $this->putJson('/api/blocks/3/cutting/done', ['name' => 'unit U1', 'isDone' => true], self::seen(3))->assertOk()->assertJsonPath('units.0.isDone', true);
        $this->putJson('/api/blocks/3/cutting/done', ['name' => $name, 'isDone' => false], self::seen(4))->assertOk()->assertJsonPath('cuts.0.isDone', false);
        $this->getJson('/api/blocks/3/cutting')->assertOk()->assertJsonPath('choices.blocks', 6)->assertJsonPath('units.0.isDone', true);
    }

    public function test_a_way_of_the_wrong_hand_tells_its_true_count(): void
    {
        $ways = array_column($this->getJson('/api/blocks/3/cutting')->json('units.2.ways'), null, 'key');

        self::assertSame([2, 4], [$ways['crossed']['batches'], $ways['crossed']['wrongHand']]);
        self::assertSame([1, 0], [$ways['stepped']['batches'], $ways['stepped']['wrongHand']]);
    }

    public function test_choices_that_cannot_be_are_refused_and_change_nothing(): void
    {
        foreach ([['blocks' => 0], ['blocks' => 5000], ['preference' => 'luck'], ['width' => 'wide'], ['width' => '3'], ['marks' => 7], ['ways' => ['U1' => 'by-magic']]] as $choice) {
            $this->putJson('/api/blocks/3/cutting', $choice, self::seen(1))->assertUnprocessable();
        }
        $this->getJson('/api/blocks/3/cutting')->assertOk()->assertJsonPath('block.version', 1);
    }

    public function test_a_way_chosen_for_a_unit_that_is_another_by_now_is_let_go(): void
    {
        $this->putJson('/api/blocks/3/cutting', ['ways' => ['U1' => 'eight-at-a-time']], self::seen(1))->assertOk();
        $this->postJson('/api/blocks/3/edits', ['edit' => ['do' => 'place', 'kind' => 'quarter-square-triangle', 'places' => [[1, 1], [1, 4], [4, 1], [4, 4]], 'figure' => 'P'], 'follow' => 'none'], self::seen(2))->assertOk();

        self::assertSame('crossed', $this->getJson('/api/blocks/3/cutting')->assertOk()->json('units.0.method'));
    }

    public function test_questions_at_the_table_are_answered(): void
    {
        $largest = $this->getJson('/api/blocks/3/cutting/largest?size=5&as=square')->assertOk()->json();
        self::assertSame(['11 1/4', '11 1/4'], $largest['finished']);
        self::assertSame(['class' => 'U1', 'name' => 'half-square triangles', 'count' => 4, 'unfinished' => '2 3/8', 'pieces' => ['2 3/4', '2 3/4']], $largest['units'][0]);
        $this->getJson('/api/blocks/3/cutting/largest?size=1/8&as=square')->assertOk()->assertJson(['finished' => null]);
        $this->getJson('/api/blocks/3/cutting/largest?size=five')->assertUnprocessable();

        $sizes = $this->getJson('/api/blocks/3/cutting/sizes?sizes=9,10,1/2')->assertOk()->json('sizes');
        self::assertSame([['9', true, ''], ['10', false, '']], array_map(static fn (array $one): array => [$one['finished'][0], $one['isOnRuler'], $one['problem']], array_slice($sizes, 0, 2)));
        self::assertStringContainsString('can be cut', $sizes[2]['problem']);

        $fabrics = $this->getJson('/api/blocks/3/cutting/precut?width=10&height=10')->assertOk()->json('fabrics');
        self::assertSame([3, 2, 2], array_column($fabrics, 'needed'));
        $small = $this->getJson('/api/blocks/3/cutting/precut?width=5&height=5')->assertOk()->json('fabrics');
        self::assertEqualsCanonicalizing(['2 of 5 3/4', '1 of 5 1/4'], $small[0]['tooLarge']);

        $rest = "\nMussel plum, 4 7/8, 2\nSailcloth, 5 1/4, 1\nSailcloth, 2 7/8, 6";
        $this->postJson('/api/blocks/3/cutting/pattern', ['text' => "Sea glass, 5 1/4, 3\nMussel plum, 2 7/8, 6$rest"])->assertOk()->assertJson(['findings' => [], 'lines' => 5]);
        $findings = $this->postJson('/api/blocks/3/cutting/pattern', ['text' => "Sea glass, 5 1/4, 3\nMussel plum, 2 3/4, 6$rest"])->assertOk()->json('findings');
        self::assertContains('Line 2: too small: 2 7/8 is needed.', $findings);
        $this->postJson('/api/blocks/3/cutting/pattern', ['text' => 'nonsense'])->assertUnprocessable()->assertJson(['code' => 'pattern-not-readable']);
    }

    public function test_the_command_prints_the_form_of_its_schema(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'keenseam');
        file_put_contents($file, json_encode(Blocks::file('hAB hAB pA', 'sABC qABAB pA'), JSON_THROW_ON_ERROR));
        $root = dirname(__DIR__, 2);
        $process = new Process([PHP_BINARY, 'artisan', 'seam:cut', $file, '--blocks=2', '--way=U1:from-triangles'], $root);
        $process->run();
        $refused = new Process([PHP_BINARY, 'artisan', 'seam:cut', $file, '--blocks=0'], $root);
        $refused->run();
        unlink($file);

        self::assertSame([0, ''], [$process->getExitCode(), $process->getErrorOutput()]);
        $schema = json_decode((string) file_get_contents($root.'/schema/cut.schema.json'), false, 512, JSON_THROW_ON_ERROR);
        self::assertIsObject($schema);
        self::assertTrue((new Validator())->validate(json_decode($process->getOutput(), false, 512, JSON_THROW_ON_ERROR), $schema)->isValid());
        $cut = json_decode($process->getOutput(), true, 512, JSON_THROW_ON_ERROR);
        self::assertSame(['U1', 'half-square-triangle', 4, 'from-triangles'], [$cut['units'][0]['class'], $cut['units'][0]['unit'], $cut['units'][0]['need'], $cut['units'][0]['method']]);
        self::assertSame([1, '', 'The number of blocks must be from 1 to 400. Correct it. (/blocks)'], [$refused->getExitCode(), $refused->getOutput(), trim($refused->getErrorOutput())]);
    }
}
