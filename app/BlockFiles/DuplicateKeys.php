<?php

declare(strict_types=1);

namespace App\BlockFiles;

/** Finds an object of a JSON text that says one key twice: readers keep one of the two values, and nobody knows which. */
final class DuplicateKeys
{
    /** Texts, brackets and commas; numbers and words between them do not matter. */
    private const TOKEN = '~"(?:[^"\\\\]|\\\\.)*+"|[{}\[\],:]~As';

    /**
     * @param string $json that is valid
     *
     * @return string|null the first key that stands twice in one object
     */
    public static function first(string $json): ?string
    {
        $open = []; // of every object the keys seen, of every list null
        $isKey = false;
        for ($at = 0, $length = strlen($json); $at < $length;) {
            $at += strcspn($json, '"{}[],:', $at);
            if ($at >= $length || preg_match(self::TOKEN, $json, $token, 0, $at) !== 1) {
                break;
            }
            $at += strlen($token[0]);
            switch ($token[0]) {
                case '{':
                    $open[] = [];
                    $isKey = true;
                    break;
                case '[':
                    $open[] = null;
                    $isKey = false;
                    break;
                case '}':
                case ']':
                    array_pop($open);
                    $isKey = false;
                    break;
                case ',':
                    $isKey = ($open[count($open) - 1] ?? null) !== null;
                    break;
                case ':':
                    $isKey = false;
                    break;
                default:
                    if ($isKey) {
                        $key = (string) json_decode($token[0]);
                        if (isset($open[count($open) - 1][$key])) {
                            return $key;
                        }
                        $open[count($open) - 1][$key] = true;
                    }
            }
        }

        return null;
    }
}
