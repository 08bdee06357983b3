<?php

declare(strict_types=1);

namespace App\Plants;

use App\Models\Plant;
use App\Support\Page;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\Prescription\Task;
use PruningHook\Core\Regrowth\Course;

/** A plant drawn as it is and as a task leaves it, with what else could be done. */
final readonly class DrawingPage extends Page
{
    /**
     * @param  Plant  $looked  with the measures that are tried out
     * @param  list<Task>  $tasks
     * @param  list<Course>  $schools  the same task as each school does it
     * @param  list<Course>  $courses
     * @param  int  $tallest  of all courses, in mm, to draw them to one scale
     */
    public function __construct(
        public Plant $plant,
        public Plant $looked,
        public Kind $kind,
        public ?Task $task,
        public array $tasks,
        public ?Drawn $drawn,
        public array $schools,
        public array $courses,
        public int $tallest,
    ) {
    }
}
