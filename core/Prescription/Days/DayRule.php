<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription\Days;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\PlantBook\Figures;

/** One thing that can speak against cutting on a day, or ask for care on it. */
interface DayRule
{
    /** @return ?Consequence null where the rule has nothing to say of the day */
    public function judge(DayCase $case): ?Consequence;

    /**
     * The days of a season on which its answer may change: between two of them, window edges aside, it stays the same.
     * A year is told by these few days in place of all 365.
     *
     * @return list<Day>
     */
    public function turns(SeasonCase $season, Figures $figures): array;
}
