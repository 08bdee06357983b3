<?php

declare(strict_types=1);

namespace App\Field;

use App\Ground\Bridge\CorePlants;
use App\Ground\Models\Garden;
use App\Ground\Models\Plant;
use App\Ground\Models\User;
use App\Ground\Models\Visit;
use App\Ground\Models\VisitTask;
use App\Season\TaskChoice;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Window;
use PruningHook\Core\Planning\CommonWindow;
use PruningHook\Core\Planning\Job;
use PruningHook\Core\Planning\OrderOfWork;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Prescription\Prescriber;

/** Plans a visit: chosen tasks of one garden, on a day that is open for all of them unless somebody says why not. */
final readonly class PlanVisit
{
    public function __construct(
        private CorePlants $bridge,
        private PlantBook $book,
    ) {
    }

    /**
     * The chosen tasks, prescribed, in the order of work.
     *
     * @param  list<TaskChoice>  $choices
     * @return list<Job>
     *
     * @throws ValidationException when a choice is not a task of a plant of this garden
     */
    public function jobs(Garden $garden, array $choices, Day $today): array
    {
        $plants = $garden
            ->plants()
            ->with(['workLogs', 'bloomNotes'])
            ->whereKey(array_map(static fn (TaskChoice $choice): int => $choice->plant, $choices))
            ->get()
            ->keyBy('id');
        $years = $this->bridge->years($garden);
        $practice = $this->bridge->practice($garden);
        $jobs = [];
        foreach ($choices as $choice) {
            $plant =
                $plants->get($choice->plant) ??
                throw ValidationException::withMessages(['tasks' => 'One of the chosen plants is not in this garden.']);
            $core = $this->bridge->plant($plant, $today);
            $task =
                Prescriber::with($this->book)
                    ->prescribe($core, $years->season($choice->season), $practice)
                    ->task($choice->task) ??
                throw ValidationException::withMessages([
                    'tasks' => "$plant->label has no such task in season $choice->season.",
                ]);
            if ($task->handsOff !== null) {
                throw ValidationException::withMessages([
                    'tasks' => sprintf(
                        '%s of %s is an arborist\'s job: it %s. What to ask for stands on the plant\'s page.',
                        $task->name, $plant->label, $task->handsOff,
                    ),
                ]);
            }
            $jobs[] = new Job((string) $plant->id, $plant->bed ?? '', $task, $core->wasDiseased());
        }

        return OrderOfWork::of($jobs);
    }

    /** @param  list<Job>  $jobs */
    public static function common(array $jobs): ?CommonWindow
    {
        return CommonWindow::of(...array_map(static fn (Job $job): Window => $job->task->window, $jobs));
    }

    /**
     * Works out a visit before anything is written.
     *
     * @param  list<TaskChoice>  $choices  at least one
     * @param  ?string  $reason  why a day outside the common window is taken all the same
     *
     * @throws ValidationException
     */
    public function ready(Garden $garden, Day $on, array $choices, ?string $reason, Day $today): ReadyVisit
    {
        $jobs = $this->jobs($garden, $choices, $today);
        $outside = ! (self::common($jobs)?->contains($on) ?? false);
        if ($outside && ($reason === null || $reason === '')) {
            throw ValidationException::withMessages(self::refusal($jobs, $on));
        }

        return new ReadyVisit($garden, $on, $jobs, $outside ? $reason : null, $today);
    }

    /** Writes it, unless a task stands on another visit by now: that is refused. */
    public function write(ReadyVisit $ready, ?int $crewId, ?User $by): Visit
    {
        return DB::transaction(function () use ($ready, $crewId, $by): Visit {
            $this->refuseTwice($ready->jobs, $ready->today);
            self::letGo($ready->jobs, $ready->today);
            $visit = $ready->garden->visits()->create([
                'crew_id' => $crewId,
                'on' => (string) $ready->on,
                'outside_reason' => $ready->outside,
                'planned_by' => $by?->id,
            ]);
            foreach ($ready->jobs as $position => $job) {
                $visit->tasks()->create([
                    'plant_id' => (int) $job->plant,
                    'task' => $job->task->key,
                    'season' => $job->task->season,
                    'position' => $position,
                    'minutes' => $job->task->minutes,
                    'prescribed' => $job->task->snapshot(),
                    'standing' => true,
                ]);
            }

            Visit::recount($visit->id);

            return $visit;
        });
    }

    /**
     * A task can be planned again where its visit holds it no longer: the day passed without a log, or was lost.
     *
     * @param  list<Job>  $jobs
     */
    public static function letGo(array $jobs, Day $today): void
    {
        $plants = array_map(static fn (Job $job): int => (int) $job->plant, $jobs);
        foreach (array_chunk(array_unique($plants), 500) as $some) {
            DB::table('visit_tasks')->whereIn('plant_id', $some)->where('standing', 1)
                ->whereExists(static fn (Builder $over) => Visit::over(self::its($over), $today))
                ->update(['standing' => null]);
        }
    }

    /** The visit of each task, looked up one by one: a firm has many visits, and a visit few tasks. */
    private static function its(Builder $visits): Builder
    {
        return $visits->from('visits')->whereColumn('visits.id', 'visit_tasks.visit_id');
    }

    /**
     * A visit that was moved claims its tasks again.
     *
     * @throws ValidationException where one was planned anew meanwhile
     */
    public static function claim(Visit $visit): void
    {
        $waiting = VisitTask::query()->with('plant')->doesntHave('log')->where('visit_id', $visit->id);
        $waiting->whereNull('standing');
        foreach ($waiting->get() as $task) {
            VisitTask::stand($task->id);
            if ($task->refresh()->standing !== true) {
                throw ValidationException::withMessages(['on' => sprintf(
                    '%s of %s was planned on another visit meanwhile.', $task->prescribed->name, $task->plant->label,
                )]);
            }
        }
    }

    /**
     * A task that already stands on a visit is not planned again: somebody else was quicker, or the form was sent
     * twice.
     *
     * @param  list<Job>  $jobs
     *
     * @throws ValidationException
     */
    private function refuseTwice(array $jobs, Day $today): void
    {
        $planned = VisitTask::query()->with(['visit', 'plant'])->where('standing', true);
        $planned->whereIn('plant_id', array_map(static fn (Job $job): int => (int) $job->plant, $jobs))
            ->whereExists(static fn (Builder $held) => Visit::holding(self::its($held), $today));
        $standing = $planned->get(['id', 'visit_id', 'plant_id', 'task', 'season']);
        foreach ($jobs as $job) {
            $planned = $standing->first(
                static fn (VisitTask $task): bool => $task->plant_id === (int) $job->plant
                    && $task->task === $job->task->key
                    && $task->season === $job->task->season,
            );
            if ($planned !== null) {
                throw ValidationException::withMessages([
                    'tasks' => sprintf(
                        '%s of %s is already planned for %s.', $job->task->name, $planned->plant->label,
                        $planned->visit->on->inWords(),
                    ),
                ]);
            }
        }
    }

    /**
     * @param  list<Job>  $jobs
     * @return array<string, string>
     */
    private static function refusal(array $jobs, Day $on): array
    {
        $common = self::common($jobs);
        $because =
            $common === null
                ? 'These tasks share no open day. Plan them on separate visits, or say why they are done together.'
                : sprintf(
                    '%s is outside the days they share, %s to %s. Choose a day within them, or say why.',
                    $on->inWords(), $common->from->inWords(), $common->to->inWords(),
                );

        return ['on' => $because, 'outside_reason' => 'A day outside the window needs a reason.'];
    }
}
