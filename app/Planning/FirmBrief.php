<?php

declare(strict_types=1);

namespace App\Planning;

use App\Ground\Models\Crew as CrewRow;
use App\Ground\Models\CrewDayOff;
use App\Ground\Models\Firm;
use App\Ground\Models\Garden as GardenRow;
use App\Ground\Models\Visit as VisitRow;
use App\Ground\Models\VisitTask;
use App\Season\Weather\Outlook;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Calendar\Window;
use PruningHook\Core\Planning\Season\Brief;
use PruningHook\Core\Planning\Season\Crew;
use PruningHook\Core\Planning\Season\Garden;
use PruningHook\Core\Planning\Season\Place;
use PruningHook\Core\Planning\Season\Visit;
use PruningHook\Core\Planning\Season\Work;

/**
 * The firm's season as a brief: what is due from the kept windows, crews and their days, gardens, and the visits there
 * are. Refs are ids; a task's is plant:task:season, as it stands in links.
 */
final readonly class FirmBrief
{
    /**
     * @param  Collection<int, VisitRow>  $visits  of the horizon, with their tasks, that the plan may move or must keep
     * @param  array<int, list<string>>  $tasks  refs of the tasks the plan knows, by visit
     */
    private function __construct(public Brief $brief, public Collection $visits, public array $tasks)
    {
    }

    /** Gardens where the forecast holds the work are shut on those days. */
    public static function of(Span $horizon, Outlook $outlook, Day $today, int $stay = 0): self
    {
        $crews = self::crews($horizon);
        $works = self::work($horizon);
        $rows = VisitRow::query()->with('tasks.log');
        $rows->whereBetween('on', [(string) $horizon->from, (string) $horizon->to])->orderBy('on')->orderBy('id');
        $visits = $rows->get();
        [$works, $tasks] = self::refs($visits, $works);
        [$fixed, $present] = self::placed($visits, $crews, $tasks);
        $works = array_diff_key($works, self::elsewhere($horizon, $today));

        return new self(
            new Brief(
                $horizon,
                self::depot(),
                array_values($crews),
                self::gardens($works, $fixed, self::forecast($horizon, $today), $outlook, $today),
                array_values($works),
                $fixed,
                Firm::ours()->usual_travel,
                $present,
                $stay,
            ),
            $visits,
            array_map(static fn (array $refs): array => array_values(
                array_filter($refs, static fn (string $ref): bool => isset($works[$ref])),
            ), $tasks),
        );
    }

    /**
     * What is known of each visit's tasks; what is fixed may be known from its own sheet alone.
     *
     * @param  Collection<int, VisitRow>  $visits
     * @param  array<string, Work>  $works  by ref
     * @return array{array<string, Work>, array<int, list<string>>} the tasks by ref, and refs by visit
     */
    private static function refs(Collection $visits, array $works): array
    {
        $refs = [];
        foreach ($visits as $visit) {
            $refs[$visit->id] = [];
            foreach ($visit->tasks as $task) {
                $ref = self::ref($task);
                if (! isset($works[$ref]) && self::stands($visit) && $task->log === null) {
                    $works[$ref] = self::asPrescribed($task, $visit);
                }
                if (isset($works[$ref])) {
                    $refs[$visit->id][] = $ref;
                }
            }
        }

        return [$works, $refs];
    }

    private static function stands(VisitRow $visit): bool
    {
        return $visit->stands() || $visit->isTouched();
    }

    /**
     * The visits as the planner has them: those that stand, and those that may move. On a day that is lost nothing can
     * stand, whoever locked it.
     *
     * @param  Collection<int, VisitRow>  $visits
     * @param  array<int, Crew>  $crews
     * @param  array<int, list<string>>  $refs  by visit
     * @return array{list<Visit>, list<Visit>}
     */
    private static function placed(Collection $visits, array $crews, array $refs): array
    {
        $fixed = $present = [];
        foreach ($visits as $row) {
            if (($crews[$row->crew_id ?? 0] ?? null)?->works($row->on) === null) {
                continue;
            }
            $visit = new Visit((string) $row->garden_id, (string) $row->crew_id, $row->on, $refs[$row->id]);
            self::stands($row) ? $fixed[] = $visit : $present[] = $visit;
        }

        return [$fixed, $present];
    }

    public static function ref(VisitTask $task): string
    {
        return "$task->plant_id:$task->task:$task->season";
    }

    public static function depot(): ?Place
    {
        $firm = Firm::ours();

        return $firm->depot_latitude === null || $firm->depot_longitude === null
            ? null
            : new Place($firm->depot_latitude, $firm->depot_longitude);
    }

    /**
     * @param  ?list<int>  $only
     * @return array<int, Crew> by id
     */
    public static function crews(Span $horizon, ?array $only = null): array
    {
        $days = CrewDayOff::query();
        $days->whereBetween('on', [(string) $horizon->from, (string) $horizon->to]);
        $off = $fewer = [];
        foreach ($days->get() as $day) {
            if ($day->people === null) {
                $off[$day->crew_id][] = $day->on;
            } else {
                $fewer[$day->crew_id][$day->on->number] = $day->people;
            }
        }
        $depot = self::depot();
        $crews = [];
        $rows = $only === null ? CrewRow::query() : CrewRow::query()->whereKey($only);
        $rows->orderBy('name')->orderBy('id');
        foreach ($rows->get() as $row) {
            $crews[$row->id] = new Crew(
                (string) $row->id, $row->people, $row->skills, $row->overtime, $row->week, $off[$row->id] ?? [],
                $depot, $fewer[$row->id] ?? [],
            );
        }

        return $crews;
    }

    /** @return array<string, Work> what is open and at its best before the horizon ends, by ref */
    private static function work(Span $horizon): array
    {
        $works = [];
        $rows = DB::table('season_tasks')
            ->where('done', false)
            ->where('closes', '>=', $horizon->from->number)
            ->where('opens', '<=', $horizon->to->number)
            ->where('best_from', '<=', $horizon->to->number)
            ->whereNull('hands_off')
            ->orderBy('id')
            ->get(['garden_id', 'plant_id', 'task', 'season', 'opens', 'best_from', 'best_to', 'closes', 'minutes',
                'people', 'skills']);
        foreach ($rows as $row) {
            $ref = "$row->plant_id:$row->task:$row->season";
            $works[$ref] = new Work(
                $ref,
                (string) $row->garden_id,
                Window::of(
                    Day::fromNumber((int) $row->opens), Day::fromNumber((int) $row->best_from),
                    Day::fromNumber((int) $row->best_to), Day::fromNumber((int) $row->closes),
                ),
                (int) $row->minutes,
                self::words($row->skills),
                1.0,
                (int) $row->people,
            );
        }

        return $works;
    }

    private static function asPrescribed(VisitTask $task, VisitRow $visit): Work
    {
        return new Work(
            self::ref($task), (string) $visit->garden_id, $task->prescribed->window, $task->minutes,
        );
    }

    /**
     * Tasks that stand on visits outside the horizon: those to come, and those whose log may still be on its way.
     *
     * @return array<string, true>
     */
    private static function elsewhere(Span $horizon, Day $today): array
    {
        $tasks = DB::table('visit_tasks')
            ->join('visits', 'visits.id', '=', 'visit_tasks.visit_id')
            ->where('visit_tasks.standing', 1)
            ->where(static fn (Builder $held) => VisitRow::holding($held, $today))
            ->where(static fn (Builder $outside) => $outside
                ->where('visits.on', '<', (string) $horizon->from)
                ->orWhere('visits.on', '>', (string) $horizon->to))
            ->get(['plant_id', 'task', 'season']);
        $elsewhere = [];
        foreach ($tasks as $task) {
            $elsewhere["$task->plant_id:$task->task:$task->season"] = true;
        }

        return $elsewhere;
    }

    /**
     * @param  array<string, Work>  $works
     * @param  list<Visit>  $fixed
     * @param  list<Day>  $forecast
     * @return list<Garden>
     */
    private static function gardens(
        array $works,
        array $fixed,
        array $forecast,
        Outlook $outlook,
        Day $today,
    ): array {
        $rows = GardenRow::query();
        $rows->whereKey(array_unique([...array_column($works, 'garden'), ...array_column($fixed, 'garden')]));
        $rows->orderBy('id');
        $gardens = [];
        foreach ($rows->get() as $row) {
            $gardens[] = self::garden($row, array_values(array_filter(
                $forecast, static fn (Day $day): bool => $outlook->holdAt($row, $today, $day) !== null,
            )));
        }

        return $gardens;
    }

    /** @param  list<Day>  $off */
    public static function garden(GardenRow $row, array $off = []): Garden
    {
        return new Garden(
            (string) $row->id, new Place($row->latitude, $row->longitude), $row->setup_minutes, $row->closed_days, $off,
            $row->wished_days,
        );
    }

    /** @return list<Day> days of the horizon that the forecast reaches */
    private static function forecast(Span $horizon, Day $today): array
    {
        $days = [];
        for ($ahead = 0; $ahead <= Outlook::FORECAST_DAYS; $ahead++) {
            $days[] = $today->plus($ahead);
        }

        return array_values(array_filter($days, $horizon->holds(...)));
    }

    /** @return list<string> */
    public static function words(mixed $json): array
    {
        return array_values(array_filter((array) json_decode((string) $json, true), is_string(...)));
    }
}
