<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\Artisan;
use Tests\Support\Tops;

final class TopSizesTest extends TestCase
{
    public function test_what_came_out_otherwise_is_kept_and_ways_to_deal_with_it_are_told(): void
    {
        $this->postJson('/api/tops', Tops::file(['rows' => 1, 'columns' => 4], Tops::PINWHEEL))->assertCreated();
        $first = $this->getJson('/api/tops/2/sizes')->assertOk()->json();
        self::assertSame([['6 1/2', '6 1/2'], ['across', 'down'], [], []], [$first['planned'], $first['edges'], $first['sentences'], $first['swaps']]);
        $this->measured('1', '6 3/8');
        $told = $this->measured('3', '6 3/8');
        self::assertSame([['row' => '1', 'column' => '1', 'size' => ['6 3/8', '6 3/8']], ['row' => '1', 'column' => '3', 'size' => ['6 3/8', '6 3/8']]], array_values(self::byColumn($told['made'])));
        self::assertCount(2, $told['sentences']);
        self::assertCount(1, $told['swaps']);
        self::assertStringStartsWith('Ease:', (string) $told['afterSwaps']);
        // As planned after all.
        self::assertCount(1, $this->measured('1', '')['swaps'], 'the one that is left goes to an end');
        $this->measured('3', '');
        self::assertSame([], $this->getJson('/api/tops/2/sizes')->json('made'));
    }

    public function test_each_long_join_has_its_ruler_over_all_blocks(): void
    {
        $this->postJson('/api/tops', Tops::file(['rows' => 2, 'columns' => 3, 'borders' => [['width' => '2', 'fabric' => 'A', 'corners' => 'butted'], ['width' => '3', 'fabric' => 'B', 'corners' => 'squares', 'square' => 'A']]], Tops::PINWHEEL))->assertCreated();
        self::assertSame(['state' => 'working', 'joins' => [], 'borders' => []], $this->getJson('/api/tops/2/joins')->assertOk()->json());
        $this->getJson('/api/tops/2/plan')->assertOk();
        // The sides of 12 in first, then along 18 in and both sides; the second round all of that.
        self::assertSame(['12', '22', '16', '28'], array_column($this->getJson('/api/tops/2/joins')->json('borders'), 'finished'));
        $joins = $this->getJson('/api/tops/2/joins')->assertOk()->json('joins');
        self::assertSame(['18', 5], [$joins[0]['finished'], $joins[0]['points']], 'three blocks of 6 in: a seam in each, and two between them');
        self::assertCount(2 + 2 + 1, $joins);
        $ruler = $this->getJson("/api/tops/2/joins/{$joins[0]['id']}")->assertOk()->json('join');
        $places = array_map(static fn (array $mark): float => $mark['place'][0], array_values(array_filter($ruler['marks'], static fn (array $mark): bool => $mark['verdict'] !== null)));
        // From the raw edge: the allowance, then every 3 in.
        foreach ($places as $i => $place) {
            self::assertEqualsWithDelta(0.25 + 3.0 * ($i + 1), $place, 1e-6);
        }
        self::assertCount(5, $places);
        $this->getJson('/api/tops/2/joins/9999')->assertNotFound();
        // Between two blocks side by side and the two below them: the middle of the second crossing.
        $lens = $this->getJson("/api/tops/2/joins/{$joins[0]['id']}/crossings/1")->assertOk()->json();
        self::assertEquals([6, 6], $lens['junction']['at']);
        self::assertEquals(18, $lens['width']);
        self::assertSame(max($lens['junction']['plies']), $lens['junction']['peak']);
        foreach ($lens['flaps'] as $flap) {
            self::assertLessThan(7, min(array_column($flap['points'], 0)));
            self::assertGreaterThan(5, max(array_column($flap['points'], 1)));
        }
        self::assertGreaterThan(4, count($lens['flaps']));
        $this->getJson("/api/tops/2/joins/{$joins[0]['id']}/crossings/5")->assertNotFound();
    }

    public function test_hands_and_blocks_to_look_at_twice_are_told(): void
    {
        $this->postJson('/api/tops', Tops::file(['rows' => 1, 'columns' => 3, 'places' => [['row' => 1, 'column' => 2, 'block' => 'one', 'mirrored' => true], ['row' => 1, 'column' => 3, 'block' => 'two']]], Tops::PINWHEEL, ['hAB', 'hAB', '/', 'hAB', 'hAB']))->assertCreated();
        $looks = $this->getJson('/api/tops/2/looks')->assertOk()->json();
        self::assertSame(['one: 1 as drawn, 1 mirrored. Keep them in two stacks.'], $looks['hands']);
        $places = array_map(static fn (array $place): string => $place['row'].'/'.$place['column'], $looks['twice']);
        // What seam:look prints of the same file.
        $file = (string) tempnam(sys_get_temp_dir(), 'top');
        file_put_contents($file, (string) $this->get('/api/tops/2/file')->getContent());
        Artisan::call('seam:look', ['file' => $file]);
        $printed = json_decode(Artisan::output(), true, 64, JSON_THROW_ON_ERROR);
        unlink($file);
        self::assertSame(array_map(static fn (array $one): string => $one['row'].'/'.$one['column'], $printed['impostors']), $places);
        self::assertNotSame([], $places);
    }

    public function test_what_no_block_measures_is_refused_in_a_sentence(): void
    {
        $this->putJson('/api/tops/1/sizes', ['row' => '1', 'column' => '1', 'along' => '9', 'beside' => ''])->assertUnprocessable()->assertJson(['message' => 'This should measure about 12 1/2 in; "9" is not likely. Measure again.']);
        $this->putJson('/api/tops/1/sizes', ['row' => '1', 'column' => '1', 'along' => 'wide', 'beside' => ''])->assertUnprocessable();
        $this->putJson('/api/tops/1/sizes', ['row' => '1', 'column' => '9', 'along' => '12 3/8', 'beside' => ''])->assertUnprocessable();
        self::assertSame([], $this->getJson('/api/tops/1/sizes')->json('made'));
    }

    /** @return array<string, mixed> */
    private function measured(string $column, string $size): array
    {
        return $this->putJson('/api/tops/2/sizes', ['row' => '1', 'column' => $column, 'along' => $size, 'beside' => ''])->assertOk()->json();
    }

    /**
     * @param list<array<string, mixed>> $made
     *
     * @return array<string, array<string, mixed>>
     */
    private static function byColumn(array $made): array
    {
        $by = array_column($made, null, 'column');
        ksort($by);

        return $by;
    }
}
