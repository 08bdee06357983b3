<?php

declare(strict_types=1);

namespace App\Exercise;

/** The branch in hand on the bench. */
final readonly class Hand
{
    public function __construct(public int $axis, public int $buds, public int $laterals, public string $says)
    {
    }
}
