<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

/**
 * What must be left out at the least where more has to be done between two days than the crews that can do it have
 * minutes: tasks whose windows lie wholly between them, against crew days less one set-up and one way there and back.
 */
final readonly class Overfull
{
    /** @param  int  $way  minutes from the depot to the nearest garden, by whatever stops */
    public static function of(PlanningProblem $problem, int $way): float
    {
        $sets = [];
        foreach ($problem->groups as $group) {
            $sets[implode(' ', $group->crews)] = $group->crews;
        }
        $found = [];
        foreach ($sets as $crews) {
            $found = [...$found, ...self::among($problem, $crews, $way)];
        }
        usort($found, static fn (array $a, array $b): int => $b[2] <=> $a[2]);
        $sum = 0.0;
        $taken = [];
        // Stretches without a day in common have no task in common either, so what they leave out adds up.
        foreach ($found as [$from, $to, $leftOut]) {
            foreach ($taken as [$since, $until]) {
                if ($from <= $until && $to >= $since) {
                    continue 2;
                }
            }
            $taken[] = [$from, $to];
            $sum += $leftOut;
        }

        return $sum;
    }

    /**
     * @param  list<int>  $crews
     * @return list<array{int, int, float}> first day, last day, what is left out
     */
    private static function among(PlanningProblem $problem, array $crews, int $way): array
    {
        if ($crews === []) {
            return [];
        }
        $groups = array_filter(
            $problem->groups,
            static fn (TaskGroup $group): bool => array_diff($group->crews, $crews) === [] && $group->crews !== []
                && $group->pinned === null && $group->opens <= $group->closes,
        );
        $asked = $opens = $closes = [];
        foreach ($groups as $group) {
            $asked[$group->opens][$group->closes] = ($asked[$group->opens][$group->closes] ?? 0) + $group->minutes;
            $opens[$group->opens] = $closes[$group->closes] = true;
        }
        ksort($closes);
        krsort($opens);
        $can = self::upTo($problem, $crews, $way);
        $found = [];
        // From the last opening backwards, what closes by each day adds up.
        $by = array_fill_keys(array_keys($closes), 0);
        foreach (array_keys($opens) as $from) {
            foreach ($asked[$from] as $to => $minutes) {
                $by[$to] += $minutes;
            }
            $sum = 0;
            foreach ($by as $to => $minutes) {
                $sum += $minutes;
                $over = $sum - ($can[$to + 1] - $can[$from]);
                if ($to >= $from && $over > 0) {
                    $found[] = [$from, $to, $over];
                }
            }
        }
        usort($found, static fn (array $a, array $b): int => $b[2] <=> $a[2]);

        return array_map(
            static fn (array $each): array => [$each[0], $each[1], self::cheapest($problem, $groups, ...$each)],
            array_slice($found, 0, 20),
        );
    }

    /**
     * Person-minutes the crews have before each day of the horizon.
     *
     * @param  list<int>  $crews
     * @return list<int>
     */
    private static function upTo(PlanningProblem $problem, array $crews, int $way): array
    {
        $setUp = $problem->setUp === [] ? 0 : min($problem->setUp);
        $can = [0];
        for ($day = 0; $day < $problem->days; $day++) {
            $minutes = 0;
            foreach ($crews as $crew) {
                $minutes += max(0, $problem->most[$crew * $problem->days + $day] - 2 * $way - $setUp)
                    * $problem->people[$crew];
            }
            $can[] = $can[$day] + $minutes;
        }

        return $can;
    }

    /**
     * The least that leaving out so many minutes of work costs: by minutes for their price, and by the number of tasks.
     *
     * @param  array<int, TaskGroup>  $groups
     */
    private static function cheapest(PlanningProblem $problem, array $groups, int $from, int $to, int $over): float
    {
        $tasks = [];
        foreach ($groups as $group) {
            if ($group->opens >= $from && $group->closes <= $to) {
                foreach ($group->tasks as $task) {
                    $tasks[] = $problem->brief->tasks[$task];
                }
            }
        }
        $tasks = array_filter($tasks, static fn (Work $work): bool => $work->minutes > 0);
        usort($tasks, static fn (Work $a, Work $b): int => $a->weight / $a->minutes <=> $b->weight / $b->minutes);
        $price = 0.0;
        $left = $over;
        foreach ($tasks as $task) {
            $price += Price::LEFT_OUT * $task->weight * min(1, $left / $task->minutes);
            $left -= $task->minutes;
            if ($left <= 0) {
                break;
            }
        }
        usort($tasks, static fn (Work $a, Work $b): int => $b->minutes <=> $a->minutes);
        $count = 0;
        foreach ($tasks as $task) {
            $count++;
            $over -= $task->minutes;
            if ($over <= 0) {
                break;
            }
        }

        return max($price, $count * Price::LEFT_OUT * min([INF, ...array_column($tasks, 'weight')]));
    }
}
