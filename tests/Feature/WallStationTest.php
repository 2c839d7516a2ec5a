<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\BlockEdit;
use App\Models\ShelfBlock;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\Blocks;

final class WallStationTest extends TestCase
{
    public function test_the_wall_tells_how_every_unit_lies(): void
    {
        $wall = $this->getJson('/api/blocks/3/wall')->assertOk()->json();

        self::assertSame(['quarter-turn', 16, ['undo' => null, 'redo' => null]], [$wall['symmetry']['name'], count($wall['cells']), $wall['history']]);
        self::assertSame('dark corner top left', $wall['cells'][0]['signature']);
        self::assertSame([4, 4], [$wall['hands'][0]['left'], $wall['hands'][0]['right']]);
        self::assertContains($wall['cells'][1]['hand'], ['left', 'right']);
        self::assertSame(['2', '4', '4', '2'], array_column($wall['columns'], 'size'));
        $figures = $this->getJson('/api/blocks/3/wall/figures')->assertOk()->json();
        self::assertSame([1, 44, 9], [$figures['version'], $figures['patches'], $figures['figures']['matches']]);
        self::assertContains([1, 1], $figures['lookTwice']);
    }

    public function test_a_change_is_saved_flagged_undone_and_done_again(): void
    {
        $before = ShelfBlock::query()->findOrFail(3)->document;
        $turned = $this->edit(1, ['do' => 'move', 'places' => [[1, 2]], 'turn' => 180])->assertOk()->json();
        self::assertSame([2, 'Turn'], [$turned['block']['version'], $turned['history']['undo']]);
        self::assertSame(['mend' => ['turn' => 0, 'mirrored' => false], 'isMeant' => false], $turned['cells'][1]['odd']);
        $this->edit(2, ['do' => 'name', 'name' => 'Harbour Gate'])->assertOk();
        self::assertSame('Harbour Gate', ShelfBlock::query()->findOrFail(3)->name);

        $this->postJson('/api/blocks/3/undo', [], self::seen(3))->assertOk()->assertJsonPath('history', ['undo' => 'Turn', 'redo' => 'Rename']);
        $this->postJson('/api/blocks/3/undo', [], self::seen(4))->assertOk()->assertJsonPath('history.undo', null);
        self::assertSame([$before, 'Tide Gate'], [ShelfBlock::query()->findOrFail(3)->document, ShelfBlock::query()->findOrFail(3)->name]);
        $this->postJson('/api/blocks/3/undo', [], self::seen(5))->assertOk()->assertJsonPath('block.version', 5);
        $this->postJson('/api/blocks/3/redo', [], self::seen(5))->assertOk()->assertJsonPath('cells.1.turn', 180);

        // A new change takes the place of those that could have been done again.
        $this->edit(6, ['do' => 'swap', 'places' => [[1, 1]]])->assertOk()->assertJsonPath('history.redo', null);
        self::assertSame([1, 2], BlockEdit::query()->orderBy('number')->pluck('number')->all());
    }

    public function test_what_was_said_of_seams_goes_with_a_changed_layout_and_comes_back_with_undo(): void
    {
        $this->putJson('/api/blocks/3/locks/16', ['direction' => 'left'], self::seen(1))->assertOk();
        $this->sew(3, 4);
        $this->edit(2, ['do' => 'fabric', 'key' => $this->fabric(), 'name' => 'Other', 'color' => '#113355'])->assertOk();
        self::assertSame([1, 4], [count(self::locks(3)), ShelfBlock::query()->findOrFail(3)->stepsDoneNow()], 'the seams are the same');

        $this->sew(3, 2);
        $this->edit(3, ['do' => 'place', 'kind' => 'plain', 'places' => [[1, 2]], 'figure' => $this->fabric()])->assertOk();
        self::assertSame([1, 0], [count(self::locks(3)), ShelfBlock::query()->findOrFail(3)->stepsDoneNow()], 'the locked seam is still there; what is sewn is another thing');
        $this->postJson('/api/blocks/3/undo', [], self::seen(4))->assertOk();
        self::assertCount(1, self::locks(3));
        self::assertCount(6, array_filter($this->getJson('/api/blocks/3/work')->json('steps'), static fn (array $step): bool => $step['isDone']), 'steps done after the change that is taken back, too');
    }

    public function test_undo_takes_back_only_what_its_step_did(): void
    {
        $this->edit(1, ['do' => 'name', 'name' => 'Harbour Gate'])->assertOk();
        $this->putJson('/api/blocks/3/locks/16', ['direction' => 'left'], self::seen(2))->assertOk();
        $this->sew(3, 19);
        $seen = ShelfBlock::query()->findOrFail(3)->version;
        $join = $this->getJson('/api/blocks/3/joins')->json('joins.0');
        $this->putJson("/api/blocks/3/joins/{$join['id']}/measured", ['width' => $join['meant'][0], 'height' => $join['meant'][1]], self::seen($seen))->assertOk();
        $said = static fn (): array => array_map(static fn (string $column): mixed => ShelfBlock::query()->findOrFail(3)->getRawOriginal($column), ['locks', 'steps_done', 'measured_parts', 'work']);
        $before = $said();

        $this->postJson('/api/blocks/3/undo', [], self::seen($seen + 1))->assertOk();
        self::assertSame(['Tide Gate', $before], [ShelfBlock::query()->findOrFail(3)->name, $said()]);
        $this->postJson('/api/blocks/3/redo', [], self::seen($seen + 2))->assertOk();
        self::assertSame(['Harbour Gate', $before], [ShelfBlock::query()->findOrFail(3)->name, $said()]);
    }

    public function test_all_odd_ones_are_mended_in_one_step_that_one_undo_takes_back(): void
    {
        $before = $this->getJson('/api/blocks/3/wall')->json();
        self::assertSame([], array_filter($before['cells'], static fn (array $cell): bool => $cell['odd'] !== null));
        $this->edit(1, ['do' => 'move', 'places' => [[1, 2]], 'turn' => 90, 'mirrored' => false])->assertOk();
        $odd = array_values(array_filter($this->edit(2, ['do' => 'move', 'places' => [[2, 1]], 'turn' => 180, 'mirrored' => false])->json('cells'), static fn (array $cell): bool => $cell['odd'] !== null));
        self::assertSame([[1, 2], [2, 1]], array_map(static fn (array $cell): array => [$cell['row'], $cell['column']], $odd));
        $mended = $this->edit(3, ['do' => 'mend', 'places' => [[1, 2], [2, 1]]])->assertOk()->json();
        self::assertSame(array_column($before['cells'], 'turn'), array_column($mended['cells'], 'turn'));
        self::assertSame('Mend all', $mended['history']['undo']);
        $this->postJson('/api/blocks/3/undo', [], self::seen(4))->assertOk()->assertJsonPath('cells.1.turn', $odd[0]['turn'])->assertJsonPath('history.undo', 'Turn');
        // Only what is asked for, and only what is odd.
        $one = $this->edit(5, ['do' => 'mend', 'places' => [[2, 1], [1, 1]]])->assertOk()->json('cells');
        self::assertSame([$odd[0]['turn'], $before['cells'][0]['turn']], [$one[1]['turn'], $one[0]['turn']]);
        self::assertCount(1, array_filter($one, static fn (array $cell): bool => $cell['odd'] !== null));
    }

    public function test_a_unit_is_placed_in_the_fabrics_the_tray_shows_it_in(): void
    {
        foreach ([1, 2, 3] as $block) {
            $wall = $this->getJson("/api/blocks/$block/wall")->json();
            $version = $wall['block']['version'];
            self::assertSame(array_column($wall['face']['fabrics'], 'key'), array_keys($wall['trios']));
            foreach ($wall['trios'] as $figure => [$ground, $second]) {
                $cells = $this->postJson("/api/blocks/$block/edits", ['edit' => ['do' => 'place', 'kind' => 'split-quarter-square-triangle', 'places' => [[1, 1]], 'figure' => $figure]], self::seen($version++))->assertOk()->json('cells');
                self::assertEqualsCanonicalizing([$figure, $ground, $second], $cells[0]['entry']['fabrics'], "$block: $figure");
                // The ground is another than the figure where the block has another.
                self::assertNotSame($figure, $ground);
            }
        }
    }

    public function test_a_lock_sleeps_while_its_seam_is_not_there(): void
    {
        $joins = $this->getJson('/api/blocks/3/plan')->json('joins');
        $inUnit = array_values(array_filter($joins, static fn (array $join): bool => $join['place'] === 'row 1, column 2'))[0] ?? self::fail('No seam in that unit: '.json_encode(array_column($joins, 'place')));
        $this->putJson("/api/blocks/3/locks/{$inUnit['id']}", ['direction' => 'left'], self::seen(1))->assertOk();
        $this->edit(2, ['do' => 'place', 'kind' => 'plain', 'places' => [[1, 2]], 'figure' => $this->fabric()])->assertOk();
        self::assertSame([], self::locks(3));
        $this->getJson('/api/blocks/3/plan')->assertJson(['locks' => 0, 'locksAsleep' => 1]);
        $this->postJson('/api/blocks/3/undo', [], self::seen(3))->assertOk();
        self::assertCount(1, self::locks(3));
        $this->postJson('/api/blocks/3/redo', [], self::seen(4))->assertOk();
        $this->deleteJson('/api/blocks/3/locks/asleep', [], self::seen(5))->assertOk()->assertJson(['locksAsleep' => 0]);
        $this->postJson('/api/blocks/3/undo', [], self::seen(6))->assertOk();
        self::assertSame([], self::locks(3), 'it was let go');
    }

    public function test_changes_kept_by_an_earlier_version_can_be_taken_back(): void
    {
        $block = ShelfBlock::query()->findOrFail(3);
        $whole = array_intersect_key($block->getAttributes(), array_flip(['name', 'document', 'locks', 'two_piles', 'steps_done', 'measured_parts', 'meant', 'swatches', 'picture']));
        foreach ([0 => 'Tide Gate', 1 => 'Harbour Gate'] as $number => $name) {
            BlockEdit::query()->create(['shelf_block_id' => 3, 'number' => $number, 'words' => 'Rename', 'state' => json_encode(['name' => $name] + $whole, JSON_THROW_ON_ERROR)]);
        }
        $block->saveOver(1, ['name' => 'Harbour Gate', 'edit_number' => 1]);
        $this->putJson('/api/blocks/3/locks/16', ['direction' => 'left'], self::seen(2))->assertOk();

        $this->postJson('/api/blocks/3/undo', [], self::seen(3))->assertOk()->assertJsonPath('history', ['undo' => null, 'redo' => 'Rename']);
        self::assertSame(['Tide Gate', 1], [ShelfBlock::query()->findOrFail(3)->name, count(self::locks(3))]);
        $this->postJson('/api/blocks/3/redo', [], self::seen(4))->assertOk();
        self::assertSame(['Harbour Gate', 1], [ShelfBlock::query()->findOrFail(3)->name, count(self::locks(3))]);
    }

    public function test_a_change_over_an_older_version_is_refused_and_changes_nothing(): void
    {
        $this->edit(1, ['do' => 'swap', 'places' => [[1, 1]]])->assertOk();
        $saved = ShelfBlock::query()->findOrFail(3)->document;

        $this->edit(1, ['do' => 'clear', 'places' => [[2, 2]]])->assertConflict()->assertJson(['code' => 'changed-elsewhere']);
        self::assertSame([$saved, 1], [ShelfBlock::query()->findOrFail(3)->document, BlockEdit::query()->count()]);
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function refused(): array
    {
        return [
            'no such change' => [['do' => 'iron'], '"iron" is no change to a layout. Use one of: place, lay'],
            'nothing to do' => [[], '"do" is missing'],
            'no places' => [['do' => 'move', 'turn' => 90], '"places" is missing or no list'],
            'half a turn of a half' => [['do' => 'move', 'places' => [[1, 1]], 'turn' => 45], '"turn" is missing or no quarter turn'],
            'unknown kind' => [['do' => 'place', 'kind' => 'kite', 'places' => [[1, 1]], 'figure' => 'A'], '"kind" is missing or no kind of unit'],
            'past the grid' => [['do' => 'lay', 'cells' => [['row' => 9, 'column' => 9, 'unit' => 'plain', 'fabrics' => ['P']]]], 'reaches past the grid'],
            'pasted from another block' => [['do' => 'lay', 'cells' => [['row' => 1, 'column' => 1, 'unit' => 'plain', 'fabrics' => ['Q']]]], 'There is no fabric "Q".'],
            'no size' => [['do' => 'size', 'width' => 'large', 'height' => '12'], '"large" is not a length.'],
            'size of nothing' => [['do' => 'size', 'width' => '0', 'height' => '12'], 'The finished width is "0".'],
            'no colour' => [['do' => 'fabric', 'name' => 'Sand', 'color' => 'sand'], '"color" is missing or no colour'],
            'a fabric in use' => [['do' => 'remove-fabric', 'key' => 'P'], 'is used in this block. Say which fabric takes its place.'],
        ];
    }

    /** @param array<string, mixed> $change */
    #[DataProvider('refused')]
    public function test_a_change_that_cannot_be_is_answered_with_one_sentence(array $change, string $words): void
    {
        $before = ShelfBlock::query()->findOrFail(3)->toArray();
        $message = $this->edit(1, $change)->assertUnprocessable()->json('message');

        self::assertStringContainsString($words, $message);
        self::assertSame($before, ShelfBlock::query()->findOrFail(3)->toArray());
    }

    public function test_a_corner_that_no_longer_fits_refuses_the_smaller_size(): void
    {
        $file = Blocks::file('pA pA');
        $file['cells'][0] = ['row' => 1, 'column' => 1, 'unit' => 'flipped-corners', 'fabrics' => ['A'], 'corners' => ['tl' => ['fabric' => 'B', 'size' => '1 1/2']]];
        $id = $this->call('POST', '/api/blocks', content: json_encode($file, JSON_THROW_ON_ERROR))->assertCreated()->json('id');

        $this->edit(1, ['do' => 'size', 'width' => '2', 'height' => '1'], $id)->assertUnprocessable()->assertJson(['code' => 'block-not-possible']);
    }

    public function test_the_picture_to_match_and_cells_meant_to_be_odd(): void
    {
        $this->putJson('/api/blocks/3/picture', [], self::seen(1))->assertOk()->assertJsonPath('hasPicture', true);
        $changed = $this->edit(2, ['do' => 'move', 'places' => [[1, 2]], 'turn' => 180])->assertOk()->json();
        self::assertSame('turned half round', $changed['cells'][1]['different']);
        $meant = $this->putJson('/api/blocks/3/meant', ['places' => [[1, 2]]], self::seen(3))->assertOk()->json();
        self::assertTrue($meant['cells'][1]['odd']['isMeant']);
        // What shows something else there is told again.
        $again = $this->edit(4, ['do' => 'move', 'places' => [[1, 2]], 'turn' => 90])->assertOk()->json();
        self::assertFalse($again['cells'][1]['odd']['isMeant']);
        $this->deleteJson('/api/blocks/3/picture', [], self::seen(5))->assertOk()->assertJsonPath('hasPicture', false);
    }

    public function test_a_unit_is_shown_beside_its_impostor_with_the_place_that_tells_them_apart(): void
    {
        $pair = $this->getJson('/api/blocks/3/wall/impostors?row=1&column=1')->assertOk()->json();

        self::assertSame(['right', 2], [$pair['side'], count($pair['right'])]);
        self::assertSame(['turn' => 90, 'mirrored' => false], $pair['wrong'][0]['placement']);
        self::assertEqualsWithDelta([2 / 3, 2 / 3], $pair['wrong'][0]['ring'], 1e-6);
        $this->getJson('/api/blocks/3/wall/impostors?row=40&column=1')->assertOk()->assertJson(['wrong' => []]);
    }

    public function test_a_block_is_begun(): void
    {
        $starts = $this->getJson('/api/starts')->assertOk()->json();
        self::assertSame([10, 8], [count($starts['tray']), count($starts['follows'])]);
        $new = ['name' => ' Beacon ', 'start' => 'alternating', 'columns' => '1 2 1', 'rows' => '2', 'width' => '300', 'height' => '200', 'units' => 'mm'];
        $id = $this->postJson('/api/starts', $new)->assertCreated()->assertJsonPath('name', 'Beacon')->json('id');
        self::assertSame(['75', '150', '75'], array_column($this->getJson("/api/blocks/$id/wall")->json('columns'), 'size'));

        foreach (['columns' => '0', 'rows' => '99', 'width' => 'wide', 'start' => 'spiral', 'units' => 'cubits'] as $field => $value) {
            $this->postJson('/api/starts', [$field => $value] + $new)->assertUnprocessable();
        }
        self::assertSame(4, ShelfBlock::query()->count());
    }

    public function test_a_block_is_shown_while_it_is_asked_for_and_what_cannot_be_is_said_beside_its_field(): void
    {
        $asked = ['columns' => '1 2 1', 'rows' => '4', 'width' => '12', 'height' => '12', 'units' => 'in', 'figure' => 'light'];
        $look = fn (array $other = []) => $this->getJson('/api/starts/pictures?'.http_build_query($other + $asked));
        $shown = $look()->assertOk()->json();
        self::assertSame(['3 columns: 3, 6 and 3 in', '4 rows of 3 in', [], 6], [$shown['columns'], $shown['rows'], $shown['fits'], count($shown['starts'])]);
        self::assertSame('B', $shown['starts'][0]['face']['patches'][0]['fabric'], 'light on dark');
        self::assertSame('1 column of 12 in', $look(['columns' => '1'])->json('columns'));
        self::assertNotSame([], $look(['columns' => '5', 'width' => '13'])->json('fits'));
        self::assertNull($look(['columns' => '30', 'rows' => '30'])->json('starts.0.face'));
        foreach ([['columns', 'many', '“many” is no number of columns. Write 1 to 64, or the widths one after the other, like 1 2 1.'], ['rows', '', 'How many rows? Write 1 to 64, or the widths one after the other, like 1 2 1.'], ['rows', '0', '“0” is no number of rows.'], ['width', 'wide', '“wide” is no width. Write it like 12 or 12 1/2.'], ['height', '-2', '“-2” is no height.']] as [$field, $value, $words]) {
            $look([$field => $value])->assertUnprocessable()->assertJsonPath('where', $field)->assertJsonPath('message', static fn (string $told): bool => str_starts_with($told, $words));
        }
        self::assertSame('“x” is no width. Write it like 300.', $look(['units' => 'mm', 'width' => 'x'])->json('message'));
    }

    public function test_a_block_is_copied_in_another_size_with_what_was_decided_and_nothing_that_was_sewn(): void
    {
        $this->putJson('/api/blocks/3/locks/16', ['direction' => 'left'], self::seen(1))->assertOk();
        $this->putJson('/api/blocks/3/cutting', ['blocks' => 6, 'ways' => ['U2' => 'sewn-and-flipped']], self::seen(2));
        $this->sew(3, 6);
        $copy = $this->postJson('/api/blocks/3/copy', ['name' => 'Tide Gate, small', 'width' => '8', 'height' => '8'])->assertCreated()->json();
        self::assertSame(['Tide Gate, small', ['8'], 0], [$copy['name'], $copy['finished'], $copy['stepsDone']]);
        $press = $this->getJson("/api/blocks/{$copy['id']}/plan")->json();
        self::assertSame([1, $this->getJson('/api/blocks/3/plan')->json('locked')], [$press['locks'], $press['locked']]);
        self::assertContains(16, $press['locked']);
        self::assertSame($this->getJson('/api/blocks/3/cutting')->json('choices'), $this->getJson("/api/blocks/{$copy['id']}/cutting")->json('choices'));
        self::assertSame([], array_filter($this->getJson("/api/blocks/{$copy['id']}/work")->json('steps'), static fn (array $step): bool => $step['isDone']));
        self::assertSame(['12'], $this->getJson('/api/blocks/3')->json('finished'));
        $this->postJson('/api/blocks/3/copy', ['name' => 'x', 'width' => 'big', 'height' => '8'])->assertUnprocessable();
        $this->postJson('/api/blocks/3/copy', ['name' => 'x', 'width' => '1/2', 'height' => '1/2'])->assertUnprocessable();
        self::assertSame(4, ShelfBlock::query()->count());
    }

    public function test_a_picture_of_the_cloth_is_made_anew_and_gives_the_fabric_its_colour(): void
    {
        $image = imagecreatetruecolor(300, 200);
        imagefill($image, 0, 0, (int) imagecolorallocate($image, 20, 60, 90));
        ob_start();
        imagepng($image);
        $png = (string) ob_get_clean();
        $fabric = $this->fabric();
        $wall = $this->swatch(1, $fabric, $png)->assertOk()->json();
        $told = array_column($wall['face']['fabrics'], null, 'key')[$fabric];
        self::assertSame(['dark', 'dark'], [$told['value'], $told['proposed']]);
        $picture = $this->get('/api/swatches/'.$told['swatch'])->assertOk()->assertHeader('Content-Type', 'image/jpeg')->getContent();
        self::assertSame([240, 240], array_slice((array) getimagesizefromstring((string) $picture), 0, 2));

        $this->postJson('/api/blocks/3/undo', [], self::seen(2))->assertOk();
        self::assertSame([], ShelfBlock::query()->findOrFail(3)->swatches);
    }

    public function test_a_wrong_or_huge_picture_is_refused_with_its_reason(): void
    {
        // A PNG that says it is 20000 pixels wide is refused by what it says, before it is unpacked.
        $large = "\x89PNG\r\n\x1a\n".pack('N', 13).'IHDR'.pack('NN', 20000, 20000)."\x08\x02\x00\x00\x00".pack('N', 0);
        foreach ([['no picture at all', 'no picture that can be read'], [$large, '20000 by 20000 pixels'], [str_repeat('x', 6 * 1024 * 1024), 'larger than 5 MB'], ["\x89PNG\r\n\x1a\n".pack('N', 13).'IHDR'.pack('NN', 20, 20)."\x08\x02\x00\x00\x00", 'no picture that can be read']] as [$bytes, $words]) {
            self::assertStringContainsString($words, (string) $this->swatch(1, $this->fabric(), $bytes)->assertUnprocessable()->json('message'));
        }
        $this->swatch(1, 'Q', 'x')->assertUnprocessable()->assertJson(['where' => '/fabric']);
    }

    /**
     * @param array<string, mixed> $change
     *
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function edit(int $version, array $change, int $block = 3): TestResponse
    {
        return $this->postJson("/api/blocks/$block/edits", ['edit' => $change, 'follow' => 'none'], self::seen($version));
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function swatch(int $version, string $fabric, string $bytes): TestResponse
    {
        return $this->call('PUT', "/api/blocks/3/fabrics/$fabric/swatch", server: ['HTTP_IF_MATCH' => "\"$version\"", 'HTTP_ACCEPT' => 'application/json', 'CONTENT_TYPE' => 'image/png'], content: $bytes);
    }

    private function fabric(): string
    {
        return (string) $this->getJson('/api/blocks/3/wall')->json('face.fabrics.0.key');
    }
}
