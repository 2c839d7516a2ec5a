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

        self::assertEquals(array_diff_key($before, ['block' => 1, 'undo' => 1]), array_diff_key($after, ['block' => 1, 'undo' => 1]));
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

    public function test_rules_press_as_they_say_cost_what_was_told_and_can_be_taken_back(): void
    {
        $before = $this->getJson('/api/blocks/2/plan')->json();
        $priced = $this->getJson('/api/blocks/2/rules/price?rule='.urlencode('rows: left right'))->assertOk()->json();
        self::assertSame('Rows: left, right', $priced['words']);
        $after = self::changedInto($this->putJson('/api/blocks/2/rules', ['rules' => [['text' => 'rows: left right', 'on' => true]]], self::seen(1))->assertOk()->json(), $before);

        self::assertSame($priced['figures'], $after['totals']);
        self::assertEqualsCanonicalizing($priced['joins'], $after['ruled']);
        self::assertSame(['left', 'right', 'left', 'right'], array_map(static fn (array $row): string => $row['way'], $after['rows']));
        self::assertSame([], $after['locked'], 'no single seam is locked');
        self::assertSame([['text' => 'rows: left right', 'on' => true, 'words' => 'Rows: left, right', 'joins' => 12, 'problem' => null]], $after['rules']);

        // A single lock wins over it; switched off, the rule says nothing.
        $locked = self::changedInto($this->putJson('/api/blocks/2/locks/16', ['direction' => 'open'], self::seen(2))->json(), $after);
        self::assertSame(['open'], $locked['joins'][16]['press']);
        $off = self::changedInto($this->putJson('/api/blocks/2/rules', ['rules' => [['text' => 'rows: left right', 'on' => false]]], self::seen(3))->json(), $locked);
        self::assertSame([], $off['ruled']);

        foreach ([4 => $locked, 5 => $after, 6 => $before] as $version => $expected) {
            $undone = $this->postJson('/api/blocks/2/press/undo', [], self::seen($version))->assertOk()->json();
            self::assertSame($expected['rules'], $undone['rules']);
            self::assertSame($expected['locked'], $undone['locked']);
            self::assertSame($expected['plan'], $undone['plan']);
        }
        $redone = $this->postJson('/api/blocks/2/press/redo', [], self::seen(7))->assertOk()->json();
        self::assertSame(['Rows: left, right', $after['plan']], [$redone['undo'], $redone['plan']]);
        self::assertNull($this->getJson('/api/blocks/2/wall')->json('history.undo'), 'the wall takes back only what was done there');
    }

    public function test_a_rule_that_fits_nothing_is_refused_and_changes_nothing(): void
    {
        foreach (['columns: up', 'rows: sideways', 'units flying-geese: dark', ''] as $rule) {
            $this->putJson('/api/blocks/2/rules', ['rules' => [['text' => $rule, 'on' => true]]], self::seen(1))->assertUnprocessable()->assertJson(['code' => 'rule-not-possible']);
        }
        $this->getJson('/api/blocks/2/rules/price?rule=rows')->assertUnprocessable();
        $this->putJson('/api/blocks/2/rules', ['rules' => 'rows: left'], self::seen(1))->assertUnprocessable();
        self::assertSame([], $this->getJson('/api/blocks/2/plan')->json('rules'));
    }

    public function test_a_crossing_can_be_furled_or_says_what_it_would_need(): void
    {
        $before = $this->getJson('/api/blocks/2/plan')->json();
        $long = $before['joins'][30];
        $flipped = array_map(static fn (string $press, int $i): string => $i > 0 ? ($press === 'left' ? 'right' : 'left') : $press, $long['press'], array_keys($long['press']));
        $answer = $this->putJson('/api/blocks/2/locks/30', ['directions' => $flipped], self::seen(1));
        if ($answer->status() === 422) {
            // Its neighbours are units of one pile that lie the other way; it says which.
            self::assertSame('no-wheel', $answer->json('code'));
            self::assertCount(2, $answer->json('turn.needs'));
        } else {
            self::assertSame(1, self::changedInto($answer->assertOk()->json(), $before)['totals']['furls']);
        }
        $this->putJson('/api/blocks/2/locks/30', ['directions' => ['left', 'open', 'left', 'left']], self::seen($answer->status() === 422 ? 1 : 2))->assertUnprocessable();
    }

    public function test_her_way_stands_beside_the_planners_and_either_is_sewn(): void
    {
        $before = $this->getJson('/api/blocks/2/plan')->json();
        $flipped = $this->flip(16, 1);
        $beside = $this->getJson('/api/blocks/2/press/beside')->assertOk()->json();
        self::assertSame([$flipped['totals'], $before['totals']], [$beside['own']['figures'], $beside['planned']['figures']]);
        self::assertContains(['kind' => 'stacked', 'peak' => $flipped['junctions'][self::crossingAt($flipped, $beside)]['peak']], array_column($beside['crossings'], 'own'));

        $planned = self::changedInto($this->putJson('/api/blocks/2/press/way', ['own' => false], self::seen(2))->assertOk()->json(), $flipped);
        self::assertEquals($before['joins'], $planned['joins']);
        self::assertFalse($planned['ownWay']);
        $own = self::changedInto($this->putJson('/api/blocks/2/press/way', ['own' => true], self::seen(3))->assertOk()->json(), $planned);
        self::assertEquals($flipped['joins'], $own['joins']);
    }

    public function test_advice_follows_what_she_calls_a_lump_and_what_is_locked(): void
    {
        $thickest = fn (): array => array_column($this->getJson('/api/blocks/2/press/advice')->assertOk()->json('crossings'), 'peak');
        $first = $thickest();
        $this->putJson('/api/blocks/2/style', ['style' => 'nest', 'lump' => min($first) - 1], self::seen(1))->assertOk();
        self::assertSame($first, $thickest());
        $this->putJson('/api/blocks/2/style', ['style' => 'nest', 'lump' => max($first)], self::seen(2))->assertOk();
        self::assertSame([[], max($first)], [$thickest(), $this->getJson('/api/blocks/2/press/advice')->json('lump')]);
    }

    public function test_advice_on_lumps_comes_out_as_it_says(): void
    {
        $advice = $this->getJson('/api/blocks/2/press/advice')->assertOk()->json();
        self::assertNotSame([], $advice['crossings'], 'a crossing of eight lies 13 deep');
        foreach ($advice['crossings'] as $crossing) {
            foreach (array_filter($crossing['cures'], static fn (array $cure): bool => $cure['locks'] !== []) as $cure) {
                $version = ShelfBlock::query()->findOrFail(2)->version;
                $before = $this->getJson('/api/blocks/2/plan')->json();
                $after = self::changedInto($this->putJson('/api/blocks/2/locks', ['locks' => $cure['locks']], self::seen($version))->assertOk()->json(), $before);
                $there = array_values(array_filter($after['junctions'], static fn (array $junction): bool => $junction['text'] === $crossing['text']))[0];
                self::assertSame($cure['after'], $there['peak'], $cure['words']);
                self::assertLessThan($crossing['peak'], $there['peak']);
                $this->postJson('/api/blocks/2/press/undo', [], self::seen($version + 1))->assertOk();
            }
        }
    }

    public function test_the_file_keeps_the_work_and_brings_it_back(): void
    {
        $this->putJson('/api/blocks/2/style', ['style' => 'mixed', 'lump' => 9], self::seen(1))->assertOk();
        $this->putJson('/api/blocks/2/rules', ['rules' => [['text' => 'last: open', 'on' => true]]], self::seen(2))->assertOk();
        $this->flip(17, 3);
        $this->putJson('/api/blocks/2/piles', ['twoPiles' => ['U1']], self::seen(4))->assertOk();
        $this->putJson('/api/blocks/2/cutting', ['ways' => ['U1' => 'eight-at-a-time'], 'margins' => ['U1' => 'larger']], self::seen(5))->assertOk();
        $before = $this->getJson('/api/blocks/2/plan')->json();
        $file = (string) $this->get('/api/blocks/2/file')->getContent();
        $kept = json_decode($file, true)['plan'];
        self::assertSame(['style', 'lump', 'rules', 'locks', 'piles', 'ways', 'margins'], array_keys($kept));
        self::assertSame(['1,1' => 2], $kept['piles']);

        $brought = $this->call('POST', '/api/blocks', server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], content: $file)->assertCreated()->json();
        self::assertSame([], $brought['leftOut']);
        $after = $this->getJson("/api/blocks/{$brought['id']}/plan")->json();
        self::assertSame([$before['joins'], $before['totals'], $before['locked'], $before['rules']], [$after['joins'], $after['totals'], $after['locked'], $after['rules']]);
        self::assertEquals(json_decode($file, true), json_decode((string) $this->get("/api/blocks/{$brought['id']}/file")->getContent(), true));

        $copy = $this->postJson('/api/blocks/2/copy', ['name' => 'Small Slack Water', 'width' => '6', 'height' => '6'])->assertCreated()->json();
        $small = json_decode((string) $this->get("/api/blocks/{$copy['id']}/file")->getContent(), true);
        self::assertSame($kept, $small['plan']);
    }

    /**
     * @param array<string, mixed> $station
     * @param array<string, mixed> $beside
     */
    private static function crossingAt(array $station, array $beside): int
    {
        $stacked = array_values(array_filter($beside['crossings'], static fn (array $crossing): bool => $crossing['own']['kind'] === 'stacked'))[0];

        return (int) array_search($stacked['text'], array_column($station['junctions'], 'text'), true);
    }

    /** @return array<string, mixed> the station after the flip */
    private function flip(int $join, int $version): array
    {
        $before = $this->getJson('/api/blocks/2/plan')->json();
        $direction = $before['joins'][$join]['press'][0] === 'left' ? 'right' : 'left';

        return self::changedInto($this->putJson("/api/blocks/2/locks/$join", ['direction' => $direction], self::seen($version))->assertOk()->json(), $before);
    }
}
