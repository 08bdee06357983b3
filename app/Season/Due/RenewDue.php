<?php

declare(strict_types=1);

namespace App\Season\Due;

use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Support\Facades\DB;

/**
 * Works out on the queue what is stale, for some seconds at a time, and asks for the next turn where anything is left:
 * whatever else waits comes between. One waiting job is enough: whatever goes stale before it begins, it finds.
 */
final class RenewDue implements ShouldQueue
{
    use Dispatchable;
    use Queueable;

    private const SECONDS = 8.0;

    /** Seconds until it looks again where others have all that is left in hand. */
    private const LATER = 15;

    public int $tries = 3;

    public function __construct()
    {
        // The queue lies in the same database: what goes stale and the job that mends it are written together.
        $this->beforeCommit();
    }

    /** Asks for a turn, unless one waits already. A lock beside the database could outlive the job it stands for. */
    public static function ask(int $delay = 0): void
    {
        $waits = config('queue.default') === 'database' && DB::table('jobs')->whereNull('reserved_at')
            ->where('available_at', '<=', now()->getTimestamp() + $delay)
            ->where('payload', 'like', '%RenewDue%')->exists();
        if (! $waits) {
            self::dispatch()->delay($delay);
        }
    }

    public function handle(DueKeeper $keeper): void
    {
        $renewal = $keeper->renewFor(self::SECONDS);
        if ($renewal->isLeft) {
            self::ask($renewal->done > 0 ? 0 : self::LATER);
        }
    }
}
