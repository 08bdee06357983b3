<?php

declare(strict_types=1);

namespace App\Gardens\Plants;

use App\Ground\Models\Plant;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Plant\Plant as CorePlant;
use PruningHook\Core\Prescription\Task;

/** A plant that is to be drawn for a task of its season. */
final readonly class PictureCase
{
    /**
     * @param  CorePlant  $before  as it was before any of the season's work
     * @param  CorePlant  $now  as it is
     * @param  list<Task>  $tasks  all of its season
     */
    public function __construct(
        public Plant $row,
        public CorePlant $before,
        public CorePlant $now,
        public SiteYear $year,
        public Task $task,
        public array $tasks,
    ) {
    }
}
