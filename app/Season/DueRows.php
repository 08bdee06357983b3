<?php

declare(strict_types=1);

namespace App\Season;

use App\Bridge\CorePlants;
use App\Models\Plant;
use App\Models\Visit;
use App\Models\VisitTask;
use App\Weather\Outlook;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Planning\Agenda;
use PruningHook\Core\Planning\DueTask;
use PruningHook\Core\Planning\PlantYear;
use PruningHook\Core\Planning\Urgency;
use PruningHook\Core\PlantBook\PlantBook;

/** What plants are due for, joined with what is already planned. */
final readonly class DueRows
{
    public function __construct(
        private PlantBook $book,
        private CorePlants $bridge,
        private Outlook $outlook,
    ) {
    }

    /**
     * What is due for the plants round about today, or between two days where they are given; by closing.
     *
     * @param  iterable<Plant>  $plants  with garden, workLogs and visitTasks.visit loaded
     * @return list<DueRow>
     */
    public function for(iterable $plants, Day $today, ?Day $from = null, ?Day $to = null): array
    {
        $agenda = Agenda::with($this->book);
        $rows = [];
        foreach ($plants as $plant) {
            $core = $this->bridge->plant($plant);
            $years = $this->bridge->years($plant->garden);
            $practice = $this->bridge->practice($plant->garden);
            $rows = [...$rows, ...$this->rows($plant, $from === null || $to === null
                ? $agenda->around($core, $years, $practice, $today)
                : $agenda->between($core, $years, $practice, $today, $from, $to), $today)];
        }

        return self::byClosing($rows);
    }

    /**
     * The same of plants whose time is already gathered, over at least the days round about today.
     *
     * @param  iterable<Plant>  $plants
     * @param  array<int, PlantYear>  $years  by plant
     * @return list<DueRow>
     */
    public function among(iterable $plants, array $years, Day $today): array
    {
        $rows = [];
        foreach ($plants as $plant) {
            foreach ($this->rows($plant, $years[$plant->id]->around(), $today) as $row) {
                $rows[] = $row;
            }
        }

        return self::byClosing($rows);
    }

    /**
     * @param  list<DueTask>  $due
     * @return list<DueRow>
     */
    private function rows(Plant $plant, array $due, Day $today): array
    {
        return array_map(fn (DueTask $task): DueRow => new DueRow(
            $plant,
            $task,
            self::planned($plant, $task->task->key, $task->task->season, $today),
            in_array($task->urgency, [Urgency::Open, Urgency::Closing], true) ? $this->outlook->holdAt($plant->garden, $today) : null,
        ), $due);
    }

    /**
     * @param  list<DueRow>  $rows
     * @return list<DueRow>
     */
    private static function byClosing(array $rows): array
    {
        usort($rows, static fn (DueRow $a, DueRow $b): int => $a->due->task->window->closes->number <=> $b->due->task->window->closes->number);

        return $rows;
    }

    /** The visit a task is planned for and not yet logged on; one whose day has passed no longer counts. */
    private static function planned(Plant $plant, string $task, int $season, Day $today): ?Visit
    {
        $planned = $plant->visitTasks->first(static fn (VisitTask $row): bool => $row->task === $task
            && $row->season === $season
            && ! CorePlants::day($row->visit->on)->isBefore($today)
            && ! $plant->workLogs->contains('visit_task_id', $row->id));

        return $planned?->visit;
    }
}
