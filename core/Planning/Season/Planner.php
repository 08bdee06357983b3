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
        $ground = new Ground($brief);
        $bound = LowerBound::of($ground);
        $board = new Board($ground, new Rounds($ground->travel), new Randomizer(new Mt19937($seed)));
        Builder::fill($board);
        $tries = Improver::improve($board, $spent, $bound, $tell ?? static function (): void {
        });
        foreach (array_keys($board->round) as $crewDay) {
            $board->order($crewDay);
        }
        $audit = Audit::of($brief, self::visits($board));

        return new Plan(
            $audit->timed(), Cures::of($board), $audit->cost, min($bound, $audit->cost->total()), $tries,
            $ground->placeless,
        );
    }

    /** @return list<Visit> by day, crew and the order of the round */
    private static function visits(Board $board): array
    {
        $ground = $board->ground;
        $visits = $board->visits();
        usort($visits, static fn (array $a, array $b): int => [$a[0] % $ground->days, $a[0]]
            <=> [$b[0] % $ground->days, $b[0]]);

        return array_map(static function (array $visit) use ($board, $ground): Visit {
            [$crewDay, $garden] = $visit;
            $tasks = [];
            foreach ($board->lots[$crewDay][$garden] as $lot) {
                foreach ($ground->lots[$lot]->tasks as $task) {
                    $tasks[] = $ground->brief->tasks[$task]->ref;
                }
            }

            return new Visit(
                $ground->brief->gardens[$garden]->ref,
                $ground->brief->crews[intdiv($crewDay, $ground->days)]->ref,
                $ground->day($crewDay % $ground->days),
                $tasks,
            );
        }, $visits);
    }
}
