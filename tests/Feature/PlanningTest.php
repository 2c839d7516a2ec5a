<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Http\Controllers\PlanController;
use App\Models\ShelfBlock;
use App\Paper\MakePaper;
use App\Wall\History;
use App\Workings\KeptParts;
use App\Workings\KeptPlan;
use App\Workings\MakeSheet;
use App\Workings\Planning;
use App\Workings\SearchForPlan;
use App\Workings\SearchForTopPlan;
use App\Workings\StillPlanning;
use App\Workings\Workings;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Testing\Fakes\QueueFake;
use KeenSeam\Core\Assembly\OrderNotPossible;
use KeenSeam\Core\Pressing\Lock;
use KeenSeam\Core\Pressing\PressingPlan;
use KeenSeam\Core\Pressing\PressQuestion;
use KeenSeam\Core\Pressing\PressStyle;
use Tests\Support\Tops;

/** Planning that takes longer than a request may: a worker goes on, what is known is shown, and nothing worse is kept in its place. */
final class PlanningTest extends TestCase
{
    private QueueFake $queue;

    public function test_a_large_block_is_planned_by_the_worker_and_whoever_waits_gets_it(): void
    {
        $block = $this->large(40, 40);
        $this->queue = Queue::fake();
        config(['queue.default' => 'database']);
        $waiting = $this->getJson("/api/blocks/$block/plan")->assertAccepted()->json('planning');
        self::assertSame(['plan', 'waiting', 0], [$waiting['what'], $waiting['state'], $waiting['found']]);
        $version = ShelfBlock::query()->findOrFail($block)->version;
        $this->putJson("/api/blocks/$block/locks/5", ['direction' => 'left'], self::seen($version))->assertAccepted();
        self::assertSame($version, ShelfBlock::query()->findOrFail($block)->version, 'nothing is changed before the plan is there');
        $this->getJson("/api/blocks/$block/plan")->assertAccepted();
        self::assertCount(1, $this->queue->pushed(SearchForPlan::class), 'it is asked for once');
        // The other pages do not wait for it.
        foreach (['wall', 'cutting', 'file'] as $page) {
            $this->getJson("/api/blocks/$block/$page")->assertOk();
        }

        $this->work(SearchForPlan::class);
        $this->getJson("/api/planning/{$waiting['key']}")->assertOk()->assertJson(['state' => 'proved']);
        $sheet = $this->getJson("/api/blocks/$block/plan")->assertAccepted()->json('planning');
        self::assertSame('sheet', $sheet['what']);
        $this->work(MakeSheet::class);
        $this->getJson("/api/blocks/$block/plan")->assertOk()->assertJson(['proved' => true, 'planning' => null]);

        // Its steps, which a request would leave to the worker, are the worker's own on paper.
        $this->getJson("/api/blocks/$block/paper?sheets=steps")->assertAccepted()->assertJsonPath('planning.what', 'paper');
        $this->work(MakePaper::class);
        $this->getJson("/api/blocks/$block/paper?sheets=steps")->assertOk();
        // Of 3200 patches no page is drawn that nobody could read, and all at once they fit into memory.
        $this->getJson("/api/blocks/$block/paper?as=html&sheets=order,press")->assertAccepted();
        $this->work(MakePaper::class);
        $html = (string) $this->get((string) $this->getJson("/api/blocks/$block/paper?as=html&sheets=order,press")->assertOk()->json('address'))->getContent();
        $read = (string) preg_replace('~\s+~', ' ', strip_tags(str_replace('<', ' <', $html)));
        self::assertStringContainsString('too small to be read', $read);
        self::assertStringContainsString('Not every trip is shown', $read);
        self::assertLessThan(60_000, substr_count($html, '<polygon'));

        // A change whose sheet has to be waited for is saved once the sheet is there, over the version that was seen.
        $this->putJson("/api/blocks/$block/joins", ['takeUp' => '17/32', 'squareUp' => 'none'], self::seen($version))->assertAccepted();
        self::assertSame([$version, null], [ShelfBlock::query()->findOrFail($block)->version, ShelfBlock::query()->findOrFail($block)->take_up]);
        $this->work(MakeSheet::class);
        $this->putJson("/api/blocks/$block/joins", ['takeUp' => '17/32', 'squareUp' => 'none'], self::seen($version))->assertOk();
        self::assertSame([$version + 1, '17/32'], [ShelfBlock::query()->findOrFail($block)->version, ShelfBlock::query()->findOrFail($block)->take_up]);
    }

    public function test_a_stopped_search_leaves_the_best_so_far_which_is_bettered_when_asked_again(): void
    {
        $block = $this->hard();
        $this->queue = Queue::fake();
        config(['queue.default' => 'database']);
        $key = $this->getJson("/api/blocks/$block/plan")->assertAccepted()->json('planning.key');
        $this->postJson("/api/planning/$key/stop")->assertOk();
        $this->work(SearchForPlan::class);
        $state = $this->getJson("/api/planning/$key")->assertOk()->json();
        self::assertSame('stopped', $state['state']);
        self::assertGreaterThan(0, $state['found']);
        $stopped = $this->plan($key);
        self::assertFalse($stopped->proved);
        self::assertLessThan($stopped->cost->peakSquared, $stopped->bound?->peakSquared);

        // It is asked for again: the search goes on, and the new plan is no worse and its bound no lower.
        $this->getJson("/api/blocks/$block/rail")->assertOk();
        self::assertGreaterThan(0, count($this->queue->pushed(SearchForPlan::class)));
        $this->postJson("/api/planning/$key/stop")->assertOk();
        $this->work(SearchForPlan::class);
        $again = $this->plan($key);
        self::assertLessThanOrEqual(0, $again->cost->compareTo($stopped->cost, PressStyle::Nest));
        self::assertGreaterThanOrEqual($stopped->bound->peakSquared ?? 0, $again->bound->peakSquared ?? 0);
    }

    public function test_what_a_request_found_in_a_hurry_is_bettered_by_the_next(): void
    {
        $working = app(Workings::class)->of(ShelfBlock::query()->findOrFail($this->hard(9)));
        $question = new PressQuestion(PressStyle::Nest);
        $hurried = $working->plans()->planner()->best($question, static fn (): bool => true);
        self::assertFalse($hurried->proved);
        $later = app(Workings::class)->of(ShelfBlock::query()->findOrFail(4))->plans()->planner()->best($question);
        self::assertTrue($later->proved);
        self::assertLessThanOrEqual(0, $later->cost->compareTo($hurried->cost, PressStyle::Nest));
        $kept = app(Workings::class)->of(ShelfBlock::query()->findOrFail(4))->plans()->planner()->best($question, static fn (): bool => true);
        self::assertTrue($kept->proved, 'what is proved stays, however short the time');
    }

    public function test_a_seam_is_laid_over_the_plan_that_is_known_without_searching_on(): void
    {
        $working = app(Workings::class)->of(ShelfBlock::query()->findOrFail($this->hard(20)));
        $question = new PressQuestion(PressStyle::Nest);
        $hurried = $working->plans()->planner()->best($question, static fn (): bool => true);
        $again = app(Workings::class)->of(ShelfBlock::query()->findOrFail(4))->plans()->planner();
        $lock = new Lock(0, $hurried->pressing->directions[0][0]);
        $laid = $again->bestThenFlipped($question->withLocks([$lock]), static fn () => self::fail('Nobody is to search.'));
        self::assertEquals($hurried->pressing, $laid->pressing);
    }

    public function test_without_a_queue_the_page_betters_what_is_not_proved_when_it_is_asked_again(): void
    {
        $id = $this->hard(27);
        Queue::fake();
        config(['queue.default' => 'database']);
        // A second is not enough for it, on any machine; whether it is proved after eight is not for this test to say.
        $first = $this->getJson("/api/blocks/$id/plan")->assertOk();
        self::assertFalse($first->json('proved'));
        $key = $first->json('planning.key');
        [$hurried, $found] = [$this->plan($key), $this->getJson("/api/planning/$key")->json('found')];
        config(['queue.default' => 'sync']);
        $this->postJson("/api/planning/$key/on")->assertOk();
        app()->forgetInstance(Planning::class);
        app(KeptParts::class)->forgetAtHand();
        Route::getRoutes()->getByAction(PlanController::class)?->flushController();
        $this->getJson("/api/blocks/$id/plan")->assertOk();
        self::assertGreaterThan($found, $this->getJson("/api/planning/$key")->json('found'), 'it was searched for again');
        $later = $this->plan($key);
        self::assertLessThanOrEqual(0, $later->cost->compareTo($hurried->cost, PressStyle::Nest));
        self::assertGreaterThanOrEqual($hurried->bound->peakSquared ?? 0, $later->bound->peakSquared ?? 0);
    }

    public function test_a_search_that_failed_is_told_and_one_that_was_lost_is_asked_for_again(): void
    {
        $block = $this->large(40, 40);
        $this->queue = Queue::fake();
        config(['queue.default' => 'database']);
        $key = $this->getJson("/api/blocks/$block/plan")->assertAccepted()->json('planning.key');
        $planning = app(Planning::class);
        try {
            $planning->searchLong($key, new PressQuestion(PressStyle::Nest), static fn () => throw new \RuntimeException('out of cloth'));
            self::fail('It failed.');
        } catch (\RuntimeException) {
        }
        $this->getJson("/api/blocks/$block/plan")->assertUnprocessable()->assertJson(['code' => 'plan-not-found', 'message' => 'The plan could not be worked out.']);
        $this->travel(30)->seconds();
        self::assertCount(1, $this->queue->pushed(SearchForPlan::class));
    }

    /** Five schools of a hard block together would keep a request for many seconds. */
    public function test_a_request_begins_no_other_search_once_its_time_is_over(): void
    {
        $block = $this->hard(19);
        $this->queue = Queue::fake();
        config(['queue.default' => 'database']);
        $began = microtime(true);
        $this->getJson("/api/blocks/$block/styles")->assertAccepted()->assertJsonPath('planning.what', 'plan');
        $first = microtime(true) - $began;
        $asked = count($this->queue->pushed(SearchForPlan::class));
        self::assertGreaterThan(0, $asked, 'the worker is asked for the next');
        // Whoever asks again finds what was found, and the request has its time again.
        $tries = 0;
        do {
            $answer = $this->getJson("/api/blocks/$block/styles");
        } while ($answer->status() === 202 && ++$tries < 12);
        self::assertCount(count(PressStyle::cases()), $answer->assertOk()->json('styles'));
        self::assertLessThan(4 * $first + 20, microtime(true) - $began);
    }

    public function test_what_tries_many_plans_or_orders_is_left_to_the_worker_on_a_block_of_some_size(): void
    {
        $this->queue = Queue::fake();
        config(['queue.default' => 'database']);
        [$small, $larger, $larger2] = [$this->large(7, 7), $this->large(8, 8), $this->large(13, 13)];
        $this->getJson("/api/blocks/$small/press/advice")->assertOk();
        $this->getJson("/api/blocks/$larger/orders")->assertOk();
        foreach ([[$larger, 'press/advice', 'crossings'], [$larger2, 'orders', 'orders'], [$larger2, 'cutting/largest?size=5', 'finished'], [$larger2, 'cutting/sizes?sizes=20,30', 'sizes']] as [$block, $address, $holds]) {
            $this->getJson("/api/blocks/$block/$address")->assertAccepted()->assertJsonPath('planning.what', 'sheet');
            self::assertCount(1, $this->queue->pushed(MakeSheet::class));
            $this->work(MakeSheet::class);
            $made = $this->getJson("/api/blocks/$block/$address")->assertOk()->json($holds);
            config(['queue.default' => 'sync']);
            self::assertSame($this->getJson("/api/blocks/$block/$address")->json($holds), $made);
            config(['queue.default' => 'database']);
        }
    }

    public function test_a_search_that_has_a_plan_makes_way_for_one_that_has_none(): void
    {
        $block = $this->hard(29);
        $this->queue = Queue::fake();
        config(['queue.default' => 'database']);
        $key = $this->getJson("/api/blocks/$block/plan")->assertAccepted()->json('planning.key');
        $styles = fn (): ?string => $this->getJson("/api/blocks/$block/styles")->json('planning.key');
        self::assertSame($key, $styles(), 'nobody waits for another than this');
        $this->postJson("/api/planning/$key/stop")->assertOk();
        $this->work(SearchForPlan::class);
        $this->getJson("/api/blocks/$block/plan")->assertOk();
        $other = $styles();
        self::assertNotContains($other, [null, $key]);
        // The first has a plan and would look on for a minute; the other has none.
        $this->postJson("/api/planning/$key/on")->assertOk();
        $this->getJson("/api/blocks/$block/rail")->assertOk();
        $began = microtime(true);
        app()->call([new SearchForPlan($key), 'handle']);
        self::assertLessThan(20.0, microtime(true) - $began);
        self::assertSame('waiting', $this->getJson("/api/planning/$key")->json('state'));
        $this->postJson("/api/planning/$other/stop")->assertOk();
        app()->call([new SearchForPlan((string) $other), 'handle']);
        self::assertNotSame($other, $styles(), 'now it has one');
    }

    public function test_a_sheet_that_cannot_be_made_is_told_and_tried_again_when_it_is_asked_again(): void
    {
        $block = $this->large(8, 8);
        $this->queue = Queue::fake();
        config(['queue.default' => 'database']);
        $key = $this->getJson("/api/blocks/$block/press/advice")->assertAccepted()->json('planning.key');
        foreach ([new \RuntimeException('out of cloth'), OrderNotPossible::noDiagonalSeam()] as $problem) {
            try {
                app(Planning::class)->makeSheet($key, static fn () => throw $problem);
                self::fail('It failed.');
            } catch (\RuntimeException|OrderNotPossible) {
            }
            $said = $problem instanceof OrderNotPossible ? $problem->getMessage() : 'It could not be worked out.';
            $this->getJson("/api/blocks/$block/press/advice")->assertUnprocessable()->assertJson(['code' => 'plan-not-found', 'message' => $said]);
            $this->getJson("/api/blocks/$block/press/advice")->assertAccepted();
        }
        self::assertCount(3, $this->queue->pushed(MakeSheet::class));
        $this->work(MakeSheet::class);
        $this->getJson("/api/blocks/$block/press/advice")->assertOk();
    }

    public function test_what_is_asked_of_the_worker_for_a_step_back_stays_asked_for(): void
    {
        config(['queue.default' => 'database']);
        $this->putJson('/api/blocks/2/style', ['style' => 'open'], self::seen(1))->assertOk();
        $asked = DB::table('jobs')->count();
        try {
            History::step(ShelfBlock::query()->findOrFail(2), 2, -1, static function (): never {
                SearchForPlan::dispatch('plan:of-before');
                throw StillPlanning::of('plan:of-before', ['what' => 'plan', 'state' => 'waiting', 'done' => 0, 'most' => 60, 'found' => 0]);
            }, History::PRESS);
            self::fail('It is still planned.');
        } catch (StillPlanning) {
        }
        self::assertSame([$asked + 1, PressStyle::Open], [DB::table('jobs')->count(), ShelfBlock::query()->findOrFail(2)->style]);
        config(['queue.default' => 'sync']);
        $this->postJson('/api/blocks/2/press/undo', [], self::seen(2))->assertOk();
        self::assertSame(PressStyle::Nest, ShelfBlock::query()->findOrFail(2)->style);
    }

    public function test_paper_that_is_wanted_does_not_wait_for_the_end_of_a_search(): void
    {
        $block = $this->hard(27);
        $this->queue = Queue::fake();
        config(['queue.default' => 'database']);
        $key = $this->getJson("/api/blocks/$block/plan")->assertOk()->json('planning.key');
        $this->getJson("/api/blocks/$block/paper")->assertAccepted()->assertJsonPath('planning.what', 'paper');
        $began = microtime(true);
        $this->work(SearchForPlan::class);
        self::assertLessThan(20.0, microtime(true) - $began);
        self::assertSame('waiting', $this->getJson("/api/planning/$key")->json('state'), 'it goes on after it');
    }

    public function test_the_rail_tells_five_figures_from_one_small_address(): void
    {
        $rail = $this->getJson('/api/blocks/2/rail')->assertOk();
        $plan = $this->getJson('/api/blocks/2/plan')->json();
        self::assertSame(['wall' => '16 units', 'cut' => '', 'order' => 'not chosen yet', 'press' => '9 of 9 nest', 'joins' => '', 'machine' => '0 of 31 seams sewn'], array_column($rail->json('stations'), 'note', 'name'));
        self::assertSame([16, 9, 9, 31], [$plan['units'], $plan['totals']['nested'], $plan['totals']['matches'], count($plan['joins'])]);
        self::assertLessThan(600, strlen((string) $rail->getContent()));
    }

    public function test_nothing_kept_outlives_what_it_was_made_of(): void
    {
        $figures = fn (): array => [$this->getJson('/api/blocks/2/plan')->json('totals'), $this->getJson('/api/blocks/2/work')->json('plan'), $this->getJson('/api/blocks/2/cutting')->json('units.0.method')];
        $first = $figures();
        self::assertSame($first, $figures());
        $this->putJson('/api/blocks/2/style', ['style' => 'open'], self::seen(1))->assertOk();
        $open = $figures();
        self::assertSame([9, 0], [$open[0]['flat'], $open[0]['nested']]);
        self::assertNotSame($first[1], $open[1]);
        $this->putJson('/api/blocks/2/cutting', ['blocks' => 3], self::seen(2))->assertOk();
        self::assertNotSame($open[1], $this->getJson('/api/blocks/2/work')->json('plan'));
        $this->putJson('/api/blocks/2/work/chain', ['chain' => 'webbed'])->assertOk();
        $this->putJson('/api/blocks/2/order', ['order' => 'columns'], self::seen(3))->assertOk();
        $this->getJson('/api/blocks/2/plan')->assertOk()->assertJson(['order' => 'columns']);
        self::assertSame('Column 1, seam 1', $this->getJson('/api/blocks/2/plan')->json('joins.16.title'));
    }

    public function test_a_damaged_entry_is_as_good_as_none(): void
    {
        $parts = app(KeptParts::class);
        $cache = app(\Illuminate\Contracts\Cache\Repository::class);
        foreach (['', 'x', 'z', 'zgarbage', 's', 'sO:1:"', 7, ['a']] as $garbage) {
            $parts->forgetAtHand();
            $cache->forever('some-part', $garbage);
            self::assertSame(['made'], $parts->part('some-part', static fn (): array => ['made']));
            $parts->forgetAtHand();
            self::assertSame(['made'], $parts->recall('some-part'));
        }
    }

    /** A top with more faces than can be tried through is never proved: it is searched until it is stopped, and on when that is asked. */
    public function test_the_search_for_a_top_is_stopped_and_taken_up_again(): void
    {
        $top = $this->postJson('/api/tops', Tops::file(['turns' => 'any', 'rows' => 2, 'columns' => 3], ['pA', 'hAB', '/', 'hBC', 'pC']))->assertCreated()->json('id');
        $this->queue = Queue::fake();
        config(['queue.default' => 'database']);
        $first = $this->getJson("/api/tops/$top/plan")->assertOk()->json();
        self::assertSame(['working', false, 0, 45], [$first['state'], $first['plan']['proved'], $first['done'], $first['most']]);
        $this->getJson("/api/tops/$top/plan")->assertJsonPath('state', 'working');
        self::assertCount(1, $this->queue->pushed(SearchForTopPlan::class), 'it is asked for once');

        $this->postJson("/api/tops/$top/plan/stop")->assertNoContent();
        $began = microtime(true);
        $this->work(SearchForTopPlan::class);
        self::assertLessThan(30.0, microtime(true) - $began, 'the worker leaves off');
        $stopped = $this->getJson("/api/tops/$top/plan")->assertOk()->json();
        self::assertSame(['done', false], [$stopped['state'], $stopped['plan']['proved']]);
        $this->queue->assertNothingPushed();

        $this->postJson("/api/tops/$top/plan/on")->assertNoContent();
        $this->getJson("/api/tops/$top/plan")->assertJsonPath('state', 'working')->assertJsonPath('plan.sentences', $stopped['plan']['sentences']);
        self::assertCount(1, $this->queue->pushed(SearchForTopPlan::class));
        // Where nobody searches there is nothing to stop, and a plan that is not there is not searched on.
        $other = $this->postJson('/api/tops', Tops::file(['rows' => 1], ['pA']))->assertCreated()->json('id');
        $this->postJson("/api/tops/$other/plan/stop")->assertNoContent();
        $this->postJson("/api/tops/$other/plan/on")->assertNoContent();
        $this->getJson("/api/tops/$other/plan")->assertJsonPath('state', 'done');
    }

    private function work(string $job): void
    {
        foreach ($this->queue->pushed($job) as $pushed) {
            app()->call([$pushed, 'handle']);
        }
        $this->queue = Queue::fake();
    }

    private function plan(string $key): PressingPlan
    {
        $parts = app(KeptParts::class);
        $parts->forgetAtHand();
        $plan = $parts->recall($key);

        $block = ShelfBlock::query()->orderByDesc('id')->firstOrFail();

        return $plan instanceof KeptPlan ? $plan->on(app(Workings::class)->of($block)->construction()) : self::fail('No plan is kept.');
    }

    /** All units alike: large, and easy to plan. */
    private function large(int $columns, int $rows): int
    {
        return $this->brought($columns, $rows, static fn (): array => ['unit' => 'half-square-triangle', 'fabrics' => ['A', 'B']]);
    }

    /** Turned at random: no plan of it is proved at a glance. */
    private function hard(int $side = 36): int
    {
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937(7));

        return $this->brought($side, $side, static fn (): array => ['unit' => 'half-square-triangle', 'turn' => 90 * $random->getInt(0, 3), 'fabrics' => ['A', 'B']]);
    }

    /** @param \Closure(): array<string, mixed> $unit */
    private function brought(int $columns, int $rows, \Closure $unit): int
    {
        $cells = [];
        foreach (range(1, $rows) as $row) {
            foreach (range(1, $columns) as $column) {
                $cells[] = ['row' => $row, 'column' => $column, ...$unit()];
            }
        }
        $fabric = static fn (string $key, string $color, string $value): array => ['key' => $key, 'name' => "Cloth $key", 'color' => $color, 'value' => $value];

        return $this->postJson('/api/blocks', [
            'format' => 'keen-seam/block', 'version' => 1, 'name' => 'Breakwater', 'units' => 'in',
            'finished' => ['width' => (string) (2 * $columns), 'height' => (string) (2 * $rows)], 'seam_allowance' => '1/4',
            'fabrics' => [$fabric('A', '#eeeeee', 'light'), $fabric('B', '#222222', 'dark')],
            'columns' => array_fill(0, $columns, '1'), 'rows' => array_fill(0, $rows, '1'), 'cells' => $cells,
        ])->assertCreated()->json('id');
    }
}
