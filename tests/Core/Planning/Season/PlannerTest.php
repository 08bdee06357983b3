<?php

declare(strict_types=1);

namespace Tests\Core\Planning\Season;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Fault;
use PruningHook\Core\Planning\Season\Audit;
use PruningHook\Core\Planning\Season\Crew;
use PruningHook\Core\Planning\Season\Garden;
use PruningHook\Core\Planning\Season\Place;
use PruningHook\Core\Planning\Season\Price;
use PruningHook\Core\Planning\Season\Visit;
use PruningHook\Core\Planning\Season\Work;
use Tests\Support\TestBrief;

/** What a plan keeps to and what it costs, each worked out by hand from the published price. */
final class PlannerTest extends TestCase
{
    public function test_a_degree_of_latitude_is_241_minutes_away(): void
    {
        // 6,371 km x pi / 180 = 111.19 km; x 1.3 / 0.6 = 240.9.
        self::assertSame(241, Price::travel(new Place(51.0, 0.0), new Place(52.0, 0.0)));
        self::assertSame(0, Price::travel(new Place(51.0, 3.0), new Place(51.0, 3.0)));
        // On the equator a degree of longitude is as long; at 60 degrees north half of it.
        self::assertSame(241, Price::travel(new Place(0.0, 179.5), new Place(0.0, -179.5)));
        self::assertSame(120, Price::travel(new Place(60.0, 0.0), new Place(60.0, 1.0)));
    }

    public function test_work_is_shared_among_the_crew_and_rounded_up(): void
    {
        self::assertSame([105, 61, 15], [
            Price::visit(90, 1, 15), Price::visit(91, 2, 15), Price::visit(0, 3, 15),
        ]);
    }

    public function test_one_garden_one_visit(): void
    {
        // Ten hundredths north: 1.1 km each, 11.119 km, 24 minutes; 90 person-minutes for two and 15 of set-up.
        $plan = TestBrief::plan(TestBrief::of(
            [TestBrief::crew(people: 2)], [TestBrief::garden('g', 10)], [TestBrief::work('t', 'g', 90)],
        ));
        self::assertSame(['g c 4 t'], TestBrief::told($plan));
        self::assertSame(['08:24', '09:24'], [
            Visit::clock((int) $plan->visits[0]->start), Visit::clock((int) $plan->visits[0]->end),
        ]);
        self::assertSame(
            ['travel' => 48, 'setup' => 15, 'outside_best' => 0, 'unasked' => 0, 'overtime' => 0,
                'unplaced' => 0, 'total' => 63],
            $plan->cost->toArray(),
        );
        self::assertSame(63.0, $plan->lowerBound, 'a single visit cannot be cheaper, and the bound says so');
        self::assertSame(0.0, $plan->gap());
    }

    /**
     * Where an hour's work that is best from Monday the 4th ends up.
     *
     * @param  list<int>  $wished
     * @return list<string>
     */
    private static function told(array $wished, int $bestTo): array
    {
        return TestBrief::told(TestBrief::plan(TestBrief::of(
            [TestBrief::crew()], [TestBrief::garden('g', 10, wished: $wished)],
            [TestBrief::work('t', 'g', 60, 4, 4, $bestTo, 12)],
        )));
    }

    public function test_a_weekday_the_client_asked_for_is_kept_while_that_costs_less(): void
    {
        $day = self::told(...);
        // Best on Monday the 4th. Wednesday is two days out of it, 8 min, and as dear as a day nobody asked for.
        self::assertSame(['g c 4 t'], $day([], 4));
        self::assertSame(['g c 5 t'], $day([2], 4));
        self::assertSame(['g c 4 t'], $day([4], 4));
        self::assertSame(['g c 7 t'], $day([4], 6));
        // Of two that were asked for, the one in the best window.
        self::assertSame(['g c 6 t'], $day([3, 5], 6));
        // Nobody works on Sundays: it is done all the same, and told.
        $plan = TestBrief::plan(TestBrief::of([TestBrief::crew()], [TestBrief::garden('g', 10, wished: [7])], [
            TestBrief::work('t', 'g', 60, weight: 3.0),
        ]));
        self::assertSame([24.0, 0.0], [$plan->cost->unasked, $plan->cost->outsideBest]);
        self::assertSame(24, $plan->cost->toArray()['unasked']);
        self::assertSame($plan->cost->total(), 48.0 + 15 + 24);
    }

    public function test_tasks_of_a_garden_share_a_visit_while_that_costs_less_than_another(): void
    {
        $crew = [TestBrief::crew()];
        $garden = [TestBrief::garden('g', 10)];
        // Best to the 5th and best from the 7th: a day outside for one costs 4 to 8, a visit more 63.
        $near = TestBrief::plan(TestBrief::of($crew, $garden, [
            TestBrief::work('a', 'g', 30, 4, 4, 5, 17), TestBrief::work('b', 'g', 30, 4, 7, 17, 17),
        ]));
        self::assertCount(1, $near->visits);
        self::assertSame(48 + 15 + 8.0, $near->cost->total());
        // Heavy enough, both lie in their best windows.
        $heavy = TestBrief::plan(TestBrief::of($crew, $garden, [
            TestBrief::work('a', 'g', 30, 4, 4, 5, 17, [], 20), TestBrief::work('b', 'g', 30, 4, 7, 17, 17, [], 20),
        ]));
        self::assertCount(2, $heavy->visits);
        self::assertSame(126.0, $heavy->cost->total());
    }

    public function test_neighbours_are_visited_on_one_round_in_the_shortest_order(): void
    {
        $plan = TestBrief::plan(TestBrief::of(
            [TestBrief::crew()],
            [TestBrief::garden('far', 20), TestBrief::garden('near', 10)],
            [TestBrief::work('a', 'far', 60), TestBrief::work('b', 'near', 60)],
        ));
        self::assertCount(2, $plan->visits);
        self::assertTrue($plan->visits[0]->on->equals($plan->visits[1]->on));
        self::assertSame(96, $plan->cost->travel, 'to the far one and back, the near one lies on the way');
    }

    public function test_a_crew_has_the_skills_and_the_people_and_comes_when_the_garden_is_open(): void
    {
        $plan = TestBrief::plan(
            TestBrief::of(
                [
                    TestBrief::crew('one'),
                    TestBrief::crew('two', 2, ['ladder'], false, [TestBrief::day(4), TestBrief::day(6)]),
                ],
                [TestBrief::garden('g', 10, 15, [2])],
                [
                    TestBrief::work('a', 'g', 60, 4, 4, 6, 7, ['ladder']),
                    TestBrief::work('b', 'g', 60, 4, 4, 6, 7, people: 2),
                ],
            ),
        );
        // Off on Monday and Wednesday, closed on Tuesday: Thursday, a day outside the best window for each of the two.
        self::assertSame(['g two 7 a+b'], TestBrief::told($plan));
        self::assertSame(8.0, $plan->cost->outsideBest);
    }

    public function test_nobody_comes_on_a_day_on_which_a_garden_is_off(): void
    {
        $garden = new Garden('g', new Place(51.3, -1.1), 15, [], [TestBrief::day(4), TestBrief::day(12)]);
        $plan = TestBrief::plan(TestBrief::of(
            [TestBrief::crew()], [$garden],
            [TestBrief::work('a', 'g', 60, 4, 4, 4, 6), TestBrief::work('b', 'g', 60, 12, 12, 12, 12)],
        ));
        self::assertSame(['g c 5 a'], TestBrief::told($plan));
        self::assertStringStartsWith('no open day', $plan->leftOut[0]->because);
        $there = new Visit('g', 'c', TestBrief::day(12), ['b']);
        self::assertSame(
            ['g is closed on 2027-01-12'],
            Audit::of(
                TestBrief::of([TestBrief::crew()], [$garden], [TestBrief::work('b', 'g', 60, 12)]), [$there],
            )->breaks,
        );
    }

    public function test_overtime_is_taken_where_it_is_allowed_and_worth_it(): void
    {
        // 480 minutes, of which 48 on the road and 15 of set-up: 417 are left, an hour more with overtime.
        $brief = static fn (bool $overtime, int $minutes, int $days = 4): array => [
            [TestBrief::crew(overtime: $overtime)],
            [TestBrief::garden('g', 10)],
            [
                TestBrief::work('a', 'g', $minutes - 100, 4, closes: $days),
                TestBrief::work('b', 'g', 100, 4, closes: $days),
            ],
        ];
        self::assertSame(0.0, TestBrief::plan(TestBrief::of(...$brief(true, 417)))->cost->overtime);
        $over = TestBrief::plan(TestBrief::of(...$brief(true, 437)));
        self::assertSame([30.0, []], [$over->cost->overtime, $over->leftOut]);
        self::assertSame(
            45.0, TestBrief::plan(TestBrief::of(...$brief(true, 447, 5)))->cost->overtime, 'cheaper than 63',
        );
        self::assertCount(
            2, TestBrief::plan(TestBrief::of(...$brief(true, 467, 5)))->visits, 'dearer than 63',
        );
        self::assertCount(
            1, TestBrief::plan(TestBrief::of(...$brief(true, 478)))->leftOut, 'more than an hour',
        );
        self::assertCount(1, TestBrief::plan(TestBrief::of(...$brief(false, 418)))->leftOut);
    }

    public function test_days_are_no_longer_than_the_sun_is_up(): void
    {
        $crew = static fn (?Place $at): Crew => new Crew('c', 1, [], false, [1 => [8 * 60, 18 * 60]], [], $at);
        self::assertSame(600, $crew(null)->works(TestBrief::day(4))?->length);
        // Early January at 51 degrees north: about eight hours.
        $short = $crew(new Place(51.2, -1.1))->works(TestBrief::day(4))->length ?? 0;
        self::assertEqualsWithDelta(480, $short, 5);
        self::assertNull($crew(new Place(80.0, 0.0))->works(TestBrief::day(4)), 'the sun does not come up');
        self::assertNull($crew(null)->works(TestBrief::day(5)));
    }

    public function test_on_a_day_when_one_is_ill_work_takes_longer_and_two_cannot_work_at_once(): void
    {
        $crew = new Crew(
            'c', 2, [], false, [1 => [480, 960]], [], null, [TestBrief::day(4)->number => 1],
        );
        $one = TestBrief::plan(TestBrief::of(
            [$crew], [TestBrief::garden('g', 10)], [TestBrief::work('t', 'g', 90, closes: 4)],
        ));
        self::assertSame('10:09', Visit::clock((int) $one->visits[0]->end), '24 min of way, 15 of set-up, 90 for one');
        $two = TestBrief::plan(TestBrief::of(
            [$crew], [TestBrief::garden('g', 10)], [TestBrief::work('t', 'g', 90, people: 2)],
        ));
        self::assertSame(['g c 11 t'], TestBrief::told($two), 'a week later both are there');
        $never = TestBrief::plan(TestBrief::of(
            [$crew], [TestBrief::garden('g', 10)], [TestBrief::work('t', 'g', 90, closes: 4, people: 2)],
        ));
        self::assertCount(1, $never->leftOut);
        // 417 minutes are left for one where two would have 834.
        $long = TestBrief::plan(TestBrief::of(
            [$crew], [TestBrief::garden('g', 10)],
            [TestBrief::work('a', 'g', 400, closes: 4), TestBrief::work('b', 'g', 400, closes: 4)],
        ));
        self::assertCount(1, $long->leftOut);
        self::assertLessThanOrEqual($long->cost->total(), $long->lowerBound);
    }

    public function test_a_fixed_visit_stands_and_others_join_it(): void
    {
        $plan = TestBrief::plan(TestBrief::of(
            [TestBrief::crew()], [TestBrief::garden('g', 10)],
            [TestBrief::work('a', 'g', 60, 4, 4, 5), TestBrief::work('b', 'g', 60)],
            [new Visit('g', 'c', TestBrief::day(14), ['a'])],
        ));
        self::assertSame(['g c 14 a+b'], TestBrief::told($plan));
        self::assertSame(36.0, $plan->cost->outsideBest, 'nine days outside');
    }

    public function test_a_fixed_visit_without_tasks_stands_too(): void
    {
        $plan = TestBrief::plan(TestBrief::of(
            [TestBrief::crew()], [TestBrief::garden('g', 10)], [], [new Visit('g', 'c', TestBrief::day(14), [])],
        ));
        self::assertSame(['g c 14 '], TestBrief::told($plan));
        self::assertLessThanOrEqual($plan->cost->total(), $plan->lowerBound);
    }

    public function test_the_present_plan_stays_unless_moving_is_worth_it(): void
    {
        $brief = static fn (int $stay): array => TestBrief::told(TestBrief::plan(TestBrief::of(
            [TestBrief::crew()], [TestBrief::garden('g', 10), TestBrief::garden('h', 10)],
            [TestBrief::work('a', 'g', 60), TestBrief::work('b', 'h', 60)], [],
            [new Visit('g', 'c', TestBrief::day(6), ['a']), new Visit('h', 'c', TestBrief::day(13), ['b'])], $stay,
        )));
        // On one day both cost a way less: 48 minutes.
        self::assertSame(['g c 6 a', 'h c 13 b'], $brief(60));
        self::assertContains($brief(20), [['g c 6 a', 'h c 6 b'], ['h c 6 b', 'g c 6 a'], ['g c 13 a', 'h c 13 b'],
            ['h c 13 b', 'g c 13 a']]);
    }

    public function test_the_same_seed_and_tries_give_the_same_plan(): void
    {
        $brief = TestBrief::of(
            [TestBrief::crew('a'), TestBrief::crew('b', 2)],
            array_map(static fn (int $at): Garden => TestBrief::garden("g$at", $at, $at), range(1, 9)),
            array_map(
                static fn (int $task): Work => TestBrief::work(
                    "t$task", 'g'.(1 + $task % 9), 10 + 7 * $task, 4 + $task % 5,
                ),
                range(0, 29),
            ),
        );
        self::assertEquals(TestBrief::plan($brief), TestBrief::plan($brief));
        $plan = TestBrief::plan($brief, 300, 2);
        self::assertSame([], Audit::of($brief, $plan->visits)->breaks);
        self::assertSame(300, $plan->iterations);
    }

    /** @return array<string, array{list<Crew>, Garden, Work, string, string}> */
    public static function leftOut(): array
    {
        $garden = TestBrief::garden('g', 10);
        $crew = [TestBrief::crew()];

        return [
            'nobody can' => [
                $crew, $garden, TestBrief::work('t', 'g', 60, skills: ['saw']), 'no crew has saw', 'a crew with saw',
            ],
            'nobody works' => [
                [TestBrief::crew(off: [TestBrief::day(6)])], $garden, TestBrief::work('t', 'g', 60, 6, closes: 6),
                'no open day: no crew works while the garden may be visited between 2027-01-06 and 2027-01-06',
                'another crew day on 2027-01-06 for c, 63 min more',
            ],
            'too long' => [
                $crew, $garden, TestBrief::work('t', 'g', 600), 'no crew day is long enough for it, way and set-up '
                    .'included',
                'in parts: at most 417 person-minutes fit into a day there',
            ],
            'another season' => [
                $crew, $garden, new Work('t', 'g', TestBrief::work('t', 'g', 1, 1, closes: 3)->window, 60),
                'its window lies outside the horizon', 'a window wider by 1 day, to 2027-01-04, 67 min more',
            ],
        ];
    }

    /** @param  list<Crew>  $crews */
    #[DataProvider('leftOut')]
    public function test_what_is_left_out_is_told_with_its_cure(
        array $crews,
        Garden $garden,
        Work $work,
        string $because,
        string $cure,
    ): void {
        $plan = TestBrief::plan(TestBrief::of($crews, [$garden], [$work]));
        self::assertSame([['task' => 't', 'because' => $because, 'cure' => $cure]], array_map(
            static fn ($left): array => $left->toArray(), $plan->leftOut,
        ));
        self::assertSame([], $plan->visits);
        self::assertSame(10_000.0, $plan->cost->leftOut);
    }

    public function test_where_weeks_are_too_full_the_bound_knows_it(): void
    {
        // Three full days of work in two days: 400 minutes each with way and set-up.
        $plan = TestBrief::plan(TestBrief::of(
            [TestBrief::crew()], [TestBrief::garden('g', 10)],
            array_map(static fn (int $each): Work => TestBrief::work("t$each", 'g', 400, 4, closes: 5), range(0, 2)),
        ));
        self::assertCount(1, $plan->leftOut);
        self::assertStringStartsWith('capacity: the crews that can do it are full between', $plan->leftOut[0]->because);
        self::assertSame('a window wider by 1 day, to 2027-01-06, 67 min more', $plan->leftOut[0]->cure);
        self::assertGreaterThan(9_500, $plan->lowerBound);
        self::assertLessThanOrEqual($plan->cost->total(), $plan->lowerBound);
    }

    public function test_the_lighter_task_is_left_out(): void
    {
        $plan = TestBrief::plan(
            TestBrief::of(
                [TestBrief::crew()],
                [TestBrief::garden('g', 10)],
                [
                    TestBrief::work('heavy', 'g', 400, 4, closes: 4, weight: 2),
                    TestBrief::work('light', 'g', 400, 4, closes: 4),
                ],
            ),
        );
        self::assertSame(['light'], array_column($plan->leftOut, 'task'));
    }

    public function test_a_garden_without_a_place_takes_the_usual_way_and_is_told(): void
    {
        $plan = TestBrief::plan(TestBrief::of(
            [TestBrief::crew()], [new Garden('somewhere', null, 15)], [TestBrief::work('t', 'somewhere', 60)],
        ));
        self::assertSame([40, ['somewhere']], [$plan->cost->travel, $plan->placeless]);
    }

    public function test_nothing_to_do_costs_nothing(): void
    {
        $plan = TestBrief::plan(TestBrief::of([TestBrief::crew()], [], []));
        self::assertSame([[], [], 0.0, 0.0], [$plan->visits, $plan->leftOut, $plan->cost->total(), $plan->lowerBound]);
    }

    public function test_values_that_cannot_be_are_refused(): void
    {
        $told = [];
        foreach ([
            static fn () => new Crew('c', 0), static fn () => new Crew('c', 1, [], false, [1 => [600, 500]]),
            static fn () => new Place(91.0, 0.0), static fn () => new Place(0.0, 181.0),
            static fn () => new Garden('g', null, -1), static fn () => TestBrief::work('t', 'g', -1),
            static fn () => TestBrief::work('t', 'g', 1, weight: 0.0),
            static fn () => TestBrief::plan(TestBrief::of([TestBrief::crew()], [], [TestBrief::work('t', 'g', 1)])),
            static fn () => TestBrief::plan(TestBrief::of(
                [TestBrief::crew()], [TestBrief::garden('g', 1)], [], [new Visit('g', 'x', TestBrief::day(4), [])],
            )),
        ] as $make) {
            try {
                $make();
            } catch (Fault $fault) {
                $told[] = $fault->getMessage();
            }
        }
        self::assertCount(9, $told);
    }
}
