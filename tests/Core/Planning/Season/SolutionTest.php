<?php

declare(strict_types=1);

namespace Tests\Core\Planning\Season;

use PHPUnit\Framework\TestCase;
use PruningHook\Core\Planning\Season\Audit;
use PruningHook\Core\Planning\Season\Brief;
use PruningHook\Core\Planning\Season\Builder;
use PruningHook\Core\Planning\Season\Crew;
use PruningHook\Core\Planning\Season\IdealDays;
use PruningHook\Core\Planning\Season\LowerBound;
use PruningHook\Core\Planning\Season\Moves\ClearCrewDay;
use PruningHook\Core\Planning\Season\Moves\ClearGarden;
use PruningHook\Core\Planning\Season\Moves\ClearNeighbours;
use PruningHook\Core\Planning\Season\Moves\FitLeftOut;
use PruningHook\Core\Planning\Season\Moves\MoveVisit;
use PruningHook\Core\Planning\Season\Moves\ScatterVisits;
use PruningHook\Core\Planning\Season\PlanningProblem;
use PruningHook\Core\Planning\Season\Rounds;
use PruningHook\Core\Planning\Season\Solution;
use PruningHook\Core\Planning\Season\Visit;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\TestBrief;

/** The solution keeps its own account while it changes: it must be that of whoever recalculates the visits. */
final class SolutionTest extends TestCase
{
    public function test_every_move_keeps_the_account_and_every_rule_and_can_be_taken_back(): void
    {
        $moves = [
            new MoveVisit, new ScatterVisits(6), new ClearCrewDay, new ClearNeighbours(6, 5), new ClearGarden(3),
            new FitLeftOut,
        ];
        $kept = 0;
        for ($seed = 1; $seed <= 12; $seed++) {
            $brief = self::brief($seed);
            $solution = self::solution($brief, $seed);
            Builder::fill($solution);
            self::assertEqualsWithDelta(self::anew($brief, $solution), $solution->cost, 1e-6, "seed $seed, as built");
            for ($try = 0; $try < 120; $try++) {
                $before = $solution->copy();
                $moves[$try % count($moves)]->try($solution);
                foreach ($solution->touched() as $crewDay) {
                    $solution->order($crewDay);
                }
                $says = sprintf('seed %d, try %d, %s', $seed, $try, $moves[$try % count($moves)]::class);
                self::assertEqualsWithDelta(self::anew($brief, $solution), $solution->cost, 1e-6, $says);
                self::assertEqualsWithDelta($solution->cost - $before->cost, $solution->dearer(), 1e-6, $says);
                if ($try % 3 === 0) {
                    $solution->takeBack();
                    self::assertEqualsWithDelta($before->cost, $solution->cost, 1e-6, "$says, taken back");
                    self::assertSame($before->at, $solution->at, "$says, taken back");
                    self::assertSame(self::told($brief, $before), self::told($brief, $solution), "$says, taken back");
                } else {
                    $solution->keep();
                    $kept++;
                }
            }
        }
        self::assertSame(960, $kept);
    }

    public function test_the_bound_is_below_whatever_is_found(): void
    {
        for ($seed = 1; $seed <= 25; $seed++) {
            $brief = self::brief($seed);
            $solution = self::solution($brief, $seed);
            Builder::fill($solution);
            self::assertLessThanOrEqual($solution->cost + 1e-6, LowerBound::of($solution->problem), "seed $seed");
        }
    }

    /** Every set of days is tried for a garden by itself. */
    public function test_the_ideal_days_of_a_garden_are_the_cheapest_set_of_days(): void
    {
        for ($seed = 1; $seed <= 25; $seed++) {
            $chance = new Randomizer(new Mt19937($seed));
            $tasks = [];
            for ($task = 0; $task < 5; $task++) {
                $edges = array_map(static fn (): int => $chance->getInt(4, 17), range(0, 3));
                sort($edges);
                $tasks[] = TestBrief::work("t$task", 'g', 10, ...[...$edges, 'weight' => $chance->getInt(1, 4)]);
            }
            $brief = TestBrief::of(
                [TestBrief::crew()], [TestBrief::garden('g', 10, 15, [$chance->getInt(1, 5)])], $tasks,
            );
            $problem = new PlanningProblem($brief);
            $found = IdealDays::of($problem, array_keys($problem->groups), 40.0);
            $least = INF;
            $open = array_values(array_filter(
                range(0, 13), static fn (int $day): bool => $problem->anyoneWorks[$day] && ! $problem->isShut(0, $day),
            ));
            for ($set = 0; $set < 1 << count($open); $set++) {
                $days = array_filter($open, static fn (int $at): bool => ($set >> $at & 1) === 1, ARRAY_FILTER_USE_KEY);
                $cost = 40.0 * count($days);
                foreach ($problem->groups as $group) {
                    $its = $group->leftOut();
                    foreach ($days as $day) {
                        $its = $day < $group->opens || $day > $group->closes ? $its : min($its, $group->outside($day));
                    }
                    $cost += $its;
                }
                $least = min($least, $cost);
            }
            self::assertSame($least, $found->cost, "seed $seed");
        }
    }

    public function test_tasks_of_one_window_go_together_where_there_are_many(): void
    {
        $tasks = [];
        for ($task = 0; $task < 401; $task++) {
            $tasks[] = TestBrief::work("t$task", 'g'.$task % 4, 5, 4, closes: 4 + $task % 2);
        }
        $gardens = array_map(static fn (int $each) => TestBrief::garden("g$each", $each), range(0, 3));
        $many = new PlanningProblem(TestBrief::of([TestBrief::crew()], $gardens, $tasks));
        self::assertLessThan(40, count($many->groups));
        self::assertSame(401, array_sum(array_map(static fn ($group): int => count($group->tasks), $many->groups)));
        foreach ($many->groups as $group) {
            self::assertLessThanOrEqual(0.25 * 480, $group->minutes, 'a lot finds room somewhere');
        }
        $few = new PlanningProblem(TestBrief::of([TestBrief::crew()], $gardens, array_slice($tasks, 0, 400)));
        self::assertCount(400, $few->groups);
    }

    public function test_what_stays_costs_nothing_and_what_moves_its_share(): void
    {
        $brief = TestBrief::of(
            [TestBrief::crew()], [TestBrief::garden('g', 10)],
            [TestBrief::work('a', 'g', 10), TestBrief::work('b', 'g', 10)], [],
            [new Visit('g', 'c', TestBrief::day(6), ['a', 'b'])], 30,
        );
        $solution = self::solution($brief, 1);
        $solution->put([0, 1], 2);
        self::assertSame(63.0, $solution->cost);
        $solution->take([1], 2);
        $solution->put([1], 3);
        self::assertSame(63.0 + 63.0 + 15.0, $solution->cost);
    }

    private static function solution(Brief $brief, int $seed): Solution
    {
        $problem = new PlanningProblem($brief);

        return new Solution($problem, new Rounds($problem->travel), new Randomizer(new Mt19937($seed)));
    }

    private static function anew(Brief $brief, Solution $solution): float
    {
        $audit = Audit::of($brief, self::visits($brief, $solution));
        self::assertSame([], $audit->breaks);

        return $audit->cost->total();
    }

    /** @return list<string> */
    private static function told(Brief $brief, Solution $solution): array
    {
        $told = array_map(
            static fn (Visit $visit): string => json_encode($visit->toArray(), JSON_THROW_ON_ERROR),
            self::visits($brief, $solution),
        );
        sort($told);

        return $told;
    }

    /** @return list<Visit> */
    private static function visits(Brief $brief, Solution $solution): array
    {
        $visits = [];
        foreach ($solution->visits() as [$crewDay, $garden]) {
            $tasks = [];
            foreach ($solution->groups[$crewDay][$garden] as $group) {
                foreach ($solution->problem->groups[$group]->tasks as $task) {
                    $tasks[] = $brief->tasks[$task]->ref;
                }
            }
            sort($tasks);
            $visits[] = new Visit(
                $brief->gardens[$garden]->ref, $brief->crews[intdiv($crewDay, $solution->problem->days)]->ref,
                $solution->problem->day($crewDay % $solution->problem->days), $tasks,
            );
        }

        return $visits;
    }

    private static function brief(int $seed): Brief
    {
        $chance = new Randomizer(new Mt19937($seed));
        $gardens = $tasks = [];
        for ($garden = 0; $garden < 9; $garden++) {
            $gardens[] = TestBrief::garden(
                "g$garden", $chance->getInt(-20, 20), $chance->getInt(0, 25), $chance->getInt(0, 2) === 0 ? [3] : [],
                $garden % 3 === 0 ? [1 + $garden % 5, 5] : [],
            );
        }
        for ($task = 0; $task < 45; $task++) {
            $edges = array_map(static fn (): int => $chance->getInt(4, 17), range(0, 3));
            sort($edges);
            $tasks[] = TestBrief::work(
                "t$task", 'g'.$chance->getInt(0, 8), $chance->getInt(5, 200), $edges[0], $edges[1], $edges[2],
                $edges[3], $chance->getInt(0, 2) === 0 ? ['ladder'] : [], $chance->getInt(1, 4) / 2,
                $chance->getInt(1, 2),
            );
        }
        $fixed = [];
        foreach ($tasks as $task) {
            if (
                $task->window->opens->dayOfMonth() <= 14
                && $task->window->closes->dayOfMonth() >= 14
                && $fixed === []
            ) {
                $fixed[] = new Visit($task->garden, 'two', TestBrief::day(14), [$task->ref]);
            }
        }

        return TestBrief::of(
            [
                TestBrief::crew('one', 1, [], true), new Crew(
                    'two', 2, ['ladder'], false, array_fill_keys(range(1, 5), [480, 960]), [TestBrief::day(11)], null,
                    [TestBrief::day(6)->number => 1, TestBrief::day(7)->number => 1],
                ),
            ],
            $gardens, $tasks, $seed % 2 === 0 ? $fixed : [],
        );
    }
}
