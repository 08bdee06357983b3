<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldBeEncrypted;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Notifications\Notification;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Throwable;

/**
 * A letter that goes out by the queue, tried again for an hour and a half: a slow mail server keeps nobody waiting, and
 * no transaction open. It is asked for within the transaction that makes what it tells of, since the queue lies in the
 * same database: both are there, or neither. What could not be delivered stands in the post office.
 */
abstract class PostedLater extends Notification implements ShouldBeEncrypted, ShouldQueue
{
    use Queueable;

    public int $tries = 6;

    /** Seconds until the next try. */
    private const PAUSES = [10, 60, 300, 1200, 3600];

    public function __construct()
    {
        $this->beforeCommit();
        $this->onConnection(config('queue.letters'));
    }

    /** An address or a number, or both. */
    abstract protected function to(): string;

    abstract protected function subject(): string;

    /** @return list<int> */
    public function backoff(): array
    {
        return self::PAUSES;
    }

    public function failed(Throwable $fault): void
    {
        DB::table('letters')->insert([
            'channel' => 'mail', 'to' => $this->to(), 'subject' => $this->subject(), 'body' => '',
            'failed_because' => mb_substr($fault->getMessage(), 0, 300), 'created_at' => Carbon::now(),
        ]);
    }
}
