<?php

declare(strict_types=1);

namespace App\Io\Csv;

/** Lines of a table of comma-separated values (RFC 4180): CRLF between them, quotes where a cell needs them. */
final readonly class CsvText
{
    /** What a spreadsheet would take for a formula is written with an apostrophe before it, and read without. */
    private const FORMULA = '/^[=+\-@\t\r](?!\d+(?:\.\d+)?$)/';

    /** The same after a semicolon, which is the separator in some locales. */
    private const BEHIND_SEMICOLON = "/(;\\s*)('*[=+\\-@])/";

    /** @param  array<array-key, scalar|null>  $cells */
    public static function line(array $cells): string
    {
        return implode(',', array_map(self::cell(...), $cells))."\r\n";
    }

    private static function cell(string|int|float|bool|null $value): string
    {
        $text = is_bool($value) ? ($value ? 'yes' : 'no') : (string) $value;
        if (preg_match(self::FORMULA, $text) === 1) {
            $text = "'$text";
        }
        $text = (string) preg_replace(self::BEHIND_SEMICOLON, "$1'$2", $text);

        return preg_match('/[",;\r\n]/', $text) === 1 || trim($text) !== $text
            ? '"'.str_replace('"', '""', $text).'"'
            : $text;
    }

    /** A cell as it was meant. */
    public static function meant(string $cell): string
    {
        $cell = (string) preg_replace("/(;\\s*)'('*[=+\\-@])/", '$1$2', trim($cell));

        return str_starts_with($cell, "'") && preg_match(self::FORMULA, substr($cell, 1)) === 1
            ? substr($cell, 1)
            : $cell;
    }
}
