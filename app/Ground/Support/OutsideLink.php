<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Illuminate\Support\Str;
use SensitiveParameter;

/** Links that go out in letters, on labels and in calendars: by the name the firm gave the office, whoever asks. */
final readonly class OutsideLink
{
    private const CUT = '(link removed)';

    /** @param  string  $path  as `route(…, absolute: false)` gives it */
    public static function to(string $path): string
    {
        return rtrim((string) config('app.url'), '/').$path;
    }

    /** What nobody guesses; of it only a digest is kept. */
    public static function secret(): string
    {
        return Str::random(40);
    }

    /** Removes links that open an account, a client's page or a calendar. */
    public static function cut(string $text): string
    {
        return (string) preg_replace('~https?://\S+?/(new-password|welcome|client|calendar)/\S+~', self::CUT, $text);
    }

    public static function digest(#[SensitiveParameter] string $secret): string
    {
        return hash('sha256', $secret);
    }
}
