<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\ShelfBlock;
use App\Workings\WorkingOut;
use App\Workings\Workings;
use Illuminate\Support\Facades\DB;
use KeenSeam\Core\Assembly\Join;
use KeenSeam\Core\Guide\Step;
use KeenSeam\Core\Guide\StepKind;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\PressDirection;

/** Shelves of earlier versions told seams by their numbers: what they hold is told by places once, and nothing of it is lost. */
final class CarriedOverTest extends TestCase
{
    public function test_locks_piles_and_sizes_by_number_are_told_by_place(): void
    {
        DB::table('shelf_blocks')->where('id', 3)->update(['locks' => '{"rows":["16:left","3:open"],"columns":["2:right"]}', 'two_piles' => '{"rows":["U1"]}', 'measured_parts' => '{"rows":{"16":["5","4 1/2"]}}']);
        $working = $this->open(3);

        self::assertEquals([new Lock(16, PressDirection::Left), new Lock(3, PressDirection::Open)], $working->facts()->locks());
        self::assertSame([[0], [16 => ['5', '4 1/2']]], [$working->facts()->twoPiles(), $working->facts()->measured()]);
        $kept = (array) DB::table('shelf_blocks')->find(3);
        self::assertDoesNotMatchRegularExpression('~"\d+:|"U1"|"16"~', $kept['locks'].$kept['two_piles'].$kept['measured_parts'], 'no number is left');
        self::assertSame(1, $kept['version'], 'it says the same, so it is no new version');
        $columns = (clone ShelfBlock::query()->findOrFail(3))->fill(['order' => 'columns']);
        self::assertEquals([new Lock(2, PressDirection::Right)], $this->workings()->of($columns)->facts()->locks());
        self::assertEquals($kept, (array) DB::table('shelf_blocks')->find(3), 'once');
    }

    public function test_a_half_sewn_block_goes_on_where_it_was_and_keys_of_before_still_work(): void
    {
        $working = $this->open(3);
        $steps = $working->pedal()->steps;
        $construction = $working->construction();
        $signature = 'rows-'.substr(md5(implode(' ', array_map(static fn (Join $join): string => $join->seam->from->key().'-'.$join->seam->to->key(), $construction->joins))), 0, 12);
        $cut = $steps[0];
        $press = array_values(array_filter($steps, static fn (Step $step): bool => $step->do === StepKind::Press))[0];
        $pressed = array_fill_keys($press->joins, ['left']);
        $old = ['sewn' => $press->joins, 'pressed' => $pressed, 'done' => [$cut->keyByNumbers()], 'due' => [$press->keyByNumbers() => 2], 'counted' => [$press->keyByNumbers() => 1], 'elsewhere' => []];
        DB::table('shelf_blocks')->where('id', 3)->update(['work' => json_encode([$signature => $old, 'columns-0123456789ab' => ['sewn' => [1]]], JSON_THROW_ON_ERROR)]);
        $again = $this->open(3);
        $progress = $again->facts()->progress();

        self::assertEqualsCanonicalizing($press->joins, $progress->sewn);
        self::assertEqualsCanonicalizing(array_keys($pressed), array_keys($progress->pressed));
        self::assertSame([[$cut->key()], [$press->key() => 2], [$press->key() => 1]], [$progress->done, $progress->due, $progress->counted]);
        self::assertNotSame($cut->key(), $cut->keyByNumbers());
        // A key that waited in the browser with its old name.
        $next = array_values(array_filter($steps, static fn (Step $step): bool => ! $progress->isDone($step)))[0];
        $this->postJson('/api/blocks/3/work/events', ['events' => [['id' => 'waited', 'do' => 'done', 'step' => $next->keyByNumbers(), 'at' => 1_760_000_000_000]]])->assertOk()->assertJson(['said' => []]);
        self::assertTrue($this->open(3)->facts()->progress()->isDone($next));
    }

    public function test_a_count_of_steps_of_the_oldest_shelves_becomes_seams(): void
    {
        DB::table('shelf_blocks')->where('id', 3)->update(['steps_done' => '{"rows":4}', 'work' => '{}']);
        $progress = $this->open(3)->facts()->progress();

        self::assertNotSame([], $progress->sewn);
        self::assertNotSame([], $progress->done);
    }

    public function test_facts_outlive_another_size_and_sleep_while_their_part_is_another(): void
    {
        $this->sew(3, 30);
        $before = $this->open(3)->facts()->progress();
        self::assertNotSame([], $before->pressed);
        $this->postJson('/api/blocks/3/edits', ['edit' => ['do' => 'size', 'width' => '15', 'height' => '15']], self::seen(1))->assertOk();
        $now = $this->open(3)->facts()->progress();
        self::assertEquals([$before->sewn, $before->pressed], [$now->sewn, $now->pressed]);

        $joins = $this->getJson('/api/blocks/3/plan')->json('joins');
        $this->postJson('/api/blocks/3/edits', ['edit' => ['do' => 'move', 'places' => [[1, 2]], 'turn' => 90, 'mirrored' => false]], self::seen(2))->assertOk();
        $turned = $this->open(3);
        $inUnit = array_column(array_filter($joins, static fn (array $join): bool => $join['place'] === 'row 1, column 2'), 'id');
        self::assertNotSame([], $inUnit);
        self::assertLessThan(count($before->sewn), count($turned->facts()->progress()->sewn), 'a unit that lies otherwise is another one, and what holds it is not sewn');
        $this->sew(3, 1);
        $this->postJson('/api/blocks/3/undo', [], self::seen(3))->assertOk();
        $back = $this->open(3)->facts()->progress();
        self::assertEqualsCanonicalizing([], array_diff($before->sewn, $back->sewn), 'what was sewn is there again');
        self::assertEqualsCanonicalizing([], array_diff(array_keys($before->pressed), array_keys($back->pressed)));
    }

    private function open(int $block): WorkingOut
    {
        return $this->workings()->of(ShelfBlock::query()->findOrFail($block));
    }

    private function workings(): Workings
    {
        return app(Workings::class);
    }
}
