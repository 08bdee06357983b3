<?php

declare(strict_types=1);

namespace App\Ground\Models;

/** What a word from the garden is about. */
enum EntryKind: string
{
    /** How a task went. */
    case Log = 'log';
    /** Words taken back, so that what they corrected stands again. */
    case Withdraw = 'withdraw';
    /** What was looked at before the first cut. */
    case Arrive = 'arrive';
    /** How the garden was left. */
    case Close = 'close';
    /** The lead has seen it. */
    case SignOff = 'sign-off';

    /** Whether it is said of one task; the others are of the visit. */
    public function isOfATask(): bool
    {
        return $this === self::Log;
    }
}
