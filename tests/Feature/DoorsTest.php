<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\ShelfBlock;
use PHPUnit\Framework\Attributes\DataProvider;

/** Who is let in, and what they must bring. */
final class DoorsTest extends TestCase
{
    /** @return array<string, array{array<string, string>, int}> headers of a request for a change, and its answer */
    public static function origins(): array
    {
        return [
            'a program that is no browser' => [[], 200],
            'our own page' => [['HTTP_SEC_FETCH_SITE' => 'same-origin', 'HTTP_ORIGIN' => 'http://127.0.0.1:8000'], 200],
            'another site' => [['HTTP_SEC_FETCH_SITE' => 'cross-site', 'HTTP_ORIGIN' => 'https://elsewhere.example'], 403],
            'an older browser on another site' => [['HTTP_ORIGIN' => 'https://elsewhere.example'], 403],
            'the same machine on another port' => [['HTTP_SEC_FETCH_SITE' => 'same-site', 'HTTP_ORIGIN' => 'http://127.0.0.1:9999'], 403],
            'a page without an origin' => [['HTTP_ORIGIN' => 'null'], 403],
            'typed into the address line' => [['HTTP_SEC_FETCH_SITE' => 'none'], 403],
        ];
    }

    /** @param array<string, string> $headers */
    #[DataProvider('origins')]
    public function test_only_our_own_pages_change_anything(array $headers, int $status): void
    {
        $before = ShelfBlock::query()->findOrFail(3)->getAttributes();
        $this->call('PUT', '/api/blocks/3/style', server: ['CONTENT_TYPE' => 'application/json', 'HTTP_IF_MATCH' => '"1"', ...$headers], content: '{"style":"open"}')->assertStatus($status);
        $after = ShelfBlock::query()->findOrFail(3)->getAttributes();
        self::assertSame($status === 200, $before !== $after);
    }

    public function test_a_disguised_method_and_the_types_of_forms_are_refused(): void
    {
        foreach ([['POST', '/api/blocks/3', ['_method' => 'DELETE'], []], ['POST', '/api/blocks/3?_method=DELETE', [], []], ['POST', '/api/blocks/3', [], ['HTTP_X_HTTP_METHOD_OVERRIDE' => 'DELETE']]] as [$method, $address, $fields, $headers]) {
            self::assertContains($this->call($method, $address, $fields, server: ['CONTENT_TYPE' => 'application/x-www-form-urlencoded', ...$headers])->status(), [405, 415]);
            self::assertNotNull(ShelfBlock::query()->find(3));
        }
        foreach (['application/x-www-form-urlencoded', 'multipart/form-data; boundary=x', 'text/plain', '', 'image/png'] as $type) {
            $this->call('PUT', '/api/blocks/3/style', server: ['CONTENT_TYPE' => $type, 'HTTP_IF_MATCH' => '"1"', 'HTTP_ACCEPT' => 'application/json'], content: '{"style":"open"}')->assertStatus(415)->assertJson(['code' => 'body-type']);
        }
        $this->call('PUT', '/api/blocks/3/style', server: ['CONTENT_TYPE' => 'application/json; charset=utf-8', 'HTTP_IF_MATCH' => '"1"'], content: '{"style":"open"}')->assertOk();
        $this->call('PUT', '/api/blocks/3/fabrics/S/swatch', server: ['CONTENT_TYPE' => 'application/json', 'HTTP_IF_MATCH' => '"2"'], content: '{}')->assertStatus(415);
    }

    public function test_only_known_names_are_answered(): void
    {
        foreach (['http://127.0.0.1:8000', 'http://localhost', 'http://[::1]:8000'] as $own) {
            $this->get($own.'/api/blocks')->assertOk();
        }
        foreach (['http://elsewhere.example', 'http://127.0.0.1.elsewhere.example', 'http://192.168.1.7:8000'] as $other) {
            $this->get($other.'/api/blocks')->assertStatus(421)->assertJson(['code' => 'host-not-known']);
            $this->get($other.'/')->assertStatus(421);
        }
        config(['keen-seam.hosts' => ['Hall.lan']]);
        $this->get('http://hall.lan/api/blocks')->assertOk();
    }

    public function test_every_answer_tells_the_browser_to_keep_to_our_own(): void
    {
        foreach (['/', '/api/blocks', '/api/blocks/999', '/blocks/3/wall', '/api/nowhere'] as $address) {
            $answer = $this->get($address);
            $policy = (string) $answer->headers->get('Content-Security-Policy');
            self::assertStringContainsString("frame-ancestors 'none'", $policy, $address);
            self::assertMatchesRegularExpression("~script-src 'self'(;|$)~", $policy);
            self::assertSame(['nosniff', 'no-referrer', null, null], [$answer->headers->get('X-Content-Type-Options'), $answer->headers->get('Referrer-Policy'), $answer->headers->get('X-Powered-By'), $answer->headers->get('Access-Control-Allow-Origin')]);
        }
        $this->call('OPTIONS', '/api/blocks/3', server: ['HTTP_ORIGIN' => 'https://elsewhere.example', 'HTTP_ACCESS_CONTROL_REQUEST_METHOD' => 'DELETE'])->assertHeaderMissing('Access-Control-Allow-Origin')->assertHeaderMissing('Access-Control-Allow-Methods');
    }
}
