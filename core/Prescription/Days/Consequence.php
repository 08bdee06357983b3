<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription\Days;

use PruningHook\Core\Calendar\DayState;
use PruningHook\Core\Reason;

/** What follows from cutting on a day: something to mind, a cost, or a reason not to cut at all. */
final readonly class Consequence
{
    private function __construct(
        /** the best the day can still be */
        public DayState $state,
        public Reason $reason,
    ) {
    }

    /** Something to be minded, which makes the day no worse. */
    public static function mind(Reason $reason): self
    {
        return new self(DayState::Best, $reason);
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
