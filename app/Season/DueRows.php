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
        $holds = [];
        foreach ($plants as $plant) {
            $core = $this->bridge->plant($plant);
            $years = $this->bridge->years($plant->garden);
            $practice = $this->bridge->practice($plant->garden);
            $due = $from === null || $to === null
                ? $agenda->around($core, $years, $practice, $today)
                : $agenda->between($core, $years, $practice, $today, $from, $to);
            // One forecast serves a whole garden.
            $hold = array_key_exists($plant->garden_id, $holds) ? $holds[$plant->garden_id] : $holds[$plant->garden_id] = $this->outlook->hold($years->site, $today);
            foreach ($due as $task) {
                $isOpen = in_array($task->urgency, [Urgency::Open, Urgency::Closing], true);
                $rows[] = new DueRow($plant, $task, self::planned($plant, $task->task->key, $task->task->season, $today), $isOpen ? $hold : null);
            }
        }
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
