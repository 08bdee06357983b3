<?php

declare(strict_types=1);

namespace App\Gardens\Plants;

use App\Ground\Bridge\CorePlants;
use App\Ground\Models\Plant;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Drawing\SideBySide;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Prescription\Prescriber;
use PruningHook\Core\Prescription\Task;
use PruningHook\Core\Regrowth\Courses;

/** Grows a plant on from what is known of it: left alone, with its task, cut hard, and as each school does it. */
final readonly class CoursesScreen
{
    public function __construct(
        private PlantBook $book,
        private CorePlants $bridge,
        private Likenesses $likenesses,
        private JudgedStems $judged,
    ) {
    }

    public function show(Plant $plant, string $taskKey, string $at, Day $today): CoursesPage
    {
        $kind = $this->book->kind($plant->kind);
        $core = $this->bridge->plant($plant, $today);
        $years = $this->bridge->years($plant->garden);
        $year = $years->season(SiteYear::seasonOn($years->site, $today));
        $tasks = Likenesses::drawable(Prescriber::with($this->book)
            ->prescribe($core, $year, $this->bridge->practice($plant->garden))->tasks);
        $task = array_column($tasks, null, 'key')[$taskKey] ?? $tasks[0] ?? null;
        $likeness = $this->likenesses->of($plant, $core, $year, $task);
        $courses = new Courses(
            $likeness->living, $kind, $this->book->figures, $this->likenesses->time($core, $year, $task),
        );
        $judged = fn (Plant $row): ?array => $this->judged->axes($row, $year->season, $likeness->living);
        $ways = $courses->for($task, $judged($plant));
        $under = $task === null ? [] : $this->schools($plant, $year, $task, $today);
        $schools = $courses->bySchool(
            array_map(static fn (array $school): Task => $school[1], $under),
            array_map(static fn (array $school): ?array => $judged($school[0]), $under),
        );
        $drawn = SideBySide::of([...$ways, ...$schools], $at);

        return new CoursesPage(
            $plant, $kind, $tasks, $task, $at, array_slice($drawn, 0, count($ways)),
            array_slice($drawn, count($ways)), $ways[0],
            $likeness->restsOn,
        );
    }

    /**
     * The plant and its task under each answer of the first school it depends on; empty where practitioners agree.
     *
     * @return array<string, array{Plant, Task}> by the school in words
     */
    private function schools(Plant $row, SiteYear $year, Task $task, Day $today): array
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
                ->prescribe($this->bridge->plant($other, $today), $year, $this->bridge->practice($row->garden))
                ->task($task->key);
            if ($under !== null) {
                $tasks[$words] = [$other, $under];
            }
        }

        return count($tasks) < 2 ? [] : $tasks;
    }
}
