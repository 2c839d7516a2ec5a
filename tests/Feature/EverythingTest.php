<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\ShelfBlock;
use App\Shelf\Everything;
use Illuminate\Support\Facades\DB;

/** All that is kept as one file, and that file brought back. */
final class EverythingTest extends TestCase
{
    private const TABLES = ['shelf_blocks', 'block_edits', 'work_events', 'swatches', 'seam_tests', 'habits'];

    protected function setUp(): void
    {
        parent::setUp();
        $this->postJson('/api/blocks/3/edits', ['edit' => ['do' => 'swap', 'places' => [[1, 1]]], 'follow' => 'none'], self::seen(1))->assertOk();
        $this->putJson('/api/blocks/3/locks/16', ['direction' => 'left'], self::seen(2))->assertOk();
        $this->postJson('/api/blocks/3/seam-tests', ['strips' => 3, 'width' => '2 1/2', 'measured' => '6 1/2', 'notes' => 'Hall machine'], self::seen(3))->assertOk();
        $this->call('PUT', '/api/blocks/3/fabrics/S/swatch', server: ['CONTENT_TYPE' => 'image/png', 'HTTP_IF_MATCH' => '"4"'], content: self::picture())->assertOk();
        $this->sew(3, 5);
        $this->deleteJson('/api/blocks/1')->assertNoContent();
        DB::table('habits')->insert(['name' => 'margin', 'value' => 'exact']);
    }

    public function test_everything_comes_back_on_an_empty_shelf_and_a_second_time_changes_nothing(): void
    {
        $file = $this->get('/api/everything')->assertOk();
        self::assertStringContainsString('keen-seam-everything-', (string) $file->headers->get('Content-Disposition'));
        $text = (string) $file->getContent();
        $before = $this->kept();
        $stations = array_map(fn (string $station): mixed => $this->getJson('/api/blocks/3'.$station)->json(), ['/plan', '/wall', '/joins', '/work', '/logbook']);
        foreach (array_reverse(self::TABLES) as $table) {
            DB::table($table)->delete();
        }
        DB::statement('DELETE FROM sqlite_sequence');

        $this->call('POST', '/api/everything', content: $text)->assertOk()->assertExactJson(['brought' => array_column($before['shelf_blocks'], 'name'), 'already' => [], 'refused' => []]);
        self::assertEquals($before, $this->kept());
        self::assertSame($stations, array_map(fn (string $station): mixed => $this->getJson('/api/blocks/3'.$station)->json(), ['/plan', '/wall', '/joins', '/work', '/logbook']));

        $this->call('POST', '/api/everything', content: $text)->assertOk()->assertJson(['brought' => [], 'already' => array_column($before['shelf_blocks'], 'name')]);
        self::assertEquals($before, $this->kept());
    }

    public function test_what_was_changed_since_stays_and_the_kept_state_comes_beside_it(): void
    {
        $text = Everything::toText();
        $this->postJson('/api/blocks/3/edits', ['edit' => ['do' => 'name', 'name' => 'Later'], 'follow' => 'none'], self::seen(5))->assertOk();
        $later = ShelfBlock::query()->findOrFail(3)->getAttributes();
        $this->call('POST', '/api/everything', content: $text)->assertOk()->assertJson(['brought' => ['Tide Gate']]);
        self::assertSame($later, ShelfBlock::query()->findOrFail(3)->getAttributes());
        $back = ShelfBlock::query()->where('name', 'Tide Gate')->firstOrFail();
        self::assertSame(5, $back->stepsDoneNow());
        $this->postJson("/api/blocks/{$back->id}/undo", [], self::seen($back->version))->assertOk();
    }

    public function test_a_file_that_is_not_as_it_was_kept_changes_nothing(): void
    {
        $text = Everything::toText();
        $before = $this->kept();
        DB::table('shelf_blocks')->where('id', 2)->update(['document' => '{}', 'name' => 'Breakwater']);
        $withUnopened = Everything::toText();
        DB::table('shelf_blocks')->where('id', 2)->update(array_intersect_key((array) $before['shelf_blocks'][1], ['document' => 1, 'name' => 1]));

        foreach (['' => 'no file', '[]' => 'no file', '{"format":"keen-seam/everything","version":1}' => 'no file', '{"format":"keen-seam/log","version":1,"tables":{}}' => 'no file', substr($text, 0, 4000) => 'no file', str_replace('Tide Gate', 'Tide Gale', $text) => 'not as it was kept', str_replace('"version":1,"kept_at"', '"version":2,"kept_at"', $text) => 'another version'] as $wrong => $words) {
            self::assertStringContainsString($words, (string) $this->call('POST', '/api/everything', content: (string) $wrong)->assertUnprocessable()->json('message'));
        }
        $this->call('POST', '/api/everything', content: $withUnopened)->assertOk()->assertJson(['brought' => [], 'refused' => ['Breakwater']]);
        self::assertEquals($before, $this->kept());
    }

    /** @return array<string, list<array<string, mixed>>> */
    private function kept(): array
    {
        return array_combine(self::TABLES, array_map(static fn (string $table): array => DB::table($table)->get()->map(static fn (object $row): array => $table === 'shelf_blocks' ? (array) $row : array_diff_key((array) $row, ['id' => true]))->all(), self::TABLES));
    }

    private static function picture(): string
    {
        $image = imagecreatetruecolor(8, 8);
        ob_start();
        imagepng($image);

        return (string) ob_get_clean();
    }
}
