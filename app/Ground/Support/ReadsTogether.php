<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Closure;

/** A connection that can run several queries on one state of the database without keeping anybody from writing. */
interface ReadsTogether
{
    /**
     * Within it nothing can be written.
     *
     * @template T
     *
     * @param  Closure(): T  $read
     * @return T
     */
    public function reading(Closure $read): mixed;
}
