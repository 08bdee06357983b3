<?php

declare(strict_types=1);

namespace PruningHook\Core\Effort;

use PruningHook\Core\Reason;

/** Whole minutes for one gardener, and why. */
final readonly class Effort
{
    private function __construct(
        public int $minutes,
        public Reason $reason,
    ) {
    }

    public static function of(int $minutes, Reason $reason): self
    {
        return new self($minutes, $reason);
    }
}
