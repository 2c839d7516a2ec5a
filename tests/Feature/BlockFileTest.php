<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\ShelfBlock;
use KeenSeam\Core\Block\FlippedCornersUnit;
use KeenSeam\Core\Block\GridUnit;
use KeenSeam\Core\Block\PatchesUnit;
use KeenSeam\Core\Block\UnitPatterns;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\Blocks;

final class BlockFileTest extends TestCase
{
    /** @return array<string, array{string, string, string}> text, place, words */
    public static function bad(): array
    {
        $changed = static function (\Closure $change): string {
            $file = Blocks::file('hAB hAB90', 'pA pB');

            return json_encode($change($file), JSON_THROW_ON_ERROR);
        };
        $with = static fn (string $path, mixed $value): string => $changed(static function (array $file) use ($path, $value): array {
            $at = &$file;
            foreach (explode('/', $path) as $step) {
                $at = &$at[$step];
            }
            $at = $value;

            return $file;
        });

        return [
            'nothing' => ['', '', 'not JSON'],
            'half a file' => ['{"format":"keen-seam/block",', '', 'not JSON'],
            'a list' => ['[1, 2]', '', 'holds no block'],
            'another format' => [$with('format', 'recipe'), '/format', 'It must be "keen-seam/block".'],
            'missing field' => [$changed(static fn (array $file): array => array_diff_key($file, ['fabrics' => 1])), '', '"fabrics" is missing at the top of the file. Add it.'],
            'unknown field' => [$with('cells/1/tern', 90), '/cells/1/tern', 'The field "tern" at /cells/1 is unknown. Remove it, or correct its name.'],
            'unknown unit' => [$with('cells/0/unit', 'kite'), '/cells/0/unit', '"unit" at /cells/0/unit is "kite". Use one of: plain, half-square-triangle'],
            'a turn of 45' => [$with('cells/0/turn', 45), '/cells/0/turn', 'is 45. Use one of: 0, 90, 180, 270.'],
            'a number for a length' => [$with('finished/width', 12), '/finished/width', 'must be string, not integer'],
            'row zero' => [$with('cells/0/row', 0), '/cells/0/row', 'is 0. Count from 1.'],
            'no colour' => [$with('fabrics/0/color', 'blue'), '/fabrics/0/color', 'Write it like "#3b5b7a".'],
            'no cells' => [$with('cells', []), '/cells', 'is empty. Fill it in.'],
            'fabrics for a grid' => [$with('cells/0/unit', 'grid'), '/cells/0', '"columns" is missing'],
            'a length nobody can read' => [$with('finished/width', 'wide'), '/finished/width', '"wide" is not a length.'],
            'a hole' => [$changed(static fn (array $file): array => array_replace($file, ['cells' => array_slice($file['cells'], 1)])), '/cells', 'Row 1, column 1 is empty.'],
            'too deep' => [str_repeat('{"a":', 100).'1'.str_repeat('}', 100), '', 'nested too deep'],
            'not UTF-8' => ["{\"name\":\"\xff\"}", '', 'not JSON'],
        ];
    }

    #[DataProvider('bad')]
    public function test_a_bad_file_is_answered_with_its_place_and_changes_nothing(string $text, string $where, string $words): void
    {
        $before = ShelfBlock::query()->get()->toArray();
        foreach ([['POST', '/api/blocks'], ['PUT', '/api/blocks/1']] as [$method, $address]) {
            $response = $this->call($method, $address, server: ['HTTP_IF_MATCH' => '"1"', 'HTTP_ACCEPT' => 'application/json'], content: $text);

            $response->assertStatus(422);
            self::assertSame($where, $response->json('where'), (string) $response->json('message'));
            self::assertStringContainsString($words, (string) $response->json('message'));
        }
        self::assertSame($before, ShelfBlock::query()->get()->toArray());
    }

    public function test_a_huge_file_is_refused_unread(): void
    {
        $response = $this->call('POST', '/api/blocks', content: str_repeat(' ', 3 * 1024 * 1024));

        $response->assertStatus(422);
        self::assertStringContainsString('at most 2048 KB', (string) $response->json('message'));
    }

    public function test_too_many_cells_are_refused_within_a_second(): void
    {
        $file = Blocks::file(implode(' ', array_fill(0, 5000, 'pA')));
        $start = microtime(true);
        $response = $this->call('POST', '/api/blocks', content: json_encode($file, JSON_THROW_ON_ERROR));

        $response->assertStatus(422);
        self::assertLessThan(1.5, microtime(true) - $start);
    }

    public function test_export_and_import_give_the_same_plan(): void
    {
        foreach ([1, 2, 3] as $id) {
            $file = $this->get("/api/blocks/$id/file")->assertOk()->getContent();
            $copy = $this->call('POST', '/api/blocks', content: (string) $file)->assertCreated()->json('id');

            $plan = fn (int $block): array => array_diff_key($this->getJson("/api/blocks/$block/plan")->assertOk()->json(), ['block' => true]);
            self::assertSame($plan($id), $plan($copy));
        }
    }

    public function test_the_file_downloads_under_the_blocks_name(): void
    {
        $this->get('/api/blocks/2/file')->assertHeader('Content-Disposition', 'attachment; filename="slack-water.keenseam.json"');
    }

    public function test_the_schema_knows_every_kind_of_unit(): void
    {
        $schema = json_decode((string) file_get_contents(base_path('schema/block.schema.json')), true, 512, JSON_THROW_ON_ERROR);

        self::assertEqualsCanonicalizing(
            [...array_keys(UnitPatterns::all()), FlippedCornersUnit::KIND, GridUnit::KIND, PatchesUnit::KIND],
            $schema['$defs']['cell']['properties']['unit']['enum'],
        );
    }
}
