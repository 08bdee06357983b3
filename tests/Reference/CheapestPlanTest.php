<?php

declare(strict_types=1);

namespace Tests\Reference;

use App\Ground\Bridge\JsonSchema;
use App\Io\Json\PlanInput;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Planning\Season\Audit;
use PruningHook\Core\Planning\Season\Planner;
use PruningHook\Core\Planning\Season\Rounds;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\PlanInstances;

/** Plans against the cheapest there is, found by HiGHS and every shortest round (`cheapest-plan.mjs`). */
final class CheapestPlanTest extends TestCase
{
    /** Such as the exact solver is done with in a second or two. */
    private const SEEDS = [1, 2, 3, 4, 6, 8, 9, 10, 11, 13, 14, 15, 16, 17, 19, 22, 24, 25, 27, 36];

    private const WITHIN = 0.03;

    public function test_twenty_small_plans_cost_at_most_three_per_cent_more_than_the_cheapest(): void
    {
        $instances = array_map(PlanInstances::of(...), self::SEEDS);
        $schema = JsonSchema::fromFile(dirname(__DIR__, 2).'/docs/formats/plan-input.schema.json');
        foreach (self::cheapest($instances) as $index => $cheapest) {
            $which = 'instance '.self::SEEDS[$index];
            $input = PlanInput::read(json_encode($instances[$index], JSON_THROW_ON_ERROR), $schema);
            $tries = (int) $input->iterations;
            $plan = Planner::plan($input->brief, $input->seed, static fn (int $try): float => $try / $tries);
            $cost = $plan->cost->total();
            self::assertSame([], Audit::of($input->brief, $plan->visits)->breaks, $which);
            // The solver is exact to a millionth.
            self::assertGreaterThanOrEqual($cheapest * (1 - 1e-6), $cost, "$which costs less than is possible");
            self::assertLessThanOrEqual($cheapest * (1 + self::WITHIN), $cost, $which);
            self::assertLessThanOrEqual($cheapest * (1 + 1e-6), $plan->lowerBound, "$which: the bound is none");
            self::assertGreaterThan(0, $plan->lowerBound, $which);
            self::assertCount(
                count($input->brief->tasks),
                [...array_merge(...array_column($plan->visits, 'tasks')), ...array_column($plan->leftOut, 'task')],
                "$which: every task is done or told",
            );
        }
    }

    /** Clients who asked for a weekday get it where that costs no more than it is worth. */
    public function test_wishes_for_weekdays_are_kept_where_that_is_cheapest(): void
    {
        $instances = [];
        foreach (array_slice(self::SEEDS, 0, 8) as $index => $seed) {
            $given = PlanInstances::of($seed);
            foreach ($given['gardens'] as $place => $garden) {
                $given['gardens'][$place]['wished'] = [['tue'], ['mon', 'thu'], ['fri']][($index + $place) % 3];
            }
            $instances[] = $given;
        }
        $schema = JsonSchema::fromFile(dirname(__DIR__, 2).'/docs/formats/plan-input.schema.json');
        $unasked = 0.0;
        foreach (self::cheapest($instances) as $index => $cheapest) {
            $input = PlanInput::read(json_encode($instances[$index], JSON_THROW_ON_ERROR), $schema);
            $tries = (int) $input->iterations;
            $plan = Planner::plan($input->brief, $input->seed, static fn (int $try): float => $try / $tries);
            $cost = $plan->cost->total();
            $unasked += $plan->cost->unasked;
            self::assertSame($cost, Audit::of($input->brief, $plan->visits)->cost->total());
            self::assertGreaterThanOrEqual($cheapest * (1 - 1e-6), $cost, "$index costs less than is possible");
            self::assertLessThanOrEqual($cheapest * (1 + self::WITHIN), $cost, "instance $index");
            self::assertLessThanOrEqual($cheapest * (1 + 1e-6), $plan->lowerBound, "$index: the bound is none");
        }
        self::assertGreaterThan(0, $unasked, 'some wish costs more than it is worth');
    }

    /** Every order of up to seven gardens is tried; up to nine, the best of many is not better. */
    public function test_rounds_of_up_to_nine_gardens_are_the_shortest(): void
    {
        $chance = new Randomizer(new Mt19937(9));
        for ($time = 0; $time < 30; $time++) {
            $count = 1 + $time % Rounds::EXACT;
            $travel = self::travel($chance, $count);
            [$round, $minutes] = (new Rounds($travel))->shortest(range(0, $count - 1));
            self::assertSame($minutes, (new Rounds($travel))->minutes($round));
            self::assertEqualsCanonicalizing(range(0, $count - 1), $round);
            self::assertSame(self::shortest($travel, 0, range(1, $count)), $minutes, "$count gardens");
        }
    }

    /** @param  list<array<string, mixed>>  $instances
     * @return list<float>
     */
    private static function cheapest(array $instances): array
    {
        $process = proc_open(
            ['node', __DIR__.'/cheapest-plan.mjs'], [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']], $pipes,
            dirname(__DIR__, 2),
        );
        self::assertIsResource($process);
        fwrite($pipes[0], json_encode($instances, JSON_THROW_ON_ERROR));
        fclose($pipes[0]);
        $answer = (string) stream_get_contents($pipes[1]);
        $fault = (string) stream_get_contents($pipes[2]);
        self::assertSame(0, proc_close($process), $fault);
        /** @var list<float> $cheapest */
        $cheapest = json_decode($answer, true);
        self::assertCount(count($instances), $cheapest);

        return $cheapest;
    }

    /** @return list<list<int>> */
    private static function travel(Randomizer $chance, int $gardens): array
    {
        $travel = [];
        for ($from = 0; $from <= $gardens; $from++) {
            for ($to = 0; $to <= $from; $to++) {
                $travel[$from][$to] = $travel[$to][$from] = $from === $to ? 0 : $chance->getInt(1, 60);
            }
        }

        return array_map(static function (array $row): array {
            ksort($row);

            return array_values($row);
        }, $travel);
    }

    /**
     * The shortest way through all that is left and home, by trying every order.
     *
     * @param  list<list<int>>  $travel
     * @param  list<int>  $left  places
     */
    private static function shortest(array $travel, int $at, array $left): int
    {
        $least = $left === [] ? $travel[$at][0] : PHP_INT_MAX;
        foreach ($left as $index => $next) {
            $others = $left;
            unset($others[$index]);
            $least = min($least, $travel[$at][$next] + self::shortest($travel, $next, array_values($others)));
        }

        return $least;
    }
}
