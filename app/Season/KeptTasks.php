<?php

declare(strict_types=1);

namespace App\Season;

use App\Ground\Models\Plant;
use App\Ground\Models\Visit;
use App\Season\Due\Readiness;
use App\Season\Weather\Outlook;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Closure;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Calendar\Window;
use PruningHook\Core\Planning\DueTask;
use PruningHook\Core\Planning\PlantYear;
use PruningHook\Core\Planning\Urgency;
use PruningHook\Core\Plant\Outcome;
use PruningHook\Core\Prescription\SeasonTask;
use stdClass;

/** Reads what is kept of what is due: nothing is worked out here. Whoever asks has made sure that it is fresh. */
final readonly class KeptTasks
{
    /** The lists, in the order in which a planner looks at them. */
    public const URGENCIES = [Urgency::Closing, Urgency::Missed, Urgency::Open, Urgency::Coming];

    public function __construct(private Outlook $outlook)
    {
    }

    /** Tasks that stand so today, as `DueTask` has it. */
    public static function urgent(Builder $tasks, Urgency $urgency, Day $today): Builder
    {
        return self::standing($tasks, $urgency, $today, 'opens');
    }

    /**
     * The same where the index of a garden or of the closing days is to be gone by, and not that of the opening days:
     * written as a sum, they lead nowhere.
     */
    public static function urgentAmong(Builder $tasks, Urgency $urgency, Day $today): Builder
    {
        return self::standing($tasks, $urgency, $today, 'opens + 0');
    }

    private static function standing(Builder $tasks, Urgency $urgency, Day $today, string $opens): Builder
    {
        $now = $today->number;
        $tasks->where('season_tasks.done', false);

        return match ($urgency) {
            Urgency::Closing => $tasks
                ->whereBetween('closes', [$now, $now + DueTask::CLOSING_DAYS])
                ->whereRaw("$opens <= ?", [$now]),
            Urgency::Missed => $tasks->whereBetween('closes', [$now - DueTask::MISSED_DAYS, $now - 1]),
            Urgency::Open => $tasks
                ->where('closes', '>', $now + DueTask::CLOSING_DAYS)
                ->whereRaw("$opens <= ?", [$now]),
            Urgency::Coming => $tasks
                ->where('closes', '>', $now)
                ->whereRaw("$opens between ? and ?", [$now + 1, $now + DueTask::COMING_DAYS]),
            default => $tasks->whereRaw('1 = 0'),
        };
    }

    /**
     * In the order of a list: the first to close first, of those the first that opened, garden by garden. Of tens of
     * thousands that open within weeks it shows the first dozen, in the very order of the index of the closing days.
     */
    public static function listed(Builder $tasks, Urgency $urgency, Day $today): Builder
    {
        $tasks = self::urgentAmong($tasks, $urgency, $today);
        foreach (['closes', 'opens', 'garden_id', 'plant_id', 'kind', 'id'] as $column) {
            $tasks->orderBy("season_tasks.$column");
        }

        return $tasks;
    }

    /**
     * Due tasks with their plants, gardens, planned visits and what the weather holds.
     *
     * @param  Builder  $tasks  on season_tasks
     * @return list<DueRow> in the query's order
     */
    public function rows(Builder $tasks, Day $today): array
    {
        $kept = $tasks->get(['season_tasks.*']);
        $plants = Plant::query()
            ->with('garden')
            ->whereKey($kept->pluck('plant_id')->unique()->all())
            ->get()
            ->keyBy('id');
        $planned = $this->planned($kept, $today);
        $rows = [];
        foreach ($kept as $row) {
            $plant = $plants->get((int) $row->plant_id);
            if ($plant !== null) {
                $due = self::due($row, $today);
                $rows[] = new DueRow(
                    $plant,
                    $due,
                    $planned["$row->plant_id $row->task $row->season"] ?? null,
                    $due->waitsForWeather()
                        ? $this->outlook->holdAt($plant->garden, $today)
                        : null,
                );
            }
        }

        return $rows;
    }

    /**
     * The time of some plants over a stretch of days, as it is drawn.
     *
     * @param  Collection<int, Plant>  $plants
     * @return array<int, PlantYear> by plant
     */
    public function years(Collection $plants, Span $span, Day $today): array
    {
        $ids = $plants->pluck('id')->all();
        $tasks = DB::table('season_tasks')
            ->whereIn('plant_id', $ids)
            ->where('closes', '>=', $span->from->number)
            ->where('opens', '<=', $span->to->number)
            ->orderBy('opens')
            ->orderBy('id')
            ->get()
            ->groupBy('plant_id');
        $nature = DB::table('kept_plants')->whereIn('plant_id', $ids)->get()->keyBy('plant_id');
        $visits = DB::table('visit_tasks')
            ->join('visits', 'visits.id', '=', 'visit_tasks.visit_id')
            ->whereIn('plant_id', $ids)
            ->whereBetween('visits.on', [(string) $span->from, (string) $span->to])
            ->distinct()
            ->orderBy('visits.on')
            ->get(['plant_id', 'visits.on'])
            ->groupBy('plant_id');
        $years = [];
        foreach ($ids as $id) {
            $kept = $nature->get($id);
            $years[$id] = new PlantYear(
                $span,
                $today,
                array_values(
                    array_map(
                        static fn (stdClass $row): DueTask => self::due($row, $today),
                        $tasks->get($id)?->all() ?? [],
                    ),
                ),
                self::closures($kept->closed ?? '[]', $span),
                self::stretches($kept->bloom ?? '[]', $span),
                array_values(
                    array_map(static fn (stdClass $row): Day => Day::parse($row->on), $visits->get($id)?->all() ?? []),
                ),
                isset($kept->fault) ? [$kept->fault] : [],
            );
        }

        return $years;
    }

    /** All of a garden or a firm that is fresh. */
    public static function query(Readiness $ready): Builder
    {
        return $ready->keepFresh(DB::table('season_tasks'), 'season_tasks.garden_id');
    }

    public static function due(stdClass $row, Day $today): DueTask
    {
        return new DueTask(
            self::task($row),
            $today,
            $row->outcome === null ? null : Outcome::from($row->outcome),
            $row->logged_on === null ? null : Day::fromNumber((int) $row->logged_on),
        );
    }

    public static function task(stdClass $row): SeasonTask
    {
        return new SeasonTask(
            $row->task,
            $row->name,
            $row->method,
            (int) $row->season,
            Window::of(
                Day::fromNumber((int) $row->opens),
                Day::fromNumber((int) $row->best_from),
                Day::fromNumber((int) $row->best_to),
                Day::fromNumber((int) $row->closes),
            ),
            (int) $row->minutes,
            (int) $row->people,
            array_values(array_filter((array) json_decode($row->skills, true), is_string(...))),
            $row->hands_off,
        );
    }

    /**
     * The visits that tasks are planned for and not yet logged on, today or later.
     *
     * @param  Collection<int, stdClass>  $kept
     * @return array<string, Visit> by plant, task and season
     */
    private function planned(Collection $kept, Day $today): array
    {
        $found = DB::table('visit_tasks')
            ->join('visits', 'visits.id', '=', 'visit_tasks.visit_id')
            ->leftJoin('work_logs', 'work_logs.visit_task_id', '=', 'visit_tasks.id')
            ->whereNull('work_logs.id')
            ->whereIn('visit_tasks.plant_id', $kept->pluck('plant_id')->unique()->all())
            ->where('visits.on', '>=', (string) $today)
            ->orderByDesc('visits.on')
            ->get(['visit_tasks.plant_id', 'visit_tasks.task', 'visit_tasks.season', 'visits.id', 'visits.on']);
        $planned = [];
        foreach ($found as $row) {
            $planned["$row->plant_id $row->task $row->season"] = (new Visit())->setRawAttributes(
                ['id' => (int) $row->id, 'on' => $row->on],
                true,
            );
        }

        return $planned;
    }

    /** @return list<Closure> */
    private static function closures(string $json, Span $span): array
    {
        $closures = [];
        foreach ((array) json_decode($json, true) as [$from, $to, $name]) {
            if ($span->touches(Day::fromNumber($from), Day::fromNumber($to))) {
                $closures[] = new Closure(Day::fromNumber($from), Day::fromNumber($to), $name, '', '');
            }
        }

        return $closures;
    }

    /** @return list<Span> */
    private static function stretches(string $json, Span $span): array
    {
        $stretches = [];
        foreach ((array) json_decode($json, true) as [$from, $to]) {
            if ($span->touches(Day::fromNumber($from), Day::fromNumber($to))) {
                $stretches[] = Span::of(Day::fromNumber($from), Day::fromNumber($to));
            }
        }

        return $stretches;
    }
}
