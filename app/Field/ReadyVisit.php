<?php

declare(strict_types=1);

namespace App\Field;

use App\Ground\Models\Garden;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Planning\Job;

/** A visit that may be planned: its tasks are prescribed, its day is open or somebody says why not. */
final readonly class ReadyVisit
{
    /**
     * @param  list<Job>  $jobs  in the order of work
     * @param  ?string  $outside  why its day is outside the days the tasks share; null where it is not
     */
    public function __construct(
        public Garden $garden,
        public Day $on,
        public array $jobs,
        public ?string $outside,
        public Day $today,
    ) {
    }
}
