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
    public static function of(Ground $ground, int $way): float
    {
        $sets = [];
        foreach ($ground->lots as $lot) {
            $sets[implode(' ', $lot->crews)] = $lot->crews;
        }
        $found = [];
        foreach ($sets as $crews) {
            $found = [...$found, ...self::among($ground, $crews, $way)];
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
    private static function among(Ground $ground, array $crews, int $way): array
    {
        if ($crews === []) {
            return [];
        }
        $lots = array_filter(
            $ground->lots,
            static fn (Lot $lot): bool => array_diff($lot->crews, $crews) === [] && $lot->crews !== []
                && $lot->pinned === null && $lot->opens <= $lot->closes,
        );
        $asked = $opens = $closes = [];
        foreach ($lots as $lot) {
            $asked[$lot->opens][$lot->closes] = ($asked[$lot->opens][$lot->closes] ?? 0) + $lot->minutes;
            $opens[$lot->opens] = $closes[$lot->closes] = true;
        }
        ksort($closes);
        krsort($opens);
        $can = self::upTo($ground, $crews, $way);
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
            static fn (array $each): array => [$each[0], $each[1], self::cheapest($ground, $lots, ...$each)],
            array_slice($found, 0, 20),
        );
    }

    /**
     * Person-minutes the crews have before each day of the horizon.
     *
     * @param  list<int>  $crews
     * @return list<int>
     */
    private static function upTo(Ground $ground, array $crews, int $way): array
    {
        $setUp = $ground->setUp === [] ? 0 : min($ground->setUp);
        $can = [0];
        for ($day = 0; $day < $ground->days; $day++) {
            $minutes = 0;
            foreach ($crews as $crew) {
                $minutes += max(0, $ground->most[$crew * $ground->days + $day] - 2 * $way - $setUp)
                    * $ground->people[$crew];
            }
            $can[] = $can[$day] + $minutes;
        }

        return $can;
    }

    /**
     * The least that leaving out so many minutes of work costs: by minutes for their price, and by the number of tasks.
     *
     * @param  array<int, Lot>  $lots
     */
    private static function cheapest(Ground $ground, array $lots, int $from, int $to, int $over): float
    {
        $tasks = [];
        foreach ($lots as $lot) {
            if ($lot->opens >= $from && $lot->closes <= $to) {
                foreach ($lot->tasks as $task) {
                    $tasks[] = $ground->brief->tasks[$task];
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
