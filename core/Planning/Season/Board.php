<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

use Random\Randomizer;

/**
 * The plan while it is being made: which lot lies on which crew day, and the round of each. It changes in place, since
 * a copy a try would cost more than the try; `keep` and `takeBack` begin and undo a try.
 */
final class Board
{
    /** A way of this share of that from the depot, or less, need not be bettered. */
    private const NEAR_ENOUGH = 0.6;

    /** @var array<int, list<int>> by crew day: gardens in the order of the round */
    public array $round = [];

    /** @var array<int, int> minutes on the road, by crew day */
    public array $travel = [];

    /** @var array<int, int> minutes in gardens, by crew day */
    public array $work = [];

    /** @var array<int, array<int, list<int>>> lots, by crew day and garden */
    public array $lots = [];

    /** @var array<int, array<int, int>> person-minutes, by crew day and garden */
    public array $load = [];

    /** @var array<int, ?int> crew day of each lot; null where it is left out */
    public array $at;

    /** @var array<int, array<int, true>> crew days of each garden */
    public array $crewDays = [];

    public float $cost;

    /** @var array<int, array{list<int>, int, int, array<int, list<int>>, array<int, int>}> crew days before the try */
    private array $before = [];

    /** @var array<int, ?int> lots before the try */
    private array $wasAt = [];

    private float $costBefore;

    /** @var array<int, array<int, true>> visits that stand whatever is done there, by crew day and garden */
    private array $standing = [];

    /** Everything is left out but what is pinned. */
    public function __construct(
        public readonly Ground $ground,
        public readonly Rounds $rounds,
        public readonly Randomizer $chance,
    ) {
        $this->at = array_fill(0, count($ground->lots), null);
        $this->cost = 0.0;
        foreach ($ground->lots as $lot) {
            $this->cost += $lot->leftOut();
        }
        foreach ($ground->lots as $index => $lot) {
            if ($lot->pinned !== null) {
                $this->put([$index], $lot->pinned);
            }
        }
        // A visit may stand although nothing of it is left to be done by this plan.
        foreach ($ground->fixed as [$crewDay, $garden]) {
            $this->stand($crewDay, $garden);
        }
        $this->keep();
    }

    /** What is on the board now is kept: a new try begins. */
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
        foreach ($this->before as $crewDay => [$round, $travel, $work, $lots, $load]) {
            foreach (array_diff_key($this->lots[$crewDay], $lots) as $garden => $gone) {
                unset($this->crewDays[$garden][$crewDay]);
            }
            foreach ($lots as $garden => $back) {
                $this->crewDays[$garden][$crewDay] = true;
            }
            [$this->round[$crewDay], $this->travel[$crewDay], $this->work[$crewDay], $this->lots[$crewDay],
                $this->load[$crewDay]] = [$round, $travel, $work, $lots, $load];
        }
        foreach ($this->wasAt as $lot => $crewDay) {
            $this->at[$lot] = $crewDay;
        }
        $this->cost = $this->costBefore;
        $this->keep();
    }

    /**
     * The cheapest place for lots of one garden that stay together: crew day and what it adds to the cost, left-out
     * lots not counted; null where there is none.
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
        $enough = $this->ground->setUp[$garden] + self::NEAR_ENOUGH * $this->ground->travel[0][$garden + 1];
        if ($best[1] >= $enough) {
            $days = $this->ground->days;
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
        $days = $this->ground->days;
        foreach ($this->crewDays[$wanted->garden] ?? [] as $crewDay => $true) {
            $day = $crewDay % $days;
            if (
                $crewDay === $wanted->not || $day < $wanted->opens || $day > $wanted->closes
                || ! isset($wanted->inGarden[intdiv($crewDay, $days)])
                || ($this->ground->fewer[$crewDay] ?? $wanted->people) < $wanted->people
            ) {
                continue;
            }
            $price = $this->joining($crewDay, $wanted->garden, $wanted->minutes);
            if ($price !== null) {
                $price += $wanted->outside[$day] + $this->moving($wanted->lots, $crewDay) + $this->blur($wanted->noise);
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
        $ground = $this->ground;
        $days = $ground->days;
        $garden = $wanted->garden;
        $setUp = $ground->setUp[$garden];
        [$bestAt, $least] = $best;
        foreach ($crewDays as $crewDay) {
            $day = $crewDay % $days;
            $most = $ground->most[$crewDay];
            // Asked in the order of how often each rules a day out.
            if ($most === 0 || $least <= $wanted->outside[$day] + $setUp || $ground->shut[$garden][$day]) {
                continue;
            }
            $inGarden = $wanted->inGarden[intdiv($crewDay, $days)] ?? $most + 1;
            if (isset($ground->fewer[$crewDay])) {
                $inGarden = self::withFewer($wanted, $ground->fewer[$crewDay], $setUp, $inGarden);
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
            $length = $ground->length[$crewDay];
            $price = $wanted->outside[$day] + $setUp + $detour + $this->moving($wanted->lots, $crewDay)
                + ($all > $length ? Price::OVERTIME * ($all - max($length, $used)) : 0.0)
                + $this->blur($wanted->noise);
            if ($price < $least) {
                [$bestAt, $least] = [$crewDay, $price];
            }
        }

        return [$bestAt, $least];
    }

    /**
     * Puts lots of one garden on a crew day, whatever they cost there.
     *
     * @param  non-empty-list<int>  $lots
     */
    public function put(array $lots, int $crewDay): void
    {
        $this->remember($crewDay);
        $garden = $this->ground->lots[$lots[0]]->garden;
        $this->cost -= $this->overtime($crewDay);
        if (! isset($this->load[$crewDay][$garden])) {
            $this->call($crewDay, $garden);
        }
        $people = $this->ground->peopleOn($crewDay);
        $setUp = $this->ground->setUp[$garden];
        $this->work[$crewDay] -= Price::visit($this->load[$crewDay][$garden], $people, $setUp);
        foreach ($lots as $lot) {
            $this->wasAt[$lot] ??= $this->at[$lot];
            $this->at[$lot] = $crewDay;
            $this->lots[$crewDay][$garden][] = $lot;
            $this->load[$crewDay][$garden] += $this->ground->lots[$lot]->minutes;
            $this->cost += $this->ground->price($this->ground->lots[$lot], $crewDay % $this->ground->days)
                - $this->ground->lots[$lot]->leftOut();
        }
        $this->cost += $this->moving($lots, $crewDay);
        $this->work[$crewDay] += Price::visit($this->load[$crewDay][$garden], $people, $setUp);
        $this->cost += $this->overtime($crewDay);
    }

    /**
     * Takes a visit off a crew day; what is pinned stays.
     *
     * @return list<int> the lots that are left out now
     */
    public function clear(int $crewDay, int $garden): array
    {
        $lots = array_values(array_filter(
            $this->lots[$crewDay][$garden] ?? [],
            fn (int $lot): bool => $this->ground->lots[$lot]->pinned === null,
        ));
        if ($lots !== []) {
            $this->take($lots, $crewDay);
        }

        return $lots;
    }

    /**
     * Takes lots of one garden off their crew day; the visit goes with the last of them, unless it stands.
     *
     * @param  non-empty-list<int>  $lots
     */
    public function take(array $lots, int $crewDay): void
    {
        $this->remember($crewDay);
        $garden = $this->ground->lots[$lots[0]]->garden;
        $people = $this->ground->peopleOn($crewDay);
        $setUp = $this->ground->setUp[$garden];
        $this->cost -= $this->overtime($crewDay) + $this->moving($lots, $crewDay);
        $this->work[$crewDay] -= Price::visit($this->load[$crewDay][$garden], $people, $setUp);
        foreach ($lots as $lot) {
            if (! array_key_exists($lot, $this->wasAt)) {
                $this->wasAt[$lot] = $crewDay;
            }
            $this->at[$lot] = null;
            $this->load[$crewDay][$garden] -= $this->ground->lots[$lot]->minutes;
            $this->cost += $this->ground->lots[$lot]->leftOut()
                - $this->ground->price($this->ground->lots[$lot], $crewDay % $this->ground->days);
        }
        $left = array_values(array_diff($this->lots[$crewDay][$garden], $lots));
        $this->lots[$crewDay][$garden] = $left;
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

    /** Whether lots can stand on a crew day, beside what is there. */
    public function fits(Wanted $wanted, int $crewDay): bool
    {
        $ground = $this->ground;
        [$day, $crew] = [$crewDay % $ground->days, intdiv($crewDay, $ground->days)];
        if (
            $day < $wanted->opens || $day > $wanted->closes || ! isset($wanted->inGarden[$crew])
            || $ground->isShut($wanted->garden, $day) || $ground->peopleOn($crewDay) < $wanted->people
        ) {
            return false;
        }
        if (isset($this->load[$crewDay][$wanted->garden])) {
            return $this->joining($crewDay, $wanted->garden, $wanted->minutes) !== null;
        }
        $used = ($this->travel[$crewDay] ?? 0) + ($this->work[$crewDay] ?? 0);

        $inGarden = Price::visit($wanted->minutes, $ground->peopleOn($crewDay), $ground->setUp[$wanted->garden]);

        return $used + $inGarden + $this->detour($crewDay, $wanted->garden) <= $ground->most[$crewDay];
    }

    /** @return ?array{int, int} crew day and garden of some visit; null where there is none */
    public function anyVisit(): ?array
    {
        for ($times = 0; $times < 50; $times++) {
            $crewDay = $this->chance->getInt(0, count($this->ground->length) - 1);
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

    /** All that is on another of the same ground. */
    public function be(self $other): void
    {
        [$this->round, $this->travel, $this->work, $this->lots, $this->load, $this->at, $this->crewDays] =
            [$other->round, $other->travel, $other->work, $other->lots, $other->load, $other->at, $other->crewDays];
        $this->cost = $other->cost;
        $this->keep();
    }

    public function isLeftOut(): bool
    {
        return in_array(null, $this->at, true);
    }

    /** @return list<int> lots without a day */
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
        return $this->ground->length[$crewDay] - ($this->travel[$crewDay] ?? 0) - ($this->work[$crewDay] ?? 0);
    }

    /**
     * Crew days between two days on which a neighbour is visited.
     *
     * @return list<int>
     */
    private function nearby(int $garden, int $opens, int $closes): array
    {
        $days = $this->ground->days;
        $near = [];
        foreach ($this->ground->near[$garden] as $other) {
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
        $travel = $this->ground->travel;
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
        $people = $this->ground->peopleOn($crewDay);
        $load = $this->load[$crewDay][$garden];
        $longer = Price::visit($load + $minutes, $people, 0) - Price::visit($load, $people, 0);
        $used = $this->travel[$crewDay] + $this->work[$crewDay];
        if ($used + $longer > $this->ground->most[$crewDay]) {
            return null;
        }
        $length = $this->ground->length[$crewDay];

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
        $travel = $this->ground->travel;
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
        $this->work[$crewDay] += $this->ground->setUp[$garden];
        $this->lots[$crewDay][$garden] = [];
        $this->load[$crewDay][$garden] = 0;
        $this->crewDays[$garden][$crewDay] = true;
        $this->cost += $least + $this->ground->setUp[$garden];
    }

    private function leave(int $crewDay, int $garden): void
    {
        $travel = $this->ground->travel;
        $round = $this->round[$crewDay];
        $place = (int) array_search($garden, $round, true);
        $from = ($round[$place - 1] ?? -1) + 1;
        $to = ($round[$place + 1] ?? -1) + 1;
        $less = $travel[$from][$garden + 1] + $travel[$garden + 1][$to] - $travel[$from][$to];
        array_splice($round, $place, 1);
        $this->round[$crewDay] = $round;
        $this->travel[$crewDay] -= $less;
        unset(
            $this->lots[$crewDay][$garden], $this->load[$crewDay][$garden], $this->crewDays[$garden][$crewDay],
        );
        $this->cost -= $less + $this->ground->setUp[$garden];
    }

    private function overtime(int $crewDay): float
    {
        $over = $this->travel[$crewDay] + $this->work[$crewDay] - $this->ground->length[$crewDay];

        return $over > 0 ? Price::OVERTIME * $over : 0.0;
    }

    /**
     * What leaving the place they have in the present plan costs.
     *
     * @param  list<int>  $lots
     */
    private function moving(array $lots, int $crewDay): float
    {
        if ($this->ground->home === []) {
            return 0.0;
        }
        $price = 0.0;
        foreach ($lots as $lot) {
            if (($this->ground->home[$lot] ?? $crewDay) !== $crewDay) {
                $price += $this->ground->stay[$lot];
            }
        }

        return $price;
    }

    private function remember(int $crewDay): void
    {
        $this->round[$crewDay] ??= [];
        $this->travel[$crewDay] ??= 0;
        $this->work[$crewDay] ??= 0;
        $this->lots[$crewDay] ??= [];
        $this->load[$crewDay] ??= [];
        $this->before[$crewDay] ??= [
            $this->round[$crewDay], $this->travel[$crewDay], $this->work[$crewDay], $this->lots[$crewDay],
            $this->load[$crewDay],
        ];
    }

    private function blur(float $noise): float
    {
        return $noise <= 0.0 ? 0.0 : $noise * $this->chance->getInt(0, 1000) / 1000;
    }
}
