<?php

declare(strict_types=1);

namespace PruningHook\Core\Weather;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Reason;

/** Work that the forecast holds today, and the first day on which it lets it go on, where it reaches that far. */
final readonly class Hold
{
    public function __construct(
        public Reason $reason,
        public ?Day $next,
    ) {
    }
}
