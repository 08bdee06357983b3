<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

/** Gives task groups without a day the cheapest one, in their order: together while they can, one by one otherwise. */
final readonly class Refill
{
    /**
     * @param  list<list<int>>  $visits  task groups of one garden each
     * @param  float  $noise  minutes by which prices are blurred
     */
    public static function with(Solution $solution, array $visits, float $noise = 0.0, ?int $not = null): void
    {
        foreach ($visits as $groups) {
            if ($groups === []) {
                continue;
            }
            $place = $solution->place(Wanted::of($solution->problem, $groups, $not, $noise));
            if ($place !== null) {
                $solution->put($groups, $place[0]);
            } elseif (count($groups) > 1) {
                self::apart($solution, $groups, $noise);
            }
        }
    }

    /**
     * Those whose window closes first look first.
     *
     * @param  list<int>  $groups
     */
    private static function apart(Solution $solution, array $groups, float $noise): void
    {
        usort($groups, static fn (int $a, int $b): int => [$solution->problem->groups[$a]->closes, $a]
            <=> [$solution->problem->groups[$b]->closes, $b]);
        foreach ($groups as $group) {
            $place = $solution->place(Wanted::of($solution->problem, [$group], null, $noise));
            if ($place !== null) {
                $solution->put([$group], $place[0]);
            }
        }
    }
}
