<?php

declare(strict_types=1);

namespace App\Due;

use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;

/**
 * Works out on the queue what is stale, for some seconds at a time, and asks for the next turn where anything is left:
 * whatever else waits comes between. One waiting job is enough: whatever goes stale before it begins, it finds.
 */
final class RenewDue implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Dispatchable;
    use Queueable;

    private const SECONDS = 8.0;

    /** Seconds until it looks again where others have all that is left in hand. */
    private const LATER = 15;

    public int $tries = 3;

    /** Seconds after which another may wait beside it, should it have been lost. */
    public int $uniqueFor = 120;

    public function __construct()
    {
        $this->afterCommit();
    }

    public function handle(DueKeeper $keeper): void
    {
        $renewal = $keeper->renewFor(self::SECONDS);
        if ($renewal->isLeft) {
            self::dispatch()->delay($renewal->done > 0 ? 0 : self::LATER);
        }
    }
}
