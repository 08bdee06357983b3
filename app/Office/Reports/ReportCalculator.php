<?php

declare(strict_types=1);

namespace App\Office\Reports;

use App\Ground\Models\SeasonReport;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\WinterClass;
use PruningHook\Core\PlantBook\PlantBook;
use stdClass;

/**
 * What a season came to: hours against what was forecast, windows kept and missed, green waste, renewal, findings.
 *
 * @phpstan-import-type Result from SeasonReport
 * @phpstan-import-type Hours from SeasonReport
 *
 * @phpstan-type Found array{garden: string, latitude: float, longitude: float, finding: string,
 *     count: int}
 */
final readonly class ReportCalculator
{
    /** Rows of one chart: those that took longest. */
    private const ROWS = 20;

    /** Places on the map. */
    private const PLACES = 400;

    private const SEASONS = 8;

    /** A shrub renewed by thirds is whole after so many seasons. */
    private const THIRDS = 3;

    public function __construct(private PlantBook $book)
    {
    }

    /** @return Result */
    public function of(int $season, Day $today): array
    {
        return [
            'hours' => array_combine(
                array_column(HoursBy::cases(), 'value'),
                array_map(fn (HoursBy $by): array => $this->hours($season, $by), HoursBy::cases()),
            ),
            'windows' => $this->windows($season, $today),
            'waste' => $this->waste($season),
            'renewal' => $this->renewal($season),
            'findings' => $this->findings($season),
        ];
    }

    private static function logs(int $from, ?int $to = null): Builder
    {
        return DB::table('work_logs')->whereBetween('work_logs.season', [$from, $to ?? $from])
            ->join('visit_tasks', 'visit_tasks.id', 'work_logs.visit_task_id')
            ->join('visits', 'visits.id', 'visit_tasks.visit_id')
            ->join('gardens', 'gardens.id', 'visits.garden_id')
            ->join('plants', 'plants.id', 'work_logs.plant_id')
            ->leftJoin('crews', 'crews.id', 'visits.crew_id');
    }

    /** What a task's prescription says of something, as a text. */
    private static function said(string $of): string
    {
        return DB::getQueryGrammar()->wrap("visit_tasks.prescribed->$of");
    }

    /** The day of a log as a text, as the days of a prescription are. */
    private static function day(): string
    {
        return 'cast(work_logs."on" as text)';
    }

    /** @return Hours what was done, where somebody said how long it took */
    private function hours(int $season, HoursBy $by): array
    {
        $from = $by === HoursBy::Season ? $season - self::SEASONS + 1 : $season;
        $rows = self::logs($from, $season)->whereNotNull('work_logs.minutes')
            ->where('work_logs.outcome', '!=', 'not-done')
            ->groupByRaw($by->sql())->selectRaw($by->sql().' as called, '.HoursColumn::select());
        $by === HoursBy::Season
            ? $rows->orderBy('work_logs.season')
            : $rows->orderByDesc(HoursColumn::Took->value)->limit(self::ROWS);
        $hours = [];
        foreach ($rows->get() as $row) {
            $called = (string) $row->called;
            $hours[] = [
                'name' => $by === HoursBy::Kind ? $this->book->nameOf($called) : $called,
                ...array_map(intval(...), array_diff_key((array) $row, ['called' => 0])),
            ];
        }

        return $hours;
    }

    /** @return array<string, int> tasks by how their window was kept */
    private function windows(int $season, Day $today): array
    {
        [$day, $closes, $opens] = [self::day(), self::said('window->closes'), self::said('window->opens')];
        $kept = self::logs($season)->where('work_logs.outcome', '!=', 'not-done')->selectRaw(
            "sum(case when $day > $closes then 1 else 0 end) as late, "
                ."sum(case when $day < $opens then 1 else 0 end) as early, count(*) as done",
        )->first();
        $missed = DB::table('season_tasks')->where('season', $season)->where('done', false)
            ->where('closes', '<', $today->number)->whereNull('hands_off')->count();
        [$late, $early] = [(int) ($kept->late ?? 0), (int) ($kept->early ?? 0)];

        return [
            'kept' => (int) ($kept->done ?? 0) - $late - $early, 'early' => $early, 'late' => $late,
            'missed' => $missed,
        ];
    }

    /** @return array<string, int> litres by month, of what was done */
    private function waste(int $season): array
    {
        $litres = [];
        foreach (self::logs($season)->where('work_logs.outcome', '!=', 'not-done')
            ->selectRaw('substr('.self::day().', 1, 7) as month, '
                .'sum(cast(coalesce('.self::said('kit->debris_litres').", '0') as integer)) as litres")
            ->groupByRaw('1')->orderByRaw('1')->get() as $row) {
            $litres[(string) $row->month] = (int) $row->litres;
        }

        return $litres;
    }

    /** @return array<int, int> shrubs renewed by thirds, by how many thirds are through: 1 to 3 */
    private function renewal(int $season): array
    {
        $thirds = DB::table('work_logs')->where('recipe', 'renew-by-thirds')->where('outcome', '!=', 'not-done')
            ->whereBetween('season', [$season - self::THIRDS + 1, $season])
            ->groupBy('plant_id')->selectRaw('plant_id, count(distinct season) as thirds');
        $through = array_fill_keys(range(1, self::THIRDS), 0);
        foreach (DB::query()->fromSub($thirds, 'thirds')->groupBy('thirds')->selectRaw('thirds, count(*) as plants')
            ->get() as $row) {
            $through[(int) $row->thirds] = (int) $row->plants;
        }

        return $through;
    }

    /** @return list<Found> */
    private function findings(int $season): array
    {
        $found = [];
        // Few lists differ: each is counted as a whole, and taken apart here.
        foreach (self::logs($season)->groupByRaw('gardens.id, cast(work_logs.findings as text)')
            ->selectRaw('gardens.id, gardens.name, gardens.latitude, gardens.longitude, '
                .'cast(work_logs.findings as text) as findings, count(*) as many')
            ->orderBy('gardens.id')->cursor() as $row) {
            foreach (array_diff((array) json_decode((string) $row->findings, true), ['all-well']) as $finding) {
                self::count($found, $row, (string) $finding, (int) $row->many);
            }
        }

        return [...self::most($found), ...$this->diseases($season)];
    }

    /**
     * @param  array<string, Found>  $found
     * @param  stdClass  $garden  with id, name, latitude and longitude
     */
    private static function count(array &$found, stdClass $garden, string $finding, int $many): void
    {
        $found["$garden->id $finding"] ??= [
            'garden' => (string) $garden->name, 'latitude' => (float) $garden->latitude,
            'longitude' => (float) $garden->longitude, 'finding' => $finding, 'count' => 0,
        ];
        $found["$garden->id $finding"]['count'] += $many;
    }

    /**
     * @param  array<string, Found>  $found
     * @return list<Found>
     */
    private static function most(array $found): array
    {
        usort($found, static fn (array $a, array $b): int => $b['count'] <=> $a['count']);

        return array_slice($found, 0, self::PLACES);
    }

    /**
     * Diseases that plants were seen to have in the season, by their names.
     *
     * @return list<Found>
     */
    private function diseases(int $season): array
    {
        $found = [];
        foreach (DB::table('plants')->join('gardens', 'gardens.id', 'plants.garden_id')->whereNull('plants.deleted_at')
            // A season lies in two years.
            ->whereBetween('plants.state_on', [sprintf('%d-01-01', $season - 1), sprintf('%d-12-31', $season + 1)])
            ->whereNotNull('plants.state->disease')
            ->select('gardens.id', 'gardens.name', 'gardens.latitude', 'gardens.longitude', 'plants.state_on')
            ->addSelect('plants.state->disease as disease')->orderBy('plants.id')->lazy() as $row) {
            $place = new Site((float) $row->latitude, (float) $row->longitude, 0, null, null, WinterClass::Warm);
            if (SiteYear::seasonOn($place, Day::parse((string) $row->state_on)) !== $season) {
                continue;
            }
            self::count($found, $row, (string) $row->disease, 1);
        }

        return self::most($found);
    }
}
