<?php

declare(strict_types=1);

namespace App\People;

use App\Ground\Models\User;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cookie;
use Illuminate\Support\Str;

/**
 * Remembers in an encrypted cookie who has signed in on a browser. Failed attempts elsewhere do not lock these people
 * out here, and a sign-in on any other browser is reported to them.
 */
final readonly class KnownBrowsers
{
    private const COOKIE = 'hook_known';

    /** At most so many people share a browser: a crew with one phone. */
    private const PEOPLE = 12;

    private const KEPT_MINUTES = 400 * 24 * 60;

    /** @return ?string this browser's id for the address; null if nobody has signed in with it here */
    public static function name(Request $request, string $address): ?string
    {
        return self::names($request)[self::digest($address)] ?? null;
    }

    /** @return string this browser's id for them */
    public static function remember(Request $request, User $person): string
    {
        $digest = self::digest($person->email);
        $names = [$digest => self::names($request)[$digest] ?? Str::random(16), ...self::names($request)];
        Cookie::queue(
            self::COOKIE, (string) json_encode(array_slice($names, 0, self::PEOPLE)), self::KEPT_MINUTES,
        );

        return $names[$digest];
    }

    /** @return array<string, string> by digest of the address */
    public static function names(Request $request): array
    {
        $kept = $request->cookie(self::COOKIE);

        return array_filter((array) json_decode(is_string($kept) ? $kept : '', true), is_string(...));
    }

    private static function digest(string $address): string
    {
        return hash('xxh128', mb_strtolower($address));
    }
}
