<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Illuminate\Http\Request;
use PDOException;
use Symfony\Component\HttpFoundation\Response;
use Throwable;

/** Many write at once, and somebody waited in vain: nothing was kept, and the same can be sent again. */
final readonly class Busy
{
    /** What SQLite says when another writes; for a transaction, and for a table. */
    private const CODES = [5, 6];

    /** The same in PostgreSQL's words: a lock was not to be had, or two waited for each other. */
    private const STATES = ['55P03', '40P01'];

    private const AGAIN_S = 2;

    public static function is(Throwable $thrown): bool
    {
        for ($cause = $thrown; $cause !== null; $cause = $cause->getPrevious()) {
            if ($cause instanceof PDOException && (in_array($cause->errorInfo[1] ?? null, self::CODES, true)
                || in_array($cause->errorInfo[0] ?? null, self::STATES, true))) {
                return true;
            }
        }

        return false;
    }

    public static function answer(Request $request): Response
    {
        $answer = $request->expectsJson()
            ? response()->json(['message' => 'The office is busy. Nothing was kept: send it again.'], 503)
            : response()->view('errors.503', [], 503);
        $answer->headers->set('Retry-After', (string) self::AGAIN_S);

        return $answer;
    }
}
