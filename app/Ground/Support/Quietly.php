<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Illuminate\Contracts\Database\LostConnectionDetector;
use PDOException;

/**
 * What a page writes only besides what it shows: that a device was seen, rows that the worker writes as well. Where the
 * database is held by others, full or write-protected the page is shown all the same, and the next one writes it.
 */
final readonly class Quietly
{
    /** @param  callable(): mixed  $write */
    public static function write(callable $write): void
    {
        try {
            $write();
        } catch (PDOException $fault) {
            if (! Busy::is($fault) && ! app(LostConnectionDetector::class)->causedByLostConnection($fault)) {
                throw $fault;
            }
        }
    }
}
