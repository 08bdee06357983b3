<?php

declare(strict_types=1);

namespace App\Season;

use App\Models\Plant;
use Illuminate\Database\Eloquent\Collection;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Drawing\Strip;
use PruningHook\Core\Planning\Urgency;
use PruningHook\Core\PlantBook\PlantBook;

/** Everything the Season screen shows of one day: the lists by urgency, and the wall. */
final readonly class SeasonScreen
{
    /** The lists, in the order in which a planner looks at them. */
    private const GROUPS = [Urgency::Closing, Urgency::Missed, Urgency::Open, Urgency::Coming];

    /** However much time the wall shows, its strips are drawn this wide, in mm. */
    private const WIDTH = 365;

    public function __construct(
        private DueRows $rows,
        private PlantYears $years,
        private PlantBook $book,
    ) {
    }

    /** @return array<string, mixed> */
    public function show(SeasonFilter $filter, Day $today): array
    {
        $plants = $filter->plants($this->book)->get();
        $rows = $this->rows->for($plants, $today);
        $groups = [];
        foreach (self::GROUPS as $urgency) {
            $groups[$urgency->value] = array_values(array_filter($rows, static fn (DueRow $row): bool => $row->due->urgency === $urgency));
        }
        $span = PlantYears::zoomed($today, $filter->zoom);
        $scale = self::WIDTH / $span->days();

        return [
            'today' => $today,
            'groups' => $groups,
            'months' => Strip::marks($span, $scale),
            'width' => self::WIDTH,
            'wall' => $this->shown($plants, $groups, $filter)
                ->groupBy(fn (Plant $plant): string => $filter->by->heading($plant, $this->book))
                ->map(fn (Collection $plants): array => array_values($plants->map(fn (Plant $plant): array => [
                    'plant' => $plant,
                    'strip' => Strip::of($this->years->of($plant, $today, $span), $scale),
                ])->all()))->sortKeys()->all(),
        ];
    }

    /**
     * Where one list is asked for, the wall shows only its plants.
     *
     * @param  Collection<int, Plant>  $plants
     * @param  array<string, list<DueRow>>  $groups
     * @return Collection<int, Plant>
     */
    private function shown(Collection $plants, array $groups, SeasonFilter $filter): Collection
    {
        if ($filter->show === null) {
            return $plants;
        }
        $ids = array_map(static fn (DueRow $row): int => $row->plant->id, $groups[$filter->show]);

        return $plants->whereIn('id', $ids)->values();
    }
}
