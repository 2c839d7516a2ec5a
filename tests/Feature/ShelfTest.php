<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\ShelfBlock;
use Database\Seeders\DatabaseSeeder;

final class ShelfTest extends TestCase
{
    public function test_the_demo_is_on_a_new_shelf_and_each_block_has_twelve_triangle_units_or_more(): void
    {
        $blocks = $this->getJson('/api/blocks')->assertOk()->json('blocks');

        self::assertSame(['Lamp Room', 'Slack Water', 'Tide Gate'], array_column($blocks, 'name'));
        foreach (['lamp-room', 'slack-water', 'tide-gate'] as $demo) {
            $cells = json_decode(self::demo($demo), true, 512, JSON_THROW_ON_ERROR)['cells'];
            self::assertGreaterThanOrEqual(12, count(array_filter($cells, static fn (array $cell): bool => $cell['unit'] !== 'plain')));
        }
    }

    public function test_its_picture_is_the_face_and_its_address_changes_with_the_block(): void
    {
        $picture = fn (): string => $this->getJson('/api/blocks/3')->json('picture');
        $first = $picture();
        $answer = $this->get($first)->assertOk()->assertHeader('Content-Type', 'image/svg+xml');
        self::assertStringContainsString('immutable', (string) $answer->headers->get('Cache-Control'));
        self::assertStringContainsString('no-cache', (string) $this->get('/api/blocks/3/face.svg')->headers->get('Cache-Control'));
        self::assertStringContainsString('#', (string) $answer->getContent());
        $this->call('PUT', '/api/blocks/3', server: ['HTTP_IF_MATCH' => '"1"'], content: self::demo('slack-water'))->assertOk();
        self::assertNotSame($first, $picture());
        self::assertNotSame($answer->getContent(), $this->get($picture())->getContent());
    }

    public function test_a_block_is_opened_where_its_work_stopped(): void
    {
        $new = $this->postJson('/api/starts', ['name' => 'Quay', 'start' => 'blank', 'columns' => '2', 'rows' => '2', 'width' => '8', 'height' => '8', 'units' => 'in', 'figure' => 'dark'])->assertCreated();
        self::assertSame(['wall', 4], [$new->json('stoppedAt'), $new->json('units')]);
        $at = fn (): string => $this->getJson('/api/blocks/3')->json('stoppedAt');
        self::assertSame('order', $at());
        $this->putJson('/api/blocks/3/order', ['order' => 'rows'], self::seen(1))->assertOk();
        self::assertSame('press', $at());
        $this->putJson('/api/blocks/3/cutting/done', ['name' => $this->getJson('/api/blocks/3/cutting')->json('cuts.0.name'), 'isDone' => true], self::seen(2))->assertOk();
        self::assertSame('cut', $at());
        $this->postJson('/api/blocks/3/work/events', ['events' => [['do' => 'done', 'step' => $this->getJson('/api/blocks/3/work')->json('steps.0.key'), 'id' => 'first', 'at' => 1_760_000_000_000]]])->assertOk();
        $shown = $this->getJson('/api/blocks/3')->json();
        self::assertSame(['machine', 1, count($this->getJson('/api/blocks/3/work')->json('steps'))], [$shown['stoppedAt'], $shown['stepsDone'], $shown['stepsInAll']]);
    }

    public function test_a_station_is_done_when_its_work_is_and_not_before(): void
    {
        $done = fn (): array => array_keys(array_filter(array_column($this->getJson('/api/blocks/3/rail')->assertOk()->json('stations'), 'isDone', 'name')));
        $note = fn (string $station): string => array_column($this->getJson('/api/blocks/3/rail')->json('stations'), 'note', 'name')[$station];
        self::assertSame(['wall'], $done());
        $this->putJson('/api/blocks/3/order', ['order' => 'rows'], self::seen(1))->assertOk();
        self::assertSame(['wall', 'order'], $done());
        self::assertSame('by rows', $note('order'));
        $cutting = $this->getJson('/api/blocks/3/cutting')->json();
        $names = [...array_column($cutting['cuts'], 'name'), ...array_map(static fn (array $unit): string => 'unit '.$unit['class'], $cutting['units'])];
        foreach ($names as $number => $name) {
            self::assertNotContains('cut', $done());
            $this->putJson('/api/blocks/3/cutting/done', ['name' => $name, 'isDone' => true], self::seen(2 + $number))->assertOk();
            self::assertSame(sprintf('%d of %d ready', $number + 1, count($names)), $note('cut'));
        }
        self::assertSame(['wall', 'cut', 'order'], $done());
        $this->putJson('/api/blocks/3/cutting/done', ['name' => $names[0], 'isDone' => false], self::seen(2 + count($names)))->assertOk();
        self::assertNotContains('cut', $done());
        foreach ($this->getJson('/api/blocks/3/work')->json('steps') as $number => $step) {
            self::assertNotContains('machine', $done());
            $this->postJson('/api/blocks/3/work/events', ['events' => array_map(static fn (int $time): array => ['do' => 'done', 'step' => $step['key'], 'id' => "step-$number-$time", 'at' => 1_760_000_000_000], range(1, $step['times']))])->assertOk();
        }
        self::assertSame(['wall', 'cut', 'order', 'press', 'joins', 'machine'], $done());
    }

    public function test_the_rail_says_one_as_one_says_it(): void
    {
        $begin = fn (string $columns): int => $this->postJson('/api/starts', ['name' => 'Slip', 'start' => 'blank', 'columns' => $columns, 'rows' => '1', 'width' => '4', 'height' => '2', 'units' => 'in', 'figure' => 'dark'])->assertCreated()->json('id');
        $notes = fn (int $block): array => array_column($this->getJson("/api/blocks/$block/rail")->assertOk()->json('stations'), 'note', 'name');
        self::assertSame(['wall' => '1 unit', 'cut' => '', 'order' => 'not chosen yet', 'press' => 'nothing to match', 'joins' => '', 'machine' => ''], $notes($begin('1')));
        self::assertSame(['wall' => '2 units', 'cut' => '', 'order' => 'not chosen yet', 'press' => 'nothing to match', 'joins' => '', 'machine' => '0 of 1 seam sewn'], $notes($begin('2')));
        self::assertSame([], array_filter(array_column($this->getJson('/api/blocks/4/rail')->json('stations'), 'isDone')), 'nothing is done of a blank patch');
    }

    public function test_tags_are_kept_each_once_and_change_no_version(): void
    {
        $before = $this->getJson('/api/blocks/2')->json();
        $this->putJson('/api/blocks/2/tags', ['tags' => [' Night  watch ', 'gift', 'GIFT', '']])->assertOk()->assertExactJson(['tags' => ['Night watch', 'gift']]);
        self::assertSame(['tags' => ['Night watch', 'gift']] + $before, array_replace(['tags' => []], $this->getJson('/api/blocks/2')->json()));
        foreach ([['tags' => 'gift'], ['tags' => ['a' => 'gift']], ['tags' => [3]], ['tags' => [str_repeat('x', 41)]], ['tags' => range('a', 'm')]] as $wrong) {
            $this->putJson('/api/blocks/2/tags', $wrong)->assertUnprocessable()->assertJson(['code' => 'tags-not-usable']);
        }
        $this->putJson('/api/blocks/2/tags', ['tags' => [str_repeat('x', 40), ...range('a', 'k')]])->assertOk();
        $top = $this->postJson('/api/tops/begin', ['name' => 'Hut', 'blocks' => [2]])->assertCreated()->json('id');
        $this->putJson("/api/tops/$top/tags", ['tags' => ['gift']])->assertOk();
        self::assertSame([['gift']], array_column(array_filter($this->getJson('/api/tops')->json('tops'), static fn (array $one): bool => $one['id'] === $top), 'tags'));
    }

    public function test_a_demo_that_was_taken_off_does_not_come_back_with_the_next_start(): void
    {
        $this->deleteJson('/api/blocks/1')->assertNoContent();
        $this->seed(DatabaseSeeder::class);

        self::assertSame(['Slack Water', 'Tide Gate'], array_column($this->getJson('/api/blocks')->json('blocks'), 'name'));
    }

    public function test_taking_off_can_be_undone_with_everything_kept(): void
    {
        $this->putJson('/api/blocks/2/locks/16', ['direction' => 'left'], self::seen(1))->assertOk();
        $before = $this->getJson('/api/blocks/2/plan')->json();
        $this->deleteJson('/api/blocks/2')->assertNoContent();
        $this->getJson('/api/blocks/2')->assertNotFound();
        $this->postJson('/api/blocks/2/restore')->assertOk();

        self::assertSame($before, $this->getJson('/api/blocks/2/plan')->json());
    }

    public function test_a_block_that_is_not_there_is_answered_in_words(): void
    {
        $this->getJson('/api/blocks/99/plan')->assertNotFound()->assertJson(['message' => 'This block is not on the shelf. Go back to the shelf and choose another.']);
    }

    public function test_another_file_in_its_place_keeps_locks_only_where_the_seams_are_the_same(): void
    {
        $this->putJson('/api/blocks/2/locks/16', ['direction' => 'left'], self::seen(1))->assertOk();
        $recoloured = str_replace('#d9a13b', '#cc8800', self::demo('slack-water'));
        $this->call('PUT', '/api/blocks/2', server: ['HTTP_IF_MATCH' => '"2"'], content: $recoloured)->assertOk();
        self::assertCount(1, self::locks(2));

        $this->call('PUT', '/api/blocks/2', server: ['HTTP_IF_MATCH' => '"3"'], content: self::demo('tide-gate'))->assertOk();
        $block = ShelfBlock::query()->findOrFail(2);
        self::assertSame([[], 0, 'Tide Gate', 4], [self::locks(2), $block->stepsDoneNow(), $block->name, $block->version]);
    }

    public function test_a_save_over_a_version_nobody_saw_is_refused(): void
    {
        $this->putJson('/api/blocks/2/style', ['style' => 'dark'], self::seen(1))->assertOk();
        $this->putJson('/api/blocks/2/style', ['style' => 'open'], self::seen(1))
            ->assertConflict()
            ->assertJson(['code' => 'changed-elsewhere', 'message' => '"Slack Water" was changed in another window. Load it again, then make your change.']);
        $this->putJson('/api/blocks/2/style', ['style' => 'open'])->assertUnprocessable()->assertJson(['code' => 'version-not-given']);

        self::assertSame('dark', ShelfBlock::query()->findOrFail(2)->style->value);
    }

    public function test_every_page_is_the_one_page_of_screens_and_sets_no_cookie(): void
    {
        foreach (['/', '/blocks/1/press'] as $address) {
            $response = $this->withoutVite()->get($address)->assertOk();
            self::assertStringContainsString('<div id="app">', (string) $response->getContent());
            self::assertSame([], $response->headers->getCookies());
        }
    }
}
