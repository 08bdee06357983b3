<?php

declare(strict_types=1);

namespace App\Ground\Models;

/** Several versions of a kind changed in one transaction, without each saying so for itself. */
final readonly class OwnKindsChanged
{
    public function __construct(public string $kind)
    {
    }
}
