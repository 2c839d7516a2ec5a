<?php

declare(strict_types=1);

namespace Tests\Support;

use Random\Randomizer;

/** Block files as a bad disk, a bad editor or a bad day would leave them. */
final class SpoiledFiles
{
    /** @return list<string> files that are good */
    public static function sound(): array
    {
        return [
            (string) file_get_contents(dirname(__DIR__, 2).'/database/demo/tide-gate.keenseam.json'),
            json_encode(Blocks::file('hAB qABCA', 'gABC pA'), JSON_THROW_ON_ERROR),
            json_encode(Blocks::file('tAB hAB90m', 'dAB pC'), JSON_THROW_ON_ERROR),
        ];
    }

    /** With one to three bytes or values changed at random. */
    public static function from(string $text, Randomizer $random): string
    {
        $odd = ['0', '-1', '1e9', '""', '" "', 'null', '[]', '{}', 'true', '"mm"', '"1/3"', '"1/0"', '"7.25"', '90', '45', '"A"', '"B"', '4097', '"\u0000"', '"99999"', '3', '2'];
        for ($i = $random->getInt(1, 3); $i > 0; --$i) {
            if ($random->getInt(0, 3) === 0) {
                $at = $random->getInt(0, strlen($text) - 1);
                $text = substr_replace($text, ['', chr($random->getInt(0, 255)), substr($text, $at, 9)][$random->getInt(0, 2)], $at, $random->getInt(0, 2));

                continue;
            }
            // One value, of whatever key, becomes another.
            preg_match_all('~:("(?:[^"\\\\]|\\\\.)*"|-?\d+)~', $text, $values, PREG_OFFSET_CAPTURE);
            if ($values[1] !== []) {
                [$value, $at] = $values[1][$random->getInt(0, count($values[1]) - 1)];
                $text = substr_replace($text, $odd[$random->getInt(0, count($odd) - 1)], $at, strlen($value));
            }
        }

        return $text;
    }
}
