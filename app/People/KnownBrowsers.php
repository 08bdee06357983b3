<?php

declare(strict_types=1);

namespace App\People;

use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cookie;
use Illuminate\Support\Str;

/**
 * Browsers in which somebody has signed in before, by a cookie that only the office can read and write. In them a
 * stranger who tries one's address keeps nobody out, and a sign-in in any other is told to its person.
 */
final readonly class KnownBrowsers
{
    private const COOKIE = 'hook_known';

    /** People who share one browser, at the most; a crew with one phone. */
    private const PEOPLE = 12;

    private const KEPT_MINUTES = 400 * 24 * 60;

    /** @return ?string what this browser is called for this address; null where nobody has signed in with it here */
    public static function name(Request $request, string $address): ?string
    {
        return self::names($request)[self::digest($address)] ?? null;
    }

    public static function remember(Request $request, User $person): void
    {
        $digest = self::digest($person->email);
        $names = [$digest => self::names($request)[$digest] ?? Str::random(16), ...self::names($request)];
        Cookie::queue(
            self::COOKIE, (string) json_encode(array_slice($names, 0, self::PEOPLE)), self::KEPT_MINUTES,
        );
    }

    /** @return array<string, string> by digest of the address */
    private static function names(Request $request): array
    {
        $kept = $request->cookie(self::COOKIE);

        return array_filter((array) json_decode(is_string($kept) ? $kept : '', true), is_string(...));
    }

    private static function digest(string $address): string
    {
        return hash('xxh128', mb_strtolower($address));
    }
}
