<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription\Outside;

use PruningHook\Core\Calendar\DayState;
use PruningHook\Core\Reason;

/** What follows from cutting on a day, and whether it is a cost or a reason not to cut at all. */
final readonly class Consequence
{
    private function __construct(
        public DayState $state,
        public Reason $reason,
    ) {
    }

    public static function cost(Reason $reason): self
    {
        return new self(DayState::AtACost, $reason);
    }

    public static function closed(Reason $reason): self
    {
        return new self(DayState::Closed, $reason);
    }
}
