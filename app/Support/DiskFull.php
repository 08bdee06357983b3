<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Http\Request;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Response;
use Throwable;

/**
 * Nothing can be written down: nothing was kept, pages that only read go on, and whoever runs the office must make
 * room.
 */
final readonly class DiskFull
{
    /** As SQLite and PHP's file functions say it. */
    private const SAYS = [
        'database or disk is full', 'No space left on device', 'errno=28', 'possibly out of free disk',
    ];

    public static function is(Throwable $thrown): bool
    {
        for ($cause = $thrown; $cause !== null; $cause = $cause->getPrevious()) {
            if (Str::contains($cause->getMessage(), self::SAYS)) {
                return true;
            }
        }

        return false;
    }

    public static function answer(Request $request): Response
    {
        return $request->expectsJson()
            ? response()->json(['message' => 'The office\'s disk is full: nothing was kept. Send it again later.'], 507)
            : response()->view('errors.507', [], 507);
    }
}
