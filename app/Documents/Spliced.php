<?php

declare(strict_types=1);

namespace App\Documents;

use App\Workings\SheetText;
use Illuminate\Http\Response;

/** Answers that are put together from a sheet which is kept as text and the few things that change beside it. */
final class Spliced
{
    /** Bytes; of larger sheets not both are read at once, all of the second is told. */
    private const LARGE = 8_000_000;

    /** Lists shorter than this are sent as a whole. */
    private const SHORT = 8;

    /**
     * @param array<string, mixed> $beside at least one
     * @param string               $sheet  JSON of an object with other names
     */
    public static function answer(array $beside, string $sheet): Response
    {
        $text = SheetText::encoded($beside);

        return new Response(substr($text, 0, -1).($sheet === '{}' ? '}' : ','.substr($sheet, 1)), Response::HTTP_OK, ['Content-Type' => 'application/json']);
    }

    /**
     * What is otherwise in the second sheet: the new value under "all", or of a long list under "at" those entries that changed.
     *
     * @return array<string, array{all: mixed}|array{at: \stdClass}>
     */
    public static function changed(string $before, string $after): array
    {
        if ($before === $after) {
            return [];
        }
        $is = self::read($after);
        if (strlen($after) > self::LARGE) {
            return array_map(static fn (mixed $value): array => ['all' => $value], $is);
        }
        $was = self::read($before);
        $changed = [];
        foreach ($is as $name => $value) {
            $old = $was[$name] ?? null;
            if ($old === $value) {
                continue;
            }
            $isLongList = is_array($value) && is_array($old) && array_is_list($value) && count($value) === count($old) && count($value) >= self::SHORT;
            $changed[$name] = $isLongList
                // Changes from the first on would be written as a list.
                ? ['at' => (object) array_filter($value, static fn (mixed $one, int $i): bool => $one !== $old[$i], ARRAY_FILTER_USE_BOTH)]
                : ['all' => $value];
        }
        return $changed;
    }

    /** @return array<string, mixed> */
    private static function read(string $sheet): array
    {
        $read = json_decode($sheet, true, 64, JSON_THROW_ON_ERROR);

        return is_array($read) ? $read : [];
    }
}
