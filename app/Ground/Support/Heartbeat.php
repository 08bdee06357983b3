<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Illuminate\Support\Facades\DB;

/**
 * When the worker and the scheduler were last seen at work, by the time of a file: it can be told on a full disk too.
 */
final readonly class Heartbeat
{
    /** A worker looks for work every second; while a job runs, the job tells. */
    public const WORKER = 'worker';

    public const SCHEDULER = 'scheduler';

    /** Seconds without a sign after which it counts as stopped. */
    private const SILENT_S = 150;

    /** Seconds between two signs. */
    private const EVERY_S = 10;

    public static function beat(string $of): void
    {
        $file = self::file($of);
        clearstatcache(true, $file);
        if (! is_file($file) || filemtime($file) <= time() - self::EVERY_S) {
            @touch($file);
        }
    }

    /** Seconds since the last sign; null where there never was one. */
    public static function since(string $of): ?int
    {
        $file = self::file($of);
        clearstatcache(true, $file);

        return is_file($file) ? time() - (int) filemtime($file) : null;
    }

    public static function isAlive(string $of): bool
    {
        $since = self::since($of);

        // A clock that was set back says nothing of when it was.
        return $since !== null && abs($since) <= self::SILENT_S;
    }

    public static function forget(string $of): void
    {
        @unlink(self::file($of));
    }

    public static function file(string $of): string
    {
        // Two offices may be served from one folder, each with a database and a worker of its own.
        $database = config('database.connections.'.DB::getDefaultConnection().'.database');

        return storage_path(sprintf(
            'framework/%s-%s.heartbeat', $of,
            // One in memory is nobody else's.
            hash('crc32b', $database === ':memory:' ? ':memory:'.getmypid() : (is_string($database) ? $database : '')),
        ));
    }
}
