<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription\Outside;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\TaskRule;

/** One thing that can be wrong with cutting on a day outside every window. */
interface OutsideRule
{
    /**
     * @param  KindYear  $year  the season the day falls in
     * @param  KindYear  $next  the season after it
     * @param  list<TaskRule>  $tasks  the plant's tasks
     * @return ?Consequence null where the rule has nothing to say of the day
     */
    public function judge(Day $day, Kind $kind, KindYear $year, KindYear $next, array $tasks): ?Consequence;
}
