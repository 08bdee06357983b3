<?php

declare(strict_types=1);

namespace App\Plants;

use App\Bridge\CorePlants;
use App\Models\Plant;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Prescription\Prescriber;
use PruningHook\Core\Prescription\Task;

/** A plant drawn for its next task, and what other measures would make of it. */
final readonly class PlantDrawing
{
    public function __construct(
        private PlantBook $book,
        private CorePlants $bridge,
        private Drawings $drawings,
    ) {
    }

    /**
     * @param  array<string, int|null>  $measures `height_mm`, `flowering_height_mm`, `stems_old`, `stems_young` to look
     *     at instead of the plant's own
     */
    public function show(Plant $plant, ?string $taskKey, Day $today, array $measures = []): DrawingPage
    {
        // What is looked at is taken as it is given, and not carried on from an earlier day.
        $given = [
            ...array_key_exists('height_mm', $measures) ? ['height_on' => null] : [],
            ...array_key_exists('stems_old', $measures) || array_key_exists('stems_young', $measures)
                ? ['stems_on' => null]
                : [],
        ];
        $looked = $plant
            ->replicate()
            ->setRelations($plant->getRelations())
            ->forceFill(['id' => $plant->id, ...$measures, ...$given]);
        $core = $this->bridge->plant($looked, $today);
        $kind = $this->book->kind($plant->kind);
        $years = $this->bridge->years($plant->garden);
        $season = SiteYear::seasonOn($years->site, $today);
        $tasks = Prescriber::with($this->book)->prescribe(
            $core, $years->season($season), $this->bridge->practice($plant->garden),
        )->tasks;
        $task = $this->task($tasks, $taskKey, $today);

        return new DrawingPage(
            $plant, $looked, $kind, $task, $tasks,
            $task === null ? null : $this->drawings->ofTask($plant, $core, $years->season($season), $task, $tasks),
        );
    }

    /** One task of a plant, without what else could be done; null where the plant has no such task this season. */
    public function ofTask(Plant $plant, string $taskKey, Day $today): ?Drawn
    {
        if (! $this->book->has($plant->kind)) {
            return null;
        }
        $core = $this->bridge->plant($plant, $today);
        $years = $this->bridge->years($plant->garden);
        $year = $years->season(SiteYear::seasonOn($years->site, $today));
        $prescription = Prescriber::with($this->book)
            ->prescribe($core, $year, $this->bridge->practice($plant->garden));
        $task = $prescription->task($taskKey);

        return $task === null
            ? null
            : $this->drawings->ofTask($plant, $core, $year, $task, $prescription->tasks);
    }

    /**
     * The task asked for, or the first that is not over, or the first of all.
     *
     * @param  list<Task>  $tasks
     */
    private function task(array $tasks, ?string $key, Day $today): ?Task
    {
        foreach ($tasks as $task) {
            if ($task->key === $key) {
                return $task;
            }
        }
        foreach ($tasks as $task) {
            if (! $task->window->closes->isBefore($today)) {
                return $task;
            }
        }

        return $tasks[0] ?? null;
    }
}
