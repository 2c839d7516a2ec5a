<?php

declare(strict_types=1);

namespace Tests\Feature;

use Tests\Support\Tops;

final class TopWorkTest extends TestCase
{
    public function test_blocks_are_sewn_first_then_the_top_then_its_borders(): void
    {
        $this->madeTop();
        self::assertSame('new', $this->getJson('/api/tops/2/work')->assertOk()->json('state'));
        $work = $this->told('begin');
        $parts = array_values(array_unique(array_filter(array_column($work['steps'], 'part'), static fn (string $part): bool => $part !== 'top')));
        self::assertSame(['cutting', 'blocks', 'borders'], $parts);
        self::assertSame('borders', $work['steps'][count($work['steps']) - 1]['part']);
        self::assertSame(count($work['steps']), count(array_unique(array_column($work['steps'], 'key'))));
        self::assertSame([[], 2 + 2 + 2 + 2], [$work['wholes'], count($work['seams'])], 'two rows of block, sash, block; a row of sash, cornerstone, sash; and the three together');

        // Every step done in its place; a block is whole once all its seams are, and before any seam of the top.
        while ($work['next'] !== null) {
            $step = $work['steps'][$work['next']];
            if ($step['part'] === 'top' && $step['seams'] !== []) {
                self::assertSame([0, 1, 2, 3], $work['wholes']);
            }
            $sewnBefore = count(array_filter(array_column($work['seams'], 'isSewn')));
            $work = $this->told('done', $step['key']);
            self::assertSame($sewnBefore + ($step['do'] === 'join' ? count($step['seams']) : 0), count(array_filter(array_column($work['seams'], 'isSewn'))));
        }
        self::assertSame([0, 1, 2, 3], $work['wholes']);
        self::assertNotContains(false, array_column($work['seams'], 'isSewn'));
    }

    public function test_times_are_counted_and_every_deed_can_be_taken_back(): void
    {
        $this->madeTop();
        $work = $this->told('begin');
        self::assertFalse($work['back']);
        $many = array_values(array_filter($work['steps'], static fn (array $step): bool => $step['times'] > 2))[0];
        $counted = fn (array $work): int => array_column($work['steps'], 'counted', 'key')[$many['key']];
        self::assertSame([1, 2], [$counted($this->told('one', $many['key'])), $counted($this->told('one', $many['key']))]);
        self::assertSame($many['times'], $counted($this->told('done', $many['key'])));
        self::assertSame($many['times'], $counted($this->told('one', $many['key'])), 'not more often than there is to do');
        self::assertSame([2, 1, 0], [$counted($this->told('back')), $counted($this->told('back')), $counted($last = $this->told('back'))]);
        self::assertFalse($last['back']);
        self::assertSame(0, $counted($this->told('back')));
    }

    public function test_the_plan_is_held_while_it_is_sewn_and_what_is_sewn_stays_sewn_in_a_changed_top(): void
    {
        $this->madeTop();
        $work = $this->told('begin');
        $join = array_values(array_filter($work['steps'], static fn (array $step): bool => $step['do'] === 'join' && $step['part'] === 'blocks'))[0];
        $this->told('done', $join['key']);
        $this->putJson('/api/tops/2', ['change' => ['borders' => []]], self::seen(1))->assertOk();
        $held = $this->getJson('/api/tops/2/work')->json();
        self::assertTrue($held['isChanged']);
        self::assertSame(array_column($work['steps'], 'key'), array_column($held['steps'], 'key'));

        $anew = $this->told('begin');
        self::assertFalse($anew['isChanged']);
        self::assertNotContains('borders', array_column($anew['steps'], 'part'));
        self::assertSame($join['times'], array_column($anew['steps'], 'counted', 'key')[$join['key']]);
        // Laid as the plan has it, it is the same top.
        $this->putJson('/api/tops/2/sewing', ['order' => 'columns', 'sashes' => 'between', 'chain' => 'row-by-row'], self::seen(2))->assertOk();
        self::assertTrue($this->getJson('/api/tops/2/work')->json('isChanged'));
    }

    public function test_what_cannot_be_told_is_answered_by_a_sentence(): void
    {
        $this->madeTop();
        $tell = fn (string $deed, string $key = '') => $this->postJson('/api/tops/2/work', array_filter(['deed' => $deed, 'key' => $key]));
        $tell('done', 'x')->assertUnprocessable()->assertJson(['message' => 'The plan of this top is not worked out yet. Plan it first; then the sewing begins.']);
        $this->told('begin');
        $tell('done', 'x')->assertUnprocessable()->assertJson(['message' => 'The plan has changed: that step is no longer in it. Go on from the step that is shown.']);
        $tell('unpick')->assertUnprocessable();
    }

    public function test_an_order_is_chosen_with_what_it_brings(): void
    {
        $this->madeTop();
        $told = fn (string $order, string $sashes): array => $this->getJson("/api/tops/2/order?order=$order&sashes=$sashes")->assertOk()->json();
        self::assertSame(['problem' => null, 'matchPoints' => 4 + 4, 'longestJoin' => '13 in'], $told('rows', 'between'), 'one in each block, and the two ends of two seams at either side of the cornerstone');
        self::assertSame('13 in', $told('quarters', 'first')['longestJoin']);
        self::assertStringContainsString('on point', (string) $told('diagonal', 'between')['problem']);
        $shown = $this->putJson('/api/tops/2/sewing', ['order' => 'twos', 'sashes' => 'first', 'chain' => 'webbed'], self::seen(1))->assertOk()->json('sewing');
        self::assertSame(['twos', 'first', 'webbed'], [$shown['order'], $shown['sashes'], $shown['chain']]);
        $this->putJson('/api/tops/2/sewing', ['order' => 'around', 'sashes' => 'first', 'chain' => 'webbed'], self::seen(2))->assertUnprocessable();
        $this->putJson('/api/tops/2/sewing', ['order' => 'rows', 'sashes' => 'first', 'chain' => 'webbed'], self::seen(1))->assertConflict();
    }

    public function test_many_units_are_made_eight_at_a_time_where_that_is_preferred(): void
    {
        $this->postJson('/api/tops', Tops::file(['rows' => 4, 'columns' => 4], Tops::PINWHEEL))->assertCreated();
        self::assertSame([['words' => '64 half-square triangles, two from two squares', 'spare' => 0]], $this->getJson('/api/tops/2/cutting')->assertOk()->json('ways'));
        $this->putJson('/api/tops/2/sewing', ['order' => 'rows', 'sashes' => 'between', 'chain' => 'row-by-row', 'preference' => 'fewest-cuts'], self::seen(1))->assertOk();
        self::assertStringContainsString('eight', $this->getJson('/api/tops/2/cutting')->json('ways.0.words'));
        $steps = $this->told('begin')['steps'];
        self::assertNotSame([], array_filter($steps, static fn (array $step): bool => str_contains($step['text'], 'eight')));
    }

    private function madeTop(): void
    {
        $this->postJson('/api/tops', Tops::file(['sashes' => ['width' => '1', 'fabric' => 'C', 'cornerstone' => 'B', 'outer' => false], 'borders' => [['width' => '2', 'fabric' => 'A']]], Tops::PINWHEEL))->assertCreated();
    }

    /** @return array<string, mixed> */
    private function told(string $deed, string $key = ''): array
    {
        return $this->postJson('/api/tops/2/work', array_filter(['deed' => $deed, 'key' => $key]))->assertOk()->json();
    }
}
