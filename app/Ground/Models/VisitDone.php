<?php

declare(strict_types=1);

namespace App\Ground\Models;

/** The last task of a visit has its log. */
final readonly class VisitDone
{
    public function __construct(public int $visit)
    {
    }
}
