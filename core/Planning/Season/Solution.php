<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

use Random\Randomizer;

/**
 * The plan while it is being made: which task group lies on which crew day, and the round of each. It changes in
 * place, since a copy a try would cost more than the try; `keep` and `takeBack` begin and undo a try.
 */
final class Solution
{
    /** A way of this share of that from the depot, or less, need not be bettered. */
    private const NEAR_ENOUGH = 0.6;

    /** @var array<int, list<int>> by crew day: gardens in the order of the round */
    public array $round = [];

    /** @var array<int, int> minutes on the road, by crew day */
    public array $travel = [];

    /** @var array<int, int> minutes in gardens, by crew day */
    public array $work = [];

    /** @var array<int, array<int, list<int>>> task groups, by crew day and garden */
    public array $groups = [];

    /** @var array<int, array<int, int>> person-minutes, by crew day and garden */
    public array $load = [];

    /** @var array<int, ?int> crew day of each task group; null where it is left out */
    public array $at;

    /** @var array<int, array<int, true>> crew days of each garden */
    public array $crewDays = [];

    public float $cost;

    /** @var array<int, array{list<int>, int, int, array<int, list<int>>, array<int, int>}> crew days before the try */
    private array $before = [];

    /** @var array<int, ?int> task groups before the try */
    private array $wasAt = [];

    private float $costBefore;

    /** @var array<int, array<int, true>> visits that stand whatever is done there, by crew day and garden */
    private array $standing = [];

    /** Everything is left out but what is pinned. */
    public function __construct(
        public readonly PlanningProblem $problem,
        public readonly Rounds $rounds,
        public readonly Randomizer $chance,
    ) {
        $this->at = array_fill(0, count($problem->groups), null);
        $this->cost = 0.0;
        foreach ($problem->groups as $group) {
            $this->cost += $group->leftOut();
        }
        foreach ($problem->groups as $index => $group) {
            if ($group->pinned !== null) {
                $this->put([$index], $group->pinned);
            }
        }
        // A visit may stand although nothing of it is left to be done by this plan.
        foreach ($problem->fixed as [$crewDay, $garden]) {
            $this->stand($crewDay, $garden);
        }
        $this->keep();
    }

    /** What is on the solution now is kept: a new try begins. */
    public function keep(): void
    {
        $this->before = $this->wasAt = [];
        $this->costBefore = $this->cost;
    }

    /** By how much the try made it dearer. */
    public function dearer(): float
    {
        return $this->cost - $this->costBefore;
    }

    /** @return list<int> crew days the try has touched */
    public function touched(): array
    {
        return array_keys($this->before);
    }

    public function takeBack(): void
    {
        foreach ($this->before as $crewDay => [$round, $travel, $work, $groups, $load]) {
            foreach (array_diff_key($this->groups[$crewDay], $groups) as $garden => $gone) {
                unset($this->crewDays[$garden][$crewDay]);
            }
            foreach ($groups as $garden => $back) {
                $this->crewDays[$garden][$crewDay] = true;
            }
            [$this->round[$crewDay], $this->travel[$crewDay], $this->work[$crewDay], $this->groups[$crewDay],
                $this->load[$crewDay]] = [$round, $travel, $work, $groups, $load];
        }
        foreach ($this->wasAt as $group => $crewDay) {
            $this->at[$group] = $crewDay;
        }
        $this->cost = $this->costBefore;
        $this->keep();
    }

    /**
     * The cheapest place for task groups of one garden that stay together: crew day and what it adds to the cost,
     * left-out task groups not counted; null where there is none.
     *
     * @return ?array{int, float}
     */
    public function place(Wanted $wanted): ?array
    {
        if ($wanted->closes < $wanted->opens || $wanted->inGarden === []) {
            return null;
        }
        $garden = $wanted->garden;
        // Where the garden is visited anyway there is nothing to drive and to set up, which rules out most other days.
        $best = $this->cheapestVisit($wanted);
        // Days on which neighbours are visited come next: where one is near enough, no other day is cheaper by much.
        $best = $this->cheapestDay($wanted, $this->nearby($garden, $wanted->opens, $wanted->closes), $best);
        $enough = $this->problem->setUp[$garden] + self::NEAR_ENOUGH * $this->problem->travel[0][$garden + 1];
        if ($best[1] >= $enough) {
            $days = $this->problem->days;
            foreach (array_keys($wanted->inGarden) as $crew) {
                $best = $this->cheapestDay(
                    $wanted, range($crew * $days + $wanted->opens, $crew * $days + $wanted->closes), $best,
                );
            }
        }

        return $best[0] === null ? null : [$best[0], $best[1]];
    }

    /**
     * Among the visits the garden has anyway.
     *
     * @return array{?int, float}
     */
    private function cheapestVisit(Wanted $wanted): array
    {
        $best = [null, INF];
        $days = $this->problem->days;
        foreach ($this->crewDays[$wanted->garden] ?? [] as $crewDay => $true) {
            $day = $crewDay % $days;
            if (
                $crewDay === $wanted->not || $day < $wanted->opens || $day > $wanted->closes
                || ! isset($wanted->inGarden[intdiv($crewDay, $days)])
                || ($this->problem->fewer[$crewDay] ?? $wanted->people) < $wanted->people
            ) {
                continue;
            }
            $price = $this->joining($crewDay, $wanted->garden, $wanted->minutes);
            if ($price !== null) {
                $price += $wanted->outside[$day] + $this->moving($wanted->groups, $crewDay)
                    + $this->blur($wanted->noise);
                if ($price < $best[1]) {
                    $best = [$crewDay, $price];
                }
            }
        }

        return $best;
    }

    /**
     * Among crew days on which the garden is not visited yet.
     *
     * @param  list<int>  $crewDays
     * @param  array{?int, float}  $best  the cheapest found so far
     * @return array{?int, float}
     */
    private function cheapestDay(Wanted $wanted, array $crewDays, array $best): array
    {
        $problem = $this->problem;
        $days = $problem->days;
        $garden = $wanted->garden;
        $setUp = $problem->setUp[$garden];
        [$bestAt, $least] = $best;
        foreach ($crewDays as $crewDay) {
            $day = $crewDay % $days;
            $most = $problem->most[$crewDay];
            // Asked in the order of how often each rules a day out.
            if ($most === 0 || $least <= $wanted->outside[$day] + $setUp || $problem->shut[$garden][$day]) {
                continue;
            }
            $inGarden = $wanted->inGarden[intdiv($crewDay, $days)] ?? $most + 1;
            if (isset($problem->fewer[$crewDay])) {
                $inGarden = self::withFewer($wanted, $problem->fewer[$crewDay], $setUp, $inGarden);
            }
            $used = ($this->travel[$crewDay] ?? 0) + ($this->work[$crewDay] ?? 0);
            if ($used + $inGarden > $most || isset($this->load[$crewDay][$garden]) || $crewDay === $wanted->not) {
                continue;
            }
            $detour = $this->detour($crewDay, $garden);
            $all = $used + $inGarden + $detour;
            if ($all > $most) {
                continue;
            }
            $length = $problem->length[$crewDay];
            $price = $wanted->outside[$day] + $setUp + $detour + $this->moving($wanted->groups, $crewDay)
                + ($all > $length ? Price::OVERTIME * ($all - max($length, $used)) : 0.0)
                + $this->blur($wanted->noise);
            if ($price < $least) {
                [$bestAt, $least] = [$crewDay, $price];
            }
        }

        return [$bestAt, $least];
    }

    /**
     * Puts task groups of one garden on a crew day, whatever they cost there.
     *
     * @param  non-empty-list<int>  $groups
     */
    public function put(array $groups, int $crewDay): void
    {
        $this->remember($crewDay);
        $garden = $this->problem->groups[$groups[0]]->garden;
        $this->cost -= $this->overtime($crewDay);
        if (! isset($this->load[$crewDay][$garden])) {
            $this->call($crewDay, $garden);
        }
        $people = $this->problem->peopleOn($crewDay);
        $setUp = $this->problem->setUp[$garden];
        $this->work[$crewDay] -= Price::visit($this->load[$crewDay][$garden], $people, $setUp);
        foreach ($groups as $group) {
            $this->wasAt[$group] ??= $this->at[$group];
            $this->at[$group] = $crewDay;
            $this->groups[$crewDay][$garden][] = $group;
            $this->load[$crewDay][$garden] += $this->problem->groups[$group]->minutes;
            $this->cost += $this->problem->price($this->problem->groups[$group], $crewDay % $this->problem->days)
                - $this->problem->groups[$group]->leftOut();
        }
        $this->cost += $this->moving($groups, $crewDay);
        $this->work[$crewDay] += Price::visit($this->load[$crewDay][$garden], $people, $setUp);
        $this->cost += $this->overtime($crewDay);
    }

    /**
     * Takes a visit off a crew day; what is pinned stays.
     *
     * @return list<int> the task groups that are left out now
     */
    public function clear(int $crewDay, int $garden): array
    {
        $groups = array_values(array_filter(
            $this->groups[$crewDay][$garden] ?? [],
            fn (int $group): bool => $this->problem->groups[$group]->pinned === null,
        ));
        if ($groups !== []) {
            $this->take($groups, $crewDay);
        }

        return $groups;
    }

    /**
     * Takes task groups of one garden off their crew day; the visit goes with the last of them, unless it stands.
     *
     * @param  non-empty-list<int>  $groups
     */
    public function take(array $groups, int $crewDay): void
    {
        $this->remember($crewDay);
        $garden = $this->problem->groups[$groups[0]]->garden;
        $people = $this->problem->peopleOn($crewDay);
        $setUp = $this->problem->setUp[$garden];
        $this->cost -= $this->overtime($crewDay) + $this->moving($groups, $crewDay);
        $this->work[$crewDay] -= Price::visit($this->load[$crewDay][$garden], $people, $setUp);
        foreach ($groups as $group) {
            if (! array_key_exists($group, $this->wasAt)) {
                $this->wasAt[$group] = $crewDay;
            }
            $this->at[$group] = null;
            $this->load[$crewDay][$garden] -= $this->problem->groups[$group]->minutes;
            $this->cost += $this->problem->groups[$group]->leftOut()
                - $this->problem->price($this->problem->groups[$group], $crewDay % $this->problem->days);
        }
        $left = array_values(array_diff($this->groups[$crewDay][$garden], $groups));
        $this->groups[$crewDay][$garden] = $left;
        if ($left === [] && ! isset($this->standing[$crewDay][$garden])) {
            $this->leave($crewDay, $garden);
        } else {
            $this->work[$crewDay] += Price::visit($this->load[$crewDay][$garden], $people, $setUp);
        }
        $this->cost += $this->overtime($crewDay);
    }

    /** The shortest round of a crew day. */
    public function order(int $crewDay): void
    {
        if (count($this->round[$crewDay]) < 3) {
            return;
        }
        [$round, $travel] = $this->rounds->shortest($this->round[$crewDay]);
        if ($travel < $this->travel[$crewDay]) {
            $this->remember($crewDay);
            $this->cost -= $this->overtime($crewDay) + $this->travel[$crewDay];
            [$this->round[$crewDay], $this->travel[$crewDay]] = [$round, $travel];
            $this->cost += $this->overtime($crewDay) + $travel;
        }
    }

    /** Whether task groups can stand on a crew day, beside what is there. */
    public function fits(Wanted $wanted, int $crewDay): bool
    {
        $problem = $this->problem;
        [$day, $crew] = [$crewDay % $problem->days, intdiv($crewDay, $problem->days)];
        if (
            $day < $wanted->opens || $day > $wanted->closes || ! isset($wanted->inGarden[$crew])
            || $problem->isShut($wanted->garden, $day) || $problem->peopleOn($crewDay) < $wanted->people
        ) {
            return false;
        }
        if (isset($this->load[$crewDay][$wanted->garden])) {
            return $this->joining($crewDay, $wanted->garden, $wanted->minutes) !== null;
        }
        $used = ($this->travel[$crewDay] ?? 0) + ($this->work[$crewDay] ?? 0);

        $inGarden = Price::visit($wanted->minutes, $problem->peopleOn($crewDay), $problem->setUp[$wanted->garden]);

        return $used + $inGarden + $this->detour($crewDay, $wanted->garden) <= $problem->most[$crewDay];
    }

    /** @return ?array{int, int} crew day and garden of some visit; null where there is none */
    public function anyVisit(): ?array
    {
        for ($times = 0; $times < 50; $times++) {
            $crewDay = $this->chance->getInt(0, count($this->problem->length) - 1);
            $round = $this->round[$crewDay] ?? [];
            if ($round !== []) {
                return [$crewDay, $round[$this->chance->getInt(0, count($round) - 1)]];
            }
        }
        $visits = $this->visits();

        return $visits === [] ? null : $visits[$this->chance->getInt(0, count($visits) - 1)];
    }

    /** All that is on it, to come back to. */
    public function copy(): self
    {
        return clone $this;
    }

    /** All that is on another of the same problem. */
    public function be(self $other): void
    {
        [$this->round, $this->travel, $this->work, $this->groups, $this->load, $this->at, $this->crewDays] =
            [$other->round, $other->travel, $other->work, $other->groups, $other->load, $other->at, $other->crewDays];
        $this->cost = $other->cost;
        $this->keep();
    }

    public function isLeftOut(): bool
    {
        return in_array(null, $this->at, true);
    }

    /** @return list<int> task groups without a day */
    public function leftOut(): array
    {
        return array_keys($this->at, null, true);
    }

    /** @return list<array{int, int}> crew day and garden of every visit */
    public function visits(): array
    {
        $visits = [];
        foreach ($this->round as $crewDay => $gardens) {
            foreach ($gardens as $garden) {
                $visits[] = [$crewDay, $garden];
            }
        }

        return $visits;
    }

    /** Minutes a crew day could still take before overtime; below nothing in overtime. */
    public function room(int $crewDay): int
    {
        return $this->problem->length[$crewDay] - ($this->travel[$crewDay] ?? 0) - ($this->work[$crewDay] ?? 0);
    }

    /**
     * Crew days between two days on which a neighbour is visited.
     *
     * @return list<int>
     */
    private function nearby(int $garden, int $opens, int $closes): array
    {
        $days = $this->problem->days;
        $near = [];
        foreach ($this->problem->near[$garden] as $other) {
            foreach ($this->crewDays[$other] ?? [] as $crewDay => $true) {
                $day = $crewDay % $days;
                if ($day >= $opens && $day <= $closes) {
                    $near[$crewDay] = true;
                }
            }
        }

        return array_keys($near);
    }

    /** A visit on a day when not all of the crew come; longer than any day where too few do. */
    private static function withFewer(Wanted $wanted, int $people, int $setUp, int $inGarden): int
    {
        return $people < $wanted->people
            ? 24 * 60 + $inGarden
            : max($inGarden, Price::visit($wanted->minutes, $people, $setUp));
    }

    /** What a garden more adds to the way, put in where it adds least. */
    public function detour(int $crewDay, int $garden): int
    {
        $travel = $this->problem->travel;
        $row = $travel[$garden + 1];
        $least = PHP_INT_MAX;
        $from = 0;
        foreach ($this->round[$crewDay] ?? [] as $to) {
            $more = $row[$from] + $row[$to + 1] - $travel[$from][$to + 1];
            if ($more < $least) {
                $least = $more;
            }
            $from = $to + 1;
        }

        return min($least, $row[$from] + $row[0] - $travel[$from][0]);
    }

    /** What more work in a garden that is visited that day adds; null where it does not fit. */
    private function joining(int $crewDay, int $garden, int $minutes): ?float
    {
        $people = $this->problem->peopleOn($crewDay);
        $load = $this->load[$crewDay][$garden];
        $longer = Price::visit($load + $minutes, $people, 0) - Price::visit($load, $people, 0);
        $used = $this->travel[$crewDay] + $this->work[$crewDay];
        if ($used + $longer > $this->problem->most[$crewDay]) {
            return null;
        }
        $length = $this->problem->length[$crewDay];

        return Price::OVERTIME * (max(0, $used + $longer - $length) - max(0, $used - $length));
    }

    private function stand(int $crewDay, int $garden): void
    {
        $this->standing[$crewDay][$garden] = true;
        if (! isset($this->load[$crewDay][$garden])) {
            $this->remember($crewDay);
            $this->cost -= $this->overtime($crewDay);
            $this->call($crewDay, $garden);
            $this->cost += $this->overtime($crewDay);
        }
    }

    /** A garden comes into a round where the way grows least. */
    private function call(int $crewDay, int $garden): void
    {
        $travel = $this->problem->travel;
        $round = $this->round[$crewDay];
        $row = $travel[$garden + 1];
        $least = PHP_INT_MAX;
        $place = $from = 0;
        foreach ([...$round, -1] as $index => $to) {
            $more = $row[$from] + $row[$to + 1] - $travel[$from][$to + 1];
            if ($more < $least) {
                [$least, $place] = [$more, $index];
            }
            $from = $to + 1;
        }
        array_splice($round, $place, 0, [$garden]);
        $this->round[$crewDay] = $round;
        $this->travel[$crewDay] += $least;
        $this->work[$crewDay] += $this->problem->setUp[$garden];
        $this->groups[$crewDay][$garden] = [];
        $this->load[$crewDay][$garden] = 0;
        $this->crewDays[$garden][$crewDay] = true;
        $this->cost += $least + $this->problem->setUp[$garden];
    }

    private function leave(int $crewDay, int $garden): void
    {
        $travel = $this->problem->travel;
        $round = $this->round[$crewDay];
        $place = (int) array_search($garden, $round, true);
        $from = ($round[$place - 1] ?? -1) + 1;
        $to = ($round[$place + 1] ?? -1) + 1;
        $less = $travel[$from][$garden + 1] + $travel[$garden + 1][$to] - $travel[$from][$to];
        array_splice($round, $place, 1);
        $this->round[$crewDay] = $round;
        $this->travel[$crewDay] -= $less;
        unset(
            $this->groups[$crewDay][$garden], $this->load[$crewDay][$garden], $this->crewDays[$garden][$crewDay],
        );
        $this->cost -= $less + $this->problem->setUp[$garden];
    }

    private function overtime(int $crewDay): float
    {
        $over = $this->travel[$crewDay] + $this->work[$crewDay] - $this->problem->length[$crewDay];

        return $over > 0 ? Price::OVERTIME * $over : 0.0;
    }

    /**
     * What leaving the place they have in the present plan costs.
     *
     * @param  list<int>  $groups
     */
    private function moving(array $groups, int $crewDay): float
    {
        if ($this->problem->home === []) {
            return 0.0;
        }
        $price = 0.0;
        foreach ($groups as $group) {
            if (($this->problem->home[$group] ?? $crewDay) !== $crewDay) {
                $price += $this->problem->stay[$group];
            }
        }

        return $price;
    }

    private function remember(int $crewDay): void
    {
        $this->round[$crewDay] ??= [];
        $this->travel[$crewDay] ??= 0;
        $this->work[$crewDay] ??= 0;
        $this->groups[$crewDay] ??= [];
        $this->load[$crewDay] ??= [];
        $this->before[$crewDay] ??= [
            $this->round[$crewDay], $this->travel[$crewDay], $this->work[$crewDay], $this->groups[$crewDay],
            $this->load[$crewDay],
        ];
    }

    private function blur(float $noise): float
    {
        return $noise <= 0.0 ? 0.0 : $noise * $this->chance->getInt(0, 1000) / 1000;
    }
}
