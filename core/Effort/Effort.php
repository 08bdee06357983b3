<?php

declare(strict_types=1);

namespace PruningHook\Core\Effort;

use PruningHook\Core\Reason;
use PruningHook\Core\Working;

/** Whole minutes for one gardener, and why. */
final readonly class Effort
{
    public function __construct(
        public int $minutes,
        public Reason $reason,
        public Working $working,
    ) {
    }
}
