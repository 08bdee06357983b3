<?php

declare(strict_types=1);

namespace App\Io\Import;

/** What taking in a line of a file does. */
enum RowSort: string
{
    case New = 'new';
    case Changed = 'changed';
    case Same = 'same';
    case Wrong = 'wrong';
}
