<?php

declare(strict_types=1);

namespace App\Field\Record;

use App\Ground\Bridge\CorePlants;
use App\Ground\Models\VisitTask;
use App\Ground\Models\WorkLog;
use PruningHook\Core\Amount\Budget;
use PruningHook\Core\PlantBook\PlantBook;

/** How much of a plant may still go when a task of its season is done. */
final readonly class SeasonBudget
{
    public function __construct(private PlantBook $book)
    {
    }

    /**
     * As it stood before this task was logged, by the cap the prescription was made with; null where neither it nor the
     * plant book knows one.
     */
    public function before(VisitTask $task): ?Budget
    {
        $plant = clone $task->plant->loadMissing(['workLogs', 'bloomNotes']);
        $plant->setRelation(
            'workLogs',
            $plant->workLogs->reject(static fn (WorkLog $log): bool => $log->visit_task_id === $task->id)->values(),
        );
        $cap = $this->cap($task);

        return $cap === null
            ? null
            : Budget::of($cap[0], $cap[1], CorePlants::history($plant), $task->season);
    }

    /** @return ?array{int, string} per cent and source */
    private function cap(VisitTask $task): ?array
    {
        if ($task->prescribed->cap !== null) {
            return $task->prescribed->cap;
        }

        // Planned before prescriptions said their cap: any cut at all of such a kind.
        return $this->book->has($task->plant->kind)
            ? $this->book->caps->for($this->book->kind($task->plant->kind), null)
            : null;
    }
}
