<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\Route;
use Tests\Support\ScreenSchema;

/** What the server tells the screens is written down for every address; the test case holds each answer against it. */
final class ScreenAddressesTest extends TestCase
{
    public function test_every_address_has_a_shape_and_every_shape_an_address(): void
    {
        // Files to keep, pictures, and what answers with nothing.
        $without = ['GET everything', 'GET swatches/{hash}', 'GET blocks/{block}/photo.jpg', 'GET blocks/{block}/lists/{list}.{kind}', 'GET tops/{top}/lists/{list}.{kind}', 'GET papers/{key}/{name}.{form}', 'GET logbook.{kind}', 'GET blocks/{block}/logbook.{kind}', 'GET blocks/{block}/file', 'GET blocks/{block}/{side}.svg', 'GET tops/{top}/{side}.svg', 'DELETE blocks/{block}', 'GET tops/{top}/file', 'DELETE tops/{top}', 'POST tops/{top}/plan/stop', 'POST tops/{top}/plan/on'];
        $told = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            foreach (array_diff(str_starts_with($route->uri(), 'api/') ? $route->methods() : [], ['HEAD', 'PATCH']) as $method) {
                $told[] = $method.' '.substr($route->uri(), 4);
            }
        }
        $told = array_values(array_diff($told, $without));
        sort($told);
        $known = ScreenSchema::addresses();
        sort($known);

        self::assertSame($known, $told);
    }

    public function test_an_answer_of_another_shape_is_noticed(): void
    {
        self::assertSame([], ScreenSchema::mistakes('GET blocks', 200, '{"blocks":[],"unopened":[],"takenOff":[]}'));
        self::assertNotSame([], ScreenSchema::mistakes('GET blocks', 200, '{"blocks":[],"unopened":[],"takenOff":[{"id":"1","name":"x"}]}'));
        self::assertNotSame([], ScreenSchema::mistakes('GET blocks', 200, '{"blocks":[],"unopened":[],"takenOff":[],"more":1}'));
        self::assertNotSame([], ScreenSchema::mistakes('GET blocks', 422, '{"message":"no"}'));
        self::assertNotSame([], ScreenSchema::mistakes('GET no/such/address', 200, '{}'));
    }
}
