<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Closure;
use Illuminate\Support\Facades\DB;

/** Several queries that see one state of the database, without keeping anybody from writing. */
final readonly class Reading
{
    /**
     * @template T
     *
     * @param  Closure(): T  $read
     * @return T
     */
    public static function together(Closure $read): mixed
    {
        $connection = DB::connection();

        return $connection instanceof ReadsTogether ? $connection->reading($read) : $connection->transaction($read);
    }
}
