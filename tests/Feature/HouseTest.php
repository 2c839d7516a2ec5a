<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\ShelfBlock;
use Illuminate\Testing\TestResponse;

final class HouseTest extends TestCase
{
    public function test_what_the_house_does_is_kept_all_or_nothing(): void
    {
        $usual = ['units' => 'in', 'margin' => 'larger', 'paper' => 'letter', 'marks_in' => 8, 'allowance_in' => '1/4', 'marks_mm' => 1, 'allowance_mm' => '6'];
        $this->getJson('/api/house')->assertOk()->assertExactJson($usual);
        $this->putJson('/api/house', ['units' => 'mm'])->assertOk()->assertExactJson(['units' => 'mm', 'paper' => 'a4'] + $usual);
        $kept = $this->putJson('/api/house', ['paper' => 'letter', 'marks_mm' => 2, 'marks_in' => 16, 'allowance_mm' => ' 7.5 ', 'allowance_in' => '3/8', 'margin' => 'exact'])->assertOk()->json();
        self::assertEquals(['units' => 'mm', 'margin' => 'exact', 'paper' => 'letter', 'marks_in' => 16, 'allowance_in' => '3/8', 'marks_mm' => 2, 'allowance_mm' => '7 1/2'], $kept);
        foreach ([['units' => 'cm'], ['margin' => 3], ['paper' => 'a3'], ['marks_in' => 32], ['marks_mm' => '1'], ['colour' => 'red']] as $wrong) {
            $this->putJson('/api/house', $wrong + ['units' => 'in'])->assertUnprocessable()->assertJson(['code' => 'choice-not-known']);
        }
        foreach (['allowance_in' => ['1/16', '1 1/8', 'wide'], 'allowance_mm' => ['3', '26', '']] as $field => $texts) {
            foreach ($texts as $text) {
                $says = $field === 'allowance_in' ? ['1/4', '1/8 and 1 in'] : ['like 6.', '3.2 and 25.4 mm'];
                self::assertMatchesRegularExpression('~'.implode('|', array_map(preg_quote(...), $says)).'~', (string) $this->putJson('/api/house', [$field => $text])->json('message'));
                $this->putJson('/api/house', ['units' => 'in', $field => $text])->assertUnprocessable()->assertJson(['code' => 'allowance-not-usable', 'where' => $field]);
            }
        }
        self::assertEquals($kept, $this->getJson('/api/house')->json(), 'what was refused changed nothing');
    }

    public function test_a_new_block_has_the_houses_allowance_and_is_cut_by_the_houses_ruler(): void
    {
        $this->putJson('/api/house', ['allowance_mm' => '7', 'marks_mm' => 2])->assertOk();
        $id = $this->postJson('/api/starts', ['name' => 'Quay', 'start' => 'blank', 'columns' => '3', 'rows' => '3', 'width' => '100', 'height' => '100', 'units' => 'mm', 'figure' => 'dark'])->assertCreated()->json('id');
        self::assertSame('7', json_decode(ShelfBlock::query()->findOrFail($id)->document, true)['seam_allowance']);
        // A third of 100 and two allowances are 47 1/3, and the ruler has half millimetres.
        self::assertSame('47 1/2', $this->getJson("/api/blocks/$id/cutting")->json('cuts.0.size'));
        $this->putJson('/api/house', ['marks_mm' => 1])->assertOk();
        self::assertSame('48', $this->getJson("/api/blocks/$id/cutting")->json('cuts.0.size'));
    }

    public function test_a_block_is_measured_in_the_other_unit_and_taken_back(): void
    {
        $before = ShelfBlock::query()->findOrFail(3)->document;
        $wall = $this->switched(3, 1, 'mm', 'sensibly')->assertOk()->json();
        self::assertSame(['mm', ['300'], '6', 'Measure it in millimetres'], [$wall['face']['units'], $wall['face']['finished'], $wall['allowance'], $wall['history']['undo']]);
        $this->postJson('/api/blocks/3/undo', [], self::seen(2))->assertOk();
        self::assertSame($before, ShelfBlock::query()->findOrFail(3)->document);
        $wall = $this->switched(3, 3, 'mm', 'exactly')->json();
        self::assertSame([['304 4/5'], '6 7/20'], [$wall['face']['finished'], $wall['allowance']]);
        $this->switched(3, 4, 'in', 'exactly')->assertOk();
        self::assertEquals(json_decode($before, true)['finished'], json_decode(ShelfBlock::query()->findOrFail(3)->document, true)['finished']);
        $this->switched(3, 4, 'mm', 'exactly')->assertConflict();
        $this->switched(3, 5, 'cm', 'exactly')->assertUnprocessable();
    }

    public function test_what_is_measured_and_sewn_keeps_its_size_and_is_there_again_after_undo(): void
    {
        $this->putJson('/api/blocks/3/joins', ['takeUp' => '17/32', 'squareUp' => 'units', 'leave' => '1/32', 'ease' => '1/8'], self::seen(1))->assertOk();
        $join = $this->getJson('/api/blocks/3/joins')->json('joins.0');
        $this->putJson('/api/blocks/3/cutting', ['width' => '42'], self::seen(2))->assertOk();
        $this->putJson('/api/blocks/3/joins/0/measured', ['width' => '2 1/2', 'height' => '2 1/2'], self::seen(3))->assertOk();
        $kept = static fn (): array => array_map(static fn (string $column): mixed => ShelfBlock::query()->findOrFail(3)->getRawOriginal($column), ['document', 'take_up', 'leave', 'ease', 'measured_parts', 'cutting', 'cut_done']);
        $before = $kept();
        self::assertNotNull($join);
        $wall = $this->switched(3, 4, 'mm', 'sensibly')->assertOk()->json();
        self::assertSame(['304 4/5'], $wall['face']['finished'], 'a part is measured, so the block keeps its size');
        $block = ShelfBlock::query()->findOrFail(3);
        self::assertSame(['13 79/160', '1066 4/5'], [$block->take_up, $block->cutting['width']]);
        self::assertStringContainsString('63 1\/2', (string) json_encode($block->measured_parts));
        $this->getJson('/api/blocks/3/joins')->assertOk();
        $this->getJson('/api/blocks/3/work')->assertOk();
        $this->postJson('/api/blocks/3/undo', [], self::seen(5))->assertOk();
        self::assertSame($before, $kept());
    }

    public function test_the_whole_house_is_switched_with_its_tops(): void
    {
        $top = $this->postJson('/api/tops/begin', ['name' => 'Hut', 'blocks' => [3]])->json('id');
        $fabric = $this->getJson("/api/tops/$top")->json('picture.fabrics.0.key');
        $this->putJson("/api/tops/$top", ['change' => ['borders' => [['width' => '2', 'fabric' => $fabric, 'corners' => 'butted']]]], self::seen(1))->assertOk();
        $told = $this->postJson('/api/house/units', ['units' => 'mm', 'how' => 'sensibly'])->assertOk()->json();
        self::assertSame(['Lamp Room', 'Slack Water', 'Tide Gate'], $told['switched']);
        self::assertContains('Hut', $told['sameSize']);
        self::assertSame([], $told['left']);
        $shown = $this->getJson("/api/tops/$top")->json();
        self::assertSame('50 4/5', $shown['fields']['borders'][0]['width']);
        self::assertSame(['switched' => [], 'sameSize' => [], 'left' => []], $this->postJson('/api/house/units', ['units' => 'mm', 'how' => 'exactly'])->json());
        $this->postJson("/api/tops/$top/undo", [], self::seen($shown['version']))->assertOk();
        self::assertSame('2', $this->getJson("/api/tops/$top")->json('fields.borders.0.width'));
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function switched(int $block, int $seen, string $units, string $how): TestResponse
    {
        return $this->putJson("/api/blocks/$block/units", ['units' => $units, 'how' => $how], self::seen($seen));
    }
}
