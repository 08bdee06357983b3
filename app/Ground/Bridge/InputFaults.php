<?php

declare(strict_types=1);

namespace App\Ground\Bridge;

use RuntimeException;

/** Everything that is wrong with an input, found in one reading. */
final class InputFaults extends RuntimeException
{
    /** @param  list<string>  $faults one line each, beginning with the JSON path */
    public function __construct(public readonly array $faults)
    {
        parent::__construct(implode("\n", $faults));
    }
}
