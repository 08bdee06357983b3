<?php

declare(strict_types=1);

namespace App\People;

use SensitiveParameter;

/**
 * Time-based one-time passwords (RFC 6238) with SHA-1, six digits and 30 seconds, which every authenticator app knows.
 * Secrets are written in base32 (RFC 4648, section 6).
 */
final readonly class TimeCode
{
    public const STEP_S = 30;

    public const DIGITS = 6;

    /** Steps by which a phone's clock may be off: RFC 6238, section 5.2, advises one. */
    private const OFF = 1;

    /** 160 bits: RFC 4226, section 4, R6. */
    private const SECRET_BYTES = 20;

    private const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';

    public static function secret(): string
    {
        return self::written(random_bytes(self::SECRET_BYTES));
    }

    /**
     * @param  string  $secret  in base32
     * @param  int  $step  30-second steps since 1970
     */
    public static function at(#[SensitiveParameter] string $secret, int $step, int $digits = self::DIGITS): string
    {
        $hash = hash_hmac('sha1', pack('J', $step), self::read($secret), true);
        $from = ord($hash[19]) & 15;
        $number = unpack('N', substr($hash, $from, 4));

        return str_pad(
            (string) ((($number[1] ?? 0) & 0x7FFFFFFF) % 10 ** $digits), $digits, '0', STR_PAD_LEFT,
        );
    }

    /**
     * @param  int  $after  the step of the last code that was used: none works twice
     * @return ?int its step; null where it is not a current code
     */
    public static function step(
        #[SensitiveParameter] string $secret,
        #[SensitiveParameter] string $code,
        int $time,
        int $after,
    ): ?int {
        $now = intdiv($time, self::STEP_S);
        for ($step = max($after + 1, $now - self::OFF); $step <= $now + self::OFF; $step++) {
            if (hash_equals(self::at($secret, $step), $code)) {
                return $step;
            }
        }

        return null;
    }

    /** The address in the QR code. */
    public static function address(#[SensitiveParameter] string $secret, string $person, string $firm): string
    {
        $label = rawurlencode("$firm:$person");

        return "otpauth://totp/$label?secret=$secret&issuer=".rawurlencode($firm);
    }

    public static function written(#[SensitiveParameter] string $bytes): string
    {
        $bits = '';
        foreach (str_split($bytes) as $byte) {
            $bits .= sprintf('%08b', ord($byte));
        }
        $written = '';
        foreach (str_split($bits, 5) as $five) {
            $written .= self::LETTERS[(int) bindec(str_pad($five, 5, '0'))];
        }

        return $written;
    }

    private static function read(#[SensitiveParameter] string $written): string
    {
        $bits = '';
        foreach (str_split($written) as $letter) {
            $bits .= sprintf('%05b', (int) strpos(self::LETTERS, $letter));
        }
        $bytes = '';
        foreach (str_split(substr($bits, 0, strlen($bits) - strlen($bits) % 8), 8) as $eight) {
            $bytes .= chr((int) bindec($eight));
        }

        return $bytes;
    }
}
