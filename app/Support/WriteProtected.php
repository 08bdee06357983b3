<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Http\Request;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Response;
use Throwable;

/** The database or its disk is write-protected: pages that only read go on, what is sent is not kept and says so. */
final readonly class WriteProtected
{
    private const SAYS = ['readonly database', 'read-only file system', 'Read-only file system'];

    private const AGAIN_S = 60;

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
        $answer = $request->expectsJson()
            ? response()->json(['message' => 'The office cannot be written to: nothing was kept. Send it later.'], 503)
            : response()->view('errors.write-protected', [], 503);
        $answer->headers->set('Retry-After', (string) self::AGAIN_S);

        return $answer;
    }
}
