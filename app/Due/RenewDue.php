<?php

declare(strict_types=1);

namespace App\Due;

use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;

/** Works out on the queue what is stale. One waiting job is enough: whatever goes stale before it begins, it finds. */
final class RenewDue implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Dispatchable;
    use Queueable;

    /** Seconds after which another may wait beside it, should it have been lost. */
    public int $uniqueFor = 120;

    public function __construct()
    {
        $this->afterCommit();
    }

    public function handle(DueKeeper $keeper): void
    {
        $keeper->renewAll();
    }
}
