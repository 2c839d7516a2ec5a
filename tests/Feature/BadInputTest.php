<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\ShelfBlock;
use App\Models\WorkEvent;
use Illuminate\Support\Facades\Route;
use Illuminate\Testing\TestResponse;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Whatever is sent to whichever address: one clear sentence comes back and nothing is lost. */
final class BadInputTest extends TestCase
{
    /** Field names that some request knows, so that junk gets further than the first check. */
    private const FIELDS = ['edit', 'do', 'events', 'id', 'step', 'at', 'join', 'cause', 'blocks', 'order', 'style', 'direction', 'rest', 'twoPiles', 'equalParts', 'takeUp', 'squareUp', 'leave', 'ease', 'width', 'height', 'strips', 'measured', 'notes', 'chain', 'places', 'turn', 'mirrored', 'row', 'column', 'preference', 'ways', 'isOversize', 'marks', 'cells', 'name', 'units', 'key', 'text', 'picture', 'value', 'color', 'symmetry', 'size', 'kind', 'fabrics', 'unit', 'list', 'done', 'rules', 'locks', 'directions', 'own', 'sew', 'parts', 'a', 'b', 'lump', 'on'];

    public function test_junk_is_answered_by_a_sentence_and_changes_nothing(): void
    {
        $random = new Randomizer(new Mt19937(26));
        $before = $this->kept();
        $asked = $refused = 0;
        foreach ($this->addresses() as [$method, $address]) {
            for ($i = 0; $i < 4; ++$i) {
                $response = $this->call($method, $address, server: $this->transformHeadersToServerVars(['If-Match' => '"1"', 'Content-Type' => 'application/json', 'Accept' => 'application/json']), content: self::junk($random));
                $what = "$method $address";
                self::assertLessThan(500, $response->getStatusCode(), $what.': '.$response->getContent());
                if ($response->getStatusCode() >= 400) {
                    self::assertSentence($response, $what);
                    ++$refused;
                }
                ++$asked;
            }
        }

        self::assertGreaterThan(150, $asked);
        self::assertGreaterThan($asked / 2, $refused);
        self::assertSame($before, array_intersect_key($this->kept(), $before), 'no file on the shelf was changed by junk');
        self::assertSame(0, WorkEvent::query()->count());
    }

    public function test_a_block_that_is_not_there_and_one_in_the_way_are_told(): void
    {
        foreach ($this->addresses('99') as [$method, $address]) {
            if (str_contains($address, '/99')) {
                $response = $this->json($method, $address, [], ['If-Match' => '"1"']);
                self::assertSame(404, $response->getStatusCode(), "$method $address");
                self::assertSentence($response, "$method $address");
            }
        }
        $this->putJson('/api/blocks/3/order', ['order' => 'columns'])->assertUnprocessable()->assertJsonPath('code', 'version-not-given');
        $this->putJson('/api/blocks/3/order', ['order' => 'columns'], self::seen(1))->assertOk();
        $late = $this->putJson('/api/blocks/3/order', ['order' => 'quarters'], self::seen(1));
        self::assertSame(409, $late->getStatusCode(), 'another window was first');
        self::assertSentence($late, 'late');
        self::assertSame('columns', ShelfBlock::query()->findOrFail(3)->order->key());
    }

    /** @param TestResponse<\Symfony\Component\HttpFoundation\Response> $response */
    private static function assertSentence(TestResponse $response, string $what): void
    {
        $answer = json_decode((string) $response->getContent(), true);
        self::assertIsArray($answer, $what);
        self::assertIsString($answer['message'] ?? null, $what);
        self::assertMatchesRegularExpression('/^\S.*[.?!)]$/us', $answer['message'], $what);
        self::assertStringNotContainsString('Exception', $answer['message'], $what);
        self::assertStringNotContainsString('SQLSTATE', $answer['message'], $what);
        self::assertStringNotContainsString('/work/', $answer['message'], $what);
    }

    /** @return list<array{string, string}> every address that changes something, and the ones that read */
    private function addresses(string $block = '3'): array
    {
        $addresses = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            if (! str_starts_with($route->uri(), 'api/')) {
                continue;
            }
            $values = ['{block}' => $block, '{join}' => '2', '{fabric}' => 'A', '{key}' => 'join-0', '{hash}' => str_repeat('0', 32), '{kind}' => 'csv'];
            foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                // Taking a block off the shelf takes no input.
                if ($method !== 'DELETE') {
                    $addresses[] = [$method, '/'.strtr($route->uri(), $values)];
                }
            }
        }
        self::assertGreaterThan(40, count($addresses));

        return $addresses;
    }

    /** Something that is no answer to any question: wrong kinds, deep lists, huge numbers, broken text. */
    private static function junk(Randomizer $random): string
    {
        $values = [null, true, -1, 0, 3.5, PHP_INT_MAX, '', 'starch', str_repeat('x', 5000), "\u{202E}4 1/2", [], [[[]]], ['a' => ['b' => []]], '<b>', '1/0', '-3', [1, 2], ['row' => 99, 'column' => -4], [['do' => 'done']], '1e400'];
        if ($random->getInt(0, 9) === 0) {
            return $random->getInt(0, 1) === 0 ? '{"edit":' : "\xB1\x31";
        }
        $body = [];
        foreach ($random->pickArrayKeys(array_flip(self::FIELDS), 12) as $field) {
            $body[$field] = $values[$random->getInt(0, count($values) - 1)];
        }
        if ($random->getInt(0, 2) === 0) {
            $body['edit'] = ['do' => ['move', 'size', 'place', 'fabric', 'undo', 'starch'][$random->getInt(0, 5)], 'places' => $values[$random->getInt(0, count($values) - 1)]];
        }

        return json_encode($body, JSON_PARTIAL_OUTPUT_ON_ERROR);
    }

    /** @return array<int, string> the file of every block */
    private function kept(): array
    {
        return ShelfBlock::query()->orderBy('id')->pluck('document', 'id')->all();
    }
}
