<?php

declare(strict_types=1);

namespace App\Formats;

use Generator;
use Illuminate\Database\Eloquent\Model;

/** What of the firm can be written to a file and taken in from one. */
interface Table
{
    /** @return list<string> the columns, in their order */
    public function columns(): array;

    /** @return list<string> columns that each file has */
    public function needed(): array;

    /** @return Generator<int, list<scalar|null>> its rows as cells, read in parts */
    public function cells(): Generator;

    /** @param  array<string, string>  $row */
    public function read(array $row): TakenRow;

    /** @return class-string<Model> */
    public function model(): string;
}
