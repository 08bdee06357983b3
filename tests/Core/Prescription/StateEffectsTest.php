<?php

declare(strict_types=1);

namespace Tests\Core\Prescription;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Amount\Effect;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Hemisphere;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Fault;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\Plant\Outcome;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Plant\State;
use PruningHook\Core\Plant\StemCount;
use PruningHook\Core\Plant\Stress;
use PruningHook\Core\Plant\Upkeep;
use PruningHook\Core\PlantBook\HardCutting;
use PruningHook\Core\Prescription\Contradictions;
use PruningHook\Core\Prescription\GivenFacts;
use PruningHook\Core\Prescription\Prescriber;
use PruningHook\Core\Prescription\Task;
use PruningHook\Core\Reason;
use PruningHook\Core\Schools\ChosenSchools;
use Tests\Support\Sites;
use Tests\Support\TestBook;

/** What was seen of a plant beside its measures: each changes what is prescribed, or is refused with a reason. */
final class StateEffectsTest extends TestCase
{
    /**
     * Common practice, no source: a plant under stress gives up half as much; a third of nine old stems is three, half
     * of that one.
     */
    public function test_a_thirsty_plant_gives_up_half_as_much(): void
    {
        $sound = $this->lilac(new State);
        foreach (Stress::cases() as $stress) {
            $short = $this->lilac(new State(stress: $stress));
            self::assertSame(
                [3, 1],
                [$sound->amount(Effect::OldStemsOut)?->target, $short->amount(Effect::OldStemsOut)?->target],
            );
            self::assertSame(intdiv($sound->budget->capPercent, 2), $short->budget->capPercent);
        }
    }

    /** Common practice, no source. */
    public function test_a_plant_that_died_back_by_a_third_keeps_all_that_lives(): void
    {
        self::assertSame(3, $this->lilac(new State(diebackPercent: 29))->amount(Effect::OldStemsOut)?->target);
        $heavy = $this->lilac(new State(diebackPercent: 30));
        self::assertSame([0, 0], [$heavy->budget->capPercent, $heavy->amount(Effect::OldStemsOut)?->target]);
        self::assertContains(
            '30 % of it has died back: take off only what is dead, down to green bark. All live wood stays this year.',
            $heavy->steps,
        );
        self::assertStringContainsString(
            'scratch the bark',
            implode(' ', $this->lilac(new State(diebackPercent: 100))->steps),
        );
    }

    public function test_what_a_recipe_takes_by_design_is_taken_all_the_same(): void
    {
        $plant = new Plant('p', 'miscanthus', state: new State(stress: Stress::Drought));
        self::assertSame(100, $this->tasks($plant)[0]->budget->capPercent);
    }

    public function test_a_neglected_shrub_is_renewed_over_three_years_whatever_was_wanted_of_it(): void
    {
        $task = $this->lilac(new State(Upkeep::Neglected), 'bloom');
        self::assertSame('renovate', $task->methodKey);
        self::assertSame((int) round($this->lilac(new State)->minutes * 1.5), $task->minutes);
    }

    public function test_a_lopped_tree_is_restored_and_a_neglected_one_thinned(): void
    {
        $of = fn (Upkeep $upkeep): string => $this->tasks(
            new Plant('p', 'japanese-maple', heightMm: 3000, state: new State($upkeep)),
        )[0]->methodKey;
        $lime = fn (Upkeep $upkeep): string => $this->tasks(
            new Plant('p', 'lime', heightMm: 4000, state: new State($upkeep)),
        )[0]->methodKey;
        self::assertSame(['restore-lopped', 'thin'], [$lime(Upkeep::Lopped), $lime(Upkeep::Neglected)]);
        self::assertNotSame('restore-lopped', $of(Upkeep::Neglected));
    }

    public function test_reverted_shoots_all_go_from_a_variegated_plant(): void
    {
        self::assertStringContainsString(
            'every plain green shoot',
            implode(' ', $this->lilac(new State(variegated: true))->steps),
        );
    }

    public function test_what_is_said_of_it_comes_once_it_is_clean(): void
    {
        $steps = $this->lilac(new State(disease: 'honey-fungus'))->steps;
        self::assertStringStartsWith('Start at the base: take out dead', $steps[0]);
        self::assertStringStartsWith('Honey fungus:', $steps[1]);
    }

    public function test_one_that_was_moved_counts_as_newly_planted_until_it_has_rooted(): void
    {
        $moved = new Plant(
            'p',
            'lilac',
            planted: Day::parse('2005-03-01'),
            state: new State(transplanted: Day::parse('2026-11-10')),
        );
        self::assertContains('first-year', self::keys($this->tasks($moved)));
        self::assertNotContains('first-year', self::keys($this->tasks($moved, 2028)));
        self::assertSame(
            22,
            $moved->yearInGround(SiteYear::of(Sites::southernEngland(), 2026), TestBook::keeping()),
            'before it was moved it was as old as it was',
        );
        self::assertSame(
            [1, 2],
            [
                $moved->yearInGround(SiteYear::of(Sites::southernEngland(), 2027), TestBook::keeping()),
                $moved->yearInGround(SiteYear::of(Sites::southernEngland(), 2028), TestBook::keeping()),
            ],
        );
    }

    public function test_a_protected_tree_waits_for_consent(): void
    {
        $plant = new Plant('p', 'apple', heightMm: 3000, state: new State(protected: true));
        $task = $this->tasks($plant)[0];
        self::assertSame(['is protected', 0, []], [$task->handsOff, $task->minutes, $task->kit->tools]);
        self::assertStringContainsString('consent', implode(' ', $task->steps));
        self::assertSame(
            'is protected',
            Prescriber::with(TestBook::read())->windows(
                $plant,
                SiteYear::of(Sites::southernEngland(), 2027),
                $this->practice(),
            )[0]->handsOff,
        );
    }

    /**
     * ANSI Z133 (from memory): wood over about 100 mm is an arborist's; a tree's heaviest branches are half its trunk.
     * Common practice.
     */
    public function test_a_measured_trunk_tells_the_thickest_wood(): void
    {
        $apple = fn (?int $trunk): Task => $this->tasks(
            new Plant('p', 'apple', heightMm: 3000, state: new State(trunkMm: $trunk)),
        )[0];
        self::assertNull($apple(200)->handsOff);
        self::assertSame('has wood thicker than 100 mm', $apple(210)->handsOff);
        self::assertContains('pruning saw (wood to about 75 mm)', $apple(150)->kit->tools);
        self::assertNotContains(
            'pruning saw',
            array_map(static fn (string $tool): string => substr($tool, 0, 11), $apple(60)->kit->tools),
        );
    }

    /**
     * Common practice, no source: one that breaks from old wood comes down by its cap in a season, another by a
     * season's growth.
     */
    public function test_a_hedge_that_outgrew_its_line_comes_down_over_the_seasons(): void
    {
        $after = fn (string $kind, int $height, int $target): ?int => $this->hedge(
            $kind,
            $height,
            new State(targetHeightMm: $target),
        )->amount(Effect::HeightAfter)?->target;
        self::assertSame([1500, 1500], [$after('yew', 1500, 1500), $after('yew', 1600, 1500)]);
        self::assertSame(2600 - intdiv(2600 * 33, 100), $after('yew', 2600, 1500));
        $book = TestBook::read();
        self::assertSame(HardCutting::Badly, $book->kind('leyland-cypress')->hardCutting);
        self::assertSame(
            2600 - $book->figures->growing($book->kind('leyland-cypress'))->extensionMm,
            $after('leyland-cypress', 2600, 1500),
        );
    }

    public function test_one_side_in_reach_halves_the_faces_and_the_minutes_follow(): void
    {
        $both = $this->hedge('yew', 2000, new State(widthMm: 600));
        $one = $this->hedge('yew', 2000, new State(widthMm: 600, sides: 1));
        self::assertSame(
            [46.0, 26.0],
            [
                (new Plant('p', 'yew', runMm: 10000, state: new State(widthMm: 600)))->face(
                    2000,
                    TestBook::keeping()->hedgeTopMm,
                ),
                (new Plant('p', 'yew', runMm: 10000, state: new State(widthMm: 600, sides: 1)))->face(
                    2000,
                    TestBook::keeping()->hedgeTopMm,
                ),
            ],
        );
        self::assertLessThan($both->minutes, $one->minutes);
        self::assertContains('Hold the top to 60 cm across.', $one->steps);
    }

    public function test_a_hedge_wider_than_wanted_is_brought_in_one_face_a_season(): void
    {
        $wide = fn (string $kind): string => implode(
            ' ',
            $this->tasks(
                new Plant('p', $kind, heightMm: 2000, spreadMm: 1800, runMm: 10000, state: new State(widthMm: 600)),
            )[0]->steps,
        );
        self::assertStringContainsString('take one face in this season', $wide('yew'));
        self::assertStringContainsString('trim into the green only', $wide('leyland-cypress'));
    }

    public function test_an_apple_that_bears_at_the_tips_keeps_its_short_shoots(): void
    {
        $steps = fn (?string $bearing): string => implode(
            ' ',
            $this->tasks(new Plant('p', 'apple', heightMm: 3000, state: new State(bearing: $bearing)))[0]->steps,
        );
        self::assertStringContainsString('leave short shoots whole', $steps('tip'));
        self::assertStringContainsString('on their spurs', $steps('spur'));
        self::assertSame($steps(null), $steps('spur'));
    }

    /** Missed several years is not missed once: common practice, no source. */
    public function test_what_was_left_out_for_years_takes_longer(): void
    {
        $done = static fn (int $season): LoggedWork => new LoggedWork(
            'after-flowering',
            $season,
            Day::parse("$season-06-10"),
            Outcome::Done,
            null,
        );
        $minutes = fn (LoggedWork ...$history): int => $this->tasks(
            new Plant('p', 'lilac', history: array_values($history)),
        )[0]->minutes;
        $key = $this->tasks(new Plant('p', 'lilac'))[0]->key;
        self::assertSame('after-flowering', $key);
        $usual = $minutes();
        self::assertSame(
            [$usual, $usual, (int) round($usual * 1.5)],
            [$minutes($done(2026)), $minutes($done(2025)), $minutes($done(2024))],
        );
        self::assertSame($usual, $minutes($done(2020), $done(2026)), 'the last time counts');
        self::assertSame(
            $usual,
            $minutes(new LoggedWork('after-flowering', 2020, Day::parse('2020-06-10'), Outcome::NotDone, null)),
            'an empty record accuses nobody',
        );
    }

    /** With the midwinters all that is kept is worked out anew, and what was seen last season is left out. */
    public function test_what_passes_holds_until_the_midwinter_half_a_year_off_at_least(): void
    {
        $state = new State(
            Upkeep::Lopped, 40, disease: 'canker', stress: Stress::Drought, seen: Day::parse('2026-02-20'),
        );
        self::assertSame($state, $state->on(Day::parse('2026-12-20'), Hemisphere::North, TestBook::keeping()));
        $later = $state->on(Day::parse('2026-12-21'), Hemisphere::North, TestBook::keeping());
        self::assertSame(
            [Upkeep::Lopped, null, null, null],
            [$later->upkeep, $later->diebackPercent, $later->disease, $later->stress],
        );
        $passes = static fn (string $seen, Hemisphere $at): string => (string) State::passes(
            Day::parse($seen), $at, TestBook::keeping(),
        );
        self::assertSame(
            '2027-12-21', $passes('2026-10-10', Hemisphere::North), 'seen in autumn it holds the summer through',
        );
        self::assertSame(
            ['2027-06-21', '2026-06-21'],
            [$passes('2026-02-20', Hemisphere::South), $passes('2025-12-01', Hemisphere::South)],
        );
        self::assertSame(
            $later,
            $later->on(Day::parse('2029-01-01'), Hemisphere::North, TestBook::keeping()),
            'neglect does not pass by itself',
        );
    }

    /** @param  list<string>  $fields */
    #[DataProvider('nonsense')]
    public function test_what_cannot_be_is_refused_with_a_reason(string $kind, State $state, array $fields): void
    {
        $told = Contradictions::of(
            TestBook::read()->kind($kind), TestBook::read(), new GivenFacts($state, Day::parse('2015-03-01')),
        );
        self::assertSame($fields, array_keys($told));
        foreach ($told as $because) {
            self::assertGreaterThan(20, strlen($because));
        }
    }

    /** @return array<string, array{string, State, list<string>}> */
    public static function nonsense(): array
    {
        return [
            'an unknown disease' => ['lilac', new State(disease: 'the dwindles'), ['disease']],
            'box blight of a rose' => ['bush-rose', new State(disease: 'box blight'), ['disease']],
            'box blight of box' => ['box-hedge', new State(disease: 'Box Blight'), []],
            'moved before it was planted' => [
                'lilac',
                new State(transplanted: Day::parse('2010-01-01')),
                ['transplanted'],
            ],
            'a lopped grass with a trunk' => [
                'miscanthus',
                new State(Upkeep::Lopped, trunkMm: 80),
                ['condition', 'trunk_mm'],
            ],
            'a protected perennial' => ['garden-phlox', new State(protected: true), ['protected']],
            'a lilac held to a line' => [
                'lilac',
                new State(targetHeightMm: 2000, widthMm: 500, sides: 1),
                ['target_height_mm', 'width_mm', 'sides'],
            ],
            'a yew held to a line' => ['yew', new State(targetHeightMm: 2000, widthMm: 500, sides: 1), []],
            'an apple on tips' => ['apple', new State(bearing: 'tip'), []],
            'an apple on a dwarfing stock' => ['apple', new State(rootstock: 'dwarfing'), []],
            'a lilac on a vigorous stock' => ['lilac', new State(rootstock: 'vigorous'), ['rootstock']],
            'a blackberry that trails' => ['blackberry', new State(growth: 'trailing'), []],
            'a raspberry that trails' => ['raspberry-summer', new State(growth: 'trailing'), ['growth']],
            'a lilac on spurs' => ['lilac', new State(bearing: 'spur'), ['bearing']],
        ];
    }

    public function test_numbers_that_cannot_be_are_faults(): void
    {
        foreach ([static fn () => new State(diebackPercent: 101), static fn () => new State(trunkMm: 0)] as $wrong) {
            try {
                $wrong();
                self::fail('nobody told');
            } catch (Fault $fault) {
                self::assertNotSame('', $fault->getMessage());
            }
        }
    }

    /** Every state and every disease of the book changes the sheet of a plant that can have it. */
    public function test_every_state_and_disease_changes_something(): void
    {
        $book = TestBook::read();
        $plain = $this->lilac(new State);
        $told = static fn (Task $task): array => [
            $task->steps,
            $task->minutes,
            $task->cautions,
            $task->handsOff,
            array_map(static fn (Reason $reason): string => $reason->because, $task->reasons),
        ];
        foreach (['boundary', 'exposed', 'container'] as $flag) {
            self::assertNotSame($told($plain), $told($this->lilac(new State(...[$flag => true]))), $flag);
        }
        self::assertNotSame($told($plain), $told($this->lilac(new State(cultivar: 'Sensation'))));
        self::assertNotSame($told($plain), $told($this->lilac(new State(Upkeep::Congested))));
        foreach ($book->states->diseases as $disease) {
            $hosts = array_filter($book->all(), $disease->takes(...));
            self::assertNotSame([], $hosts, "nothing in the book takes $disease->key");
            if ($disease->in === []) {
                self::assertNotSame(
                    $told($plain),
                    $told($this->lilac(new State(disease: $disease->key))),
                    $disease->key,
                );
            }
        }
    }

    private function lilac(State $state, ?string $aim = null): Task
    {
        return $this->tasks(
            new Plant('p', 'lilac', heightMm: 2000, stems: StemCount::of(9, 1), aim: $aim, state: $state),
        )[0];
    }

    private function hedge(string $kind, int $height, State $state): Task
    {
        return $this->tasks(new Plant('p', $kind, heightMm: $height, runMm: 10000, state: $state))[0];
    }

    /** @return non-empty-list<Task> */
    private function tasks(Plant $plant, int $season = 2027): array
    {
        $tasks = Prescriber::with(TestBook::read())->prescribe(
            $plant,
            SiteYear::of(Sites::southernEngland(), $season),
            $this->practice(),
        )->tasks;

        return $tasks === [] ? self::fail('nothing is prescribed') : $tasks;
    }

    /**
     * @param  list<Task>  $tasks
     * @return list<string>
     */
    private static function keys(array $tasks): array
    {
        return array_map(static fn (Task $task): string => $task->key, $tasks);
    }

    private function practice(): ChosenSchools
    {
        return ChosenSchools::of(TestBook::read()->questions);
    }

    public function test_what_says_nothing_of_time_takes_no_longer(): void
    {
        $seen = new State(variegated: true, container: true, disease: 'rust');
        // Enough of them that one per cent would show.
        $many = fn (State $state): int => $this->tasks(
            new Plant('p', 'lilac', heightMm: 2000, count: 60, state: $state),
        )[0]->minutes;
        self::assertSame($many(new State), $many($seen));
        self::assertSame($this->lilac(new State)->budget->capPercent, $this->lilac($seen)->budget->capPercent);
    }
}
