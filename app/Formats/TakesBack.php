<?php

declare(strict_types=1);

namespace App\Formats;

use App\Models\Import;
use Illuminate\Validation\ValidationException;

/** What more goes with than the versions of its rows, so that it is taken back its own way. */
interface TakesBack
{
    /** @throws ValidationException where anything of it has changed since */
    public function takeBack(Import $import): void;
}
