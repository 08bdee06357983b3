<?php

declare(strict_types=1);

namespace App\Gardens\Plants;

use App\Ground\Models\Plant;
use App\Ground\Support\Page;
use PruningHook\Core\Drawing\Portrait;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\Prescription\Task;
use PruningHook\Core\Regrowth\Course;

/** What could be done with a plant, each way grown on for three years and shown at one moment, side by side. */
final readonly class CoursesPage extends Page
{
    /**
     * @param  list<Task>  $tasks  that can be looked at
     * @param  string  $at  the moment that is shown
     * @param  list<array{Course, Portrait}>  $courses
     * @param  list<array{Course, Portrait}>  $schools  the task as each school does it
     * @param  Course  $left  what the others are measured against
     */
    public function __construct(
        public Plant $plant,
        public Kind $kind,
        public array $tasks,
        public ?Task $task,
        public string $at,
        public array $courses,
        public array $schools,
        public Course $left,
        public string $restsOn,
    ) {
    }
}
