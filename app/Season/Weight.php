<?php

declare(strict_types=1);

namespace App\Season;

use App\Due\Readiness;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Drawing\Pressure;
use PruningHook\Core\Planning\Urgency;

/**
 * How many tasks are open, and at their best, in each week or day, for the groups of one page of the wall. Whole gardens
 * and crews are summed from what is kept by the week; anything narrower is counted by SQL from the tasks' edges.
 */
final readonly class Weight
{
    /**
     * @param  list<string>  $keys  of the groups asked for
     * @return array<string, array<int, array{int, int}>> open and best, by group and first day of the step
     */
    public function of(SeasonFilter $filter, array $keys, Day $today, Readiness $ready): array
    {
        $byWeek = Pressure::step($filter->zoom->span($today)) === 7;
        if ($byWeek && $filter->isOfGardens() && in_array($filter->by, [Grouping::Garden, Grouping::Crew], true)) {
            return $this->kept($filter, $keys, $today, $ready);
        }

        if ($filter->by !== Grouping::Urgency) {
            return $this->counted($filter, $keys, $today, $ready, null);
        }
        // One after the other: each has an index of its own to go by.
        $counts = [];
        foreach ($keys as $key) {
            $counts[$key] = $this->counted($filter, [], $today, $ready, Urgency::from($key))[''] ?? [];
        }

        return $counts;
    }

    /**
     * @param  list<string>  $keys
     * @return array<string, array<int, array{int, int}>>
     */
    private function kept(SeasonFilter $filter, array $keys, Day $today, Readiness $ready): array
    {
        $span = $filter->zoom->span($today);
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
                ->whereIn(DB::raw('coalesce(gardens.crew_id, 0)'), array_map(intval(...), $keys))
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
     * @param  list<string>  $keys
     * @return array<string, array<int, array{int, int}>>
     */
    private function counted(
        SeasonFilter $filter,
        array $keys,
        Day $today,
        Readiness $ready,
        ?Urgency $urgency,
    ): array {
        $span = $filter->zoom->span($today);
        $step = Pressure::step($span);
        $from = ($step === 1 ? $span->from : $span->from->monday())->number;
        $steps = intdiv($span->to->number - $from, $step) + 1;
        $tasks = function () use ($filter, $keys, $today, $ready, $urgency): Builder {
            $tasks = $filter->narrow(KeptTasks::query($ready), 'season_tasks')->where('season_tasks.done', false);
            if ($filter->show !== null) {
                KeptTasks::urgent($tasks, $filter->show, $today);
            }

            return match ($filter->by) {
                Grouping::Garden => $tasks
                    ->whereIn('season_tasks.garden_id', array_map(intval(...), $keys))
                    ->selectRaw('season_tasks.garden_id as "key"'),
                Grouping::Kind => $tasks
                    ->whereIn('season_tasks.kind', $keys)
                    ->selectRaw('season_tasks.kind as "key"'),
                Grouping::Crew => $tasks
                    ->join('gardens', 'gardens.id', '=', 'season_tasks.garden_id')
                    ->whereIn(DB::raw('coalesce(gardens.crew_id, 0)'), array_map(intval(...), $keys))
                    ->selectRaw('coalesce(gardens.crew_id, 0) as "key"'),
                Grouping::Urgency => KeptTasks::urgent($tasks, $urgency ?? Urgency::Later, $today)
                    ->selectRaw("'' as \"key\""),
            };
        };
        $open = $this->standing($tasks, 'opens', 'closes', $from, $step, $steps);
        $best = $this->standing($tasks, 'best_from', 'best_to', $from, $step, $steps);
        $counts = [];
        foreach ($open as $key => $each) {
            foreach ($each as $index => $count) {
                $counts[$key][$from + $index * $step] = [$count, $best[$key][$index] ?? 0];
            }
        }

        return $counts;
    }

    /**
     * How many stretches stand in each step: those begun until its end, less those ended before it.
     *
     * @param  callable(): Builder  $tasks
     * @return array<string, array<int, int>> by group and step
     */
    private function standing(callable $tasks, string $begins, string $ends, int $from, int $step, int $steps): array
    {
        $to = $from + $steps * $step - 1;
        $change = [];
        // Each edge as the step it falls in, those outside the stretch drawn in to its ends: +1 where it begins, -1 after it ends.
        $edges = [
            ["case when $begins < $from then $from else $begins end", 0, 1],
            ["case when $ends > $to then $to else $ends end", 1, -1],
        ];
        foreach ($edges as [$edge, $later, $sign]) {
            // Written as sums, and grouped by one, so that the index of the groups is used and not that of the days: walked in
            // the order of the days, every task of the firm is looked at.
            $rows = $tasks()
                ->whereRaw("$begins + 0 <= ? and $ends + 0 >= ?", [$to, $from])
                ->selectRaw("(($edge) - $from) / $step as step, count(*) as tasks")
                ->groupBy('key', 'step')
                ->get();
            foreach ($rows as $row) {
                $index = (int) $row->step + $later;
                $change[(string) $row->key][$index] =
                    ($change[(string) $row->key][$index] ?? 0) + $sign * (int) $row->tasks;
            }
        }
        $standing = [];
        foreach ($change as $key => $each) {
            $now = 0;
            for ($index = 0; $index < $steps; $index++) {
                $now += $each[$index] ?? 0;
                $standing[$key][$index] = $now;
            }
        }

        return $standing;
    }
}
