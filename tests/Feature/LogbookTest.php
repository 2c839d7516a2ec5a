<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Documents\CsvTable;
use App\Models\SeamTestRecord;
use App\Models\WorkEvent;
use Opis\JsonSchema\Validator;

final class LogbookTest extends TestCase
{
    private const START = 1_760_000_000_000;

    private const MINUTE = 60_000;

    private int $minute = 0;

    public function test_an_empty_book_says_so(): void
    {
        $this->getJson('/api/logbook')->assertOk()->assertExactJson([
            'block' => null, 'units' => 'in', 'time' => [], 'seamsSewn' => 0, 'secondsForASeam' => null,
            'made' => [], 'causes' => [], 'unpicks' => [], 'sizes' => [], 'takeUps' => [], 'lessons' => [], 'looking' => ['taken' => 0, 'yours' => 0, 'program' => 0],
        ]);
        $this->getJson('/api/blocks/99/logbook')->assertNotFound();
    }

    public function test_a_sewn_block_fills_the_book(): void
    {
        $this->sewWhole(3, ['Row 1' => '12 13/32', 'Row 2' => '12 13/32', 'Row 3' => '12 13/32', 'Row 4' => '12 13/32']);
        $book = $this->getJson('/api/blocks/3/logbook')->assertOk()->json();

        self::assertSame(['id' => 3, 'name' => 'Tide Gate'], $book['block']);
        self::assertEqualsCanonicalizing(['machine', 'iron', 'table', 'cutting mat'], array_column($book['time'], 'place'));
        self::assertSame(WorkEvent::query()->count() - 1, array_sum(array_column($book['time'], 'seconds')) / 60, 'a minute for every key but the first');
        self::assertSame([['name' => 'flying geese', 'count' => 8], ['name' => 'half-square triangles', 'count' => 4], ['name' => 'split quarter-square triangles', 'count' => 4]], $book['made']);
        $rows = array_values(array_filter($book['sizes'], static fn (array $size): bool => $size['title'] === 'Row 1'));
        self::assertSame([['12 13/32', '2 1/2'], ['12 1/2', '2 1/2'], '3/32', false], [$rows[0]['size'], $rows[0]['meant'], $rows[0]['off'], $rows[0]['isLarge']]);
        self::assertSame(['17/32', '17/32', '17/32', '17/32'], array_column(array_slice($book['takeUps'], 0, 4), 'text'));

        self::assertSame([], $this->getJson('/api/blocks/2/logbook')->json('time'), 'another block has its own book');
        self::assertSame($book['time'], $this->getJson('/api/logbook')->json('time'), 'the book of all has this one in it');
    }

    public function test_what_is_taken_back_is_not_in_the_book(): void
    {
        $cut = $this->steps(3)[0]['key'];
        $this->tell(3, ['do' => 'done', 'step' => $cut]);
        $this->tell(3, ['do' => 'back', 'step' => $cut]);
        self::assertSame([], $this->getJson('/api/logbook.json')->json('entries'));

        $this->tell(3, ['do' => 'done', 'step' => $cut]);
        self::assertCount(1, $this->getJson('/api/logbook.json')->json('entries'));
    }

    public function test_unpicks_are_told_with_their_causes_and_teach(): void
    {
        $this->sewWhole(3);
        $row = array_values(array_filter($this->steps(3), static fn (array $step): bool => $step['title'] === 'Row 1' && $step['do'] === 'join'))[0];
        foreach (['turned', 'turned', 'missed-point'] as $cause) {
            $this->tell(3, ['do' => 'unpicked', 'join' => $row['joins'][1], 'cause' => $cause]);
            $this->sewWhole(3);
        }
        $book = $this->getJson('/api/logbook')->json();

        self::assertSame([['words' => 'a unit was turned', 'count' => 2], ['words' => 'a point was missed', 'count' => 1]], $book['causes']);
        self::assertSame(['Tide Gate', 'Row 1, seam 2', 'a point was missed'], [$book['unpicks'][0]['block'], $book['unpicks'][0]['title'], $book['unpicks'][0]['why']]);
        self::assertSame('Two of three unpicks were turned flying geese: switch on the second look, and lay every sewn pair back in the layout.', $book['lessons'][0]);
    }

    public function test_the_file_fits_its_schema_and_the_table_its_columns(): void
    {
        $this->sewWhole(3, ['Row 1' => '12 7/16']);
        $this->tell(3, ['do' => 'unpicked', 'join' => 0, 'cause' => 'other', 'reason' => '=the bobbin ran out']);
        $this->tell(3, ['do' => 'paused']);
        $file = $this->get('/api/blocks/3/logbook.json')->assertOk()->assertDownload('tide-gate-logbook.json');
        $schema = json_decode((string) file_get_contents(base_path('schema/log.schema.json')), false, 512, JSON_THROW_ON_ERROR);
        self::assertIsObject($schema);
        $result = (new Validator())->validate(json_decode((string) $file->getContent(), false, 512, JSON_THROW_ON_ERROR), $schema);
        self::assertTrue($result->isValid(), (string) json_encode($result->error()?->args()));
        $entries = json_decode((string) $file->getContent(), true, 512, JSON_THROW_ON_ERROR)['entries'];
        self::assertSame('2025-10-09T08:53:20Z', gmdate('Y-m-d\TH:i:s\Z', self::START / 1000));
        self::assertSame('2025-10-09T08:54:20Z', $entries[0]['at']);
        self::assertContains(['12 7/16 in', '2 1/2 in'], array_column($entries, 'size'));
        self::assertSame(['=the bobbin ran out'], array_column($entries, 'reason'));
        self::assertSame('=the bobbin ran out', $this->getJson('/api/blocks/3/logbook')->json('unpicks.0.why'));

        $table = $this->get('/api/blocks/3/logbook.csv')->assertOk()->assertDownload('tide-gate-logbook.csv');
        self::assertStringStartsWith('text/csv', (string) $table->headers->get('Content-Type'));
        $lines = array_map(static fn (string $line): array => str_getcsv($line, escape: ''), explode("\r\n", trim(substr((string) $table->getContent(), strlen(CsvTable::MARK)))));
        self::assertStringStartsWith(CsvTable::MARK, (string) $table->getContent());
        self::assertCount(count($entries) + 1, $lines);
        self::assertSame([16], array_values(array_unique(array_map(count(...), $lines))), 'every line has every column');
        self::assertSame(['at', 'block', 'deed', 'step'], array_slice($lines[0], 0, 4));
        self::assertContains("'=the bobbin ran out", array_merge(...$lines), 'no formula for a spreadsheet');
        $this->get('/api/logbook.xml')->assertNotFound();
    }

    public function test_a_name_that_looks_like_a_formula_is_a_text_in_the_table(): void
    {
        $block = json_decode(self::demo('tide-gate'), true, 512, JSON_THROW_ON_ERROR);
        $number = $this->call('POST', '/api/blocks', content: json_encode(['name' => '=1+1'] + $block, JSON_THROW_ON_ERROR))->assertCreated()->json('id');
        $this->tell($number, ['do' => 'done', 'step' => $this->steps($number)[0]['key']]);

        self::assertStringContainsString(",'=1+1,", (string) $this->get("/api/blocks/$number/logbook.csv")->getContent());
    }

    public function test_seam_tests_stand_beside_what_parts_told(): void
    {
        SeamTestRecord::query()->create(['units' => 'in', 'strips' => 3, 'width' => '1 1/2', 'measured' => '3 7/16', 'take_up' => '17/32', 'notes' => '']);
        $takeUps = $this->getJson('/api/logbook')->json('takeUps');

        self::assertSame([['17/32', true]], array_map(static fn (array $one): array => [$one['text'], $one['isTest']], $takeUps));
    }

    public function test_what_was_done_to_a_block_off_the_shelf_stays_in_the_book(): void
    {
        $this->tell(3, ['do' => 'done', 'step' => $this->steps(3)[0]['key']]);
        $this->deleteJson('/api/blocks/3')->assertNoContent();

        self::assertSame(['Tide Gate'], array_column($this->getJson('/api/logbook.json')->json('entries'), 'block'));
    }

    /** @return list<array<string, mixed>> */
    private function steps(int $block): array
    {
        return $this->getJson("/api/blocks/$block/work")->json('steps');
    }

    /** @param array<string, mixed> $event */
    private function tell(int $block, array $event): void
    {
        $this->postJson("/api/blocks/$block/work/events", ['events' => [$this->stamped($event)]])->assertOk()->assertJson(['said' => []]);
    }

    /**
     * @param array<string, mixed> $event
     *
     * @return array<string, mixed>
     */
    private function stamped(array $event): array
    {
        return $event + ['id' => bin2hex(random_bytes(8)), 'at' => self::START + ++$this->minute * self::MINUTE];
    }

    /** @param array<string, string> $widths measured, by what the step is called */
    private function sewWhole(int $block, array $widths = []): void
    {
        $events = [];
        foreach ($this->steps($block) as $step) {
            if ($step['isDone']) {
                continue;
            }
            $isMeasured = $step['do'] === 'measure';
            $events[] = $this->stamped(['do' => $isMeasured ? 'measured' : 'done', 'step' => $step['key']] + ($isMeasured ? ['width' => $widths[$step['title']] ?? $step['size'][0], 'height' => $step['size'][1]] : []));
        }
        $this->postJson("/api/blocks/$block/work/events", ['events' => $events])->assertOk();
    }
}
