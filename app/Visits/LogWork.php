<?php

declare(strict_types=1);

namespace App\Visits;

use App\Models\User;
use App\Models\VisitTask;
use App\Models\WorkLog;
use App\Stems\LoggedCuts;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Plant\Outcome;

/** Writes the record of one task. Logging again replaces what was said before. */
final readonly class LogWork
{
    /**
     * @param  array{outcome: string, why?: ?string, minutes?: ?int, removed_percent?: ?int, over_cap_reason?: ?string,
     *     amounts?: array<array-key, mixed>, findings?: list<string>, note?: ?string,
     *     left_for_next_year?: ?string}  $said
     */
    public function log(VisitTask $task, array $said, ?User $by): WorkLog
    {
        return DB::transaction(static function () use ($task, $said, $by): WorkLog {
            $log = WorkLog::query()->updateOrCreate(['visit_task_id' => $task->id], self::line($task, $said, $by));
            LoggedCuts::mark($task, $log, $by);

            return $log;
        });
    }

    /** The record's line is taken back, and stems that went by it stand again. */
    public function takeBack(VisitTask $task, ?User $by): void
    {
        DB::transaction(static function () use ($task, $by): void {
            $task->log?->delete();
            LoggedCuts::mark($task, null, $by);
        });
    }

    /**
     * @param  array{outcome: string, why?: ?string, minutes?: ?int, removed_percent?: ?int, over_cap_reason?: ?string,
     *     amounts?: array<array-key, mixed>, findings?: list<string>, note?: ?string,
     *     left_for_next_year?: ?string}  $said
     * @return array<string, mixed>
     */
    private static function line(VisitTask $task, array $said, ?User $by): array
    {
        return [
            'plant_id' => $task->plant_id,
            'task' => $task->task,
            'recipe' => $task->prescribed->recipe,
            'season' => $task->season,
            'on' => $task->visit->on,
            'outcome' => $said['outcome'],
            'why' => $said['why'] ?? null,
            'minutes' => $said['minutes'] ?? null,
            'removed_percent' => $said['removed_percent'] ?? null,
            'over_cap_reason' => $said['over_cap_reason'] ?? null,
            'amounts' => LoggedCuts::counted(
                $task, Outcome::from($said['outcome']), self::amounts($task, $said['amounts'] ?? []),
            ),
            'findings' => $said['findings'] ?? [],
            'note' => $said['note'] ?? null,
            'left_for_next_year' => $said['left_for_next_year'] ?? null,
            'logged_by' => $by?->id,
        ];
    }

    /**
     * Amounts come by their place in the prescription; those left empty were not measured.
     *
     * @param  array<array-key, mixed>  $said
     * @return list<array{effect?: string, what: string, unit: string, value: int}>
     */
    private static function amounts(VisitTask $task, array $said): array
    {
        $amounts = [];
        foreach ($task->prescribed->amounts as $index => $amount) {
            $value = $said[$index] ?? null;
            if (is_numeric($value)) {
                $amounts[] = $amount->logged((int) $value);
            }
        }

        return $amounts;
    }
}
