<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription\Days;

/** One thing that can speak against cutting on a day, or ask for care on it. */
interface DayRule
{
    /** @return ?Consequence null where the rule has nothing to say of the day */
    public function judge(DayCase $case): ?Consequence;
}
