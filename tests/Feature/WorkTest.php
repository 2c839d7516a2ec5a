<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\ShelfBlock;
use App\Models\WorkEvent;
use App\Workings\Workings;

final class WorkTest extends TestCase
{
    public function test_steps_are_told_with_what_is_needed_at_each(): void
    {
        $steps = $this->steps();
        self::assertSame(['cut', 'cut', 'cut'], array_column(array_slice($steps, 0, 3), 'do'));
        self::assertSame('Close the blade when you put it down, and cut away from yourself.', $steps[0]['caution']);

        $first = self::first($steps, 'join');
        $one = $this->getJson("/api/blocks/3/work/steps/{$first['key']}")->assertOk()->json();
        self::assertSame([1, 1], array_map(count(...), $one['takes'][0]['pieces']));
        self::assertNull($one['ruler']);

        $last = $this->getJson('/api/blocks/3/work/steps/'.self::last($steps, 'join')['key'])->assertOk()->json();
        self::assertCount(3, $last['ruler']['marks']);
        $this->getJson('/api/blocks/3/work/steps/join-0')->assertUnprocessable()->assertJson(['code' => 'work-not-possible']);
    }

    public function test_units_that_could_lie_turned_unnoticed_are_shown_beside_their_impostors(): void
    {
        $row = array_values(array_filter($this->steps(), static fn (array $step): bool => $step['do'] === 'join' && str_starts_with($step['title'], 'Row ')));
        $shown = array_merge(...array_map(fn (array $step): array => $this->getJson("/api/blocks/3/work/steps/{$step['key']}")->json('lookTwice'), $row));

        self::assertNotEmpty($shown);
        self::assertNotEmpty($shown[0]['wrong'][0]['patches']);
    }

    public function test_what_is_cut_at_the_machine_is_what_the_cutting_list_says(): void
    {
        foreach ([1, 2, 3] as $block) {
            $cuts = $this->getJson("/api/blocks/$block/cutting")->assertOk()->json('cuts');
            self::assertContains('larger', array_column($cuts, 'margin'));
            $texts = array_column(array_filter($this->getJson("/api/blocks/$block/work")->json('steps'), static fn (array $step): bool => $step['do'] === 'cut'), 'text');
            foreach ($cuts as $cut) {
                $told = array_filter($texts, static fn (string $text): bool => str_contains($text, "{$cut['size']} in") && preg_match("~stacks? [^.]*\\b{$cut['letter']}\\b~", $text) === 1);
                self::assertNotEmpty($told, "$block: stack {$cut['letter']}, {$cut['size']} in: ".implode(' / ', $texts));
            }
        }
    }

    public function test_what_is_sent_twice_is_done_once_and_in_order(): void
    {
        $keys = array_column($this->steps(), 'key');
        $events = [self::event('done', $keys[0], 'a-first-key'), self::event('done', $keys[1], 'a-second-key'), self::event('back', $keys[1], 'the-way-back')];
        $this->postJson('/api/blocks/3/work/events', ['events' => $events])->assertOk();
        $mark = $this->getJson('/api/blocks/3/work')->json('mark');
        $again = $this->postJson('/api/blocks/3/work/events', ['events' => [...$events, self::event('done', $keys[1], 'once-more')], 'mark' => $mark])->assertOk()->json();

        self::assertSame([['key' => $keys[1], 'isDone' => true]], array_map(static fn (array $step): array => array_intersect_key($step, ['key' => 1, 'isDone' => 1]), $again['steps']), 'only what changed');
        self::assertSame([true, true, false], array_column(array_slice($this->steps(), 0, 3), 'isDone'));
        $unknown = $this->postJson('/api/blocks/3/work/events', ['events' => $events])->assertOk()->json();
        self::assertSame([true, count($keys)], [$unknown['isWhole'], count($unknown['steps'])], 'a screen that knows another state is told of every step');
        self::assertSame(4, WorkEvent::query()->count());
        self::assertSame([1, 2], [ShelfBlock::query()->findOrFail(3)->version, ShelfBlock::query()->findOrFail(3)->stepsDoneNow()], 'steps are no new version');
    }

    public function test_one_that_cannot_be_done_is_told_and_keeps_no_other_back(): void
    {
        $keys = array_column($this->steps(), 'key');
        $answer = $this->postJson('/api/blocks/3/work/events', ['events' => [self::event('done', 'join-gone', 'one-of-an-old-plan'), self::event('done', $keys[0], 'one-of-this-plan')]])->assertOk()->json();

        self::assertSame([['id' => 'one-of-an-old-plan', 'of' => '', 'message' => 'The plan has changed: that step is no longer in it. Go on from the step that is shown.', 'isRefused' => true]], $answer['said']);
        self::assertTrue($answer['steps'][0]['isDone']);
        foreach ([[], ['events' => 'all'], ['events' => [3]], ['events' => [['do' => 'done']]]] as $wrong) {
            $this->postJson('/api/blocks/3/work/events', $wrong)->assertUnprocessable();
        }
        $this->postJson('/api/blocks/3/work/events', ['events' => [['id' => 'x', 'do' => 'done', 'step' => $keys[1], 'at' => 'now']]])->assertUnprocessable();
        self::assertSame(1, WorkEvent::query()->count());
    }

    public function test_a_measured_size_is_judged_kept_and_questioned_when_it_is_a_slip(): void
    {
        $measure = self::first($this->steps(), 'measure');
        [$width, $height] = $measure['size'];
        $slip = $this->measured($measure['key'], '40', $height);
        self::assertTrue($slip['said'][0]['isRefused']);
        self::assertStringContainsString('"40" is not likely', $slip['said'][0]['message']);

        $fine = $this->measured($measure['key'], $width, $height);
        self::assertSame(['Half-square triangle', 'Fine: square it up.'], [$fine['said'][0]['of'], $fine['said'][0]['message']]);
        self::assertSame([[$width, $height]], array_values(app(Workings::class)->of(ShelfBlock::query()->findOrFail(3))->facts()->measured()));

        $rows = self::first(array_filter($this->steps(), static fn (array $step): bool => str_starts_with($step['title'], 'Row ')), 'measure');
        $said = fn (string $width): string => $this->measured($rows['key'], $width, $rows['size'][1])['said'][0]['message'];
        self::assertSame('1/4 in too large: rows 1 and 2 would be off by 1/4 in, more than can be eased. Trim row 1; then everything can be eased.', $said('12 3/4'));
        self::assertSame('1/4 in too small: rows 1 and 2 would be off by 1/4 in, more than can be eased. Unpick row 1 and sew it narrower, or make it again; then everything can be eased.', $said('12 1/4'));
        self::assertSame('Ease it in, or pin it; rows 1 and 2 will be off by 1/16 in.', $said('12 7/16'));
        foreach ($this->steps() as $step) {
            if ($step['do'] === 'measure' && preg_match('/^Row [234]$/', $step['title']) === 1) {
                $this->measured($step['key'], '12 7/16', $step['size'][1]);
            }
        }
        self::assertSame('1/16 in too small, but so is what it is sewn to: leave it.', $said('12 7/16'), 'rows that are short alike meet');
    }

    public function test_unpicking_tells_its_cost_first_and_then_opens_what_rests_on_the_seam(): void
    {
        $steps = $this->steps();
        $this->sew(3, count($steps));
        $row = self::first(array_filter($steps, static fn (array $step): bool => str_starts_with($step['title'], 'Row ')), 'join');
        $cost = $this->getJson("/api/blocks/3/work/unpicking/{$row['joins'][0]}")->assertOk()->json();
        self::assertSame(['Rows 3 and 4', 'Rows 2 and 3', 'Rows 1 and 2', 'Row 1, seam 3', 'Row 1, seam 2', 'Row 1, seam 1'], $cost['seams']);
        self::assertSame([48, false], [$cost['minutes'], $cost['isOwnPace']]);

        $event = ['id' => 'opened-again', 'do' => 'unpicked', 'join' => $row['joins'][0], 'cause' => 'turned', 'at' => 1_760_000_000_000];
        $answer = $this->postJson('/api/blocks/3/work/events', ['events' => [$event]])->assertOk()->json();
        self::assertSame([], $answer['said']);
        $open = array_values(array_filter($this->steps(), static fn (array $step): bool => ! $step['isDone']));
        self::assertSame([$row['key'], $row['joins']], [$open[0]['key'], $open[0]['open']]);

        $again = $this->postJson('/api/blocks/3/work/events', ['events' => [['id' => 'opened-twice'] + $event]])->json('said');
        self::assertSame('That seam is not sewn, so there is nothing to unpick. Choose a sewn one.', $again[0]['message']);
    }

    public function test_a_seam_pressed_otherwise_is_a_fact_that_the_rest_is_planned_round(): void
    {
        $steps = $this->steps();
        $press = self::first(array_filter($steps, static fn (array $step): bool => $step['title'] === 'Row 1'), 'press');
        $before = array_column($this->getJson('/api/blocks/3/plan')->json('joins'), 'press');
        $at = array_search($press['key'], array_column($steps, 'key'), true);
        $this->sew(3, (int) $at);
        $this->postJson('/api/blocks/3/work/events', ['events' => [self::event('otherwise', $press['key'], 'other-way')]])->assertOk()->assertJson(['said' => []]);
        $after = $this->getJson('/api/blocks/3/plan')->json();

        foreach ($after['joins'] as $id => $join) {
            if (in_array($id, $press['joins'], true)) {
                self::assertNotSame($before[$id], $join['press']);
            } elseif ($join['isOfUnit']) {
                self::assertSame($before[$id], $join['press'], 'the units are pressed already');
            }
        }
    }

    public function test_the_plan_goes_round_a_seam_that_was_pressed_otherwise(): void
    {
        $this->putJson('/api/blocks/3/piles', ['equalParts' => 'apart'], self::seen(1));
        $steps = $this->steps();
        $press = array_values(array_filter($steps, static fn (array $step): bool => $step['title'] === 'Row 1' && $step['do'] === 'press'))[0];
        $version = $this->getJson('/api/blocks/3/plan')->json('block.version');
        $planned = $this->getJson('/api/blocks/3/plan')->json('totals.stacked');
        $this->sew(3, (int) array_search($press['key'], array_column($steps, 'key'), true));
        $this->postJson('/api/blocks/3/work/events', ['events' => [self::event('otherwise', $press['key'], 'other-way')]])->assertOk();
        $now = $this->getJson('/api/blocks/3/plan')->json();

        self::assertSame([$version, $planned], [$now['block']['version'], $now['totals']['stacked']], 'the rows below are turned over, so that all crossings nest again');
        self::assertSame([], array_diff($press['joins'], $now['pressed']));
        $next = array_values(array_filter($this->steps(), static fn (array $step): bool => $step['title'] === 'Row 2' && $step['do'] === 'press'))[0];
        self::assertNotSame(array_values(array_filter($steps, static fn (array $step): bool => $step['key'] === $next['key']))[0]['text'], $next['text']);
    }

    public function test_times_are_counted_one_by_one_and_a_key_takes_back_only_one(): void
    {
        $steps = $this->steps();
        $row = self::first(array_filter($steps, static fn (array $step): bool => $step['title'] === 'Row 1'), 'join');
        $this->sew(3, (int) array_search($row['key'], array_column($steps, 'key'), true));
        $left = function (string $do) use ($row): array {
            $this->postJson('/api/blocks/3/work/events', ['events' => [self::event($do, $row['key'], bin2hex(random_bytes(6)))]])->assertOk();
            $step = array_values(array_filter($this->steps(), static fn (array $step): bool => $step['key'] === $row['key']))[0];

            return [$step['due'] - $step['counted'], $step['isDone']];
        };

        self::assertSame([[2, false], [1, false], [2, false], [1, false], [0, true]], array_map($left, ['counted', 'counted', 'back', 'counted', 'counted']));
        self::assertSame([[1, false], [2, false], [3, false], [3, false]], array_map($left, ['back', 'back', 'back', 'back']));
        self::assertSame([3, true], $left('done'));
        self::assertSame([3, false], $left('back'), 'what was done at once is taken back at once');
    }

    public function test_of_several_blocks_only_those_are_due_again_in_which_a_seam_was_opened(): void
    {
        $this->putJson('/api/blocks/3/cutting', ['blocks' => 6], self::seen(1))->assertOk();
        $steps = $this->steps();
        $this->sew(3, count($steps));
        $row = self::first(array_filter($steps, static fn (array $step): bool => $step['title'] === 'Row 1'), 'join');
        self::assertSame(18, $row['due']);
        $event = ['id' => 'in-two', 'do' => 'unpicked', 'join' => $row['joins'][2], 'cause' => 'turned', 'blocks' => 2, 'at' => 1_760_000_000_000];
        $answer = $this->postJson('/api/blocks/3/work/events', ['events' => [['id' => 'in-seven', 'blocks' => 7] + $event, $event]])->assertOk()->json();

        self::assertSame(['6 blocks are made. Unpick it in one to 6 of them.'], array_column($answer['said'], 'message'));
        $open = array_values(array_filter($this->steps(), static fn (array $step): bool => ! $step['isDone']));
        self::assertSame([$row['key'], 2, 18], [$open[0]['key'], $open[0]['due'], $open[0]['times']]);
    }

    public function test_work_is_put_down_until_the_next_key(): void
    {
        $first = $this->steps()[0]['key'];
        $tell = fn (array $event): mixed => $this->postJson('/api/blocks/3/work/events', ['events' => [$event + ['id' => bin2hex(random_bytes(6)), 'at' => 1_760_000_000_000]]])->assertOk()->json('pausedAt');

        self::assertSame(1_760_000_000_000, $tell(['do' => 'paused']));
        self::assertSame(1_760_000_000_000, $this->getJson('/api/blocks/3/work')->json('pausedAt'), 'another evening it is still put down');
        self::assertNull($tell(['do' => 'resumed']));
        $tell(['do' => 'paused']);
        self::assertNull($tell(['do' => 'done', 'step' => $first]));
    }

    public function test_rows_can_be_webbed_in_the_middle_of_the_work(): void
    {
        $steps = $this->steps();
        $row = self::first(array_filter($steps, static fn (array $step): bool => $step['title'] === 'Row 1'), 'join');
        $this->sew(3, (int) array_search($row['key'], array_column($steps, 'key'), true) + 1);
        $webbed = $this->putJson('/api/blocks/3/work/chain', ['chain' => 'webbed'])->assertOk()->json();
        $open = array_values(array_filter($webbed['steps'], static fn (array $step): bool => ! $step['isDone']));

        self::assertSame(['webbed', 'Rows'], [$webbed['chain'], $open[0]['title']]);
        self::assertSame(array_values(array_diff($open[0]['joins'], $row['joins'])), $open[0]['open'], 'row 1 is sewn already');
        $this->putJson('/api/blocks/3/work/chain', ['chain' => 'knitted'])->assertUnprocessable();
        $this->putJson('/api/blocks/3/work/chain', ['chain' => 'row-by-row'])->assertOk();
        self::assertSame(array_column($steps, 'key'), array_column($this->steps(), 'key'));
    }

    public function test_units_can_be_sewn_in_twos_from_the_machine_and_what_is_sewn_goes_along(): void
    {
        $steps = $this->steps();
        $layOut = (int) array_search('lay-out', array_column($steps, 'do'), true);
        $this->sew(3, $layOut + 1);
        $sewn = $this->getJson('/api/blocks/3/work')->json('sewn');
        $choose = fn (string $chain) => $this->putJson('/api/blocks/3/work/chain', ['chain' => $chain]);
        $twos = $choose('twos')->assertOk()->json();
        $next = array_values(array_filter($twos['steps'], static fn (array $step): bool => ! $step['isDone']))[0];

        self::assertSame('twos', $twos['chain']);
        self::assertCount(count($sewn), $twos['sewn'], 'no unit is sewn again');
        self::assertSame(['join', '4 pairs', 4], [$next['do'], $next['title'], $next['times']]);
        self::assertSame('twos', $choose('twos')->assertOk()->json('chain'));
        $this->sew(3, 1);
        $choose('webbed')->assertUnprocessable()->assertJsonPath('message', 'Some units are sewn to each other already, and not as the other order has them. Finish this block as it was begun, or unpick those seams first.');
        self::assertSame('twos', $this->getJson('/api/blocks/3/work')->json('chain'), 'a refused choice changes nothing');
        $this->postJson('/api/blocks/3/work/events', ['events' => [['do' => 'back', 'step' => $next['key'], 'id' => 'back-of-twos', 'at' => 1_760_000_000_000]]])->assertOk();
        self::assertSame('webbed', $choose('webbed')->assertOk()->json('chain'));
        self::assertSame('rows', ShelfBlock::query()->findOrFail(3)->orderId());
    }

    public function test_pieces_of_a_half_sewn_step_are_unpicked_with_their_cause(): void
    {
        $steps = $this->steps();
        $join = self::first(array_filter($steps, static fn (array $step): bool => $step['times'] > 2), 'join');
        $this->sew(3, (int) array_search($join['key'], array_column($steps, 'key'), true));
        $tell = fn (array $event): mixed => $this->postJson('/api/blocks/3/work/events', ['events' => [$event + ['id' => bin2hex(random_bytes(6)), 'at' => 1_760_000_000_000, 'step' => $join['key']]]])->assertOk()->json();
        $counted = fn (): int => array_column($this->steps(), 'counted', 'key')[$join['key']];
        $tell(['do' => 'counted']);
        $tell(['do' => 'counted']);
        self::assertSame(2, $counted());
        self::assertSame('2 of this step are sewn. Unpick one to 2 of them.', $tell(['do' => 'unpicked', 'cause' => 'other', 'count' => 3])['said'][0]['message']);
        self::assertSame([], $tell(['do' => 'unpicked', 'cause' => 'other', 'count' => 1, 'reason' => 'the bobbin ran out'])['said']);
        self::assertSame(1, $counted());
        self::assertStringContainsString('the bobbin ran out', (string) $this->get('/api/blocks/3/logbook.csv')->getContent());
        $tell(['do' => 'back']);
        self::assertSame('Nothing of this step is counted yet, so there is nothing to unpick.', $tell(['do' => 'unpicked', 'cause' => 'turned'])['said'][0]['message']);
    }

    public function test_a_pile_of_the_wrong_hand_is_mended_by_the_least_work_and_the_counts_follow(): void
    {
        $steps = $this->steps();
        self::assertSame([], $this->getJson('/api/blocks/3/work/hands')->assertOk()->json('piles'), 'nothing is sewn');
        $this->sew(3, (int) array_search('lay-out', array_column($steps, 'do'), true));
        $piles = $this->getJson('/api/blocks/3/work/hands')->json('piles');
        $pile = array_values(array_filter($piles, static fn (array $pile): bool => str_starts_with($pile['name'], 'Split') || str_starts_with($pile['name'], 'split')))[0];
        $mends = $this->getJson("/api/blocks/3/work/hands?unit={$pile['label']}&count=2")->assertOk()->json('mends');
        self::assertSame(['seams', 'remake'], array_column($mends, 'how'));
        self::assertSame('Take 2 seams out of each, turn what comes off and sew it on the other way round: 4 seams.', $mends[0]['words']);
        $this->getJson("/api/blocks/3/work/hands?unit={$pile['label']}&count=".($pile['loose'] + 1))->assertUnprocessable();
        $this->getJson('/api/blocks/3/work/hands?unit=U99&count=1')->assertUnprocessable();

        $tell = fn (string $how): mixed => $this->postJson('/api/blocks/3/work/events', ['events' => [['id' => 'hands-'.$how, 'at' => 1_760_000_000_000, 'do' => 'unpicked', 'unit' => $pile['label'], 'count' => 2, 'how' => $how, 'cause' => 'wrong-hand']]])->assertOk()->json('said');
        self::assertSame($mends[0]['words'], $tell('seams')[0]['message']);
        $open = array_values(array_filter($this->steps(), static fn (array $step): bool => ! $step['isDone'] && $step['do'] !== 'lay-out'));
        $ofUnit = array_slice($open, 0, (int) array_search('square-up', array_column($open, 'do'), true) + 1);
        self::assertSame(['join', 'press', 'join', 'press', 'square-up'], array_column($ofUnit, 'do'));
        self::assertSame([2, 2, 2, 2, 2], array_column($ofUnit, 'due'));
        self::assertTrue($tell('swap')[0]['isRefused']);
        self::assertStringContainsString('unpicked,"Split quarter-square triangles",,,,,wrong-hand', (string) $this->get('/api/blocks/3/logbook.csv')->getContent());
    }

    public function test_steps_counted_on_an_older_shelf_are_still_done(): void
    {
        ShelfBlock::query()->whereKey(3)->update(['steps_done' => json_encode(['rows' => 2], JSON_THROW_ON_ERROR)]);
        $done = array_filter($this->steps(), static fn (array $step): bool => $step['isDone']);

        self::assertContains('press', array_column($done, 'do'));
        $this->sew(3, 1);
        self::assertGreaterThan(count($done), count(array_filter($this->steps(), static fn (array $step): bool => $step['isDone'])));
    }

    /** @return list<array<string, mixed>> */
    private function steps(): array
    {
        return $this->getJson('/api/blocks/3/work')->assertOk()->json('steps');
    }

    /** @return array<string, mixed> */
    private function measured(string $step, string $width, string $height): array
    {
        $event = self::event('measured', $step, bin2hex(random_bytes(6))) + ['width' => $width, 'height' => $height];

        return $this->postJson('/api/blocks/3/work/events', ['events' => [$event]])->assertOk()->json();
    }

    /** @return array<string, mixed> */
    private static function event(string $do, string $step, string $id): array
    {
        return ['id' => $id, 'do' => $do, 'step' => $step, 'at' => 1_760_000_000_000];
    }

    /**
     * @param array<array<string, mixed>> $steps
     *
     * @return array<string, mixed>
     */
    private static function first(array $steps, string $do): array
    {
        return array_values(array_filter($steps, static fn (array $step): bool => $step['do'] === $do))[0];
    }

    /**
     * @param array<array<string, mixed>> $steps
     *
     * @return array<string, mixed>
     */
    private static function last(array $steps, string $do): array
    {
        return self::first(array_reverse($steps), $do);
    }
}
