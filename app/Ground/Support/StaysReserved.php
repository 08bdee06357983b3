<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Illuminate\Queue\InteractsWithQueue;
use Illuminate\Queue\Jobs\DatabaseJob;
use Illuminate\Support\Facades\DB;
use PDOException;

/**
 * A job that may run for longer than the queue waits: it says from time to time that it is alive. One that falls
 * silent, because its worker was killed, is taken up by another within a minute.
 */
trait StaysReserved
{
    use InteractsWithQueue;

    private const SAID_EVERY_S = 10;

    private int $saidAlive = 0;

    /** A sign that cannot be given fails nothing. */
    protected function alive(): void
    {
        if (time() - $this->saidAlive < self::SAID_EVERY_S) {
            return;
        }
        $this->saidAlive = time();
        Heartbeat::beat(Heartbeat::WORKER);
        if ($this->job instanceof DatabaseJob) {
            try {
                DB::table('jobs')->where('id', $this->job->getJobId())->update(['reserved_at' => time()]);
            } catch (PDOException $missed) {
                report($missed);
            }
        }
    }
}
