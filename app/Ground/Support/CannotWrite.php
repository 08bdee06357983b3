<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Illuminate\Http\Request;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Response;
use Throwable;

/**
 * The disk is full, or write-protected: nothing was kept, pages that only read go on, and whoever runs the office must
 * see to it.
 */
final readonly class CannotWrite
{
    /** As SQLite and PHP's file functions say it. */
    private const FULL = [
        'database or disk is full', 'No space left on device', 'errno=28', 'possibly out of free disk',
    ];

    private const SHUT = ['readonly database', 'read-only file system', 'Read-only file system'];

    private const AGAIN_S = 60;

    public static function isFull(Throwable $thrown): bool
    {
        return self::says($thrown, self::FULL);
    }

    /** @return ?Response null for any other fault */
    public static function answer(Throwable $thrown, Request $request): ?Response
    {
        [$status, $view, $message] = match (true) {
            self::isFull($thrown) => [
                507, 'errors.507', 'The office\'s disk is full: nothing was kept. Send it again later.',
            ],
            self::says($thrown, self::SHUT) => [
                503, 'errors.write-protected',
                'The office cannot be written to: nothing was kept. Send it again later.',
            ],
            default => [0, '', ''],
        };
        if ($status === 0) {
            return null;
        }
        $answer = $request->expectsJson()
            ? response()->json(['message' => $message], $status)
            : response()->view($view, [], $status);
        $answer->headers->set('Retry-After', (string) self::AGAIN_S);

        return $answer;
    }

    /** @param  list<string>  $words */
    private static function says(Throwable $thrown, array $words): bool
    {
        for ($cause = $thrown; $cause !== null; $cause = $cause->getPrevious()) {
            if (Str::contains($cause->getMessage(), $words)) {
                return true;
            }
        }

        return false;
    }
}
