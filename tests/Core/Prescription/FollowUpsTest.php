<?php

declare(strict_types=1);

namespace Tests\Core\Prescription;

use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\Anchor;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\SiteYears;
use PruningHook\Core\Planning\Agenda;
use PruningHook\Core\Planning\DueTask;
use PruningHook\Core\Planning\Urgency;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\Plant\Outcome;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Prescription\Prescriber;
use PruningHook\Core\Prescription\SeasonTask;
use PruningHook\Core\Prescription\Task;
use PruningHook\Core\Schools\ChosenSchools;
use Tests\Support\Sites;
use Tests\Support\TestBook;

/** What comes after the work is due by itself, once the record says it was done. Common practice, no source. */
final class FollowUpsTest extends TestCase
{
    public function test_a_logged_cut_breeds_what_comes_after_it(): void
    {
        self::assertSame([], self::follow([]));
        self::assertSame([], self::follow([self::work('2027-02-10', Outcome::NotDone)]), 'nothing was cut');
        $follow = self::follow([self::work('2027-02-10')]);
        // Ties are looked at 150 days after; the bloom on the days of this site's year.
        self::assertSame('2027-07-10 to 2027-09-08', $follow['follow-ties']);
        $bloom = KindYear::of(
            SiteYear::of(Sites::southernEngland(), 2027), TestBook::read()->kind('wisteria')->phenology,
        )->bloom();
        self::assertStringStartsWith("{$bloom?->from} to ", $follow['follow-at-bloom']);
        self::assertSame(['follow-at-bloom', 'follow-ties'], array_keys($follow));
    }

    public function test_the_later_of_two_lines_counts_and_each_season_has_its_own(): void
    {
        $two = [self::work('2027-02-10'), self::work('2027-03-01', Outcome::Changed)];
        self::assertSame('2027-07-29 to 2027-09-27', self::follow($two)['follow-ties']);
        // Cut before Christmas, it is the coming season's bloom.
        $winter = self::follow([self::work('2026-12-20', season: 2027)]);
        self::assertStringStartsWith('2027-04', $winter['follow-at-bloom']);
        self::assertSame([], self::follow([self::work('2024-02-10', season: 2024)]));
        // The bloom after last year's cut has been; this year's is another story.
        self::assertSame([], self::follow([self::work('2026-02-10', season: 2026)]));
        self::assertSame(
            ['follow-ties', 'follow-at-bloom'], array_keys(self::follow([self::work('2026-07-10', season: 2026)])),
            'cut in summer, its ties are due in December, which counts to the coming season, and it flowers in spring',
        );
    }

    public function test_disease_that_was_found_is_looked_for_at_the_first_leaves(): void
    {
        $work = self::work('2027-02-10');
        $ill = new LoggedWork(
            $work->task, $work->season, $work->on, $work->outcome, 30, recipe: $work->recipe, diseased: true,
        );
        self::assertArrayNotHasKey('follow-first-leaves', self::follow([$work]));
        $breaks = KindYear::of(
            SiteYear::of(Sites::southernEngland(), 2027), TestBook::read()->kind('wisteria')->phenology,
        )->day(Anchor::BudBreak);
        self::assertStringStartsWith("$breaks to ", self::follow([$ill])['follow-first-leaves']);
    }

    public function test_rain_spares_the_watering_in(): void
    {
        // Ten millimetres are a watering. Common practice, no source.
        $keys = static fn (?int $rain): bool => isset(self::follow([
            new LoggedWork('spring-cut', 2027, Day::parse('2027-03-20'), Outcome::Done, 20,
                recipe: 'cut-to-flowering-height', rainMm: $rain),
        ], 'bluebeard')['follow-water-in']);
        self::assertTrue($keys(null), 'the rain to come spares nothing');
        self::assertTrue($keys(9));
        self::assertFalse($keys(10));
        self::assertSame(10, TestBook::read()->recipes->leastRain);
    }

    public function test_each_pass_that_is_logged_asks_for_the_next_while_its_days_are_open(): void
    {
        $pass = static fn (string $task, string $on, Outcome $outcome = Outcome::Done): LoggedWork => new LoggedWork(
            $task, 2027, Day::parse($on), $outcome, 6, recipe: $task === 'dead-heading' ? 'dead-head' : 'follow-up',
        );
        $plant = new Plant('p', 'butterfly-bush');
        $closes = array_column(array_map(static fn (SeasonTask $task): array => [
            $task->key, (string) $task->window->closes,
        ], self::prescriber()->windows(
            $plant, SiteYear::of(Sites::southernEngland(), 2027), ChosenSchools::of(TestBook::read()->questions),
        )), 1, 0)['dead-heading'];
        $first = $pass('dead-heading', '2027-08-20');
        // Partly done, the first is still due itself.
        self::assertSame([], self::follow([$pass('dead-heading', '2027-08-20', Outcome::Partly)], 'butterfly-bush'));
        self::assertSame(
            ['follow-dead-heading-2' => "2027-08-30 to $closes"], self::follow([$first], 'butterfly-bush'),
        );
        self::assertSame(
            ['follow-dead-heading-2' => "2027-08-30 to $closes", 'follow-dead-heading-3' => "2027-09-12 to $closes"],
            self::follow([$pass('follow-dead-heading-2', '2027-09-02'), $first], 'butterfly-bush'),
        );
        $third = self::prescriber()->prescribe(
            new Plant('p', 'butterfly-bush', history: [$first, $pass('follow-dead-heading-2', '2027-09-02')]),
            SiteYear::of(Sites::southernEngland(), 2027), ChosenSchools::of(TestBook::read()->questions),
        )->task('follow-dead-heading-3');
        self::assertStringContainsString(
            'dead-heading, once more was done on 2 September 2027', (string) $third?->reasons[0]->because,
        );
        self::assertSame([], self::follow([$pass('dead-heading', $closes)], 'butterfly-bush'), 'its days are over');
    }

    public function test_it_is_due_planned_and_done_like_any_task(): void
    {
        $plant = self::plant([self::work('2027-02-10')]);
        $today = Day::parse('2027-07-20');
        $ties = self::due($plant, $today);
        self::assertSame([Urgency::Open, 'Check the ties'], [$ties?->urgency, $ties?->task->name]);
        self::assertSame(
            ['2027-07-10', '2027-08-09', 10],
            [(string) $ties?->task->window->bestFrom, (string) $ties?->task->window->bestTo, $ties?->task->minutes],
        );
        self::assertFalse($ties?->waitsForWeather(), 'nothing is cut, so that no frost holds it');
        $done = new LoggedWork(
            'follow-ties', 2027, Day::parse('2027-07-18'), Outcome::Done, 10, recipe: LoggedWork::FOLLOW_UP,
        );
        $plant = self::plant([self::work('2027-02-10'), $done]);
        self::assertSame(Urgency::Done, self::due($plant, $today)?->urgency);
        // Looking after it breeds nothing further, and is no season of work.
        self::assertSame(['follow-at-bloom', 'follow-ties'], array_keys(self::follow($plant->history)));
        self::assertFalse(self::plant([$done])->hasRecordOf(2027));
        $full = self::prescriber()->prescribe(
            $plant, SiteYear::of(Sites::southernEngland(), 2027), ChosenSchools::of(TestBook::read()->questions),
        )->task('follow-ties');
        self::assertInstanceOf(Task::class, $full);
        self::assertSame(['Check the ties: none may bite.'], $full->steps);
        self::assertStringContainsString('was done on 10 February 2027', $full->reasons[0]->because);
        self::assertEquals($full->timed()->window, self::due($plant, $today)?->task->window);
    }

    private static function due(Plant $plant, Day $today): ?DueTask
    {
        $due = Agenda::with(TestBook::read())->around(
            $plant, SiteYears::of(Sites::southernEngland(), []), ChosenSchools::of(TestBook::read()->questions), $today,
        );

        $ties = array_filter($due, static fn (DueTask $task): bool => $task->task->key === 'follow-ties');

        return $ties === [] ? null : array_values($ties)[0];
    }

    /**
     * @param  list<LoggedWork>  $history
     * @return array<string, string> opens and closes by key
     */
    private static function follow(array $history, string $kind = 'wisteria'): array
    {
        $tasks = self::prescriber()->followUps(
            new Plant('p', $kind, history: $history), SiteYear::of(Sites::southernEngland(), 2027),
            ChosenSchools::of(TestBook::read()->questions),
        );

        return array_column(array_map(static fn (SeasonTask $task): array => [
            $task->key, "{$task->window->opens} to {$task->window->closes}",
        ], $tasks), 1, 0);
    }

    /** @param  list<LoggedWork>  $history */
    private static function plant(array $history): Plant
    {
        return new Plant('p', 'wisteria', history: $history);
    }

    private static function work(string $on, Outcome $outcome = Outcome::Done, int $season = 2027): LoggedWork
    {
        $wisteria = TestBook::read()->kind('wisteria')->tasks['winter-pass'];

        return new LoggedWork('winter-pass', $season, Day::parse($on), $outcome, 30, recipe: $wisteria->method(
            Prescriber::circumstances(
                new Plant('p', 'wisteria'), TestBook::read()->kind('wisteria'),
                SiteYear::of(Sites::southernEngland(), 2027),
                ChosenSchools::of(TestBook::read()->questions), TestBook::keeping(),
            ),
        ));
    }

    private static function prescriber(): Prescriber
    {
        return Prescriber::with(TestBook::read());
    }
}
