<?php

declare(strict_types=1);

namespace App\Season;

use App\Ground\Bridge\CorePlants;
use App\Ground\Models\Plant;
use App\Ground\Models\VisitTask;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Planning\PlantYear;
use PruningHook\Core\PlantBook\PlantBook;

/** Gathers plants' years for drawing. */
final readonly class PlantYears
{
    public function __construct(
        private PlantBook $book,
        private CorePlants $bridge,
    ) {
    }

    /** @param  Plant  $plant with garden, workLogs and visitTasks.visit loaded */
    public function of(Plant $plant, Day $today, Span $span): PlantYear
    {
        return PlantYear::gather(
            $this->book,
            $this->bridge->plant($plant, $today),
            $this->bridge->years($plant->garden),
            $this->bridge->practice($plant->garden),
            $today,
            $span,
        )->visitedOn(array_values(
            $plant->visitTasks->map(static fn (VisitTask $task): Day => $task->visit->on)->unique('number')->all(),
        ));
    }
}
