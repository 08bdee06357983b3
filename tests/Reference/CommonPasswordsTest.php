<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\TestCase;

/**
 * The passwords that are refused against a list that is kept for the purpose: @zxcvbn-ts/language-common, 49,233 of the
 * most common of published breaches.
 */
final class CommonPasswordsTest extends TestCase
{
    private const KEPT = __DIR__.'/../../node_modules/@zxcvbn-ts/language-common/src/passwords.json';

    private const WORDS = __DIR__.'/../../resources/words/';

    public function test_the_set_holds_every_password_of_the_list_and_the_trades_own_and_no_other(): void
    {
        $listed = json_decode((string) file_get_contents(self::KEPT), true);
        self::assertIsArray($listed);
        self::assertGreaterThan(40_000, count($listed));
        $own = file(self::WORDS.'common-passwords.txt', FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES);
        $digests = [];
        foreach (array_filter([...$listed, ...$own === false ? [] : $own], is_string(...)) as $word) {
            $digests[bin2hex(substr(hash('sha256', mb_strtolower($word), true), 0, 5))] = true;
        }
        ksort($digests, SORT_STRING);
        $set = bin2hex((string) file_get_contents(self::WORDS.'common-passwords.bin'));
        self::assertSame(array_map(strval(...), array_keys($digests)), str_split($set, 10));
    }
}
