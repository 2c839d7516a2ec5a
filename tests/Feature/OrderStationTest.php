<?php

declare(strict_types=1);

namespace Tests\Feature;

use KeenSeam\Core\Assembly\Order;
use KeenSeam\Core\Pressing\PressStyle;
use Tests\Support\Blocks;

final class OrderStationTest extends TestCase
{
    public function test_all_orders_stand_side_by_side(): void
    {
        $orders = $this->getJson('/api/blocks/3/orders')->assertOk()->json('orders');

        self::assertSame(array_column(Order::cases(), 'value'), array_column($orders, 'order'));
        self::assertSame(43, $orders[0]['figures']['joins']);
        self::assertSame('12 in', $orders[0]['figures']['longestJoin']);
        self::assertCount(43, $orders[0]['joins']);
    }

    public function test_choosing_an_order_keeps_locks_and_steps_of_each(): void
    {
        $this->putJson('/api/blocks/2/locks/16', ['direction' => 'left'], self::seen(1))->assertOk();
        $this->sew(2, 8);
        $sewn = $this->getJson('/api/blocks/2/plan')->json('seamsSewn');
        self::assertGreaterThan(0, $sewn);
        $this->putJson('/api/blocks/2/order', ['order' => 'columns'], self::seen(2))->assertOk()->assertJson(['order' => 'columns', 'version' => 3]);
        $columns = $this->getJson('/api/blocks/2/plan')->json();
        self::assertSame(['columns', 0, 0, 0], [$columns['order'], $columns['locks'], $columns['stepsDone'], $columns['seamsSewn']]);

        $this->putJson('/api/blocks/2/order', ['order' => 'rows'], self::seen(3))->assertOk();
        $rows = $this->getJson('/api/blocks/2/plan')->json();
        self::assertSame(['rows', 1, $sewn], [$rows['order'], $rows['locks'], $rows['seamsSewn']]);
    }

    public function test_an_order_of_her_own_grows_is_kept_and_sewn_at_every_station(): void
    {
        $apart = $this->postJson('/api/blocks/2/orders/grow', ['likes' => true])->assertOk()->json();
        self::assertCount(16, $apart['parts']);
        $parts = static fn (array $growing): array => array_column($growing['parts'], 'sew');
        $growing = $apart;
        for ($i = 0; ! $growing['done'] && $i < 9; ++$i) {
            $growing = $this->postJson('/api/blocks/2/orders/grow', ['parts' => $parts($growing), 'do' => 'twos', 'likes' => false])->assertOk()->json();
        }
        self::assertTrue($growing['done']);
        $this->postJson('/api/blocks/2/orders/grow', ['parts' => $parts($apart), 'do' => 'sew', 'a' => 0, 'b' => 15, 'likes' => false])->assertUnprocessable()->assertJson(['code' => 'order-not-possible']);
        $this->postJson('/api/blocks/2/orders/grow', ['do' => 'knit'])->assertUnprocessable();

        $kept = $this->putJson('/api/blocks/2/orders/own', ['name' => 'Twos of twos', 'sew' => $parts($growing)[0]], self::seen(1))->assertOk()->json();
        self::assertSame(['order' => 'own:Twos of twos', 'version' => 2], $kept);
        $orders = $this->getJson('/api/blocks/2/orders')->assertOk()->json();
        self::assertSame(['own:Twos of twos', 'own:Twos of twos'], [$orders['chosen'], $orders['orders'][7]['order']]);
        self::assertSame($growing['figures'], $orders['orders'][7]['figures']);
        foreach (['plan', 'rail', 'cutting', 'joins', 'work', 'wall', 'press/advice', 'press/beside'] as $station) {
            $this->getJson("/api/blocks/2/$station")->assertOk();
        }
        self::assertSame(31, $this->getJson('/api/blocks/2/plan')->json('totals.joins'));
        $file = json_decode((string) $this->get('/api/blocks/2/file')->getContent(), true);
        self::assertSame(['name' => 'Twos of twos', 'sew' => $parts($growing)[0]], $file['plan']['order']);
        $brought = $this->call('POST', '/api/blocks', content: json_encode($file, JSON_THROW_ON_ERROR))->assertCreated()->json('id');
        self::assertSame('own:Twos of twos', $this->getJson("/api/blocks/$brought/plan")->json('order'));

        $this->putJson('/api/blocks/2/orders/own', ['name' => 'Half', 'sew' => ['1,1', '1,2']], self::seen(2))->assertUnprocessable();
        $this->putJson('/api/blocks/2/orders/own', ['name' => '', 'sew' => $parts($growing)[0]], self::seen(2))->assertUnprocessable();
        $this->deleteJson('/api/blocks/2/orders/own', ['name' => 'Twos of twos'], self::seen(2))->assertOk()->assertJson(['order' => 'rows']);
        self::assertCount(7, $this->getJson('/api/blocks/2/orders')->json('orders'));
    }

    public function test_orders_that_come_out_the_same_say_so(): void
    {
        $id = $this->call('POST', '/api/blocks', content: json_encode(Blocks::file('pA pB'), JSON_THROW_ON_ERROR))->json('id');
        $orders = $this->getJson("/api/blocks/$id/orders")->json('orders');
        self::assertSame([null, 'By rows', 'By rows'], [$orders[0]['sameAs'], $orders[1]['sameAs'], $orders[6]['sameAs']]);
    }

    public function test_an_order_that_cannot_be_is_refused_and_told_beside_the_others(): void
    {
        $id = $this->call('POST', '/api/blocks', content: json_encode(Blocks::file('pA pB', 'pB pA'), JSON_THROW_ON_ERROR))->json('id');
        $this->putJson("/api/blocks/$id/order", ['order' => 'diagonal'], self::seen(1))->assertUnprocessable()->assertJson(['code' => 'order-not-possible']);
        $this->putJson("/api/blocks/$id/order", ['order' => 'spiral'], self::seen(1))->assertUnprocessable()->assertJson(['where' => '/order']);

        $slanting = $this->getJson("/api/blocks/$id/orders")->json('orders.4');
        self::assertSame('diagonal', $slanting['order']);
        self::assertStringContainsString('no diagonal rows', $slanting['problem']);
    }

    public function test_a_block_that_needs_a_set_in_seam_shows_the_patches_and_the_units_up_to_there(): void
    {
        $file = Blocks::file('pA pA pA', 'pA pA pA', 'pA pA pA');
        $cell = static fn (int $row, int $column, int $rows, int $columns): array => ['row' => $row, 'column' => $column, 'row_span' => $rows, 'column_span' => $columns, 'unit' => 'half-square-triangle', 'fabrics' => ['A', 'B']];
        $file['cells'] = [$cell(1, 1, 1, 2), $cell(1, 3, 2, 1), $cell(3, 2, 1, 2), $cell(2, 1, 2, 1), $cell(2, 2, 1, 1)];
        $id = $this->call('POST', '/api/blocks', content: json_encode($file, JSON_THROW_ON_ERROR))->assertCreated()->json('id');
        $rows = $this->getJson("/api/blocks/$id/orders")->assertOk()->json('orders.0');

        self::assertStringContainsString('they need a set-in or partial seam', $rows['problem']);
        self::assertSame(range(0, 9), $rows['patchesInTheWay']);
        self::assertSame(5, array_sum(array_column($rows['upToThere'], 'count')));
        $this->getJson("/api/blocks/$id/plan")->assertUnprocessable()->assertJson(['code' => 'set-in-seam-needed']);
    }

    public function test_the_schools_are_compared_and_chosen(): void
    {
        $styles = $this->getJson('/api/blocks/2/styles')->assertOk()->json('styles');
        self::assertSame(array_column(PressStyle::cases(), 'value'), array_column($styles, 'style'));
        $open = self::changedInto($this->putJson('/api/blocks/2/style', ['style' => 'open'], self::seen(1))->assertOk()->json(), $this->getJson('/api/blocks/2/plan')->json());

        self::assertSame([9, 0], [$open['totals']['flat'], $open['totals']['nested']]);
        self::assertSame($styles[2]['figures'], $open['totals']);
        $this->putJson('/api/blocks/2/style', ['style' => 'starch'], self::seen(2))->assertUnprocessable();
    }

    public function test_a_class_is_pressed_in_two_piles_and_back_in_one(): void
    {
        $before = $this->getJson('/api/blocks/1/piles')->assertOk()->json();
        self::assertSame([[], 'apart', []], [$before['twoPiles'], $before['equalParts'], $before['parts']]);
        $gain = $before['gains'][1];
        self::assertStringContainsString('2 fewer ridge on ridge', $gain['text']);
        $all = $this->getJson('/api/blocks/1/plan')->json();
        $one = $all['totals'];
        $two = self::changedInto($this->putJson('/api/blocks/1/piles', ['twoPiles' => [$gain['class']]], self::seen(1))->assertOk()->json(), $all);
        self::assertLessThan(self::weighed($one), self::weighed($two['totals']));
        self::assertStringContainsString('on a second pile', implode(' ', array_column($two['steps'], 'text')));
        $this->getJson('/api/blocks/1/piles')->assertJsonPath('twoPiles.0.class', $gain['class']);

        $back = self::changedInto($this->putJson('/api/blocks/1/piles', ['twoPiles' => []], self::seen(2))->assertOk()->json(), $two);
        self::assertSame($one, $back['totals']);
        $this->putJson('/api/blocks/1/piles', ['twoPiles' => ['U99']], self::seen(3))->assertUnprocessable()->assertJson(['where' => '/twoPiles']);
        $this->putJson('/api/blocks/1/piles', ['equalParts' => 'both'], self::seen(3))->assertUnprocessable()->assertJson(['where' => '/equalParts']);
    }

    /**
     * @param array<string, int> $totals
     *
     * @return list<int> in the order in which plans are compared
     */
    private static function weighed(array $totals): array
    {
        return [2 * $totals['stacked'] + $totals['lopsided'], $totals['peak_squared'], $totals['folded']];
    }

    public function test_a_second_pile_is_offered_only_where_it_gains(): void
    {
        foreach ([1, 2, 3] as $block) {
            foreach ($this->getJson("/api/blocks/$block/piles")->assertOk()->json('gains') as $gain) {
                self::assertMatchesRegularExpression('~^Press \d+ of \d+ .+ the other way: .+\.$~', $gain['text']);
            }
        }
    }
}
