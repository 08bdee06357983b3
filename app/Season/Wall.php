<?php

declare(strict_types=1);

namespace App\Season;

use App\Ground\Models\Plant;
use App\Ground\Support\Pages;
use App\Season\Due\Readiness;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\Builder;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Drawing\Pressure;
use PruningHook\Core\Drawing\Strip;
use PruningHook\Core\Planning\PlantYear;
use PruningHook\Core\Planning\Urgency;
use PruningHook\Core\PlantBook\PlantBook;

/**
 * The wall of strips over all gardens. A few plants stand in rows of their own; many are folded into a line a group,
 * a page of groups at a time, whose rows are fetched when they are asked for.
 */
final readonly class Wall
{
    /** However much time the wall shows, its strips are drawn this wide, in mm. */
    public const WIDTH = 365;

    /** More plants than this are folded into a line a group. */
    private const FOLDED_ABOVE = 80;

    /** Groups of one page, and rows of a group that are fetched at once. */
    private const GROUPS = 20;

    private const ROWS = 60;

    public function __construct(private KeptTasks $tasks, private Weight $weight, private PlantBook $book)
    {
    }

    public function show(SeasonFilter $filter, Request $request, Day $today, Readiness $ready): WallPage
    {
        if (! $this->isFolded($filter, $today, $ready)) {
            $wall = $this->unfolded($filter, $today, $ready);

            return new WallPage($wall, false, 1, new Pages(1, count($wall), max(1, count($wall)), 'groups'));
        }
        [$headings, $pages] = $this->headings($filter, $request, $today, $ready);
        $pressures = $this->weight->of(
            $filter,
            array_map(strval(...), array_column($headings, 'key')),
            $today,
            $ready,
        );
        $span = $filter->zoom->span($today);
        $wall = array_map(
            static fn (array $group): WallGroup => new WallGroup(
                $group['key'],
                $group['heading'],
                $group['plants'],
                [],
                Pressure::of(
                    $pressures[$group['key']] ?? [],
                    $group['plants'],
                    $span,
                    $today,
                    self::scale($filter, $today),
                ),
            ),
            $headings,
        );

        $peaks = array_map(static fn (WallGroup $group): int => $group->pressure?->peak() ?? 0, $wall);

        return new WallPage($wall, true, max([1, ...$peaks]), $pages);
    }

    /**
     * Some rows of one group of a folded wall.
     *
     * @return array{list<array{plant: Plant, strip: Strip, faults: list<string>}>, Pages}
     */
    public function group(SeasonFilter $filter, string $key, Request $request, Day $today, Readiness $ready): array
    {
        $members = $this->members($filter, $key, $today, $ready);
        $pages = Pages::of($request, (clone $members)->count(), self::ROWS, 'rows');
        $plants = self::inOrder($members, $pages->per, $pages->offset());

        $strips = $this->strips(
            $plants, $this->tasks->years($plants, $filter->zoom->span($today), $today), $filter, $today,
        );

        return [$strips, $pages];
    }

    public static function scale(SeasonFilter $filter, Day $today): float
    {
        return self::WIDTH / $filter->zoom->span($today)->days();
    }

    /** Whether more plants are shown than stand in rows of their own. */
    private function isFolded(SeasonFilter $filter, Day $today, Readiness $ready): bool
    {
        if (! $filter->isOfGardens()) {
            $some = $this->plants($filter, $today, $ready)
                ->select('kept_plants.plant_id')
                ->limit(self::FOLDED_ABOVE + 1);

            return DB::query()->fromSub($some, 'some')->count() > self::FOLDED_ABOVE;
        }
        $kept = $ready->keepFresh(DB::table('kept_gardens'), 'kept_gardens.garden_id');

        return $filter->narrowGardens($kept, 'kept_gardens.garden_id')->sum('plants') > self::FOLDED_ABOVE;
    }

    /**
     * The plants that are shown: plant_id, garden_id and kind of each, as `kept_plants` names them.
     *
     * @param  string|list<int>|null  $of  the column that names the one garden they are of, or some gardens
     */
    private function plants(
        SeasonFilter $filter,
        Day $today,
        Readiness $ready,
        string|array|null $of = null,
    ): Builder {
        $among = static fn (Builder $rows, string $garden): Builder => match (true) {
            is_string($of) => $rows->whereColumn($garden, $of),
            is_array($of) => $rows->whereIn($garden, $of),
            default => $rows,
        };
        if ($filter->show === null) {
            $plants = $filter->narrow(
                $ready->keepFresh(DB::table('kept_plants'), 'kept_plants.garden_id'),
                'kept_plants',
            );

            return $among($plants, 'kept_plants.garden_id');
        }
        $tasks = $among($filter->narrow(KeptTasks::query($ready), 'season_tasks'), 'season_tasks.garden_id');
        $of === null
            ? KeptTasks::urgent($tasks, $filter->show, $today)
            : KeptTasks::urgentAmong($tasks, $filter->show, $today);
        if (is_string($of)) {
            return $tasks;
        }

        return DB::query()->fromSub(
            $tasks->select(['season_tasks.plant_id', 'season_tasks.garden_id', 'season_tasks.kind'])->distinct(),
            'kept_plants',
        );
    }

    /**
     * The groups of one page: key, heading and number of plants.
     *
     * @return array{list<array{key: string, heading: string, plants: int}>, Pages}
     */
    private function headings(SeasonFilter $filter, Request $request, Day $today, Readiness $ready): array
    {
        $all = match ($filter->by) {
            Grouping::Garden => null,
            Grouping::Kind => $this->byKind($this->plants($filter, $today, $ready)),
            Grouping::Crew => $this->byCrew($this->perGarden($filter, $today, $ready)),
            Grouping::Urgency => $this->byUrgency($filter, $today, $ready),
        };
        if ($all !== null) {
            $pages = Pages::of($request, count($all), self::GROUPS, 'groups');

            return [array_slice($all, $pages->offset(), $pages->per), $pages];
        }
        if (! $filter->isOfGardens()) {
            return $this->gardensFound($filter, $request, $today, $ready);
        }
        $gardens = $this->perGarden($filter, $today, $ready);
        $pages = Pages::of($request, (clone $gardens)->count(), self::GROUPS, 'groups');
        $gardens->orderBy('gardens.name')->orderBy('gardens.id')->limit($pages->per)->offset($pages->offset());
        $headings = [];
        foreach ($gardens->get() as $row) {
            $headings[] = ['key' => (string) $row->id, 'heading' => $row->name, 'plants' => (int) $row->plants];
        }

        return [$headings, $pages];
    }

    /**
     * Gardens with any plant that is shown, in their order; its plants are counted for those of the page alone.
     *
     * @return array{list<array{key: string, heading: string, plants: int}>, Pages}
     */
    private function gardensFound(SeasonFilter $filter, Request $request, Day $today, Readiness $ready): array
    {
        $gardens = DB::table('gardens')->whereExists(
            $this->plants($filter, $today, $ready, 'gardens.id')->select(DB::raw('1')),
        );
        $some = (clone $gardens)->select('gardens.id')->limit(Pressure::MANY + 1);
        $pages = Pages::of(
            $request, DB::query()->fromSub($some, 'some')->count(), self::GROUPS, 'groups', Pressure::MANY,
        );
        $shown = $gardens->orderBy('gardens.name')->orderBy('gardens.id')->limit($pages->per)
            ->offset($pages->offset())->pluck('gardens.name', 'gardens.id');
        $counts = $this->plants($filter, $today, $ready, array_values($shown->keys()->all()))
            ->select('kept_plants.garden_id')->selectRaw('count(*) as plants')->groupBy('kept_plants.garden_id')
            ->pluck('plants', 'garden_id');
        $headings = [];
        foreach ($shown as $id => $name) {
            $headings[] = [
                'key' => (string) $id, 'heading' => (string) $name, 'plants' => (int) ($counts[$id] ?? 0),
            ];
        }

        return [$headings, $pages];
    }

    /** The gardens in which plants are shown, with how many: id, name, crew_id, plants. */
    private function perGarden(SeasonFilter $filter, Day $today, Readiness $ready): Builder
    {
        if ($filter->isOfGardens()) {
            return $filter
                ->narrowGardens(
                    $ready->keepFresh(
                        DB::table('gardens')->join('kept_gardens', 'kept_gardens.garden_id', '=', 'gardens.id'),
                        'gardens.id',
                    ),
                    'gardens.id',
                )
                ->where('kept_gardens.plants', '>', 0)
                ->select(['gardens.id', 'gardens.name', 'gardens.crew_id', 'kept_gardens.plants']);
        }
        $counts = $this->plants($filter, $today, $ready)
            ->select('kept_plants.garden_id')
            ->selectRaw('count(*) as plants')
            ->groupBy('kept_plants.garden_id');

        return DB::table('gardens')
            ->joinSub($counts, 'counts', 'counts.garden_id', '=', 'gardens.id')
            ->select(['gardens.id', 'gardens.name', 'gardens.crew_id', 'counts.plants']);
    }

    /** @return list<array{key: string, heading: string, plants: int}> by name */
    private function byKind(Builder $plants): array
    {
        $groups = [];
        foreach (
            $plants
                ->select('kept_plants.kind')
                ->selectRaw('count(*) as plants')
                ->groupBy('kept_plants.kind')
                ->get() as $row
        ) {
            $groups[] = [
                'key' => $row->kind,
                'heading' => $this->book->nameOf($row->kind),
                'plants' => (int) $row->plants,
            ];
        }
        usort($groups, static fn (array $a, array $b): int => strcasecmp($a['heading'], $b['heading']));

        return $groups;
    }

    /** @return list<array{key: string, heading: string, plants: int}> by name */
    private function byCrew(Builder $gardens): array
    {
        $groups = [];
        $crews = DB::query()
            ->fromSub($gardens, 'shown')
            ->leftJoin('crews', 'crews.id', '=', 'shown.crew_id')
            ->select(['shown.crew_id', 'crews.name'])
            ->selectRaw('sum(shown.plants) as plants')
            ->groupBy('shown.crew_id', 'crews.name');
        foreach ($crews->get() as $row) {
            $groups[] = [
                'key' => (string) ($row->crew_id ?? 0),
                'heading' => $row->name ?? 'No crew yet',
                'plants' => (int) $row->plants,
            ];
        }
        usort($groups, static fn (array $a, array $b): int => strcasecmp($a['heading'], $b['heading']));

        return $groups;
    }

    /** @return list<array{key: string, heading: string, plants: int}> the most pressing first */
    private function byUrgency(SeasonFilter $filter, Day $today, Readiness $ready): array
    {
        $groups = [];
        foreach ($filter->show === null ? KeptTasks::URGENCIES : [$filter->show] as $urgency) {
            $tasks = KeptTasks::urgent($filter->narrow(KeptTasks::query($ready), 'season_tasks'), $urgency, $today);
            $groups[] = [
                'key' => $urgency->value,
                'heading' => Grouping::pressing($urgency),
                // As many as are told: of tens of thousands no more.
                'plants' => DB::query()->fromSub(
                    $tasks->select('season_tasks.plant_id')->distinct()->limit(Pressure::MANY + 1), 'some',
                )->count(),
            ];
        }

        return array_values(array_filter($groups, static fn (array $group): bool => $group['plants'] > 0));
    }

    /** The plants of one group: a query on kept_plants. */
    private function members(SeasonFilter $filter, string $key, Day $today, Readiness $ready): Builder
    {
        $plants = $this->plants($filter, $today, $ready);

        return match ($filter->by) {
            Grouping::Garden => $plants->where('kept_plants.garden_id', (int) $key),
            Grouping::Kind => $plants->where('kept_plants.kind', $key),
            Grouping::Crew => $plants->whereIn(
                'kept_plants.garden_id',
                DB::table('gardens')
                    ->select('id')
                    ->where('crew_id', (int) $key ?: null),
            ),
            Grouping::Urgency => $plants->whereIn(
                'kept_plants.plant_id',
                KeptTasks::urgent(
                    DB::table('season_tasks')->select('season_tasks.plant_id'),
                    Urgency::tryFrom($key) ?? Urgency::Later,
                    $today,
                ),
            ),
        };
    }

    /** @return list<WallGroup> */
    private function unfolded(SeasonFilter $filter, Day $today, Readiness $ready): array
    {
        $plants = self::inOrder($this->plants($filter, $today, $ready), self::FOLDED_ABOVE, 0);
        $years = $this->tasks->years($plants, $filter->zoom->around($today), $today);
        $groups = [];
        foreach (
            $plants->groupBy(
                static fn (Plant $plant): string => $filter->by->key($plant, $years[$plant->id]),
            ) as $key => $members
        ) {
            $first = $members->first();
            if ($first !== null) {
                $heading = $filter->by->heading($first, $years[$first->id], $this->book);
                $groups[$filter->by->order((string) $key, $heading).$key] = new WallGroup(
                    (string) $key,
                    $heading,
                    $members->count(),
                    $this->strips($members, $years, $filter, $today),
                    null,
                );
            }
        }
        ksort($groups, SORT_STRING);

        return array_values($groups);
    }

    /** @return Collection<int, Plant> garden by garden and bed by bed */
    private static function inOrder(Builder $kept, int $limit, int $offset): Collection
    {
        $ids = $kept
            ->join('plants', 'plants.id', '=', 'kept_plants.plant_id')
            ->orderBy('kept_plants.garden_id')
            ->orderBy('plants.bed')
            ->orderBy('plants.label')
            ->orderBy('plants.id')
            ->limit($limit)
            ->offset($offset)
            ->pluck('kept_plants.plant_id')
            ->all();
        $plants = Plant::query()->with('garden.crew')->whereKey($ids)->get()->keyBy('id');

        return new Collection(
            array_values(array_filter(array_map(static fn (mixed $id): ?Plant => $plants->get($id), $ids))),
        );
    }

    /**
     * @param  Collection<int, Plant>  $plants
     * @param  array<int, PlantYear>  $years
     * @return list<array{plant: Plant, strip: Strip, faults: list<string>}>
     */
    private function strips(Collection $plants, array $years, SeasonFilter $filter, Day $today): array
    {
        $span = $filter->zoom->span($today);

        return array_values(
            $plants
                ->map(
                    static fn (Plant $plant): array => [
                        'plant' => $plant,
                        'strip' => Strip::of($years[$plant->id]->within($span), self::scale($filter, $today)),
                        'faults' => $years[$plant->id]->faults,
                    ],
                )
                ->all(),
        );
    }
}
