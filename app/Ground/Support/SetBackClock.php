<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/**
 * A machine whose clock was ahead and has been put right: what was asked for in the time that now lies ahead would wait
 * until it comes.
 */
final readonly class SetBackClock
{
    /** Seconds of which nobody speaks. */
    private const SLACK_S = 600;

    public static function mend(): void
    {
        $since = Heartbeat::since(Heartbeat::SCHEDULER);
        if ($since === null || $since >= -self::SLACK_S) {
            return;
        }
        $now = time();
        DB::table('jobs')->where('created_at', '>', $now + self::SLACK_S)
            ->update(['available_at' => $now, 'created_at' => $now, 'reserved_at' => null]);
        DB::table('jobs')->where('reserved_at', '>', $now + self::SLACK_S)->update(['reserved_at' => null]);
        // Locks and limits that were to end in that time.
        Cache::flush();
        foreach ([Heartbeat::SCHEDULER, Heartbeat::WORKER] as $each) {
            Heartbeat::forget($each);
        }
    }
}
