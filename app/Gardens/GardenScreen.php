<?php

declare(strict_types=1);

namespace App\Gardens;

use App\Ground\Bridge\CorePlants;
use App\Ground\Models\Garden;
use App\Ground\Models\Plant;
use App\Ground\Models\Visit;
use App\Ground\Support\Pages;
use App\Ground\Support\Reading;
use App\Season\Due\Basis;
use App\Season\Due\DueKeeper;
use App\Season\DueRow;
use App\Season\KeptTasks;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Drawing\Strip;
use PruningHook\Core\Planning\DueTask;
use PruningHook\Core\PlantBook\PlantBook;

/** Everything the Garden screen shows: what is due, the plants' years, visits to come and past. */
final readonly class GardenScreen
{
    /** Visits to come, and past visits of one page. */
    private const COMING = 20;

    private const PAST = 12;

    /** Plants of one page, and tasks that are due: a park has thousands. */
    private const PLANTS = 150;

    private const DUE = 60;

    public function __construct(
        private DueKeeper $keeper,
        private KeptTasks $tasks,
        private CorePlants $bridge,
        private PlantBook $book,
    ) {
    }

    public function show(Garden $garden, Request $request, Day $today): GardenPage
    {
        $this->keeper->ensure([$garden->id]);
        $past = Pages::of($request, self::over($garden, $today)->count(), self::PAST, 'visits');
        $plants = Pages::of($request, $garden->plants()->count(), self::PLANTS, 'plants');

        return Reading::together(function () use ($garden, $today, $past, $plants): GardenPage {
            $span = Basis::year($today);
            $rows = $this->due($garden, $today);

            return new GardenPage(
                garden: $garden->load('crew'),
                today: $today,
                book: $this->book,
                putAside: $this->bridge->putAside($garden->practice),
                rows: array_slice($rows, 0, self::DUE),
                hasMore: count($rows) > self::DUE,
                months: Strip::marks($span),
                width: $span->days(),
                strips: $this->strips($garden, $plants, $span, $today),
                coming: self::coming($garden, $today),
                past: self::past($garden, $today, $past),
                pages: $past,
                plantPages: $plants,
            );
        });
    }

    /** @return list<DueRow> one more than is shown, where there is one */
    private function due(Garden $garden, Day $today): array
    {
        return $this->tasks->rows(
            DB::table('season_tasks')
                ->where('garden_id', $garden->id)
                ->where('closes', '>=', $today->minus(DueTask::MISSED_DAYS)->number)
                ->where('opens', '<=', $today->plus(DueTask::COMING_DAYS)->number)
                ->orderBy('closes')
                ->orderBy('id')
                ->limit(self::DUE + 1),
            $today,
        );
    }

    /** @return list<array{plant: Plant, strip: Strip, faults: list<string>}> */
    private function strips(Garden $garden, Pages $pages, Span $span, Day $today): array
    {
        $query = Plant::query();
        $query->where('garden_id', $garden->id)->orderBy('bed')->orderBy('label')->orderBy('id')
            ->limit($pages->per)->offset($pages->offset());
        $plants = $query->get();
        $years = $this->tasks->years($plants, $span, $today);

        return array_values($plants->map(static fn (Plant $plant): array => [
            'plant' => $plant, 'strip' => Strip::of($years[$plant->id]), 'faults' => $years[$plant->id]->faults,
        ])->all());
    }

    /** @return Builder<Visit> */
    private static function visits(Garden $garden): Builder
    {
        return Visit::query()
            ->where('garden_id', $garden->id)
            ->with(['crew', 'tasks' => static fn ($tasks) => $tasks->select(['id', 'visit_id', 'minutes'])]);
    }

    /**
     * What was not logged on its day still waits, however long ago that was.
     *
     * @return Collection<int, Visit>
     */
    private static function coming(Garden $garden, Day $today): Collection
    {
        $visits = self::visits($garden);
        $visits->where(static fn ($any) => $any->where('on', '>=', (string) $today)->orWhere('waiting', true))
            ->orderBy('on')
            ->limit(self::COMING);

        return $visits->get();
    }

    /** @return Collection<int, Visit> */
    private static function past(Garden $garden, Day $today, Pages $pages): Collection
    {
        $visits = self::over($garden, $today);
        $visits->orderByDesc('on')->limit($pages->per)->offset($pages->offset());

        return $visits->get();
    }

    /** @return Builder<Visit> */
    private static function over(Garden $garden, Day $today): Builder
    {
        return self::visits($garden)->where('on', '<', (string) $today)->where('waiting', false);
    }
}
