<?php

declare(strict_types=1);

namespace App\Season;

use App\Models\Plant;
use Illuminate\Database\Eloquent\Collection;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Drawing\Pressure;
use PruningHook\Core\Drawing\Strip;
use PruningHook\Core\Planning\DueTask;
use PruningHook\Core\Planning\PlantYear;
use PruningHook\Core\Planning\Urgency;
use PruningHook\Core\PlantBook\PlantBook;

/** Everything the Season screen shows of one day: the lists by urgency, and the wall. */
final readonly class SeasonScreen
{
    /** The lists, in the order in which a planner looks at them. */
    private const GROUPS = [Urgency::Closing, Urgency::Missed, Urgency::Open, Urgency::Coming];

    /** However much time the wall shows, its strips are drawn this wide, in mm. */
    private const WIDTH = 365;

    /** More plants than this are folded into a line a group. */
    private const FOLDED_ABOVE = 80;

    /** Rows of a list before it says how many more there are, and rows where one list is asked for. */
    private const LISTED = 12;

    private const LISTED_ALONE = 200;

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
        $years = $this->gather($plants, $filter, $today);
        $rows = $this->rows->among($plants, $years, $today);
        $lists = [];
        foreach (self::GROUPS as $urgency) {
            $lists[$urgency->value] = array_values(array_filter($rows, static fn (DueRow $row): bool => $row->due->urgency === $urgency));
        }
        $shown = $filter->show === null ? $plants : $plants->whereIn('id', array_map(static fn (DueRow $row): int => $row->plant->id, $lists[$filter->show]))->values();
        $folded = $shown->count() > self::FOLDED_ABOVE;
        $groups = $this->wall($shown, $years, $filter, $today, $folded);

        return [
            'today' => $today,
            'counts' => array_map(count(...), $lists),
            'lists' => array_map(static fn (array $list): array => array_slice($list, 0, $filter->show === null ? self::LISTED : self::LISTED_ALONE), $lists),
            'months' => Strip::marks($filter->zoom->span($today), self::scale($filter, $today)),
            'width' => self::WIDTH,
            'wall' => $groups,
            'folded' => $folded,
            'peak' => max([1, ...array_map(static fn (WallGroup $group): int => $group->pressure?->peak() ?? 0, $groups)]),
        ];
    }

    /**
     * One group of a folded wall, unfolded.
     *
     * @return array<string, mixed>
     */
    public function group(SeasonFilter $filter, string $key, Day $today): array
    {
        $plants = $filter->ofGroup($filter->plants($this->book), $key)->get();
        $years = $this->gather($plants, $filter, $today);
        $plants = $plants->filter(static fn (Plant $plant): bool => $filter->by->key($plant, $years[$plant->id]) === $key)->values();

        return [
            'months' => Strip::marks($filter->zoom->span($today), self::scale($filter, $today)),
            'width' => self::WIDTH,
            'rows' => $this->strips($plants, $years, $filter, $today),
            'garden' => $filter->by !== Grouping::Garden,
        ];
    }

    /**
     * Each plant's time, once: what the wall shows and what the lists look at.
     *
     * @param  Collection<int, Plant>  $plants
     * @return array<int, PlantYear> by plant
     */
    private function gather(Collection $plants, SeasonFilter $filter, Day $today): array
    {
        $shown = $filter->zoom->span($today);
        $whole = Span::of(
            Day::earliest($shown->from, $today->minus(DueTask::MISSED_DAYS)),
            Day::latest($shown->to, $today->plus(DueTask::COMING_DAYS)),
        );
        $years = [];
        foreach ($plants as $plant) {
            $years[$plant->id] = $this->years->of($plant, $today, $whole);
        }

        return $years;
    }

    /**
     * @param  Collection<int, Plant>  $plants
     * @param  array<int, PlantYear>  $years
     * @return list<WallGroup>
     */
    private function wall(Collection $plants, array $years, SeasonFilter $filter, Day $today, bool $folded): array
    {
        $groups = [];
        foreach ($plants->groupBy(static fn (Plant $plant): string => $filter->by->key($plant, $years[$plant->id])) as $key => $members) {
            $first = $members->first();
            if ($first === null) {
                continue;
            }
            $heading = $filter->by->heading($first, $years[$first->id], $this->book);
            $groups[$filter->by->order((string) $key, $heading).$key] = new WallGroup(
                (string) $key,
                $heading,
                $members->count(),
                $folded ? [] : $this->strips($members, $years, $filter, $today),
                $folded ? Pressure::of(
                    array_values($members->map(static fn (Plant $plant): PlantYear => $years[$plant->id])->all()),
                    $filter->zoom->span($today), $today, self::scale($filter, $today),
                ) : null,
            );
        }
        ksort($groups, SORT_STRING);

        return array_values($groups);
    }

    /**
     * @param  Collection<int, Plant>  $plants
     * @param  array<int, PlantYear>  $years
     * @return list<array{plant: Plant, strip: Strip}>
     */
    private function strips(Collection $plants, array $years, SeasonFilter $filter, Day $today): array
    {
        $span = $filter->zoom->span($today);

        return array_values($plants->map(static fn (Plant $plant): array => [
            'plant' => $plant,
            'strip' => Strip::of($years[$plant->id]->within($span), self::scale($filter, $today)),
        ])->all());
    }

    private static function scale(SeasonFilter $filter, Day $today): float
    {
        return self::WIDTH / $filter->zoom->span($today)->days();
    }
}
