<?php

declare(strict_types=1);

namespace App\Season;

use App\Ground\Bridge\CorePlants;
use App\Ground\Models\Plant;
use App\Ground\Models\Visit;
use App\Ground\Models\VisitTask;
use App\Season\Weather\Outlook;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Planning\Agenda;
use PruningHook\Core\Planning\DueTask;
use PruningHook\Core\PlantBook\PlantBook;

/** What one plant is due for, worked out as it is asked for and joined with what is planned. */
final readonly class DueRows
{
    public function __construct(
        private PlantBook $book,
        private CorePlants $bridge,
        private Outlook $outlook,
    ) {
    }

    /**
     * @param  Plant  $plant  with garden, workLogs and visitTasks.visit loaded
     * @return list<DueRow> by closing
     */
    public function of(Plant $plant, Day $today, Span $span): array
    {
        $due = Agenda::with($this->book)->between(
            $this->bridge->plant($plant, $today),
            $this->bridge->years($plant->garden),
            $this->bridge->practice($plant->garden),
            $today,
            $span->from,
            $span->to,
        );
        $rows = array_map(
            fn (DueTask $task): DueRow => new DueRow(
                $plant, $task, self::planned($plant, $task->task->key, $task->task->season, $today),
                $task->waitsForWeather()
                    ? $this->outlook->holdAt($plant->garden, $today)
                    : null,
            ),
            $due,
        );
        usort(
            $rows,
            static fn (DueRow $a, DueRow $b): int => $a->due->task->window->closes->number <=>
                $b->due->task->window->closes->number,
        );

        return $rows;
    }

    /** The visit a task is planned for and not yet logged on; one whose day has passed no longer counts. */
    private static function planned(Plant $plant, string $task, int $season, Day $today): ?Visit
    {
        $planned = $plant->visitTasks->first(static fn (VisitTask $row): bool => $row->task === $task
            && $row->season === $season
            && ! $row->visit->on->isBefore($today)
            && ! $plant->workLogs->contains('visit_task_id', $row->id));

        return $planned?->visit;
    }
}
