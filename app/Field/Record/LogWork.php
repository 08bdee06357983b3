<?php

declare(strict_types=1);

namespace App\Field\Record;

use App\Gardens\Stems\LoggedCuts;
use App\Ground\Models\Entry;
use App\Ground\Models\EntryKind;
use App\Ground\Models\User;
use App\Ground\Models\VisitTask;
use App\Ground\Models\WorkLog;
use App\Ground\Support\Today;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PruningHook\Core\Plant\Outcome;

/**
 * Writes the record of one task: a word is added to those of before, and the record's line is what stands of them all.
 *
 * @phpstan-import-type Said from LogRules
 */
final readonly class LogWork
{
    /**
     * Said at the desk, or by whoever sees what stands: it takes the place of all of it.
     *
     * @param  Said  $said
     */
    public function log(VisitTask $task, array $said, ?User $by): WorkLog
    {
        return DB::transaction(static function () use ($task, $said, $by): WorkLog {
            $before = array_column(SettledEntries::of($task->entries()->get()), 'uuid');
            $said['on'] ??= (string) Today::day();
            self::write($task, EntryKind::Log, $before, $said, $by);

            return self::settle($task, $by) ?? throw new \LogicException('what was just said stands');
        });
    }

    /** What was said last is taken back: what stood before it stands again. */
    public function takeBack(VisitTask $task, ?User $by): void
    {
        DB::transaction(static function () use ($task, $by): void {
            $standing = SettledEntries::of($task->entries()->get());
            $last = end($standing);
            if ($last !== false) {
                self::write($task, EntryKind::Withdraw, [$last->uuid], [], $by);
            }
            self::settle($task, $by);
        });
    }

    /** The record's line as the words stand now. */
    public static function settle(VisitTask $task, ?User $by): ?WorkLog
    {
        $standing = SettledEntries::of($task->entries()->get());
        $log = null;
        if ($standing === []) {
            $task->log()->first()?->delete();
        } else {
            $said = SettledEntries::together($standing);
            $log = WorkLog::query()->updateOrCreate(
                ['visit_task_id' => $task->id], self::line($task, $said, end($standing)->said_by),
            );
        }
        LoggedCuts::mark($task, $log, $by);

        return $log;
    }

    /**
     * @param  list<string>  $corrects
     * @param  array<string, mixed>  $body
     */
    private static function write(VisitTask $task, EntryKind $kind, array $corrects, array $body, ?User $by): void
    {
        Entry::query()->create([
            'uuid' => (string) Str::uuid(), 'kind' => $kind, 'visit_id' => $task->visit_id,
            'visit_task_id' => $task->id,
            'corrects' => $corrects, 'body' => $body, 'said_by' => $by?->id, 'said_at' => Carbon::now(),
        ]);
    }

    /**
     * @param  Said  $said
     * @return array<string, mixed>
     */
    private static function line(VisitTask $task, array $said, ?int $by): array
    {
        // As it was said; what nobody spoke of is silent.
        $silent = array_fill_keys([
            'why', 'told', 'minutes', 'removed_percent', 'over_cap_reason', 'blades', 'note', 'left_for_next_year',
            'left_stem',
        ], null);

        return [
            ...$silent,
            ...array_intersect_key($said, $silent),
            'plant_id' => $task->plant_id,
            'task' => $task->task,
            'recipe' => $task->prescribed->recipe,
            'season' => $task->season,
            // Words of before that was asked are of the day of the visit.
            'on' => $said['on'] ?? $task->visit->on,
            'outcome' => $said['outcome'],
            'amounts' => LoggedCuts::counted($task, Outcome::from($said['outcome']), $said['amounts'] ?? []),
            'findings' => $said['findings'] ?? [],
            'logged_by' => $by,
        ];
    }
}
