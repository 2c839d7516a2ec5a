<?php

declare(strict_types=1);

namespace App\Documents;

/** A table with a line of column names, comma separated (RFC 4180), as spreadsheets open it: nothing in it is run as a formula. */
final class CsvTable
{
    /** Tells a spreadsheet that names are in UTF-8. */
    public const MARK = "\u{FEFF}";

    /**
     * @param list<string>      $columns
     * @param list<list<mixed>> $rows
     */
    public static function of(array $columns, array $rows): string
    {
        $file = fopen('php://temp', 'r+') ?: throw new \RuntimeException('No memory for the table.');
        foreach ([$columns, ...$rows] as $row) {
            fputcsv($file, array_map(self::cell(...), $row), escape: '', eol: "\r\n");
        }
        rewind($file);

        return self::MARK.stream_get_contents($file);
    }

    /** A text that begins like a formula is no formula: a spreadsheet would work it out. */
    private static function cell(mixed $value): string
    {
        $text = is_scalar($value) ? (string) $value : '';

        return is_string($value) && preg_match('/^\s*[=+\-@\t\r]/', $text) === 1 ? "'".$text : $text;
    }
}
