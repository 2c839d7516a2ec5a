<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\SeamTestRecord;
use Tests\Support\Blocks;

final class JoinsStationTest extends TestCase
{
    public function test_joins_are_told_with_what_to_do_at_every_mark(): void
    {
        $joins = $this->getJson('/api/blocks/3/joins')->assertOk()->json();
        $rows = array_values(array_filter($joins['joins'], static fn (array $join): bool => $join['title'] === 'Rows 1 and 2'))[0];

        self::assertSame([['2 1/4', 'leave'], ['6 1/4', 'leave'], ['10 1/4', 'leave']], array_map(static fn (array $mark): array => [$mark['from_edge'][0], $mark['verdict']], $rows['marks']));
        self::assertStringContainsString('nest the ridges', $rows['marks'][0]['do']);
        self::assertLessThan(array_search(1, $joins['care'], true), array_search($rows['id'], $joins['care'], true));
    }

    public function test_a_seam_test_is_kept_and_used(): void
    {
        $answer = $this->postJson('/api/blocks/3/seam-tests', ['strips' => 3, 'width' => '1 1/2', 'measured' => '3 7/16', 'notes' => 'hall machine, grey thread'], self::seen(1))->assertOk()->json();
        self::assertSame(['17/32', true], [$answer['takeUp'], $answer['isMeasured']]);
        self::assertSame('Each seam takes 1/32 in too much. Move the guide 1/64 in toward the needle, or sew a thread or two scant.', $answer['advice']);
        // Four columns: three seams, each taking 1/32 in too much.
        self::assertSame(['12 1/2', '12 13/32'], [$answer['raw']['unfinished'][0], $answer['raw']['expected'][0]]);
        self::assertSame(['17/32', 'hall machine, grey thread'], [$answer['tests'][0]['takeUp'], $answer['tests'][0]['notes']]);

        $this->putJson('/api/blocks/3/joins', ['squareUp' => 'none'], self::seen(2))->assertOk()->assertJson(['takeUp' => '1/2', 'squareUp' => 'none', 'isMeasured' => false]);
    }

    public function test_what_the_seams_do_to_rows_of_more_and_fewer_pieces_is_told(): void
    {
        $file = Blocks::file('pA pB pA', 'pC');
        $file['cells'][3]['column_span'] = 3;
        $id = $this->call('POST', '/api/blocks', content: json_encode($file, JSON_THROW_ON_ERROR))->assertCreated()->json('id');
        self::assertIsInt($id);

        // Each seam takes 1/16 in too much: two of them in the first row, none in the second.
        $answer = $this->postJson("/api/blocks/{$id}/seam-tests", ['strips' => 3, 'width' => '1 1/2', 'measured' => '3 3/8', 'notes' => ''], self::seen(1))->assertOk()->json();
        self::assertStringContainsString('Row 1, of 3 pieces along the seam, comes out 1/8 in shorter than row 2, of 1 piece.', $answer['effect']);
    }

    public function test_a_measured_row_changes_the_advice(): void
    {
        $before = $this->getJson('/api/blocks/3/joins')->json();
        $row = array_values(array_filter($before['joins'], static fn (array $join): bool => $join['title'] === 'Row 2, seam 3'))[0];
        self::assertSame(['12 1/2', '4 1/2'], $row['meant']);
        $measure = function (array $size, int $version) use ($row, &$before): array {
            return $before = self::changedInto($this->putJson("/api/blocks/3/joins/{$row['id']}/measured", $size, self::seen($version))->assertOk()->json(), $before);
        };
        self::assertSame('Trim row 2; then everything can be eased.', $measure(['width' => '12 3/4', 'height' => '4 1/2'], 1)['remedy']);
        $short = $measure(['width' => '12 1/4', 'height' => '4 1/2'], 2);
        self::assertSame('Unpick row 2 and sew it narrower, or make it again; then everything can be eased.', $short['remedy']);
        self::assertEquals($this->getJson('/api/blocks/3/joins')->json(), $short, 'what changed is all that changed');
        $this->putJson("/api/blocks/3/joins/{$row['id']}/measured", ['width' => '1 1/2', 'height' => '4 1/2'], self::seen(3))->assertUnprocessable()->assertJson(['code' => 'measured-not-likely']);
        self::assertSame('', $measure([], 3)['remedy']);
        $this->putJson('/api/blocks/3/joins/999/measured', [], self::seen(4))->assertNotFound()->assertJson(['code' => 'join-not-known']);
    }

    public function test_the_chance_is_told_with_its_error_and_what_would_help(): void
    {
        $spread = $this->getJson('/api/blocks/3/joins/spread?sewing=1/64&cutting=1/64&folding=1/128&tolerance=1/8')->assertOk()->json();

        self::assertSame(4000, $spread['runs']);
        self::assertGreaterThan(0.5, $spread['block']);
        self::assertLessThan(0.01, $spread['error']);
        self::assertGreaterThanOrEqual($spread['block'], $spread['better'][0]['chance']);
        $this->getJson('/api/blocks/3/joins/spread?sewing=much&cutting=1/64&folding=1/128&tolerance=1/8')->assertUnprocessable();
    }

    public function test_unlikely_figures_are_questioned_and_kept_nowhere(): void
    {
        foreach ([['measured' => '12'], ['measured' => 'wide'], ['strips' => 1], ['strips' => 50]] as $slip) {
            $this->postJson('/api/blocks/3/seam-tests', $slip + ['strips' => 3, 'width' => '1 1/2', 'measured' => '3 1/2'], self::seen(1))->assertUnprocessable();
        }
        $this->putJson('/api/blocks/3/joins', ['takeUp' => '12', 'squareUp' => 'units'], self::seen(1))->assertUnprocessable();
        $this->putJson('/api/blocks/3/joins', ['squareUp' => 'units', 'leave' => '1/4', 'ease' => '1/8'], self::seen(1))->assertUnprocessable()->assertJson(['code' => 'tolerance-not-usable']);
        $this->putJson('/api/blocks/3/joins', ['squareUp' => 'all'], self::seen(1))->assertUnprocessable();
        self::assertSame(0, SeamTestRecord::query()->count());
    }
}
