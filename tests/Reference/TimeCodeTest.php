<?php

declare(strict_types=1);

namespace Tests\Reference;

use App\People\TimeCode;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Codes by the clock against what was published of them, and against a library that makes them. */
final class TimeCodeTest extends TestCase
{
    /** @return list<array{int, string}> RFC 6238, Appendix B, the rows of SHA-1: seconds since 1970, eight figures */
    public static function published(): array
    {
        return [
            [59, '94287082'], [1_111_111_109, '07081804'], [1_111_111_111, '14050471'], [1_234_567_890, '89005924'],
            [2_000_000_000, '69279037'], [20_000_000_000, '65353130'],
        ];
    }

    /** From memory: the secret of the appendix is the ASCII text 12345678901234567890. */
    #[DataProvider('published')]
    public function test_the_codes_of_the_standard(int $time, string $code): void
    {
        $secret = TimeCode::written('12345678901234567890');
        self::assertSame($code, TimeCode::at($secret, intdiv($time, TimeCode::STEP_S), 8));
    }

    /** RFC 4648, section 10, from memory, but for the signs that fill up. */
    public function test_secrets_are_written_as_the_standard_has_it(): void
    {
        foreach (['f' => 'MY', 'fo' => 'MZXQ', 'foo' => 'MZXW6', 'foob' => 'MZXW6YQ', 'fooba' => 'MZXW6YTB',
            'foobar' => 'MZXW6YTBOI'] as $bytes => $written) {
            self::assertSame($written, TimeCode::written($bytes));
        }
    }

    /** The package otpauth, from the npm registry. */
    public function test_a_library_makes_the_same_codes_and_reads_the_same_address(): void
    {
        $asked = [];
        foreach (range(1, 60) as $number) {
            $secret = TimeCode::secret();
            $time = 1_800_000_000 + 7919 * $number;
            $asked[] = [
                'secret' => $secret, 'time' => $time,
                'address' => TimeCode::address($secret, 'a+b@c.test', 'Ash & Elm'),
                'code' => TimeCode::at($secret, intdiv($time, TimeCode::STEP_S)),
            ];
        }
        $answered = Node::run('import { URI, TOTP } from "otpauth"; import { readFileSync } from "node:fs";
            const asked = JSON.parse(readFileSync(0, "utf8"));
            console.log(JSON.stringify(asked.map(({ secret, time, address }) => {
                const read = URI.parse(address);
                return [read.generate({ timestamp: 1000 * time }), read.secret.base32 === secret, read.issuer,
                    read.label, new TOTP({ secret }).generate({ timestamp: 1000 * time })];
            })));', $asked);
        self::assertSame(array_map(
            static fn (array $each): array => [$each['code'], true, 'Ash & Elm', 'a+b@c.test', $each['code']], $asked,
        ), $answered);
    }
}
