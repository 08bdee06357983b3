<?php

declare(strict_types=1);

namespace App\Plants;

use App\Bridge\CorePlants;
use App\Models\Plant;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Drawing\Elevation;
use PruningHook\Core\Drawing\VineArm;
use PruningHook\Core\Drawing\Wall;
use PruningHook\Core\Plant\Plant as CorePlant;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Practice\Practice;
use PruningHook\Core\Prescription\Prescriber;
use PruningHook\Core\Prescription\Task;
use PruningHook\Core\Regrowth\Course;
use PruningHook\Core\Regrowth\Courses;

/**
 * A plant drawn for its next task: from the side, on its wires, or a vine's arm; and what other measures would make of
 * it.
 */
final readonly class PlantDrawing
{
    public function __construct(
        private PlantBook $book,
        private CorePlants $bridge,
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
        $drawn = $task === null ? null : $this->drawn($core, $kind, $task, $tasks);

        $schools = $task === null
            ? []
            : $this->schools($looked, $years->season($season), $this->bridge->practice($plant->garden), $task, $today);
        $courses = $task === null ? [] : Courses::with($this->book)->of($core, $task);

        return new DrawingPage(
            plant: $plant,
            looked: $looked,
            kind: $kind,
            task: $task,
            tasks: $tasks,
            drawn: $drawn,
            schools: $schools,
            courses: $courses,
            tallest: max([
                1,
                ...array_map(
                    static fn (Course $course): int => max($course->heightAtEndMm, $course->floweringHeightMm ?? 0),
                    [...$courses, ...$schools],
                ),
            ]),
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
        $prescription = Prescriber::with($this->book)->prescribe(
            $core, $years->season(SiteYear::seasonOn($years->site, $today)), $this->bridge->practice($plant->garden),
        );
        $task = $prescription->task($taskKey);

        return $task === null
            ? null
            : $this->drawn($core, $this->book->kind($plant->kind), $task, $prescription->tasks);
    }

    /** @param  list<Task>  $tasks */
    private function drawn(CorePlant $core, Kind $kind, Task $task, array $tasks): Drawn
    {
        return new Drawn(
            Elevation::of($core, $kind, $task),
            Wall::isOn($core, $kind) ? Wall::of($core, $kind, $task, $this->book->figures) : null,
            VineArm::isFor($task)
                ? VineArm::of($this->pass($tasks, 'rough-pass') ?? $task, $this->pass($tasks, 'final-pass') ?? $task)
                : null,
        );
    }

    /**
     * The task under each answer of the first school it depends on, as courses; empty where practitioners agree.
     *
     * @return list<Course>
     */
    private function schools(Plant $row, SiteYear $year, Practice $practice, Task $task, Day $today): array
    {
        $question = ($task->schools[0] ?? null)?->question;
        if ($question === null) {
            return [];
        }
        $tasks = [];
        foreach ($question->options as $option => $words) {
            $other = clone $row;
            $other->practice = [...$row->practice, $question->key => $option];
            $under = Prescriber::with($this->book)
                ->prescribe($this->bridge->plant($other, $today), $year, $practice)
                ->task($task->key);
            if ($under !== null) {
                $tasks[$words] = $under;
            }
        }

        return count($tasks) < 2
            ? []
            : Courses::with($this->book)->bySchool($this->bridge->plant($row, $today), $tasks);
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

    /** @param  list<Task>  $tasks */
    private function pass(array $tasks, string $key): ?Task
    {
        foreach ($tasks as $task) {
            if ($task->key === $key) {
                return $task;
            }
        }

        return null;
    }
}
