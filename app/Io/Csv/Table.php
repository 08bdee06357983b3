<?php

declare(strict_types=1);

namespace App\Io\Csv;

use App\Io\Import\TakesIn;
use Generator;

/** What of the firm can be written to a table and taken in from one. */
interface Table extends TakesIn
{
    /** @return list<string> the columns, in their order */
    public function columns(): array;

    /** @return Generator<int, list<scalar|null>> its rows as cells, read in parts */
    public function cells(): Generator;
}
