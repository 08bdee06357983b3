<?php

declare(strict_types=1);

namespace App\Reports;

use App\Models\SeasonReport;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\WinterClass;
use PruningHook\Core\PlantBook\PlantBook;

/**
 * What a season came to: hours against what was forecast, windows kept and missed, green waste, renewal, findings.
 *
 * @phpstan-import-type Result from SeasonReport
 * @phpstan-import-type Hours from SeasonReport
 */
final readonly class Reckoning
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
            'hours' => [
                'garden' => $this->hours($season, 'gardens.name'),
                'kind' => array_map(
                    fn (array $row): array => [$this->book->nameOf($row[0]), $row[1], $row[2], $row[3]],
                    $this->hours($season, 'plants.kind'),
                ),
                'crew' => $this->hours($season, "coalesce(crews.name, 'No crew')"),
                'season' => $this->seasons($season),
            ],
            'windows' => $this->windows($season, $today),
            'waste' => $this->waste($season),
            'renewal' => $this->renewal($season),
            'findings' => $this->findings($season),
        ];
    }

    private static function logs(int $season): Builder
    {
        return DB::table('work_logs')->where('work_logs.season', $season)
            ->join('visit_tasks', 'visit_tasks.id', 'work_logs.visit_task_id')
            ->join('visits', 'visits.id', 'visit_tasks.visit_id')
            ->join('gardens', 'gardens.id', 'visits.garden_id')
            ->join('plants', 'plants.id', 'work_logs.plant_id')
            ->leftJoin('crews', 'crews.id', 'visits.crew_id');
    }

    /** @return Hours what was done, where somebody said how long it took */
    private function hours(int $season, string $by): array
    {
        $hours = [];
        foreach (self::logs($season)->whereNotNull('work_logs.minutes')->where('work_logs.outcome', '!=', 'not-done')
            ->groupByRaw($by)->selectRaw("$by as called, sum(visit_tasks.minutes) as planned, "
                .'sum(work_logs.minutes) as took, count(*) as lines')
            ->orderByDesc('took')->limit(self::ROWS)->get() as $row) {
            $hours[] = [(string) $row->called, (int) $row->planned, (int) $row->took, (int) $row->lines];
        }

        return $hours;
    }

    /** @return Hours of this season and those before it, the first first */
    private function seasons(int $season): array
    {
        $seasons = [];
        foreach (DB::table('work_logs')->whereBetween('work_logs.season', [$season - self::SEASONS + 1, $season])
            ->join('visit_tasks', 'visit_tasks.id', 'work_logs.visit_task_id')
            ->whereNotNull('work_logs.minutes')->where('work_logs.outcome', '!=', 'not-done')
            ->groupBy('work_logs.season')->orderBy('work_logs.season')
            ->selectRaw('work_logs.season as called, sum(visit_tasks.minutes) as planned, '
                .'sum(work_logs.minutes) as took, count(*) as lines')->get() as $row) {
            $seasons[] = [(string) $row->called, (int) $row->planned, (int) $row->took, (int) $row->lines];
        }

        return $seasons;
    }

    /** @return array<string, int> tasks by how their window was kept */
    private function windows(int $season, Day $today): array
    {
        $closes = "json_extract(visit_tasks.prescribed, '$.window.closes')";
        $opens = "json_extract(visit_tasks.prescribed, '$.window.opens')";
        $kept = self::logs($season)->where('work_logs.outcome', '!=', 'not-done')->selectRaw(
            "sum(case when work_logs.\"on\" > $closes then 1 else 0 end) as late, "
                ."sum(case when work_logs.\"on\" < $opens then 1 else 0 end) as early, count(*) as done",
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
            ->selectRaw('substr(work_logs."on", 1, 7) as month, '
                ."sum(coalesce(json_extract(visit_tasks.prescribed, '$.kit.debris_litres'), 0)) as litres")
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

    /** @return list<array{garden: string, latitude: float, longitude: float, finding: string, count: int}> */
    private function findings(int $season): array
    {
        $found = [];
        foreach (self::logs($season)->crossJoin(DB::raw('json_each(work_logs.findings) as found'))
            ->where('found.value', '!=', 'all-well')
            ->groupByRaw('gardens.id, found.value')
            ->selectRaw('gardens.name, gardens.latitude, gardens.longitude, found.value as finding, count(*) as many')
            ->orderByDesc('many')->limit(self::PLACES)->get() as $row) {
            $found[] = [
                'garden' => (string) $row->name, 'latitude' => (float) $row->latitude,
                'longitude' => (float) $row->longitude, 'finding' => (string) $row->finding,
                'count' => (int) $row->many,
            ];
        }

        return [...$found, ...$this->diseases($season)];
    }

    /**
     * Diseases that plants were seen to have in the season, by their names.
     *
     * @return list<array{garden: string, latitude: float, longitude: float, finding: string, count: int}>
     */
    private function diseases(int $season): array
    {
        $found = [];
        foreach (DB::table('plants')->join('gardens', 'gardens.id', 'plants.garden_id')->whereNull('plants.deleted_at')
            // A season lies in two years.
            ->whereBetween('plants.state_on', [sprintf('%d-01-01', $season - 1), sprintf('%d-12-31', $season + 1)])
            ->whereRaw("json_extract(plants.state, '$.disease') is not null")
            ->selectRaw('gardens.id, gardens.name, gardens.latitude, gardens.longitude, plants.state_on, '
                ."json_extract(plants.state, '$.disease') as disease")->orderBy('plants.id')->lazy() as $row) {
            $place = Site::of((float) $row->latitude, (float) $row->longitude, 0, null, null, WinterClass::Warm);
            if (SiteYear::seasonOn($place, Day::parse((string) $row->state_on)) !== $season) {
                continue;
            }
            $of = &$found["$row->id $row->disease"];
            $of ??= [
                'garden' => (string) $row->name, 'latitude' => (float) $row->latitude,
                'longitude' => (float) $row->longitude, 'finding' => (string) $row->disease, 'count' => 0,
            ];
            $of['count']++;
            unset($of);
        }
        usort($found, static fn (array $a, array $b): int => $b['count'] <=> $a['count']);

        return array_slice($found, 0, self::PLACES);
    }
}
