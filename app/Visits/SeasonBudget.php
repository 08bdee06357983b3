<?php

declare(strict_types=1);

namespace App\Visits;

use App\Bridge\CorePlants;
use App\Models\VisitTask;
use App\Models\WorkLog;
use PruningHook\Core\Amount\Budget;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\PlantBook\PlantBook;

/** How much of a plant may still go when a task of its season is done. */
final readonly class SeasonBudget
{
    public function __construct(
        private PlantBook $book,
        private CorePlants $bridge,
    ) {
    }

    /** As it stood before this task was logged; null where the plant book no longer knows the kind. */
    public function before(VisitTask $task): ?Budget
    {
        if (! $this->book->has($task->plant->kind)) {
            return null;
        }
        $plant = $task->plant->load(['workLogs', 'bloomNotes']);
        $plant->setRelation('workLogs', $plant->workLogs->reject(static fn (WorkLog $log): bool => $log->visit_task_id === $task->id)->values());
        $kind = $this->book->kind($plant->kind);
        $method = null;
        foreach ($kind->tasks as $rule) {
            $method = $rule->key === $task->task ? ($rule->methods[0]->value ?? null) : $method;
        }
        [$cap, $source] = $this->book->caps->for($kind, $method);
        /** @var list<LoggedWork> $history */
        $history = $this->bridge->plant($plant)->history;

        return Budget::of($cap, $source, $history, $task->season);
    }
}
