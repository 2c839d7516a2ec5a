<?php

declare(strict_types=1);

namespace Tests\Feature;

/** A cell opened large, cut by lines, and kept in the quilter's own tray. */
final class DrawingTest extends TestCase
{
    public function test_a_unit_is_drawn_cut_by_cut_from_an_empty_place_with_its_order(): void
    {
        $id = $this->emptyBlock();
        $cut = fn (int $version, array $from, array $to, array $more = []) => $this->postJson("/api/blocks/$id/edits", ['edit' => ['do' => 'cut', 'places' => [[2, 2]], 'from' => $from, 'to' => $to] + $more, 'follow' => 'none'], self::seen($version));
        $drawing = fn (): array => (array) $this->getJson("/api/blocks/$id/wall/drawing?row=2&column=2")->assertOk()->json();
        self::assertSame([1, [], 25, ['3', '3']], [count($drawing()['patches']), $drawing()['seams'], count($drawing()['marks']), $drawing()['size']]);

        $cut(1, ['0', '1'], ['1', '0'])->assertOk();
        $cut(2, ['1/2', '0'], ['0.5', '0.5'])->assertOk();
        $cut(3, ['0', '1/2'], ['1/2', '1/2'])->assertOk()->assertJsonPath('history.undo', 'Cut');
        self::assertSame([4, 3, null, []], [count($drawing()['patches']), count($drawing()['seams']), $drawing()['problem'], $drawing()['inTheWay']]);
        // The large triangle is joined last.
        self::assertEqualsWithDelta([[3.0, 0.0], [0.0, 3.0]], [$drawing()['seams'][2]['from'], $drawing()['seams'][2]['to']], 1e-9);

        $cut(4, ['0', '0'], ['1/8', '1/8'])->assertUnprocessable()->assertJsonPath('message', fn (string $words): bool => str_starts_with($words, 'The cut ends inside a patch'));
        $cut(4, ['0', '1/2'], ['1/2', '1/2'])->assertUnprocessable()->assertJsonPath('message', fn (string $words): bool => str_starts_with($words, 'There is nothing to cut'));
        $this->postJson("/api/blocks/$id/undo", [], self::seen(4))->assertOk();
        self::assertCount(3, $drawing()['patches']);
        $this->postJson("/api/blocks/$id/edits", ['edit' => ['do' => 'sew-back', 'places' => [[2, 2]], 'patches' => [0, 1]], 'follow' => 'none'], self::seen(5))->assertOk();
        self::assertCount(2, $drawing()['patches']);
        self::assertSame(1, count(array_filter($this->getJson("/api/blocks/$id/wall")->json('cells'), static fn (array $cell): bool => $cell['kind'] === 'patches')));
    }

    public function test_copies_follow_a_cut_and_a_whole_block_is_one_cell(): void
    {
        $id = $this->emptyBlock();
        $cells = $this->postJson("/api/blocks/$id/edits", ['edit' => ['do' => 'cut', 'places' => [[1, 1]], 'from' => ['0', '1'], 'to' => ['1', '0']], 'follow' => 'quarter-turn'], self::seen(1))->assertOk()->json('cells');
        self::assertSame([4, [0, 90, 180, 270]], [count(array_filter($cells, static fn (array $cell): bool => $cell['kind'] === 'patches')), array_values(array_unique(array_merge(...array_map(static fn (array $cell): array => $cell['kind'] === 'patches' ? [$cell['turn']] : [], $cells)))) === [0, 90, 270, 180] ? [0, 90, 180, 270] : []]);
        $one = $this->postJson("/api/blocks/$id/edits", ['edit' => ['do' => 'as-one'], 'follow' => 'none'], self::seen(2))->assertOk()->json();
        self::assertSame([1, 20], [count($one['cells']), count($one['face']['patches'])]);
        $this->postJson("/api/blocks/$id/edits", ['edit' => ['do' => 'group', 'places' => [[1, 1]]], 'follow' => 'none'], self::seen(3))->assertUnprocessable();
        // Slanting arms from corner to corner, and a drawing from whole cloth.
        $this->postJson("/api/blocks/$id/edits", ['edit' => ['do' => 'draw', 'places' => [[1, 1]], 'start' => 'whole'], 'follow' => 'none'], self::seen(3))->assertOk();
        $arms = [[['0', '1/4'], ['3/4', '1']], [['1/4', '0'], ['1', '3/4']], [['1', '1/4'], ['1/4', '1']]];
        foreach ($arms as $i => [$from, $to]) {
            $this->postJson("/api/blocks/$id/edits", ['edit' => ['do' => 'cut', 'places' => [[1, 1]], 'from' => $from, 'to' => $to, 'through' => true], 'follow' => 'none'], self::seen(4 + $i))->assertOk();
        }
        self::assertSame(null, $this->getJson("/api/blocks/$id/wall/drawing?row=1&column=1")->json('problem'));
        $this->getJson("/api/blocks/$id/plan")->assertOk();
    }

    public function test_a_unit_is_kept_under_her_name_and_placed_in_another_block_in_its_fabrics(): void
    {
        $id = $this->emptyBlock();
        $this->postJson("/api/blocks/$id/edits", ['edit' => ['do' => 'draw', 'places' => [[1, 1], [1, 2]], 'start' => 'halves'], 'follow' => 'none'], self::seen(1))->assertOk();
        $own = $this->postJson("/api/blocks/$id/tray", ['name' => 'Slip way', 'row' => 1, 'column' => 1])->assertCreated()->json('own');
        self::assertSame([['Slip way', 2, ['g', 'f']]], array_map(static fn (array $unit): array => [$unit['name'], $unit['ratio'], array_column($unit['patches'], 'role')], $own));
        self::assertSame($own, $this->getJson('/api/starts')->json('own'));

        $figure = 'P';
        $placed = $this->postJson('/api/blocks/3/edits', ['edit' => ['do' => 'place', 'kind' => $own[0]['kind'], 'places' => [[1, 1]], 'figure' => $figure], 'follow' => 'none'], self::seen(1))->assertOk()->json();
        self::assertSame(['patches', 'Slip way'], [$placed['cells'][0]['kind'], $placed['cells'][0]['label']]);
        $fabrics = array_column(array_filter($placed['face']['patches'], static fn (array $patch): bool => in_array($patch['id'], $placed['cells'][0]['patches'], true)), 'fabric');
        self::assertSame([$placed['trios'][$figure][0], $figure], $fabrics);

        $number = (int) substr($own[0]['kind'], 4);
        $this->deleteJson("/api/tray/$number")->assertOk()->assertJsonPath('own', []);
        $this->postJson('/api/blocks/3/edits', ['edit' => ['do' => 'place', 'kind' => $own[0]['kind'], 'places' => [[1, 1]], 'figure' => $figure], 'follow' => 'none'], self::seen(2))->assertUnprocessable();
        $this->postJson("/api/tray/$number/restore", [])->assertOk()->assertJsonPath('own.0.name', 'Slip way');
        $this->postJson("/api/blocks/$id/tray", ['name' => ' ', 'row' => 1, 'column' => 1])->assertUnprocessable();
        $this->postJson("/api/blocks/$id/tray", ['name' => 'x', 'row' => 9, 'column' => 1])->assertUnprocessable();
    }

    public function test_what_is_pasted_comes_with_its_copies_inside_a_small_grid_too(): void
    {
        $id = $this->emptyBlock();
        $this->postJson("/api/blocks/$id/edits", ['edit' => ['do' => 'place', 'kind' => 'half-square-triangle', 'places' => [[2, 2]], 'figure' => 'B'], 'follow' => 'none'], self::seen(1))->assertOk();
        $entry = $this->getJson("/api/blocks/$id/wall")->json('cells.5.entry');
        $pasted = $this->postJson("/api/blocks/$id/edits", ['edit' => ['do' => 'lay', 'cells' => [['row' => 1, 'column' => 1] + $entry]], 'follow' => 'quarter-turn'], self::seen(2))->assertOk()->json('cells');
        self::assertSame([0, 3, 5, 12, 15], array_keys(array_filter($pasted, static fn (array $cell): bool => $cell['kind'] === 'half-square-triangle')));
        self::assertSame([0, 90, 270, 180], array_map(static fn (int $i): int => $pasted[$i]['turn'], [0, 3, 12, 15]));
        $this->postJson("/api/blocks/$id/edits", ['edit' => ['do' => 'group', 'places' => [[2, 3], [3, 4]]], 'follow' => 'none'], self::seen(3))->assertOk();
        $inside = $this->postJson("/api/blocks/$id/edits?path=2.3", ['edit' => ['do' => 'lay', 'cells' => [['row' => 1, 'column' => 1] + $entry]], 'follow' => 'half-turn'], self::seen(4))->assertOk()->json('cells');
        self::assertSame(['half-square-triangle', 'plain', 'plain', 'half-square-triangle'], array_column($inside, 'kind'));
    }

    public function test_cells_are_grouped_and_opened_out_again(): void
    {
        $before = $this->getJson('/api/blocks/3/wall')->json('cells');
        $grouped = $this->postJson('/api/blocks/3/edits', ['edit' => ['do' => 'group', 'places' => [[2, 2], [3, 3]]], 'follow' => 'none'], self::seen(1))->assertOk()->json('cells');
        self::assertCount(13, $grouped);
        $again = $this->postJson('/api/blocks/3/edits', ['edit' => ['do' => 'open-out', 'places' => [[2, 2]]], 'follow' => 'none'], self::seen(2))->assertOk()->json('cells');
        self::assertSame(array_column($before, 'signature'), array_column($again, 'signature'));
        $this->postJson('/api/blocks/3/edits', ['edit' => ['do' => 'open-out', 'places' => [[1, 1]]], 'follow' => 'none'], self::seen(3))->assertUnprocessable();
    }

    private function emptyBlock(): int
    {
        return (int) $this->postJson('/api/starts', ['name' => 'Mooring', 'start' => 'blank', 'columns' => '4', 'rows' => '4', 'width' => '12', 'height' => '12', 'units' => 'in'])->assertCreated()->json('id');
    }
}
