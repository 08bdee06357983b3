<?php

declare(strict_types=1);

namespace App\Gardens\Plants;

use App\Ground\Models\Plant;
use App\Ground\Support\Page;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\Prescription\Task;

/** A plant drawn as it is and as a task leaves it. */
final readonly class DrawingPage extends Page
{
    /**
     * @param  Plant  $looked  with the measures that are tried out
     * @param  list<Task>  $tasks
     */
    public function __construct(
        public Plant $plant,
        public Plant $looked,
        public Kind $kind,
        public ?Task $task,
        public array $tasks,
        public ?Drawn $drawn,
    ) {
    }
}
