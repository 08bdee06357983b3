<?php

declare(strict_types=1);

namespace App\Season;

use App\Season\Due\Readiness;
use Closure;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Drawing\Pressure;
use PruningHook\Core\Planning\DueTask;

/**
 * How many tasks are open, and at their best, in each week or day, for the groups of one page of the wall. Whole
 * gardens and crews are summed from what is kept by the week; anything narrower is counted by SQL from the tasks'
 * edges.
 */
final readonly class Weight
{
    /**
     * @param  list<string>  $keys  of the groups asked for
     * @return array<array-key, array<int, array{int, int}>> open and best, by group and first day of the step
     */
    public function of(SeasonFilter $filter, array $keys, Day $today, Readiness $ready): array
    {
        $byWeek = Pressure::step($filter->zoom->span($today)) === 7;
        if ($byWeek && $filter->isOfGardens() && in_array($filter->by, [Grouping::Garden, Grouping::Crew], true)) {
            return $this->kept($filter, $keys, $today, $ready);
        }

        return $this->counted($filter, $keys, $today, $ready);
    }

    /**
     * @param  list<string>  $keys
     * @return array<array-key, array<int, array{int, int}>>
     */
    private function kept(SeasonFilter $filter, array $keys, Day $today, Readiness $ready): array
    {
        $span = $filter->zoom->span($today);
        if ($filter->by === Grouping::Crew && $filter->garden === null && $ready->isWhole()) {
            return CrewWeeks::of(
                array_map(intval(...), $keys), $span->from->monday()->number, $span->to->number,
            );
        }
        $weeks = $filter
            ->narrowGardens(
                $ready->keepFresh(DB::table('kept_weeks'), 'kept_weeks.garden_id'),
                'kept_weeks.garden_id',
            )
            ->whereBetween('week', [$span->from->monday()->number, $span->to->number]);
        if ($filter->by === Grouping::Garden) {
            $weeks
                ->whereIn('kept_weeks.garden_id', $keys)
                ->select(['kept_weeks.garden_id as key', 'week', 'open', 'best']);
        } else {
            $weeks
                ->join('gardens', 'gardens.id', '=', 'kept_weeks.garden_id')
                ->where(self::ofCrews($keys))
                ->selectRaw(
                    'coalesce(gardens.crew_id, 0) as "key", week, sum("open") as "open", sum("best") as "best"',
                )
                ->groupBy('gardens.crew_id', 'week');
        }
        $counts = [];
        foreach ($weeks->get() as $row) {
            $counts[(string) $row->key][(int) $row->week] = [(int) $row->open, (int) $row->best];
        }

        return $counts;
    }

    /**
     * Written so that the crews' own index leads to their gardens.
     *
     * @param  list<string>  $keys  0 for gardens without a crew
     * @return Closure(Builder): mixed
     */
    public static function ofCrews(array $keys): Closure
    {
        $crews = array_diff(array_map(intval(...), $keys), [0]);

        return static fn (Builder $gardens) => in_array('0', $keys, true)
            ? $gardens->whereIn('gardens.crew_id', $crews)->orWhereNull('gardens.crew_id')
            : $gardens->whereIn('gardens.crew_id', $crews);
    }

    /**
     * Tasks that share their days are counted together: the index of the days holds them side by side, so that one walk
     * through it does for all steps, and there are no more of them than a few hundred windows however large the firm.
     *
     * @param  list<string>  $keys
     * @return array<array-key, array<int, array{int, int}>>
     */
    private function counted(SeasonFilter $filter, array $keys, Day $today, Readiness $ready): array
    {
        $span = $filter->zoom->span($today);
        $step = Pressure::step($span);
        $steps = new TimeSteps(($step === 1 ? $span->from : $span->from->monday())->number, $span->to->number, $step);
        $days = ['opens', 'closes', 'best_from', 'best_to'];
        // Written as sums where gardens or kinds are asked for, so that their index is gone by and not that of all
        // days.
        $sum = in_array($filter->by, [Grouping::Garden, Grouping::Kind], true) ? ' + 0' : '';
        $tasks = $this->grouped($filter, $keys, $today, $ready)
            ->whereRaw("opens$sum <= ? and closes$sum >= ?", [$steps->to, $steps->from])
            ->addSelect($days)
            ->selectRaw('count(*) as tasks');
        $open = $best = [];
        foreach ($tasks->groupBy($days)->get() as $row) {
            $key = $filter->by === Grouping::Urgency
                ? DueTask::pressing((int) $row->closes - $today->number, (int) $row->opens - $today->number)->value
                : (string) $row->key;
            $steps->add($open[$key], (int) $row->opens, (int) $row->closes, (int) $row->tasks);
            $steps->add($best[$key], (int) $row->best_from, (int) $row->best_to, (int) $row->tasks);
        }
        $counts = [];
        foreach ($open as $key => $changes) {
            $atBest = $steps->standing($best[$key] ?? []);
            foreach ($steps->standing($changes) as $from => $count) {
                $counts[$key][$from] = [$count, $atBest[$from]];
            }
        }

        return $counts;
    }

    /**
     * The tasks of the groups asked for, not yet done, with the group's `key` where it is a column.
     *
     * @param  list<string>  $keys
     */
    private function grouped(SeasonFilter $filter, array $keys, Day $today, Readiness $ready): Builder
    {
        $tasks = $filter->narrow(KeptTasks::query($ready), 'season_tasks')->where('season_tasks.done', false);
        if ($filter->show !== null) {
            $filter->by === Grouping::Garden
                ? KeptTasks::urgentAmong($tasks, $filter->show, $today)
                : KeptTasks::urgent($tasks, $filter->show, $today);
        }

        return match ($filter->by) {
            Grouping::Garden => $tasks
                ->whereIn('season_tasks.garden_id', array_map(intval(...), $keys))
                ->selectRaw('season_tasks.garden_id as "key"')
                ->groupBy('season_tasks.garden_id'),
            Grouping::Kind => $tasks
                ->whereIn('season_tasks.kind', $keys)
                ->selectRaw('season_tasks.kind as "key"')
                ->groupBy('season_tasks.kind'),
            Grouping::Crew => $tasks
                ->join('gardens', 'gardens.id', '=', 'season_tasks.garden_id')
                ->where(self::ofCrews($keys))
                ->selectRaw('coalesce(gardens.crew_id, 0) as "key"')
                ->groupBy('gardens.crew_id'),
            Grouping::Urgency => $tasks
                ->where('opens', '<=', $today->number + DueTask::COMING_DAYS)
                ->where('closes', '>=', $today->number - DueTask::MISSED_DAYS),
        };
    }
}
