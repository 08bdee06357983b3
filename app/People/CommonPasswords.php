<?php

declare(strict_types=1);

namespace App\People;

use SensitiveParameter;

/** The set of common passwords compiled by `resources/words/compile.mjs`. */
final readonly class CommonPasswords
{
    /** Bytes of each SHA-256 that are stored. */
    private const BYTES = 5;

    public static function has(#[SensitiveParameter] string $word): bool
    {
        $set = (string) file_get_contents(resource_path('words/common-passwords.bin'));
        $asked = substr(hash('sha256', $word, true), 0, self::BYTES);
        [$from, $to] = [0, intdiv(strlen($set), self::BYTES) - 1];
        while ($from <= $to) {
            $middle = intdiv($from + $to, 2);
            $order = strcmp($asked, substr($set, $middle * self::BYTES, self::BYTES));
            if ($order === 0) {
                return true;
            }
            $order < 0 ? $to = $middle - 1 : $from = $middle + 1;
        }

        return false;
    }
}
