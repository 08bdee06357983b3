<?php

declare(strict_types=1);

namespace App\Ground\Support;

use PDOException;
use PruningHook\Core\Fault;
use Throwable;

/** What went wrong in a job, in words for whoever asked for it: neither SQL nor paths. The log has the rest. */
final readonly class Trouble
{
    public static function inWords(?Throwable $thrown): string
    {
        return match (true) {
            $thrown instanceof Fault => $thrown->getMessage(),
            $thrown !== null && Busy::is($thrown) => 'the database was in use by others for too long',
            $thrown !== null && CannotWrite::isFull($thrown) => 'the disk is full',
            $thrown instanceof PDOException => 'the database did not take it',
            default => 'something went wrong on our side; the log says what',
        };
    }
}
