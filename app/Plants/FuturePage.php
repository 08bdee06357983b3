<?php

declare(strict_types=1);

namespace App\Plants;

use App\Models\Plant;
use App\Support\Page;
use PruningHook\Core\Drawing\Portrait;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\Prescription\Task;
use PruningHook\Core\Regrowth\Stage;

/** A plant grown on for three years: left alone, and with a task done each year, side by side. */
final readonly class FuturePage extends Page
{
    /**
     * @param  list<Task>  $tasks  that can be looked at
     * @param  string  $at  the moment that is shown
     * @param  list<array{name: string, portrait: Portrait, stage: Stage, minutes: int, flowers: string}>  $courses
     *     `flowers` against those it would bear left alone, in words
     */
    public function __construct(
        public Plant $plant,
        public Kind $kind,
        public array $tasks,
        public ?Task $task,
        public string $at,
        public array $courses,
        public string $restsOn,
    ) {
    }
}
