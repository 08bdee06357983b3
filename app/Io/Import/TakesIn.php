<?php

declare(strict_types=1);

namespace App\Io\Import;

use App\Ground\Models\User;
use Illuminate\Validation\ValidationException;
use PruningHook\Core\Fault;

/** What of the firm can be taken in from a file: read line by line first, and kept once that is accepted. */
interface TakesIn
{
    /**
     * @return iterable<int, array<string, string>> its lines as cells by column, by their number
     *
     * @throws Fault for a file that holds nothing of the kind
     */
    public function lines(string $path): iterable;

    /** @param  array<string, string>  $row */
    public function read(array $row): TakenRow;

    /**
     * Within the transaction of one piece of the file.
     *
     * @param  list<AcceptedRow>  $rows  all new, or all changed
     *
     * @throws ValidationException where something happened since they were read that forbids it
     */
    public function keep(array $rows, ?User $by): void;
}
