<?php

declare(strict_types=1);

namespace App\Season;

use App\Ground\Models\Plant;
use App\Ground\Models\Visit;
use PruningHook\Core\Planning\DueTask;
use PruningHook\Core\Weather\Hold;

/** A due task with its plant, and the visit it is already planned for. */
final readonly class DueRow
{
    public function __construct(
        public Plant $plant,
        public DueTask $due,
        public ?Visit $visit,
        /** what the forecast holds the work for today, where its window is open */
        public ?Hold $hold,
    ) {
    }

    public function choice(): TaskChoice
    {
        return new TaskChoice($this->plant->id, $this->due->task->key, $this->due->task->season);
    }
}
