<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Documents\CsvTable;
use App\House\House;
use App\Models\ShelfBlock;
use App\Models\ShelfTop;
use App\Paper\MakePaper;
use App\Workings\KeptParts;
use Illuminate\Support\Facades\Queue;
use Illuminate\Testing\TestResponse;
use KeenSeam\Core\Making\Margin;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\Blocks;
use Tests\Support\Tops;

/** What can be taken along: sheets, pictures, lists; and what comes in from elsewhere. */
final class TakeAlongTest extends TestCase
{
    public function test_the_sheets_lie_where_they_are_said_to_lie_and_are_made_once(): void
    {
        $address = $this->getJson('/api/blocks/3/paper?sheets=press')->assertOk()->json('address');
        self::assertMatchesRegularExpression('~^/api/papers/paper-pdf:[0-9a-f]{32}/tide-gate-press\.pdf$~', $address);
        $pdf = $this->get($address)->assertOk();
        self::assertSame('application/pdf', $pdf->headers->get('Content-Type'));
        self::assertStringStartsWith('%PDF-', (string) $pdf->getContent());
        self::assertSame($address, $this->getJson('/api/blocks/3/paper?sheets=press')->json('address'));
        self::assertNotSame($address, $this->getJson('/api/blocks/3/paper?sheets=order')->json('address'));
        ShelfBlock::query()->findOrFail(3)->fill(['name' => 'Ebb Gate'])->save();
        self::assertStringEndsWith('/ebb-gate-press.pdf', $this->getJson('/api/blocks/3/paper?sheets=press')->json('address'));
        $this->get('/api/papers/paper-pdf:'.str_repeat('0', 32).'/gone.pdf')->assertNotFound();
        $this->getJson('/api/blocks/99/paper')->assertNotFound();
    }

    public function test_what_the_browser_prints_are_the_same_pages_as_pictures(): void
    {
        $answer = $this->getJson('/api/blocks/3/paper?sheets=press,order&as=html')->assertOk();
        self::assertSame('letter', $answer->json('paper'));
        $html = (string) $this->get($answer->json('address'))->assertOk()->getContent();
        self::assertSame(2, substr_count($html, '<svg '));
        self::assertStringContainsString('width="215.9mm"', $html);
        self::assertStringContainsString('How it is pressed', $html);
        House::keep(['paper' => 'a4']);
        self::assertSame('a4', $this->getJson('/api/blocks/3/paper?sheets=press&as=html')->json('paper'));
    }

    public function test_a_sheet_follows_the_margins_of_the_screen(): void
    {
        $sizes = [];
        foreach (Margin::cases() as $margin) {
            House::keep(['margin' => $margin->value]);
            $html = (string) $this->get($this->getJson('/api/blocks/3/paper?sheets=cut&as=html')->json('address'))->getContent();
            self::assertSame($margin === Margin::Larger, str_contains($html, 'larger, to square up'));
            $sizes[] = md5($html);
        }
        self::assertCount(2, array_unique($sizes));
    }

    public function test_many_sheets_of_a_large_block_are_left_to_the_worker_which_tells_how_far_it_is(): void
    {
        $block = $this->call('POST', '/api/blocks', content: json_encode(Blocks::generated(2, 7, 7), JSON_THROW_ON_ERROR))->assertCreated()->json('id');
        $this->getJson("/api/blocks/$block/plan");
        config(['queue.default' => 'database']);
        $queue = Queue::fake();
        $told = $this->getJson("/api/blocks/$block/paper")->assertStatus(202)->json('planning');
        self::assertSame(['paper', 'working', 0, 6], [$told['what'], $told['state'], $told['done'], $told['most']]);
        $this->getJson("/api/blocks/$block/paper")->assertStatus(202);
        $jobs = $queue->pushed(MakePaper::class);
        self::assertCount(1, $jobs, 'asked again, nothing is begun twice');
        app()->call([$jobs[0], 'handle']);
        app(KeptParts::class)->forgetAtHand(); // the worker is another process
        $address = $this->getJson("/api/blocks/$block/paper")->assertOk()->json('address');
        self::assertStringStartsWith('%PDF-', (string) $this->get($address)->getContent());
    }

    public function test_pictures_of_blocks_and_tops_have_their_sides(): void
    {
        foreach (['blocks/3', 'tops/'.$this->top()] as $thing) {
            foreach (['face' => 'class="patch"', 'back' => 'class="stitches"', 'outlines' => 'fill="#ffffff"'] as $side => $shows) {
                $picture = $this->get("/api/$thing/$side.svg")->assertOk();
                self::assertSame('image/svg+xml', $picture->headers->get('Content-Type'));
                self::assertStringContainsString($shows, (string) $picture->getContent());
            }
            $this->get("/api/$thing/inside.svg")->assertNotFound();
        }
    }

    public function test_lists_open_as_tables_with_every_stack_and_join(): void
    {
        ShelfBlock::query()->findOrFail(3)->fill(['name' => '=Tide'])->save();
        foreach (['blocks/3', 'tops/'.$this->top()] as $thing) {
            $cut = json_decode((string) $this->get("/api/$thing/lists/cut.json")->assertOk()->getContent(), true, 512, JSON_THROW_ON_ERROR);
            $joins = json_decode((string) $this->get("/api/$thing/lists/joins.json")->assertOk()->getContent(), true, 512, JSON_THROW_ON_ERROR);
            $tables = array_map(fn (string $list): array => $this->table("/api/$thing/lists/$list.csv"), ['cut' => 'cut', 'fabric' => 'fabric', 'joins' => 'joins']);
            self::assertSame(array_column($cut['cuts'], 'stack'), array_column($tables['cut'], 'stack'));
            self::assertSame(array_map(strval(...), array_column($cut['cuts'], 'count')), array_column($tables['cut'], 'count'));
            self::assertCount(count($cut['fabric']), $tables['fabric']);
            self::assertSame(array_map(strval(...), array_column($joins['joins'], 'id')), array_column($tables['joins'], 'join'));
            foreach ($tables['cut'] as $row) {
                self::assertMatchesRegularExpression('~^[\d /x]+ in$~', $row['size'], 'no spreadsheet takes it for a day');
                self::assertIsNumeric($row['width']);
            }
        }
        $this->get('/api/blocks/3/lists/secrets.csv')->assertNotFound();
    }

    public function test_a_file_is_looked_at_without_being_kept(): void
    {
        $before = ShelfBlock::query()->count() + ShelfTop::query()->count();
        $svg = '<svg xmlns="http://www.w3.org/2000/svg"><title>Ebb</title><rect width="60" height="60" fill="#eee"/><path fill="#204060" d="M0 0H60L0 60Z"/><circle r="4"/></svg>';
        $looked = $this->drawing($svg)->assertOk()->json();
        self::assertSame(['block', 'Ebb', 'in', ['12'], 1], [$looked['kind'], $looked['name'], $looked['units'], $looked['finished'], count($looked['says'])]);
        self::assertSame(['mm', ['90']], array_values(array_intersect_key($this->drawing($svg, '?units=mm&width=90&name=Flood')->json(), ['units' => 1, 'finished' => 1])));
        $this->drawing('spoilt')->assertStatus(422)->assertJson(['message' => 'This is no drawing in SVG. Save it as SVG in your drawing program, and choose that file.']);
        $this->drawing($svg, '?width=wide')->assertStatus(422);
        $this->postJson('/api/previews', Blocks::inwardGeese())->assertOk()->assertJson(['kind' => 'block', 'finished' => ['8']]);
        $this->postJson('/api/previews', Tops::file([], Tops::PINWHEEL))->assertOk()->assertJson(['kind' => 'top']);
        self::assertSame($before, ShelfBlock::query()->count() + ShelfTop::query()->count());
        $this->call('POST', '/api/blocks', content: $looked['file'])->assertCreated()->assertJson(['name' => 'Ebb']);
    }

    private function top(): int
    {
        return $this->postJson('/api/tops', Tops::file(['borders' => [['width' => '2', 'fabric' => 'A']]], Tops::PINWHEEL))->assertCreated()->json('id');
    }

    /** @return TestResponse<Response> */
    private function drawing(string $svg, string $query = ''): TestResponse
    {
        return $this->call('POST', '/api/previews'.$query, server: ['CONTENT_TYPE' => 'image/svg+xml', 'HTTP_ACCEPT' => 'application/json'], content: $svg);
    }

    /** @return list<array<string, string>> */
    private function table(string $address): array
    {
        $text = (string) $this->get($address)->assertOk()->getContent();
        self::assertStringStartsWith(CsvTable::MARK, $text);
        $lines = array_map(static fn (string $line): array => str_getcsv($line, escape: ''), explode("\r\n", rtrim(substr($text, strlen(CsvTable::MARK)))));
        $columns = array_shift($lines);

        return array_map(static fn (array $line): array => array_combine($columns, $line), $lines);
    }
}
