<?php

declare(strict_types=1);

namespace App\Gardens\Plants;

use App\Ground\Bridge\CorePlants;
use App\Ground\Models\Plant;
use App\Ground\Support\KeptPictures;
use App\Ground\Support\Say;
use Illuminate\Contracts\View\Factory;
use Illuminate\Support\HtmlString;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Plant\Plant as CorePlant;
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
        private Likenesses $likenesses,
        private JudgedStems $judged,
        private KeptPictures $kept,
        private Factory $views,
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
            $task === null
                ? null
                : $this->drawings->asItStands(new PictureCase(
                    $plant, $this->before($looked, $core, $tasks), $core, $years->season($season), $task, $tasks,
                )),
        );
    }

    /**
     * The picture for one task of a plant, without what else could be done: one that is kept where nothing has changed
     * since it was drawn. Null where the plant has no such task this season.
     */
    public function ofTask(Plant $plant, string $taskKey, string $name, Day $today): ?HtmlString
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
        if ($task === null) {
            return null;
        }
        $before = $this->before($plant, $core, $prescription->tasks);

        return $this->kept->show(
            "plant $plant->id, $taskKey",
            [
                $before, $core, $this->book->mark, $this->book->kind($plant->kind), $year->season,
                array_map(static fn (Task $each): array => $each->facts(), $prescription->tasks), $task->key,
                $this->likenesses->time($core, $year, $task),
                $this->likenesses->surveyed($plant, $year->season), $this->judged->of($plant, $year->season),
                Say::units(), $name,
            ],
            fn (): string => $this->views->make('components.drawn', [
                'drawn' => $this->drawings->ofTask(
                    new PictureCase($plant, $before, $core, $year, $task, $prescription->tasks),
                ),
                'name' => $name,
            ])->render(),
        );
    }

    /**
     * As it was before anything of its season was done. Where it was measured since, nobody
     * knows how tall it stood.
     *
     * @param  list<Task>  $tasks  of its season
     */
    private function before(Plant $plant, CorePlant $core, array $tasks): CorePlant
    {
        $first = Drawings::done($core, $tasks)[0] ?? null;
        $on = $first === null ? null : $core->logged($first->key, $first->season)?->on;
        if ($on === null) {
            return $core;
        }
        $measured = $plant->height_on?->isBefore($on) ?? true;

        return $this->bridge->plant(
            $measured ? $plant : (clone $plant)->forceFill(['height_mm' => null, 'height_on' => null]), $on->minus(1),
        );
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
