<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

/**
 * Below what no plan can come. Gardens are looked at one by one, as if each had the crews to itself (`IdealDays`); each
 * visit is charged with the least of the way it must add, in two ways, and any mixture of them holds:
 *
 * - half of the two shortest ways that can lead to and from it, and for every crew day half of its two ways at the
 * depot;
 * - its share of a round, by its minutes: a round is at least twice as long as the way to each of its gardens, and its
 *   gardens fill at most a day (M. Haimovich and A. H. G. Rinnooy Kan, Mathematics of Operations Research 10, 1985;
 *   from memory).
 *
 * Where work is left out because crews cannot do so much in some weeks, that is charged too.
 */
final readonly class LowerBound
{
    /** Shares of the first way of charging that are tried; the highest bound holds. */
    private const MIXTURES = [0.0, 0.25, 0.5, 0.75, 1.0];

    /** From so many tasks on, only the two unmixed bounds are tried. */
    private const MANY = 2_000;

    /**
     * Where something must be left out, this share of its price stays with the gardens, so that they rather do their
     * work; the rest is charged on what must be left out.
     */
    private const SHARE_WITH_GARDENS = 0.05;

    /**
     * @param  array<int, list<int>>  $groups  by garden, those that are not pinned
     * @param  array<int, array<int, true>>  $free  days on which a garden is visited anyway
     * @param  array<int, int>  $standing  fixed visits, by garden
     * @param  array<int, int>  $ways  the shortest way from the depot by whatever stops, by garden that is worked in
     * @param  array<int, float>  $halfWays  by garden that is worked in
     * @param  int  $nearest  the least of the ways, and `$farthest` the greatest
     */
    private function __construct(
        private PlanningProblem $problem,
        private array $groups,
        private array $free,
        private array $standing,
        private array $ways,
        private array $halfWays,
        private int $nearest,
        private int $farthest,
    ) {
    }

    public static function of(PlanningProblem $problem): float
    {
        $groups = $free = $standing = [];
        foreach ($problem->groups as $index => $group) {
            if ($group->pinned === null) {
                $groups[$group->garden][] = $index;
            }
        }
        foreach ($problem->fixed as [$crewDay, $garden]) {
            $free[$garden][$crewDay % $problem->days] = true;
            $standing[$garden][$crewDay] = true;
        }
        $gardens = array_keys($groups + $free);
        if ($gardens === []) {
            return 0.0;
        }
        $ways = $problem->ways();
        $byGarden = array_combine(
            $gardens, array_map(static fn (int $garden): int => $ways[$garden + 1], $gardens),
        );
        $bound = new self(
            $problem, $groups, $free, array_map(count(...), $standing), $byGarden,
            array_combine($gardens, array_map(
                static fn (int $garden): float => self::halfWays($problem, $garden, $gardens), $gardens,
            )),
            min($byGarden), max($byGarden),
        );
        $leftOut = Overfull::of($problem, $bound->nearest);
        $best = 0.0;
        foreach (count($problem->brief->tasks) > self::MANY ? [0.0, 1.0] : self::MIXTURES as $edges) {
            $share = $leftOut > 0 ? self::SHARE_WITH_GARDENS : 1.0;
            $best = max($best, $bound->mixed($edges, $share) + ($leftOut > 0 ? (1 - $share) * $leftOut : 0.0));
        }

        return $best;
    }

    /** @param  float  $share of what is left out that is charged here */
    private function mixed(float $edges, float $share): float
    {
        $people = max([1, ...$this->problem->people]);
        // Work and set-up of a round fill a day less its way.
        $longest = max([1, ...$this->problem->most]);
        $filled = max(1, $longest - 2 * min([$longest, ...$this->ways]));
        $bound = 0.0;
        foreach ($this->ways as $garden => $way) {
            $aMinute = (1 - $edges) * 2 * $way / $filled;
            $setUp = $this->problem->setUp[$garden];
            $aVisit = $edges * $this->halfWays[$garden] + $setUp * (1 + $aMinute);
            $bound += $aVisit * ($this->standing[$garden] ?? 0);
            if (isset($this->groups[$garden])) {
                $bound += $this->alone($garden, $aVisit, $aMinute / $people, $share);
            }
        }
        foreach ($this->problem->groups as $group) {
            $bound += $group->pinned === null ? 0.0 : $group->outside($group->pinned % $this->problem->days);
        }

        return $bound + $edges * $this->nearest * $this->crewDays($share);
    }

    /** A garden's least, where its visits must also hold its work. */
    private function alone(int $garden, float $aVisit, float $aMinute, float $share): float
    {
        $free = $this->free[$garden] ?? [];
        $cost = IdealDays::of($this->problem, $this->groups[$garden], $aVisit, $aMinute, $free, $share)->cost;
        if ($free !== []) {
            return $cost;
        }
        $minutes = 0;
        $leftOut = INF;
        foreach ($this->groups[$garden] as $index) {
            $group = $this->problem->groups[$index];
            if ($group->opens <= $group->closes && $group->crews !== []) {
                $minutes += $group->minutes;
            }
            foreach ($group->tasks as $task) {
                $leftOut = min($leftOut, $share * Price::LEFT_OUT * $this->problem->brief->tasks[$task]->weight);
            }
        }
        $holds = max(1, $this->problem->mostPersonMinutes($garden, $this->ways[$garden]));

        return max($cost, min((int) ceil($minutes / $holds) * $aVisit, $leftOut));
    }

    /**
     * Half of the two shortest ways by which a round can come to a garden and leave it.
     *
     * @param  list<int>  $gardens  that are worked in
     */
    private static function halfWays(PlanningProblem $problem, int $garden, array $gardens): float
    {
        $row = $problem->travel[$garden + 1];
        // From the depot and back to it is a round too.
        $ways = [$row[0], $row[0]];
        foreach ($gardens as $other) {
            if ($other !== $garden) {
                $ways[] = $row[$other + 1];
            }
        }
        sort($ways);

        return ($ways[0] + $ways[1]) / 2;
    }

    /**
     * Crew days that work cannot do without: one for each of its windows that have no day in common, or as many as its
     * minutes fill.
     */
    private function crewDays(float $share): int
    {
        $groups = array_filter(
            $this->problem->groups,
            fn (TaskGroup $group): bool => $group->pinned === null && $this->problem->fitsAlone($group),
        );
        usort($groups, static fn (TaskGroup $a, TaskGroup $b): int => $a->closes <=> $b->closes);
        $count = $minutes = 0;
        $last = -1;
        $leftOut = INF;
        foreach ($groups as $group) {
            $leftOut = min($leftOut, $share * $group->leftOut() / count($group->tasks));
            $minutes += $group->minutes;
            if ($group->opens > $last) {
                $count++;
                $last = $group->closes;
            }
        }
        $most = max([1, ...$this->problem->most]);
        $filled = (int) ceil($minutes / max([1, ...$this->problem->people]) / max(1, $most - 2 * $this->nearest));

        // Leaving something out may save a crew day or two, though never so much as it costs.
        return $leftOut > 4 * $this->farthest + max([0, ...$this->problem->setUp]) ? max($count, $filled) : 0;
    }
}
