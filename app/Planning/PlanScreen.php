<?php

declare(strict_types=1);

namespace App\Planning;

use App\Ground\Models\Crew as CrewRow;
use App\Ground\Models\CrewDayOff;
use App\Ground\Models\PlanDraft;
use App\Ground\Models\Visit;
use App\Ground\Support\Asked;
use App\Ground\Support\Pages;
use App\Ground\Support\Say;
use App\Season\Decisions;
use App\Season\Due\DueKeeper;
use App\Season\TaskChoice;
use App\Season\Unplanned;
use App\Season\Weather\Outlook;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Drawing\LoadBar;
use PruningHook\Core\Drawing\RoundMap;
use PruningHook\Core\Fault;
use PruningHook\Core\Planning\Season\Crew;

/** What the Plan shows: it costs as much as the crews of one page have to do, however many gardens there are. */
final readonly class PlanScreen
{
    /** Crews of one page, weeks of a crew's row, months ahead, and rows of what waits. */
    private const CREWS = 4;

    /** So many visits of a week are shown as cards; crews beyond that as numbers, a link away. */
    private const CARDS = 20;

    private const WEEKS = 12;

    private const MONTHS = 12;

    private const WAITING = 10;

    /** What closes within so many days and has no visit is listed. */
    private const SOON = 42;

    public function __construct(private DueKeeper $keeper, private Outlook $outlook)
    {
    }

    public function show(Request $request, Day $today): PlanPage
    {
        $this->keeper->ready();
        try {
            $monday = Day::parse(Asked::text($request, 'week'))->monday();
        } catch (Fault) {
            $monday = $today->monday();
        }
        $all = CrewRow::names();
        $pages = Pages::of($request, count($all), self::CREWS, 'crews');
        $names = array_slice($all, $pages->offset(), self::CREWS, true);
        $ids = array_keys($names);
        $week = Span::of($monday, $monday->plus(6));
        $counts = self::counts($week, $ids);
        $full = self::full($counts, $ids, $request->integer('crew'));
        $rota = Rota::of($week, $full);
        $depot = FirmBrief::depot();
        $waiting = self::listed($today);

        return new PlanPage(
            today: $today,
            monday: $monday,
            days: array_map($monday->plus(...), range(0, 6)),
            crews: $names,
            pages: $pages,
            months: self::months($today),
            weeks: self::weeks($today->monday(), $ids),
            rota: $rota,
            full: $full,
            visits: $counts,
            off: self::off($week, $ids),
            map: $depot === null || $rota->audit->rounds === []
                ? null
                : RoundMap::of($depot, $rota->places(), $rota->audit->rounds),
            waiting: array_slice($waiting, 0, self::WAITING),
            counts: ['unplanned' => count($waiting), 'lost' => count(Decisions::lost($today))],
            held: $this->held($rota, $today),
            crewless: self::crewless($today),
            draft: PlanDraft::latestOne(),
        );
    }

    /** @return list<array{id: int, garden: string, on: Day}> visits to come that no crew has, the next first */
    private static function crewless(Day $today): array
    {
        $rows = DB::table('visits')
            ->join('gardens', 'gardens.id', '=', 'visits.garden_id')
            ->whereNull('visits.crew_id')
            ->where('on', '>=', (string) $today)
            ->orderBy('on')
            ->limit(self::WAITING)
            ->get(['visits.id', 'gardens.name', 'on']);

        return array_values($rows->map(static fn ($row): array => [
            'id' => (int) $row->id, 'garden' => (string) $row->name, 'on' => Day::parse((string) $row->on),
        ])->all());
    }

    /**
     * How many visits each crew has on each day of a week.
     *
     * @param  list<int>  $crews
     * @return array<int, array<string, int>>
     */
    private static function counts(Span $week, array $crews): array
    {
        $counts = array_fill_keys($crews, []);
        $visits = DB::table('visits')
            ->whereIn('crew_id', $crews)
            ->whereBetween('on', [(string) $week->from, (string) $week->to])
            ->groupBy('crew_id', 'on')
            ->selectRaw('crew_id, '.DB::getQueryGrammar()->wrap('on').', count(*) as visits')
            ->get();
        foreach ($visits as $row) {
            $counts[(int) $row->crew_id][(string) $row->on] = (int) $row->visits;
        }

        return $counts;
    }

    /**
     * The crews whose visits are shown as cards: the chosen one, and others while there is room.
     *
     * @param  array<int, array<string, int>>  $counts
     * @param  list<int>  $crews
     * @return list<int>
     */
    private static function full(array $counts, array $crews, int $chosen): array
    {
        $full = in_array($chosen, $crews, true) ? [$chosen] : array_slice($crews, 0, 1);
        $sum = array_sum($counts[$full[0] ?? 0] ?? []);
        foreach (array_diff($crews, $full) as $crew) {
            $sum += array_sum($counts[$crew]);
            if ($sum <= self::CARDS) {
                $full[] = $crew;
            }
        }

        return $full;
    }

    /** @return list<array{label: string, garden: string, id: int, closes: Day, plant: int, choice: string}> */
    private static function listed(Day $today): array
    {
        $listed = [];
        foreach (Unplanned::within($today, self::SOON)->limit(self::WAITING + 1)->get() as $row) {
            $listed[] = [
                'label' => "$row->name, $row->label", 'garden' => (string) $row->garden, 'id' => (int) $row->garden_id,
                'closes' => Day::fromNumber((int) $row->closes), 'plant' => (int) $row->plant_id,
                'choice' => (string) new TaskChoice((int) $row->plant_id, (string) $row->task, (int) $row->season),
            ];
        }

        return $listed;
    }

    /**
     * Person-minutes that are at their best in each month, and those all crews have.
     *
     * @return list<LoadBar>
     */
    private static function months(Day $today): array
    {
        $first = 12 * $today->year() + $today->month() - 1;
        $need = DB::table('kept_months')
            ->whereBetween('month', [$first, $first + self::MONTHS - 1])
            ->groupBy('month')
            ->selectRaw('month, sum(minutes) as minutes')
            ->pluck('minutes', 'month');
        $weekdays = self::weekdays();
        $months = [];
        for ($month = $first; $month < $first + self::MONTHS; $month++) {
            $from = Day::of(intdiv($month, 12), $month % 12 + 1, 1);
            $to = Day::of(intdiv($month + 1, 12), ($month + 1) % 12 + 1, 1)->minus(1);
            $months[] = new LoadBar(
                Say::month($from), (int) ($need[$month] ?? 0), self::canIn($weekdays, Day::latest($from, $today), $to),
            );
        }

        return $months;
    }

    /**
     * Person-minutes all crews have on each weekday, by their weeks.
     *
     * @return array<int, int>
     */
    private static function weekdays(): array
    {
        $weekdays = array_fill(1, 7, 0);
        foreach (CrewRow::query()->get() as $crew) {
            $people = $crew->people;
            foreach ($crew->week as $weekday => [$opens, $closes]) {
                $weekdays[$weekday] += ($closes - $opens) * $people;
            }
        }

        return $weekdays;
    }

    /**
     * @param  array<int, int>  $weekdays  person-minutes
     */
    private static function canIn(array $weekdays, Day $from, Day $to): int
    {
        $can = 0;
        for ($day = $from; ! $day->isAfter($to); $day = $day->plus(1)) {
            $can += $weekdays[$day->weekday()];
        }

        return $can;
    }

    /**
     * What the visits of each crew take in each week, set-up included, and what the crew has.
     *
     * @param  list<int>  $crews
     * @return array<int, list<LoadBar>>
     */
    private static function weeks(Day $monday, array $crews): array
    {
        $span = Span::of($monday, $monday->plus(7 * self::WEEKS - 1));
        $works = FirmBrief::crews($span, $crews);
        $taken = DB::table('visits')
            ->join('gardens', 'gardens.id', '=', 'visits.garden_id')
            ->whereIn('visits.crew_id', $crews)
            ->whereBetween('on', [(string) $span->from, (string) $span->to])
            ->get(['visits.id', 'visits.crew_id', 'on', 'setup_minutes']);
        $minutes = DB::table('visit_tasks')
            ->whereIn('visit_id', $taken->pluck('id'))
            ->groupBy('visit_id')
            ->selectRaw('visit_id, sum(minutes) as minutes')
            ->pluck('minutes', 'visit_id');
        $need = [];
        foreach ($taken as $visit) {
            $week = intdiv($monday->daysUntil(Day::parse((string) $visit->on)), 7);
            $people = $works[(int) $visit->crew_id]->people;
            $need[(int) $visit->crew_id][$week] = ($need[(int) $visit->crew_id][$week] ?? 0)
                + (int) ceil(($minutes[$visit->id] ?? 0) / $people) + (int) $visit->setup_minutes;
        }
        $weeks = [];
        foreach ($works as $id => $crew) {
            for ($week = 0; $week < self::WEEKS; $week++) {
                $from = $monday->plus(7 * $week);
                $weeks[$id][] = new LoadBar(
                    Say::date($from), $need[$id][$week] ?? 0, self::minutes($crew, $from), (string) $from,
                );
            }
        }

        return $weeks;
    }

    private static function minutes(Crew $crew, Day $monday): int
    {
        return array_sum(array_map(
            static fn (int $day): int => $crew->works($monday->plus($day))->length ?? 0, range(0, 6),
        ));
    }

    /**
     * @param  list<int>  $crews
     * @return array<int, array<string, string>>
     */
    private static function off(Span $week, array $crews): array
    {
        $off = [];
        $days = CrewDayOff::query();
        $days->whereIn('crew_id', $crews)->whereBetween('on', [(string) $week->from, (string) $week->to]);
        foreach ($days->get() as $day) {
            $off[$day->crew_id][(string) $day->on] = $day->people === null
                ? "off: $day->why"
                : "$day->people there: $day->why";
        }

        return $off;
    }

    /** @return array<int, string> */
    private function held(Rota $rota, Day $today): array
    {
        $held = [];
        foreach ($rota->visits as $visit) {
            $hold = $this->outlook->holdAt($visit->garden, $today, $visit->on);
            if ($hold !== null) {
                $held[$visit->id] = 'the weather; '.($hold->next === null
                    ? 'no better day within the forecast'
                    : 'better from '.Say::weekday($hold->next));
            }
        }

        return $held;
    }
}
