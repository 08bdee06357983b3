<?php

declare(strict_types=1);

namespace App\Planning;

use App\Field\PlanVisit;
use App\Ground\Models\DraftStatus;
use App\Ground\Models\Garden;
use App\Ground\Models\PlanDraft;
use App\Ground\Models\User;
use App\Ground\Models\Visit;
use App\Ground\Models\VisitChanged;
use App\Ground\Models\VisitTask;
use App\Ground\Models\WebhookEvent;
use App\Ground\Support\Say;
use App\Season\TaskChoice;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection as BaseCollection;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Planning\Job;
use stdClass;

/**
 * Carries out changes of a draft, all or some, in one transaction; and takes them back. What is prescribed is worked
 * out before it, so that nobody else is kept from writing meanwhile. Of two people who accept at once one wins; the
 * other is told what has changed.
 *
 * @phpstan-import-type Step from PlanDraft
 * @phpstan-import-type Before from PlanDraft
 */
final readonly class AcceptDraft
{
    private const TOLD = 6;

    /** Times it is worked out anew where gardens change meanwhile. */
    private const TRIES = 4;

    public function __construct(private PlanVisit $plans)
    {
    }

    /**
     * @param  list<int>  $chosen  places of the changes
     * @return array<int, Step> the changes themselves
     *
     * @throws ValidationException where the plan has changed since, or nothing is chosen
     */
    public static function chosen(PlanDraft $draft, array $chosen): array
    {
        $changes = array_intersect_key($draft->result['changes'] ?? [], array_flip($chosen));
        if ($changes === []) {
            throw ValidationException::withMessages(['changes' => 'Choose at least one change.']);
        }
        if ((int) DB::table('firms')->value('plan_revision') !== $draft->revision) {
            throw ValidationException::withMessages(['changes' => self::since($draft)]);
        }

        return $changes;
    }

    /**
     * @param  list<int>  $chosen  places of the changes
     * @param  ?callable(float): mixed  $progress  told how much of it is worked out, 0 to 1
     * @return int how many
     *
     * @throws ValidationException where the plan has changed since, or nothing is chosen
     */
    public function accept(PlanDraft $draft, array $chosen, ?User $by, Day $today, ?callable $progress = null): int
    {
        $changes = self::chosen($draft, $chosen);
        $gardens = array_values(array_unique(array_column($changes, 'garden')));
        $jobs = [];
        for ($try = 1; $try <= self::TRIES; $try++) {
            foreach ($gardens as $done => $garden) {
                $jobs[$garden] = $this->prepared($garden, self::of($changes, $garden), $today, $jobs[$garden] ?? null);
                $progress === null || $progress(($done + 1) / count($gardens));
            }
            $count = $this->carryOut($draft, $changes, $jobs, $by, $today);
            if ($count !== null) {
                return $count;
            }
        }

        throw ValidationException::withMessages([
            'changes' => 'Its gardens are being changed as fast as they are worked out. Nothing was changed; accept it '
                .'again in a moment.',
        ]);
    }

    /**
     * @param  array<int, Step>  $changes
     * @param  array<int, array{int, array<string, Job>}>  $jobs  by garden, with the revision they were worked out at
     * @return ?int how many; null where a garden has changed since its jobs were worked out
     */
    private function carryOut(PlanDraft $draft, array $changes, array $jobs, ?User $by, Day $today): ?int
    {
        return DB::transaction(function () use ($draft, $changes, $jobs, $by, $today): ?int {
            // The first statement writes: whoever comes second waits here and then finds another revision.
            $ours = DB::table('firms')
                ->where('plan_revision', $draft->revision)
                ->update(['plan_revision' => DB::raw('plan_revision + 1')]);
            $status = $draft->fresh()?->status;
            if ($ours === 0 || ! in_array($status, [DraftStatus::Ready, DraftStatus::Accepting], true)) {
                throw ValidationException::withMessages(['changes' => self::since($draft)]);
            }
            $now = DB::table('gardens')->whereIn('id', array_keys($jobs))->pluck('revision', 'id');
            foreach ($jobs as $garden => [$revision]) {
                if ((int) ($now[$garden] ?? -1) !== $revision) {
                    DB::table('firms')->decrement('plan_revision');

                    return null;
                }
            }
            $before = self::before(array_keys($jobs), $today, self::dropped($changes));
            foreach ($jobs as $garden => [, $its]) {
                self::inGarden($garden, self::of($changes, $garden), $its, $by, $today);
            }
            $before['revision'] = (int) DB::table('firms')->value('plan_revision');
            $draft->update(['status' => DraftStatus::Accepted, 'says' => null, 'before' => $before]);

            return count($changes);
        });
    }

    /** Refused by a `ValidationException` where the plan has changed since. */
    public function takeBack(PlanDraft $draft, Day $today): void
    {
        DB::transaction(function () use ($draft, $today): void {
            $before = $draft->before;
            $ours = $before === null ? 0 : DB::table('firms')
                ->where('plan_revision', $before['revision'])
                ->update(['plan_revision' => DB::raw('plan_revision + 1')]);
            if ($before === null || $ours === 0 || $draft->fresh()?->status !== DraftStatus::Accepted) {
                throw ValidationException::withMessages(['changes' => self::since($draft)]);
            }
            $now = self::visits($before['gardens'], $today);
            if ($now->contains(static fn (Visit $visit): bool => $visit->isTouched()
                && ! in_array($visit->id, array_column($before['visits'], 'id'), true))) {
                throw ValidationException::withMessages([
                    'changes' => 'Work is logged on one of its visits. Take that log back first.',
                ]);
            }
            $this->restore($before, $now);
            $draft->update(['status' => DraftStatus::TakenBack]);
        });
    }

    /**
     * What a garden's new tasks are, in full, and the revision they were worked out at.
     *
     * @param  list<Step>  $changes  of the garden
     * @param  ?array{int, array<string, Job>}  $before  from an earlier try
     * @return array{int, array<string, Job>}
     */
    private function prepared(int $garden, array $changes, Day $today, ?array $before): array
    {
        $row = Garden::query()->findOrFail($garden);
        if ($before !== null && $before[0] === $row->revision) {
            return $before;
        }
        $standing = self::standing($garden, $today);
        $new = array_values(array_filter(
            array_merge(...array_column($changes, 'tasks')), static fn (string $ref): bool => ! $standing->has($ref),
        ));
        $jobs = [];
        foreach ($this->plans->jobs($row, array_map(TaskChoice::parse(...), $new), $today) as $job) {
            $jobs["$job->plant:{$job->task->key}:{$job->task->season}"] = $job;
        }

        return [$row->revision, $jobs];
    }

    /**
     * Tasks on the garden's visits to come. What was logged stays with its log: done or not, it was that day's.
     *
     * @return BaseCollection<string, VisitTask> by ref
     */
    private static function standing(int $garden, Day $today): BaseCollection
    {
        return self::visits([$garden], $today)->toBase()
            ->flatMap(static fn (Visit $visit): array => $visit->tasks->all())
            ->filter(static fn (VisitTask $task): bool => $task->log === null)
            ->keyBy(FirmBrief::ref(...));
    }

    /**
     * @param  array<int, Step>  $changes
     * @return list<Step>
     */
    private static function of(array $changes, int $garden): array
    {
        return array_values(array_filter(
            $changes, static fn (array $change): bool => $change['garden'] === $garden,
        ));
    }

    /**
     * @param  list<Step>  $changes  of one garden
     * @param  array<string, Job>  $jobs  by ref
     */
    private static function inGarden(int $garden, array $changes, array $jobs, ?User $by, Day $today): void
    {
        $row = Garden::query()->findOrFail($garden);
        $standing = self::standing($garden, $today);
        PlanVisit::letGo(array_values($jobs), $today);
        foreach ($changes as $change) {
            if ($change['to'] === null) {
                continue;
            }
            $at = ['on' => $change['to']['on'], 'crew_id' => $change['to']['crew']];
            $visit = $change['visit'] === null
                ? $row->visits()->create([...$at, 'planned_by' => $by?->id])
                : Visit::query()->findOrFail($change['visit']);
            // On a day that was lost nothing is agreed any more.
            $visit->update([...$at, ...(string) $visit->on === $at['on'] ? [] : ['confirmed' => false]]);
            foreach ($change['tasks'] as $ref) {
                self::bring($visit, $standing->get($ref), $jobs[$ref] ?? null);
            }
        }
        self::clearUp($garden, $changes, $today);
    }

    private static function bring(Visit $visit, ?VisitTask $standing, ?Job $job): void
    {
        if ($standing !== null) {
            if ($standing->visit_id !== $visit->id) {
                $standing->update(['visit_id' => $visit->id, 'position' => 1000 + $standing->position]);
            }
        } elseif ($job !== null) {
            $visit->tasks()->create([
                'plant_id' => (int) $job->plant,
                'task' => $job->task->key,
                'season' => $job->task->season,
                'position' => 1000,
                'minutes' => $job->task->minutes,
                'prescribed' => $job->task->snapshot(),
                'standing' => true,
            ]);
        }
    }

    /**
     * Visits that were dropped, or whose last task went elsewhere, are gone; the others count anew, bed by bed.
     *
     * @param  list<Step>  $changes
     */
    private static function clearUp(int $garden, array $changes, Day $today): void
    {
        $dropped = self::dropped($changes);
        foreach (self::visits([$garden], $today) as $visit) {
            if ($visit->tasks->isEmpty() || (in_array($visit->id, $dropped, true) && ! $visit->isTouched())) {
                $visit->delete();

                continue;
            }
            $visit->tasks->load('plant:id,bed')->sortBy(
                static fn (VisitTask $task): array => [$task->plant->bed, $task->plant_id, $task->position],
            )->values()->each(
                static fn (VisitTask $task, int $position) => $task->position === $position
                    || $task->update(['position' => $position]),
            );
            Visit::recount($visit->id);
        }
    }

    /**
     * @param  array<int, Step>  $changes
     * @return list<int>
     */
    private static function dropped(array $changes): array
    {
        $dropped = [];
        foreach ($changes as $change) {
            if ($change['to'] === null && $change['visit'] !== null) {
                $dropped[] = $change['visit'];
            }
        }

        return $dropped;
    }

    /** @return list<array<string, mixed>> */
    private static function rows(Builder $rows): array
    {
        return array_values($rows->get()->map(static fn (stdClass $row): array => (array) $row)->all());
    }

    /**
     * @param  list<int>  $gardens
     * @return Collection<int, Visit>
     */
    private static function visits(array $gardens, Day $today): Collection
    {
        $visits = Visit::query()->with('tasks.log');
        $visits->whereIn('garden_id', $gardens)->where('on', '>=', (string) $today)->orderBy('id');

        return $visits->get();
    }

    /**
     * @param  list<int>  $gardens
     * @param  list<int>  $dropped  visits that will be gone, and their tasks with them
     * @return Before
     */
    private static function before(array $gardens, Day $today, array $dropped): array
    {
        $visits = self::visits($gardens, $today);

        return [
            'gardens' => $gardens,
            'revision' => 0,
            'gone' => self::rows(DB::table('visit_tasks')->whereIn('visit_id', $dropped)),
            'visits' => self::rows(DB::table('visits')->whereIn('id', $visits->modelKeys())),
            'tasks' => array_values($visits->flatMap(static fn (Visit $visit) => $visit->tasks)->map(
                static fn (VisitTask $task): array => [
                    'id' => $task->id, 'visit_id' => $task->visit_id, 'position' => $task->position,
                ],
            )->all()),
        ];
    }

    /**
     * @param  Before  $before
     * @param  Collection<int, Visit>  $now
     */
    private function restore(array $before, Collection $now): void
    {
        $were = array_column($before['visits'], null, 'id');
        foreach ($were as $visit) {
            DB::table('visits')->updateOrInsert(['id' => $visit['id']], $visit);
        }
        $tasks = array_column($before['tasks'], null, 'id');
        // What the draft made goes first: a task stands once.
        DB::table('visit_tasks')
            ->whereIn('visit_id', $now->modelKeys())
            ->whereNotIn('id', array_keys($tasks))
            ->delete();
        foreach ($before['gone'] as $task) {
            DB::table('visit_tasks')->insertOrIgnore($task);
        }
        foreach ($tasks as $task) {
            DB::table('visit_tasks')->where('id', $task['id'])->update([
                'visit_id' => $task['visit_id'], 'position' => $task['position'],
            ]);
        }
        DB::table('visits')->whereIn('id', array_diff($now->modelKeys(), array_keys($were)))->delete();
        foreach (array_keys($were) as $id) {
            Visit::recount($id);
        }
        self::tell($were, $now->keyBy('id')->all());
    }

    /**
     * What was written past the models is told to other programs as well.
     *
     * @param  array<int, array<string, mixed>>  $were  visits that stand again, by id
     * @param  array<int, Visit>  $undone  those that stood until now, by id
     */
    private static function tell(array $were, array $undone): void
    {
        foreach (array_diff_key($undone, $were) as $visit) {
            event(new VisitChanged(WebhookEvent::Cancelled, $visit));
        }
        foreach ($were as $id => $row) {
            $visit = (new Visit)->setRawAttributes($row);
            $before = $undone[$id] ?? null;
            if ($before === null) {
                event(new VisitChanged(WebhookEvent::Planned, $visit));
            } elseif ((string) $before->on !== (string) $visit->on || $before->crew_id !== $visit->crew_id) {
                event(new VisitChanged(WebhookEvent::Moved, $visit));
            }
        }
    }

    /** What has changed since a draft was made, for whoever came second. */
    private static function since(PlanDraft $draft): string
    {
        $visits = Visit::query()->with('garden:id,name');
        $visits
            ->where('updated_at', '>=', $draft->updated_at)
            ->orderByDesc('updated_at')
            ->limit(self::TOLD);
        $changed = $visits
            ->get()
            ->map(static fn (Visit $visit): string => $visit->garden->name.' on '.Say::date($visit->on))
            ->all();

        return 'Nothing was changed: the plan is no longer the one this was made from'
            .($changed === [] ? '. ' : '; since then: '.implode(', ', $changed).'. ').'Make a new plan.';
    }
}
