<?php

declare(strict_types=1);

namespace App\Io\Import;

use App\Ground\Models\Import;
use Closure;
use Illuminate\Validation\ValidationException;

/** Takes back what a file brought. */
interface TakesBack
{
    /**
     * Whether all of it can be taken back as things are; nothing is written.
     *
     * @param  Closure(): mixed  $between  from time to time
     *
     * @throws ValidationException where anything of it has changed since
     */
    public function check(Import $import, Closure $between): void;

    /**
     * In pieces, each a transaction of its own; called again, it goes on with what is left.
     *
     * @param  Closure(int): mixed  $after  each piece, with the lines it took back
     *
     * @throws ValidationException where anything of it has changed meanwhile
     */
    public function takeBack(Import $import, Closure $after): void;
}
