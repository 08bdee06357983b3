<?php

declare(strict_types=1);

namespace App\Ground\Support;

use RuntimeException;
use Throwable;

/** A row names another that is not there. */
final class StrayKey extends RuntimeException
{
    public function __construct(public readonly string $table, ?Throwable $thrown = null)
    {
        parent::__construct("a row of $table names one that is not there", previous: $thrown);
    }
}
