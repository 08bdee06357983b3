<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\DayState;
use PruningHook\Core\Reason;

/** What cutting on one day means for one plant. */
final readonly class CutVerdict
{
    /**
     * @param  list<Task>  $tasks  the tasks whose windows hold the day
     * @param  list<Reason>  $reasons
     * @param  ?Task  $next  the task to come instead, where none holds the day
     */
    public function __construct(
        public Day $day,
        public DayState $state,
        public array $tasks,
        public array $reasons,
        public ?Task $next,
    ) {
    }
}
