<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

/**
 * The first plan: what the present one has stays where it can; of the rest each garden says on which days it would be
 * visited best, and these visits go to the crew days where they cost least, those with the fewest days first.
 */
final readonly class Builder
{
    private const WEDGES = 32;

    public static function fill(Solution $solution): void
    {
        self::stay($solution);
        $problem = $solution->problem;
        $byGarden = $free = [];
        foreach ($solution->leftOut() as $index) {
            $byGarden[$problem->groups[$index]->garden][] = $index;
        }
        $visits = [];
        foreach ($byGarden as $garden => $groups) {
            $free = [];
            foreach ($solution->crewDays[$garden] ?? [] as $crewDay => $true) {
                $free[$crewDay % $problem->days] = true;
            }
            // Among neighbours a visit adds about as much way as it is from the depot, shared by three.
            $aVisit = $problem->setUp[$garden] + $problem->travel[0][$garden + 1] * 2 / 3;
            array_push($visits, ...array_values(IdealDays::of($problem, $groups, $aVisit, 0.0, $free)->visits));
        }
        foreach (self::inTurn($problem, $visits) as $groups) {
            Refill::with($solution, [$groups]);
        }
        Refill::with($solution, array_map(static fn (int $group): array => [$group], $solution->leftOut()));
        foreach (array_keys($solution->round) as $crewDay) {
            $solution->order($crewDay);
        }
        $solution->keep();
    }

    private static function stay(Solution $solution): void
    {
        $homes = [];
        foreach ($solution->problem->home as $group => $crewDay) {
            if ($solution->at[$group] === null) {
                $homes[$crewDay][$solution->problem->groups[$group]->garden][] = $group;
            }
        }
        foreach ($homes as $crewDay => $gardens) {
            foreach ($gardens as $groups) {
                self::back($solution, $groups, $crewDay);
            }
        }
    }

    /**
     * A visit goes back to where it stood, or as much of it as has room.
     *
     * @param  non-empty-list<int>  $groups
     */
    private static function back(Solution $solution, array $groups, int $crewDay): void
    {
        if ($solution->fits(Wanted::of($solution->problem, $groups), $crewDay)) {
            $solution->put($groups, $crewDay);

            return;
        }
        foreach ($groups as $group) {
            if ($solution->fits(Wanted::of($solution->problem, [$group]), $crewDay)) {
                $solution->put([$group], $crewDay);
            }
        }
    }

    /**
     * Wedge by wedge round the depot, so that neighbours find each other on a round, and in each wedge the visits with
     * the fewest days first.
     *
     * @param  list<list<int>>  $visits
     * @return list<list<int>>
     */
    private static function inTurn(PlanningProblem $problem, array $visits): array
    {
        $turns = [];
        foreach ($visits as $index => $groups) {
            if ($groups === []) {
                continue;
            }
            $opens = $closes = [];
            foreach ($groups as $group) {
                $opens[] = $problem->groups[$group]->opens;
                $closes[] = $problem->groups[$group]->closes;
            }
            $turns[] = [
                self::wedge($problem->brief, $problem->groups[$groups[0]]->garden), min($closes) - max($opens), $index,
            ];
        }
        sort($turns);

        return array_map(static fn (array $turn): array => $visits[$turn[2]], $turns);
    }

    private static function wedge(Brief $brief, int $garden): int
    {
        $place = $brief->gardens[$garden]->place;
        if ($place === null || $brief->depot === null) {
            return 0;
        }
        $east = ($place->longitude - $brief->depot->longitude) * cos(deg2rad($brief->depot->latitude));

        return (int) floor(self::WEDGES * (atan2($place->latitude - $brief->depot->latitude, $east) / M_PI + 1) / 2);
    }
}
