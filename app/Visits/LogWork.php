<?php

declare(strict_types=1);

namespace App\Visits;

use App\Models\User;
use App\Models\VisitTask;
use App\Models\WorkLog;

/** Writes the record of one task. Logging again replaces what was said before. */
final readonly class LogWork
{
    /**
     * @param  array{outcome: string, why?: ?string, minutes?: ?int, removed_percent?: ?int, over_cap_reason?: ?string, amounts?: array<array-key, mixed>, findings?: list<string>, note?: ?string, left_for_next_year?: ?string}  $said
     */
    public function log(VisitTask $task, array $said, ?User $by): WorkLog
    {
        return WorkLog::query()->updateOrCreate(['visit_task_id' => $task->id], [
            'plant_id' => $task->plant_id,
            'task' => $task->task,
            'recipe' => $task->prescribed['recipe'] ?? null,
            'season' => $task->season,
            'on' => $task->visit->on,
            'outcome' => $said['outcome'],
            'why' => $said['why'] ?? null,
            'minutes' => $said['minutes'] ?? null,
            'removed_percent' => $said['removed_percent'] ?? null,
            'over_cap_reason' => $said['over_cap_reason'] ?? null,
            'amounts' => self::amounts($task, $said['amounts'] ?? []),
            'findings' => $said['findings'] ?? [],
            'note' => $said['note'] ?? null,
            'left_for_next_year' => $said['left_for_next_year'] ?? null,
            'logged_by' => $by?->id,
        ]);
    }

    /**
     * Amounts come by their place in the prescription; those left empty were not measured.
     *
     * @param  array<array-key, mixed>  $said
     * @return list<array{what: string, unit: string, value: int}>
     */
    private static function amounts(VisitTask $task, array $said): array
    {
        $amounts = [];
        foreach ($task->prescribed['amounts'] as $index => $amount) {
            $value = $said[$index] ?? null;
            if (is_numeric($value)) {
                $amounts[] = ['what' => $amount['what'], 'unit' => $amount['unit'], 'value' => (int) $value];
            }
        }

        return $amounts;
    }
}
