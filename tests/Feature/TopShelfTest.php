<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\ShelfBlock;
use App\Models\ShelfTop;
use Illuminate\Support\Facades\DB;
use Tests\Support\Tops;

final class TopShelfTest extends TestCase
{
    public function test_the_demo_top_is_of_the_three_demo_blocks(): void
    {
        $tops = $this->getJson('/api/tops')->assertOk()->json('tops');

        self::assertSame(['Night Watch'], array_column($tops, 'name'));
        self::assertSame(['Tide Gate', 'Slack Water', 'Lamp Room'], array_column($tops[0]['picture']['blocks'], 'key'));
        self::assertSame([], $this->getJson('/api/tops/1')->json('changed'));
    }

    public function test_a_top_begins_with_blocks_of_the_shelf_in_one_size(): void
    {
        $made = $this->postJson('/api/tops/begin', ['name' => 'Slipway', 'blocks' => [3, 1]])->assertCreated()->json();

        self::assertSame(['Tide Gate', 'Lamp Room'], array_column($made['picture']['blocks'], 'key'));
        self::assertSame([12, 12], array_column($made['picture']['blocks'], 'width'), 'Lamp Room is 16 in on the shelf');
        self::assertSame(['Tide Gate', 'Lamp Room', 'Lamp Room', 'Tide Gate'], array_column($made['picture']['places'], 'block'));
        self::assertSame(['24', '24'], $made['sizes']['finished']);
        $this->postJson('/api/tops/begin', ['name' => 'None', 'blocks' => []])->assertUnprocessable()->assertJson(['message' => 'Choose at least one block to make a top of.']);
    }

    public function test_changes_are_kept_and_taken_back_one_by_one(): void
    {
        $this->postJson('/api/tops/begin', ['name' => 'Slipway', 'blocks' => [3]])->assertCreated();
        $change = fn (int $version, array $what) => $this->putJson('/api/tops/2', ['change' => $what], self::seen($version));
        $change(1, ['setting' => 'on-point', 'columns' => 3])->assertOk();
        $shown = $change(2, ['places' => [['row' => '1 1/2', 'column' => '1 1/2', 'fabric' => 'S'], ['row' => '2', 'column' => '3', 'block' => 'Tide Gate', 'turn' => 90, 'mirrored' => true]]])->assertOk()->json();

        self::assertSame('What lies where', $shown['undo']);
        self::assertSame([null, 'S'], array_map(static fn (string $what) => array_column(array_filter($shown['picture']['places'], static fn (array $place): bool => $place['row'] === '1 1/2' && $place['column'] === '1 1/2'), $what)[0], ['block', 'fabric']));
        $change(2, ['rows' => 3])->assertConflict();
        $change(3, ['rows' => 31])->assertUnprocessable()->assertJson(['where' => '/rows']);
        // Set straight again the place between is not there; nothing else is lost.
        $straight = $change(3, ['setting' => 'straight'])->assertOk()->json();
        self::assertSame([90, true], [$straight['picture']['places'][5]['turn'], $straight['picture']['places'][5]['mirrored']]);

        $version = 4;
        foreach (['What lies where', 'Other columns', null] as $left) {
            self::assertSame($left, $this->postJson('/api/tops/2/undo', [], self::seen($version++))->assertOk()->json('undo'));
        }
        self::assertSame([2, 2, 'straight'], [$this->getJson('/api/tops/2')->json('fields.rows'), $this->getJson('/api/tops/2')->json('fields.columns'), $this->getJson('/api/tops/2')->json('fields.setting')]);
    }

    public function test_a_change_of_a_block_is_offered_to_its_tops(): void
    {
        $this->postJson('/api/blocks/3/edits', ['edit' => ['do' => 'move', 'places' => [[1, 2]], 'turn' => 180]], self::seen(1))->assertOk();
        self::assertSame([['key' => 'Tide Gate', 'name' => 'Tide Gate']], $this->getJson('/api/tops/1')->json('changed'));

        $before = $this->getJson('/api/tops/1')->json('picture.blocks');
        $shown = $this->putJson('/api/tops/1/blocks/Tide Gate', [], self::seen(1))->assertOk()->json();
        self::assertSame([], $shown['changed']);
        self::assertSame('Took "Tide Gate" as it is now', $shown['undo']);
        $after = $shown['picture']['blocks'];
        self::assertNotSame($before[0], $after[0]);
        self::assertSame(array_slice($before, 1), array_slice($after, 1));
        self::assertSame($before, $this->postJson('/api/tops/1/undo', [], self::seen(2))->json('picture.blocks'));
    }

    public function test_a_plan_tells_in_words_what_to_make_and_to_turn(): void
    {
        $this->postJson('/api/tops', Tops::file(['rows' => 2, 'columns' => 3], Tops::PINWHEEL))->assertCreated();
        $plan = $this->getJson('/api/tops/2/plan')->assertOk()->assertJson(['state' => 'done'])->json('plan');

        self::assertSame('Make 6 blocks, all pressed alike.', $plan['sentences'][0]);
        self::assertStringStartsWith('Turn ', $plan['sentences'][1]);
        self::assertSame(['All 15 crossings nest, the outer seams of the blocks too.', 'No other way to turn and press them is better.'], array_slice($plan['sentences'], 2));
        self::assertTrue($plan['proved']);
        self::assertSame($plan, $this->getJson('/api/tops/2/plan')->json('plan'));

        // What it would be otherwise changes nothing.
        self::assertSame('Lay them as they are placed.', $this->getJson('/api/tops/2/plan?fixed=1')->assertOk()->json('plan.sentences.1'));
        self::assertSame([1, 2], array_values(array_unique(array_column($this->getJson('/api/tops/2/plan?more=one')->assertOk()->json('plan.places'), 'pile'))), 'two piles are better than one');
        $this->getJson('/api/tops/2/plan?more=ten')->assertUnprocessable();
        self::assertSame([1, 'same-face'], [$this->getJson('/api/tops/2')->json('version'), $this->getJson('/api/tops/2')->json('fields.turns')]);
        $this->putJson('/api/tops/2', ['change' => ['turns' => 'fixed', 'piles' => ['one' => 2]]], self::seen(1))->assertOk();
        $piles = $this->getJson('/api/tops/2/plan')->json('plan');
        self::assertMatchesRegularExpression('~^Make \d pressed as pile 1 and \d pressed as pile 2\.$~', $piles['sentences'][0]);
        self::assertSame('Lay them as they are placed.', $piles['sentences'][1]);
    }

    public function test_a_block_that_breaks_how_the_rest_lie_is_told_with_its_mend(): void
    {
        $places = [];
        foreach ([[1, 1, 0], [1, 2, 0], [2, 2, 180], [2, 1, 270]] as [$row, $column, $turn]) {
            $places[] = ['row' => $row, 'column' => $column, 'block' => 'one', 'turn' => $turn];
        }
        $odd = $this->postJson('/api/tops', Tops::file(['places' => $places, 'sashes' => ['width' => '1', 'fabric' => 'C']], ['hAB', 'pA', '/', 'pC', 'pB']))->assertCreated()->json('odd');
        self::assertSame(['symmetry' => 'the same after a quarter turn', 'places' => [['row' => '1', 'column' => '2', 'turn' => 90, 'mirrored' => false]]], $odd);
        self::assertNull($this->putJson('/api/tops/2', ['change' => ['places' => [['row' => 1, 'column' => 2, 'block' => 'one', 'turn' => 90]]]], self::seen(1))->assertOk()->json('odd'));
    }

    public function test_what_is_cut_and_done_for_a_top_is_told(): void
    {
        $this->postJson('/api/tops', Tops::file(['setting' => 'on-point', 'sides' => ['fabric' => 'C'], 'borders' => [['width' => '2', 'fabric' => 'C']]], Tops::PINWHEEL))->assertCreated();
        $cutting = $this->getJson('/api/tops/2/cutting')->assertOk()->json();
        $ofSides = array_values(array_filter($cutting['cuts'], static fn (array $cut): bool => $cut['fabric'] === 'C'));

        self::assertSame([['plain squares, sashes and sides'], ['border 1'], ['border 1'], ['plain squares, sashes and sides']], array_column($ofSides, 'for'));
        self::assertSame(['A', 'B', 'C'], array_column($cutting['cloth'], 'fabric'));
        $steps = $this->getJson('/api/tops/2/steps')->assertOk()->assertJson(['state' => 'done'])->json('steps');
        self::assertStringStartsWith('Cut Sailcloth:', $steps[0]['text']);
        self::assertContains('Square up the top to 17 15/32 x 17 15/32 in: straight edges, and not into the allowance of a point.', array_column($steps, 'text'));
        self::assertSame('Press toward the border.', $steps[count($steps) - 1]['text']);
    }

    public function test_a_file_comes_in_and_goes_out_the_same_and_a_bad_one_changes_nothing(): void
    {
        $file = Tops::generated(5);
        $this->postJson('/api/tops', $file)->assertCreated();
        $kept = (string) $this->get('/api/tops/2/file')->assertOk()->getContent();
        $this->call('POST', '/api/tops', content: $kept)->assertCreated();
        self::assertSame(json_decode($kept, true), json_decode((string) $this->get('/api/tops/3/file')->getContent(), true));

        $this->postJson('/api/tops', ['rows' => 31] + $file)->assertUnprocessable();
        $this->call('POST', '/api/tops', content: '{"format":"keen-seam/top"')->assertUnprocessable();
        self::assertSame(3, ShelfTop::query()->count());
    }

    public function test_a_top_is_taken_off_and_put_back_and_goes_with_everything(): void
    {
        $this->deleteJson('/api/tops/1')->assertNoContent();
        self::assertSame([['id' => 1, 'name' => 'Night Watch']], $this->getJson('/api/tops')->json('takenOff'));
        $this->getJson('/api/tops/1')->assertNotFound()->assertJson(['message' => 'This top is not on the shelf. Go back to the shelf and choose another.']);
        $this->postJson('/api/tops/1/restore')->assertOk();

        $everything = (string) $this->get('/api/everything')->getContent();
        DB::table('shelf_tops')->delete();
        ShelfBlock::query()->where('id', 3)->forceDelete();
        foreach ([1, 2] as $_) {
            $this->call('POST', '/api/everything', content: $everything)->assertOk();
            $top = ShelfTop::query()->sole();
            self::assertSame('Night Watch', $top->name);
        }
        self::assertSame(ShelfBlock::query()->where('name', 'Tide Gate')->sole()->id, $top->blocks['Tide Gate']['id'], 'the block has another number now');
    }
}
