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
