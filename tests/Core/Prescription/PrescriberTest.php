<?php

declare(strict_types=1);

namespace Tests\Core\Prescription;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Fault;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\Plant\Outcome;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\TaskRule;
use PruningHook\Core\Prescription\Task;
use Tests\Support\Prescribing;
use Tests\Support\Sites;
use Tests\Support\TestBook;

final class PrescriberTest extends TestCase
{
    use Prescribing;

    /** @return iterable<string, array{string}> */
    public static function kinds(): iterable
    {
        foreach (TestBook::read()->all() as $kind) {
            yield $kind->id => [$kind->id];
        }
    }

    #[DataProvider('kinds')]
    public function test_every_task_says_when_how_how_much_how_long_and_why(string $kind): void
    {
        $tasks = $this->prescribe(new Plant('p', $kind))->tasks;
        self::assertNotEmpty($tasks);
        foreach ($tasks as $task) {
            // How much is a number, or all of a thing, or none.
            self::assertTrue(
                $task->amounts !== []
                    || $task->handsOff !== null
                    || preg_match('/\b(all|every|none)\b/i', implode(' ', $task->steps)) === 1,
                "$kind $task->key",
            );
            self::assertNotEmpty($task->steps);
            self::assertTrue($task->minutes > 0 || $task->handsOff !== null, "$kind $task->key");
            self::assertStringNotContainsString('{', implode(' ', $task->steps), "$kind $task->key");
            foreach ($task->reasons as $reason) {
                self::assertNotSame('', $reason->because);
                self::assertNotSame('', $reason->source);
            }
        }
    }

    #[DataProvider('kinds')]
    public function test_windows_are_ordered_on_every_site_and_no_open_day_is_closed(string $kind): void
    {
        foreach (Sites::all() as $site) {
            $prescription = $this->prescribe(new Plant('p', $kind), $site);
            self::assertNotEmpty($prescription->tasks);
            foreach ($prescription->tasks as $task) {
                $days = array_values($task->window->toArray());
                $sorted = $days;
                sort($sorted);
                self::assertSame($sorted, $days, "$kind $task->key at $site->latitude");
                foreach ($prescription->closed as $closure) {
                    for ($day = $task->window->opens; ! $day->isAfter($task->window->closes); $day = $day->plus(1)) {
                        self::assertFalse(
                            $closure->contains($day),
                            "$kind $task->key is open on $day, which is closed, at $site->latitude",
                        );
                    }
                }
            }
        }
    }

    #[DataProvider('kinds')]
    public function test_the_southern_year_mirrors_the_northern(string $kind): void
    {
        $north = $this->prescribe(new Plant('p', $kind));
        $south = $this->prescribe(new Plant('p', $kind), Sites::southernEnglandMirrored());
        self::assertCount(count($north->tasks), $south->tasks);
        foreach ($north->tasks as $task) {
            $other = $south->task($task->key);
            self::assertNotNull($other);
            foreach (['opens', 'bestFrom', 'bestTo', 'closes'] as $edge) {
                self::assertEqualsWithDelta(182.5, $this->edge($task, $edge)->daysUntil($this->edge($other, $edge)), 7);
            }
        }
    }

    /** What the book says of its first year, or a clean: never the work of a grown plant. */
    #[DataProvider('kinds')]
    public function test_a_new_plant_is_only_cleaned_in_its_first_year_unless_the_book_says_what_it_needs(
        string $kind,
    ): void {
        $young = array_keys(
            array_filter(
                TestBook::read()->kind($kind)->tasks,
                static fn (TaskRule $task): bool => array_intersect(
                    ['1', '2'],
                    $task->when->looksAt()['year'] ?? [],
                ) !== [],
            ),
        );
        $tasks = $this->prescribe(new Plant('p', $kind, planted: $this->day('2027-03-12')))->tasks;
        self::assertLessThanOrEqual(1, count($tasks));
        foreach ($tasks as $task) {
            self::assertContains($task->key, $young);
        }
        if ($young === ['first-year']) {
            self::assertCount(1, $tasks);
            self::assertMatchesRegularExpression(
                '/Leave all healthy growth on|and nothing more/',
                implode(' ', $tasks[0]->steps),
            );
        }
    }

    public function test_what_was_over_before_it_was_planted_is_not_its_work(): void
    {
        self::assertSame([], $this->prescribe(new Plant('p', 'miscanthus', planted: $this->day('2027-04-20')))->tasks);
        self::assertSame(
            ['cut-down'],
            array_map(
                static fn (Task $task): string => $task->key,
                $this->prescribe(new Plant('p', 'miscanthus', planted: $this->day('2026-10-10')))->tasks,
            ),
        );
    }

    public function test_autumn_planting_counts_to_the_coming_season(): void
    {
        $year = SiteYear::of(Sites::southernEngland(), 2027);
        self::assertSame(
            1,
            (new Plant('p', 'wisteria', planted: $this->day('2026-11-10')))->yearInGround(
                $year,
                TestBook::keeping(),
            ),
        );
        self::assertSame(
            2,
            (new Plant('p', 'wisteria', planted: $this->day('2026-05-10')))->yearInGround(
                $year,
                TestBook::keeping(),
            ),
        );
        self::assertNull((new Plant('p', 'wisteria'))->yearInGround($year, TestBook::keeping()));
    }

    public function test_a_plant_of_the_future_is_told_and_not_guessed_away(): void
    {
        $this->expectException(Fault::class);
        $this->expectExceptionMessage('after season 2027 is over');
        $this->prescribe(new Plant('p', 'wisteria', planted: $this->day('2029-03-01')));
    }

    public function test_a_young_climbing_rose_grows_through_its_phases(): void
    {
        $rose = new Plant('r', 'climbing-rose', planted: $this->day('2025-03-01'));
        $second = $this->task($rose, 'prune-and-train', season: 2026);
        $third = $this->task($rose, 'prune-and-train', season: 2027);
        $fifth = $this->task($rose, 'prune-and-train', season: 2029);
        self::assertSame('Train and tie', $second->method);
        self::assertSame(1500, $this->amount($second, 'cane length before it is trained')->min);
        self::assertStringContainsString('Take no old stem out yet', implode(' ', $third->steps));
        self::assertSame(3, $this->amount($third, 'buds per lateral')->max);
        self::assertStringContainsString('Take the oldest main out', implode(' ', $fifth->steps));
    }

    public function test_a_missed_summer_pass_makes_the_winter_one_three_times_as_long(): void
    {
        $history = static fn (Outcome $outcome): array => [
            new LoggedWork('summer-pass', 2026, self::at('2026-07-20'), $outcome, null),
        ];
        $done = $this->task(
            new Plant('w', 'wisteria', heightMm: 3200, history: $history(Outcome::Done)),
            'winter-pass',
        );
        $missed = $this->task(
            new Plant('w', 'wisteria', heightMm: 3200, history: $history(Outcome::NotDone)),
            'winter-pass',
        );
        $partly = $this->task(
            new Plant('w', 'wisteria', heightMm: 3200, history: $history(Outcome::Partly)),
            'winter-pass',
        );
        self::assertEqualsWithDelta(3 * $done->minutes, $missed->minutes, 2);
        self::assertEqualsWithDelta(2 * $done->minutes, $partly->minutes, 2);
        self::assertStringContainsString('unwind last year', implode(' ', $missed->steps));
        self::assertStringNotContainsString('unwind', implode(' ', $done->steps));
        self::assertStringContainsString('was not done', $this->saysBecause($missed, 'Missed pass'));
    }

    public function test_an_empty_record_accuses_nobody(): void
    {
        $task = $this->task(new Plant('w', 'wisteria'), 'winter-pass');
        self::assertNotContains(
            'Missed pass',
            array_column(array_map(static fn ($reason) => $reason->toArray(), $task->reasons), 'rule'),
        );
    }

    public function test_minutes_are_drawn_towards_the_log(): void
    {
        $rate = $this->task(new Plant('f', 'forsythia', heightMm: 2000), 'after-flowering')->minutes;
        $logged = new Plant('f', 'forsythia', heightMm: 2000, history: [
            new LoggedWork('after-flowering', 2025, self::at('2025-04-20'), Outcome::Done, 100),
            new LoggedWork('after-flowering', 2026, self::at('2026-04-20'), Outcome::Done, 100),
        ]);
        // Two logged visits weigh as much as the usual rate.
        self::assertSame((int) round(($rate + 100) / 2), $this->task($logged, 'after-flowering')->minutes);
    }

    public function test_the_nearest_choice_of_school_is_in_force_and_says_who_chose(): void
    {
        $plant = new Plant('c', 'crape-myrtle', practice: ['crape-myrtle-height' => 'heading']);
        $headed = $this->task($plant, 'winter-structure', firm: ['crape-myrtle-height' => 'natural']);
        self::assertSame('heading', $headed->school());
        self::assertSame("Head back to last year's point", $headed->method);
        self::assertStringContainsString(
            'chosen for this plant',
            $this->saysBecause($headed, 'School: Crape myrtle height'),
        );
        $natural = $this->task(new Plant('c', 'crape-myrtle'), 'winter-structure');
        self::assertSame('natural', $natural->school());
        self::assertStringContainsString('default', $this->saysBecause($natural, 'School: Crape myrtle height'));
    }

    public function test_an_unknown_school_is_refused_with_the_ones_there_are(): void
    {
        $this->expectExceptionMessage('choose natural or heading');
        $this->prescribe(new Plant('c', 'crape-myrtle'), firm: ['crape-myrtle-height' => 'topping']);
    }

    public function test_the_vines_passes_and_system_follow_the_practice(): void
    {
        self::assertNotNull($this->prescribe(new Plant('v', 'grape-vine'))->task('rough-pass'));
        self::assertNull(
            $this->prescribe(new Plant('v', 'grape-vine'), firm: ['vine-passes' => 'one'])->task('rough-pass'),
        );
        self::assertSame(
            'Cane-prune the vine',
            $this->task(new Plant('v', 'grape-vine'), 'final-pass', firm: ['vine-system' => 'cane'])->method,
        );
        $early = $this->task(new Plant('v', 'grape-vine'), 'final-pass', firm: ['vine-timing' => 'early']);
        self::assertTrue(
            $early->window->closes->isBefore($this->task(new Plant('v', 'grape-vine'), 'final-pass')->window->opens),
        );
    }

    public function test_roses_wait_for_forsythia_where_winters_are_cold(): void
    {
        $cold = $this->task(new Plant('r', 'bush-rose'), 'main-pruning', Sites::missouri());
        self::assertStringContainsString('forsythia', $this->saysBecause($cold, 'Window'));
        $warm = $this->task(new Plant('r', 'bush-rose'), 'main-pruning', Sites::frostless());
        self::assertStringContainsString('Strip the leaves', implode(' ', $warm->steps));
    }

    public function test_cautions_follow_kind_height_place_and_season(): void
    {
        $rose = $this->task(new Plant('r', 'climbing-rose', heightMm: 3000, hazards: ['power-line']), 'dead-heading');
        $all = implode(' ', $rose->cautions);
        self::assertStringContainsString('power line', $rose->cautions[0]);
        foreach (['Thorns', 'nests'] as $word) {
            self::assertStringContainsString($word, $all);
        }
        $currant = $this->task(new Plant('c', 'blackcurrant', heightMm: 1200), 'winter-renewal');
        self::assertCount(1, $currant->cautions, 'nests alone, since its window reaches into spring');
    }

    public function test_suckers_are_named_on_grafted_plants_only(): void
    {
        $steps = fn (?bool $grafted): string => implode(
            ' ',
            $this->task(new Plant('r', 'bush-rose', grafted: $grafted), 'main-pruning')->steps,
        );
        self::assertStringContainsString('suckers', $steps(null));
        self::assertStringNotContainsString('suckers', $steps(false));
    }

    private function edge(Task $task, string $edge): \PruningHook\Core\Calendar\Day
    {
        return match ($edge) {
            'opens' => $task->window->opens,
            'bestFrom' => $task->window->bestFrom,
            'bestTo' => $task->window->bestTo,
            default => $task->window->closes,
        };
    }

    private static function at(string $day): \PruningHook\Core\Calendar\Day
    {
        return \PruningHook\Core\Calendar\Day::parse($day);
    }

    public function test_an_aim_no_task_takes_account_of_is_said(): void
    {
        $says = fn (string $kind, string $aim): string => implode(
            ' ',
            array_map(
                static fn ($reason): string => $reason->rule.': '.$reason->because,
                $this->prescribe(new Plant('p', $kind, aim: $aim))->tasks[0]->reasons,
            ),
        );
        self::assertStringContainsString(
            'Aim: the aim renewal changes nothing here: it responds poorly to hard pruning',
            $says('lavender', 'renewal'),
        );
        self::assertStringContainsString(
            'Aim: the aim clear stem changes nothing here',
            $says('forsythia', 'clear-stem'),
        );
        self::assertStringNotContainsString('Aim:', $says('lilac', 'renewal'));
    }

    public function test_a_foliage_shrub_grown_as_a_hedge_is_sheared_as_one(): void
    {
        $hedge = $this->task(new Plant('l', 'cherry-laurel', form: 'hedge', heightMm: 1800, runMm: 8000), 'shaping');
        self::assertSame('shear', $hedge->methodKey);
        self::assertGreaterThan(
            $this->task(new Plant('l', 'cherry-laurel', heightMm: 1800), 'shaping')->minutes,
            $hedge->minutes,
        );
        $standard = $this->task(new Plant('h', 'holly', form: 'standard', heightMm: 2000), 'shaping');
        self::assertStringContainsString('Rub off every shoot on the stem', implode(' ', $standard->steps));
    }
}
