<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Illuminate\Database\LostConnectionDetector;
use Illuminate\Support\Str;
use Throwable;

/**
 * Faults after which a connection, and the worker that holds it, cannot go on: the disk is full or fails, the file was
 * damaged or put in another place. The worker ends and is started again.
 */
final class BrokenDatabase extends LostConnectionDetector
{
    /** SQLite's own words for its codes 8, 10, 11, 13 and 26, and PDO's for a transaction nobody knows of. */
    private const SAYS = [
        'attempt to write a readonly database', 'disk I/O error', 'database disk image is malformed',
        'database or disk is full', 'file is not a database', 'no transaction is active',
        'already an active transaction', 'no such savepoint',
    ];

    public function causedByLostConnection(Throwable $e): bool
    {
        return Str::contains($e->getMessage(), self::SAYS) || parent::causedByLostConnection($e);
    }
}
