<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

use Closure;
use PruningHook\Core\Fault;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** The way in: from a brief to a plan. The same brief, seed and number of tries always give the same plan. */
final readonly class Planner
{
    /**
     * @param  Closure(int): float  $spent the share of the time that is spent, by the number of tries; it ends at 1
     * @param  ?Closure(float, float): void  $tell hears now and then the share of the time and what the best plan costs
     *
     * @throws Fault where the brief contradicts itself
     */
    public static function plan(Brief $brief, int $seed, Closure $spent, ?Closure $tell = null): Plan
    {
        $problem = new PlanningProblem($brief);
        $bound = LowerBound::of($problem);
        $solution = new Solution($problem, new Rounds($problem->travel), new Randomizer(new Mt19937($seed)));
        Builder::fill($solution);
        $tries = Improver::improve($solution, $spent, $bound, $tell ?? static function (): void {
        });
        foreach (array_keys($solution->round) as $crewDay) {
            $solution->order($crewDay);
        }
        $audit = Audit::of($brief, self::visits($solution));

        return new Plan(
            $audit->timed(), Cures::of($solution), $audit->cost, min($bound, $audit->cost->total()), $tries,
            $problem->placeless,
        );
    }

    /** @return list<Visit> by day, crew and the order of the round */
    private static function visits(Solution $solution): array
    {
        $problem = $solution->problem;
        $visits = $solution->visits();
        usort($visits, static fn (array $a, array $b): int => [$a[0] % $problem->days, $a[0]]
            <=> [$b[0] % $problem->days, $b[0]]);

        return array_map(static function (array $visit) use ($solution, $problem): Visit {
            [$crewDay, $garden] = $visit;
            $tasks = [];
            foreach ($solution->groups[$crewDay][$garden] as $group) {
                foreach ($problem->groups[$group]->tasks as $task) {
                    $tasks[] = $problem->brief->tasks[$task]->ref;
                }
            }

            return new Visit(
                $problem->brief->gardens[$garden]->ref,
                $problem->brief->crews[intdiv($crewDay, $problem->days)]->ref,
                $problem->day($crewDay % $problem->days),
                $tasks,
            );
        }, $visits);
    }
}
