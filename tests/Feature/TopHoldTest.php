<?php

declare(strict_types=1);

namespace Tests\Feature;

use Tests\Support\Tops;

final class TopHoldTest extends TestCase
{
    public function test_a_seam_between_blocks_lies_as_it_is_held_and_is_free_again_when_touched_again(): void
    {
        $plan = $this->planned();
        $seam = $plan['seams'][0];
        $held = $this->hold(1, ['what' => 'seam', 'join' => $seam['id']]);
        self::assertSame([$plan['seamPlaces'][0]], $held['holds']['seams']);
        $after = $this->planned(false);
        self::assertSame(array_map(self::other(...), $seam['press']), $after['seams'][0]['press']);
        self::assertContains('With what you hold, no other way to turn and press them is better.', $after['sentences']);
        self::assertContains('No other way to turn and press them is better.', $plan['sentences']);
        self::assertSame([], $this->hold(2, ['what' => 'seam', 'join' => $seam['id']])['holds']['seams']);
        self::assertSame($plan['seams'], $this->planned(false)['seams']);
    }

    public function test_a_pile_and_one_seam_of_it_are_held_by_where_they_lie(): void
    {
        $plan = $this->planned();
        $pile = $plan['made'][0];
        self::assertSame('one 1', $pile['name']);
        $last = count($pile['joins']) - 1;
        $held = $this->hold(1, ['what' => 'seam-of-pile', 'pile' => 'one 1', 'join' => $last]);
        self::assertSame([['pile' => 'one 1', 'seams' => [$pile['places'][$last]]]], $held['holds']['piles']);
        $after = $this->planned(false)['made'][0];
        self::assertSame(array_map(self::other(...), $pile['joins'][$last]['press']), $after['joins'][$last]['press']);

        $all = $this->hold(2, ['what' => 'pile', 'pile' => 'one 1', 'hold' => true]);
        self::assertEqualsCanonicalizing($pile['places'], $all['holds']['piles'][0]['seams']);
        self::assertSame(array_column($after['joins'], 'press'), array_column($this->planned(false)['made'][0]['joins'], 'press'));
        self::assertSame([], $this->hold(3, ['what' => 'pile', 'pile' => 'one 1', 'hold' => false])['holds']['piles']);
    }

    public function test_a_place_that_is_held_is_not_turned(): void
    {
        $turned = array_values(array_filter($this->planned()['places'], static fn (array $place): bool => $place['turned'] !== 0));
        self::assertNotSame([], $turned);
        ['row' => $row, 'column' => $column] = $turned[0];
        $held = $this->hold(1, ['what' => 'place', 'row' => $row, 'column' => $column, 'hold' => true]);
        self::assertSame([['row' => $row, 'column' => $column]], $held['holds']['places']);
        $after = array_filter($this->planned(false)['places'], static fn (array $place): bool => [$place['row'], $place['column']] === [$row, $column]);
        self::assertSame([0], array_column($after, 'turned'));
        self::assertSame([], $this->hold(2, ['what' => 'place', 'row' => $row, 'column' => $column, 'hold' => false])['holds']['places']);
    }

    public function test_a_block_is_told_what_its_tops_ask_of_its_outer_seams(): void
    {
        $asked = fn (): array => array_column($this->getJson('/api/blocks/3/tops')->assertOk()->json('tops'), null, 'isPlanned');
        self::assertSame([0], array_keys($asked()), 'of the demo top nothing is planned yet');
        $this->postJson('/api/tops/begin', ['name' => 'Slipway', 'blocks' => [3]])->assertCreated();
        $this->getJson('/api/tops/2/plan')->assertOk();
        $told = $asked()[1];
        self::assertSame(['Slipway', true, [4]], [$told['top']['name'], $told['isCurrent'], array_column($told['piles'], 'count')]);
        $seams = $told['piles'][0]['seams'];
        $joins = $this->getJson('/api/blocks/3/plan')->json('joins');
        foreach ($seams as $seam) {
            $ends = [...$joins[$seam['join']]['from'], ...$joins[$seam['join']]['to']];
            self::assertNotSame([], array_intersect([0, 12], $ends));
        }
        $differing = array_values(array_filter($seams, static fn (array $seam): bool => $seam['differs']));
        self::assertNotSame([], $differing, 'by itself the block is pressed otherwise');
        $this->putJson('/api/blocks/3/locks', ['locks' => array_map(static fn (array $seam): array => ['join' => $seam['join'], 'directions' => $seam['directions']], $differing)], self::seen(1))->assertOk();
        self::assertNotContains(true, array_column($asked()[1]['piles'][0]['seams'], 'differs'));
    }

    public function test_what_is_not_there_cannot_be_held(): void
    {
        $this->planned();
        foreach ([['what' => 'seam', 'join' => 9999], ['what' => 'seam-of-pile', 'pile' => 'one 1', 'join' => 9999], ['what' => 'seam-of-pile', 'pile' => 'none 1', 'join' => 0]] as $asked) {
            $this->putJson('/api/tops/2/holds', $asked, self::seen(1))->assertNotFound();
        }
        $this->putJson('/api/tops/2/holds', ['what' => 'cloth'], self::seen(1))->assertUnprocessable();
        $this->putJson('/api/tops/2/holds', ['what' => 'place', 'row' => '3', 'column' => 'x', 'hold' => true], self::seen(1))->assertUnprocessable();
        $this->putJson('/api/tops/2/holds', ['what' => 'seam', 'join' => $this->planned(false)['seams'][0]['id']], self::seen(7))->assertConflict();
        self::assertSame(['places' => [], 'piles' => [], 'seams' => []], $this->getJson('/api/tops/2')->json('holds'));
    }

    /** @return array<string, mixed> */
    private function planned(bool $isNew = true): array
    {
        if ($isNew) {
            $this->postJson('/api/tops', Tops::file([], Tops::PINWHEEL))->assertCreated();
        }

        return $this->getJson('/api/tops/2/plan')->assertOk()->json('plan');
    }

    /**
     * @param array<string, mixed> $asked
     *
     * @return array<string, mixed>
     */
    private function hold(int $version, array $asked): array
    {
        return $this->putJson('/api/tops/2/holds', $asked, self::seen($version))->assertOk()->json();
    }

    private static function other(string $press): string
    {
        return $press === 'left' ? 'right' : 'left';
    }
}
