<?php

declare(strict_types=1);

namespace App\Workings;

/** Sheets written as JSON, ready to be kept and sent. */
final class SheetText
{
    /**
     * A sheet as text. Long lists may be given as generators: they are written entry by entry and never held as a whole.
     *
     * @param array<string, mixed> $sheet
     */
    public static function of(array $sheet): string
    {
        $parts = [];
        foreach ($sheet as $name => $value) {
            if ($value instanceof \Generator) {
                $entries = [];
                foreach ($value as $entry) {
                    $entries[] = self::encoded($entry);
                }
                $value = '['.implode(',', $entries).']';
                unset($entries);
            } else {
                $value = self::encoded($value);
            }
            $parts[] = self::encoded($name).':'.$value;
        }

        return '{'.implode(',', $parts).'}';
    }

    public static function encoded(mixed $value): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION);
    }
}
