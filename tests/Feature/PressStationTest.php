<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\ShelfBlock;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\PressDirection;

final class PressStationTest extends TestCase
{
    private const SLACK_WATER = 2;

    public function test_shows_the_best_plan_with_face_back_and_steps(): void
    {
        $station = $this->getJson('/api/blocks/2/plan')->assertOk()->json();

        self::assertSame(['12'], $station['face']['finished']);
        self::assertSame(['12 1/2'], $station['face']['unfinished']);
        self::assertSame([31, 9, 9], [$station['totals']['joins'], $station['totals']['matches'], $station['totals']['nested']]);
        self::assertSame($station['totals'], $station['withoutLocks']);
        self::assertTrue($station['proved']);
        self::assertGreaterThan(32, count($station['flaps']));
        self::assertSame('Row 1, seam 1', $station['joins'][16]['title']);
        self::assertSame(['unit 1', 'unit 2'], [$station['joins'][16]['left'], $station['joins'][16]['right']]);
    }

    public function test_flipping_locks_stacks_the_crossing_and_lasts(): void
    {
        $before = $this->getJson('/api/blocks/2/plan')->json();
        $after = $this->flip(16, 1);

        self::assertNotSame($before['joins'][16]['press'], $after['joins'][16]['press']);
        self::assertSame([16], $after['locked']);
        self::assertSame(1, $after['totals']['stacked']);
        self::assertSame($before['totals'], $after['withoutLocks']);
        self::assertEquals($after, $this->getJson('/api/blocks/2/plan')->json(), 'what changed is all that changed');
        self::assertEquals([new Lock(16, PressDirection::from($after['joins'][16]['press'][0]))], self::locks(self::SLACK_WATER));
    }

    public function test_releasing_brings_everything_back(): void
    {
        $before = $this->getJson('/api/blocks/2/plan')->json();
        $flipped = $this->flip(16, 1);
        $after = self::changedInto($this->deleteJson('/api/blocks/2/locks/16', [], self::seen(2))->assertOk()->json(), $flipped);

        self::assertEquals(array_diff_key($before, ['block' => 1]), array_diff_key($after, ['block' => 1]));
    }

    public function test_a_pile_is_flipped_and_released_as_one(): void
    {
        $station = $this->getJson('/api/blocks/2/plan')->json();
        $pile = $station['piles'][$station['joins'][0]['pile']];
        self::assertGreaterThan(1, count($pile));
        $after = $this->flip($pile[1], 1);
        self::assertEqualsCanonicalizing($pile, $after['locked']);
        self::assertSame(0, $this->deleteJson("/api/blocks/2/locks/{$pile[0]}", [], self::seen(2))->json('locks'));
    }

    public function test_the_rest_can_follow(): void
    {
        $flipped = $this->flip(16, 1);
        $followed = self::changedInto($this->putJson('/api/blocks/2/rest', ['rest' => 'follows'], self::seen(2))->assertOk()->json(), $flipped);

        self::assertSame(0, $followed['totals']['stacked'], 'the other rows turned over with it');
        self::assertSame([16], $followed['locked']);
        $this->putJson('/api/blocks/2/rest', ['rest' => 'sometimes'], self::seen(3))->assertUnprocessable()->assertJson(['where' => '/rest']);
    }

    public function test_all_locks_go_at_once(): void
    {
        $this->flip(16, 1);
        $this->flip(20, 2);

        self::assertSame(0, $this->deleteJson('/api/blocks/2/locks', [], self::seen(3))->assertOk()->json('locks'));
    }

    public function test_a_lock_that_cannot_be_changes_nothing(): void
    {
        $before = ShelfBlock::query()->get()->toArray();
        $this->putJson('/api/blocks/2/locks/16', ['direction' => 'up'], self::seen(1))->assertUnprocessable();
        $this->putJson('/api/blocks/2/locks/999', ['direction' => 'left'], self::seen(1))->assertNotFound()->assertJson(['code' => 'join-not-known']);

        self::assertSame($before, ShelfBlock::query()->get()->toArray());
    }

    public function test_each_choice_tells_what_it_costs(): void
    {
        $station = $this->getJson('/api/blocks/2/plan')->json();
        $choices = $this->getJson('/api/blocks/2/seams/16/choices')->assertOk()->json('choices');
        $now = $station['joins'][16]['press'][0];
        $other = $now === 'left' ? 'right' : 'left';

        self::assertSame($station['totals'], $choices[$now]['figures']);
        self::assertSame('neither better nor worse', $choices[$now]['words']);
        self::assertSame(1, $choices[$other]['figures']['stacked']);
        self::assertStringStartsWith('1 more ridge on ridge', $choices[$other]['words']);
        self::assertSame(0, $choices['open']['figures']['stacked']);
    }

    /** @return array<string, mixed> the station after the flip */
    private function flip(int $join, int $version): array
    {
        $before = $this->getJson('/api/blocks/2/plan')->json();
        $direction = $before['joins'][$join]['press'][0] === 'left' ? 'right' : 'left';

        return self::changedInto($this->putJson("/api/blocks/2/locks/$join", ['direction' => $direction], self::seen($version))->assertOk()->json(), $before);
    }
}
