<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

/**
 * On which days a garden would be visited if it had the crews to itself: the fewest minutes of visits and of days
 * outside the best windows. Exact, since what a day costs a task falls until its best window and rises after it: of all
 * visits only the last before the window's first best day and the first from it on can be the cheapest for it.
 */
final readonly class IdealDays
{
    /**
     * @param  float  $cost  the least there is
     * @param  array<int, list<int>>  $visits  task groups by day
     */
    private function __construct(public float $cost, public array $visits)
    {
    }

    /**
     * @param  list<int>  $groups  of one garden
     * @param  float  $aVisit  what each visit costs
     * @param  float  $aMinute  what each person-minute done costs besides
     * @param  array<int, true>  $free  days on which it is visited anyway
     * @param  float  $share  of the price of what is left out
     */
    public static function of(
        PlanningProblem $problem,
        array $groups,
        float $aVisit,
        float $aMinute = 0.0,
        array $free = [],
        float $share = 1.0,
    ): self {
        $days = self::days($problem, $groups, $free);
        // Each task group at the place of its first best day among the days, with its price on each day it can lie on.
        $price = $before = $leftOut = [];
        foreach ($groups as $index) {
            $group = $problem->groups[$index];
            $leftOut[$index] = $share * $group->leftOut();
            $price[$index] = self::prices($group, $days, $aMinute);
            $before[self::first($group, $days)][] = $index;
        }
        $visit = array_map(static fn (int $day): float => isset($free[$day]) ? 0.0 : $aVisit, $days);
        // The least up to each day that is visited, and the day visited before it; the last place is the end.
        $least = $from = [];
        $count = count($days);
        for ($to = 0; $to <= $count; $to++) {
            $least[$to] = INF;
            $between = [];
            for ($since = $to - 1; $since >= -1; $since--) {
                array_push($between, ...$before[$since + 1] ?? []);
                [$cost, $lost] = self::between($between, $price, $leftOut, $since, $to);
                $cost += $since < 0 ? 0.0 : $least[$since] + $visit[$since];
                if ($cost < $least[$to]) {
                    [$least[$to], $from[$to]] = [$cost, $since];
                }
                // What is lost between two visits stays lost the further they are apart.
                if ($lost >= $least[$to]) {
                    break;
                }
            }
        }

        return new self($least[$count], self::told($leftOut, $days, $price, $from));
    }

    /**
     * What task groups cost whose first best day lies after one visit and not after the next.
     *
     * @param  list<int>  $between
     * @param  array<int, array<int, float>>  $price
     * @param  array<int, float>  $leftOut
     * @return array{float, float} and how much of it is for what neither can have
     */
    private static function between(array $between, array $price, array $leftOut, int $since, int $to): array
    {
        $cost = $lost = 0.0;
        foreach ($between as $group) {
            $a = $price[$group][$since] ?? INF;
            $b = $price[$group][$to] ?? INF;
            $cheaper = $a < $b ? $a : $b;
            if ($cheaper < $leftOut[$group]) {
                $cost += $cheaper;
            } else {
                $cost += $leftOut[$group];
                $lost += $leftOut[$group];
            }
        }

        return [$cost, $lost];
    }

    /**
     * @param  list<int>  $days
     * @return array<int, float> by place, of those on which it can be done
     */
    private static function prices(TaskGroup $group, array $days, float $aMinute): array
    {
        $prices = [];
        foreach ($days as $at => $day) {
            if ($day >= $group->opens && $day <= $group->closes && $group->crews !== []) {
                $prices[$at] = $group->outside($day) + $aMinute * $group->minutes;
            }
        }

        return $prices;
    }

    /**
     * The place of its first best day.
     *
     * @param  list<int>  $days
     */
    private static function first(TaskGroup $group, array $days): int
    {
        $place = 0;
        while ($place < count($days) && $days[$place] < $group->bestFrom) {
            $place++;
        }

        return $place;
    }

    /**
     * The days one visit can be best on: those open next before and after each edge of a window.
     *
     * @param  list<int>  $groups
     * @param  array<int, true>  $free
     * @return list<int>
     */
    private static function days(PlanningProblem $problem, array $groups, array $free): array
    {
        $edges = [];
        foreach ($groups as $index) {
            $group = $problem->groups[$index];
            foreach ([$group->opens, $group->bestFrom, $group->bestTo, $group->closes] as $edge) {
                $edges[max(0, min($problem->days - 1, $edge))] = true;
            }
        }
        $open = $free;
        $garden = $groups === [] ? 0 : $problem->groups[$groups[0]]->garden;
        foreach (array_keys($edges) as $edge) {
            for ($day = $edge; $day < $problem->days; $day++) {
                if (! $problem->isShut($garden, $day) && $problem->anyoneWorks[$day]) {
                    $open[$day] = true;
                    break;
                }
            }
            for ($day = $edge; $day >= 0; $day--) {
                if (! $problem->isShut($garden, $day) && $problem->anyoneWorks[$day]) {
                    $open[$day] = true;
                    break;
                }
            }
        }
        ksort($open);

        return array_keys($open);
    }

    /**
     * @param  array<int, float>  $leftOut
     * @param  list<int>  $days
     * @param  array<int, array<int, float>>  $price
     * @param  array<int, int>  $from
     * @return array<int, list<int>>
     */
    private static function told(array $leftOut, array $days, array $price, array $from): array
    {
        $visited = [];
        for ($at = $from[count($days)] ?? -1; $at >= 0; $at = $from[$at] ?? -1) {
            $visited[] = $at;
        }
        $visits = [];
        foreach ($leftOut as $group => $best) {
            $on = null;
            foreach ($visited as $at) {
                if (($price[$group][$at] ?? INF) < $best) {
                    [$best, $on] = [$price[$group][$at], $at];
                }
            }
            if ($on !== null) {
                $visits[$days[$on]][] = $group;
            }
        }

        return $visits;
    }
}
