<?php

declare(strict_types=1);

namespace App\Planning;

use App\Ground\Models\Firm;
use App\Ground\Models\Visit as VisitRow;
use App\Ground\Models\VisitTask;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Calendar\Window;
use PruningHook\Core\Planning\Season\Audit;
use PruningHook\Core\Planning\Season\Brief;
use PruningHook\Core\Planning\Season\Crew;
use PruningHook\Core\Planning\Season\Garden;
use PruningHook\Core\Planning\Season\Place;
use PruningHook\Core\Planning\Season\Round;
use PruningHook\Core\Planning\Season\Rounds;
use PruningHook\Core\Planning\Season\Visit;
use PruningHook\Core\Planning\Season\Work;

/**
 * Some crews' days as they stand: each round in its shortest order, with times, what it costs and what it breaks. It
 * costs as much as there is on those days, however large the firm is.
 */
final readonly class Rota
{
    /**
     * @param  Collection<int, VisitRow>  $visits  by id
     * @param  array<string, Round>  $rounds  by crew and day, "3 2027-02-24"
     * @param  array<string, int>  $byTask  visit of each task
     */
    private function __construct(
        public Brief $brief,
        public Collection $visits,
        public Audit $audit,
        public array $rounds,
        private array $byTask,
    ) {
    }

    /**
     * @param  list<int>  $crews
     * @param  array<int, array{Day, int}>  $elsewhere  day and crew of visits as if they stood there, by id
     */
    public static function of(Span $days, array $crews, array $elsewhere = []): self
    {
        $found = VisitRow::query()->with('garden');
        $found
            ->where(static fn ($visits) => $visits
                ->whereIn('crew_id', $crews)
                ->whereBetween('on', [(string) $days->from, (string) $days->to]))
            ->when($elsewhere !== [], static fn ($visits) => $visits->orWhereIn('id', array_keys($elsewhere)))
            ->orderBy('on')
            ->orderBy('id');
        $rows = $found->get()->keyBy('id');
        [$works, $byVisit] = self::works($rows);
        $visits = [];
        foreach ($rows as $row) {
            [$on, $crew] = $elsewhere[$row->id] ?? [$row->on, (int) $row->crew_id];
            // A garden is named by its visit, since one may be visited twice on a day.
            $visits["$crew $on"][] = new Visit((string) $row->garden_id, (string) $crew, $on, $byVisit[$row->id] ?? []);
        }
        $brief = new Brief(
            $days, FirmBrief::depot(), array_values(self::crews($days, $crews, $visits)),
            array_values(
                $rows->map(static fn (VisitRow $row): Garden => FirmBrief::garden($row->garden))->unique('ref')->all(),
            ),
            array_values($works), [], Firm::ours()->usual_travel,
        );
        $audit = Audit::of($brief, array_merge(...array_values(array_map(
            static fn (array $day): array => Rounds::inOrder($brief, $day), $visits,
        ))));

        return new self($brief, $rows, $audit, array_column(array_map(
            static fn (Round $round): array => ["$round->crew $round->on", $round], $audit->rounds,
        ), 1, 0), self::byTask($byVisit));
    }

    public function round(int $crew, Day $on): ?Round
    {
        return $this->rounds["$crew $on"] ?? null;
    }

    /** The row a visit of a round was read from: a garden may be visited twice on a day, a task stands on one visit. */
    public function row(Visit $visit): ?VisitRow
    {
        $row = $this->byTask[$visit->tasks[0] ?? ''] ?? null;

        return $row !== null ? $this->visits->get($row) : $this->visits->first(
            static fn (VisitRow $row): bool => (string) $row->garden_id === $visit->garden
                && (string) $row->crew_id === $visit->crew && $row->on->equals($visit->on),
        );
    }

    /** @return array<string, Place> by garden */
    public function places(): array
    {
        return array_filter(array_column($this->brief->gardens, 'place', 'ref'));
    }

    /**
     * @param  Collection<int, VisitRow>  $rows
     * @return array{array<string, Work>, array<int, list<string>>} and refs by visit
     */
    private static function works(Collection $rows): array
    {
        $tasks = DB::table('visit_tasks')
            ->leftJoin('season_tasks', static fn ($join) => $join
                ->on('season_tasks.plant_id', '=', 'visit_tasks.plant_id')
                ->on('season_tasks.task', '=', 'visit_tasks.task')
                ->on('season_tasks.season', '=', 'visit_tasks.season'))
            ->whereIn('visit_id', $rows->modelKeys())
            ->orderBy('visit_tasks.id')
            ->get([
                'visit_tasks.id', 'visit_id', 'visit_tasks.minutes', 'opens', 'best_from', 'best_to', 'closes',
                'people', 'skills',
            ]);
        // What is no longer due is known from its sheet alone.
        $gone = $tasks->whereNull('opens')->pluck('id');
        $unknown = $gone->isEmpty() ? $gone : VisitTask::query()->whereKey($gone)->get()->keyBy('id');
        $works = $byVisit = [];
        foreach ($tasks as $task) {
            $ref = (string) $task->id;
            $window = $task->opens === null
                ? self::window($unknown->get($task->id))
                : Window::of(
                    Day::fromNumber((int) $task->opens), Day::fromNumber((int) $task->best_from),
                    Day::fromNumber((int) $task->best_to), Day::fromNumber((int) $task->closes),
                );
            $visit = $rows[$task->visit_id] ?? null;
            if ($window !== null && $visit !== null) {
                $works[$ref] = new Work(
                    $ref, (string) $visit->garden_id, $window, (int) $task->minutes,
                    FirmBrief::words($task->skills), 1.0,
                    (int) ($task->people ?? 1),
                );
                $byVisit[(int) $task->visit_id][] = $ref;
            }
        }

        return [$works, $byVisit];
    }

    /**
     * @param  array<int, list<string>>  $byVisit
     * @return array<string, int>
     */
    private static function byTask(array $byVisit): array
    {
        $byTask = [];
        foreach ($byVisit as $visit => $tasks) {
            $byTask += array_fill_keys($tasks, $visit);
        }

        return $byTask;
    }

    private static function window(mixed $task): ?Window
    {
        return $task instanceof VisitTask ? $task->prescribed->window : null;
    }

    /**
     * @param  list<int>  $crews
     * @param  array<string, list<Visit>>  $visits
     * @return array<int|string, Crew>
     */
    private static function crews(Span $days, array $crews, array $visits): array
    {
        $known = FirmBrief::crews($days, $crews);
        foreach ($visits as $day) {
            // What has no crew yet counts as one person.
            $known[(int) $day[0]->crew] ??= new Crew($day[0]->crew, 1);
        }

        return $known;
    }
}
