<?php

declare(strict_types=1);

namespace App\Ground\Models;

/** Where a plan that was asked for stands. */
enum DraftStatus: string
{
    case Waiting = 'waiting';
    case Looking = 'looking';
    case Ready = 'ready';
    case Failed = 'failed';
    case Cancelled = 'cancelled';
    /** Its changes are being made true. */
    case Accepting = 'accepting';
    case Accepted = 'accepted';
    case TakenBack = 'taken-back';

    public function isUnderWay(): bool
    {
        return $this === self::Waiting || $this === self::Looking || $this === self::Accepting;
    }
}
