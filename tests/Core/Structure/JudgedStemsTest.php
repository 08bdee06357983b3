<?php

declare(strict_types=1);

namespace Tests\Core\Structure;

use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Plant\StemCount;
use PruningHook\Core\PlantBook\Habit;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\Prescription\Prescriber;
use PruningHook\Core\Prescription\Task;
use PruningHook\Core\Schools\ChosenSchools;
use PruningHook\Core\Structure\Judgement;
use PruningHook\Core\Structure\Kept;
use PruningHook\Core\Structure\Stem;
use PruningHook\Core\Structure\StemAims;
use PruningHook\Core\Structure\StemCut;
use PruningHook\Core\Structure\StemFault;
use PruningHook\Core\Structure\StemJudge;
use PruningHook\Core\Structure\Survey;
use PruningHook\Core\Structure\SurveyDay;
use Tests\Support\Sites;
use Tests\Support\TestBook;

/** Stems of real kinds, judged as a head gardener would. Common practice where no source is named. */
final class JudgedStemsTest extends TestCase
{
    public function test_of_a_rubbing_pair_exactly_one_goes_even_if_both_were_marked(): void
    {
        $judged = $this->judge('forsythia', [
            self::stem('A', 0, age: 2, faults: [StemFault::Rubbing]),
            self::stem('B', 30, age: 2, faults: [StemFault::Rubbing]),
            self::stem('C', 120, age: 2),
            self::stem('D', 180, age: 2),
            self::stem('E', 240, age: 2),
            self::stem('F', 300, age: 2),
        ]);
        self::assertCount(1, array_intersect(['A', 'B'], self::refs($judged)));
    }

    /** RHS, Climbing roses (from memory): a strong new shoot from the base replaces an old main. */
    public function test_on_its_own_roots_a_basal_shoot_is_a_new_main_and_an_old_one_goes_for_it(): void
    {
        $stems = [
            self::stem('old', 0, age: 9), self::stem('b', 70), self::stem('c', 140), self::stem('d', 210),
            self::stem('e', 280), self::stem('new', 330, age: 1, faults: [StemFault::Sucker]),
        ];
        $judged = $this->judge('climbing-rose', $stems, grafted: false);
        self::assertSame(['old'], self::refs($judged));
        self::assertStringContainsString('a new main on its own roots', self::because($judged, 'new'));
        self::assertContains('new', self::refs($this->judge('climbing-rose', $stems, grafted: true)));
    }

    /** RHS, Raspberries (from memory): fruited canes to the ground, six to eight of the new ones kept. */
    public function test_all_fruited_canes_go_and_the_new_ones_are_thinned_to_their_number(): void
    {
        $stems = [];
        foreach (range(1, 7) as $each) {
            $stems[] = self::stem("f$each", $each * 25, base: 12, age: 2);
        }
        foreach (range(1, 12) as $each) {
            $stems[] = self::stem("n$each", 180 + $each * 14, base: 6 + $each, age: 1);
        }
        $judged = $this->judge('raspberry-summer', $stems);
        $out = self::refs($judged);
        self::assertSame([], array_diff(['f1', 'f2', 'f3', 'f4', 'f5', 'f6', 'f7'], $out), 'every fruited cane');
        self::assertSame(
            ['n1', 'n2', 'n3', 'n4'], array_values(array_diff($out, ['f1', 'f2', 'f3', 'f4', 'f5', 'f6', 'f7'])),
            'and the four thinnest new ones',
        );
        self::assertStringNotContainsString('budget spreads', implode(' ', $judged->told));
        self::assertCount(
            3, self::refs($this->judge('raspberry-summer', array_slice($stems, 0, 3))),
            'even where no new one stands',
        );
    }

    public function test_a_third_of_three_is_one_of_six_two_of_nine_three(): void
    {
        foreach ([3 => 1, 6 => 2, 9 => 3] as $stand => $go) {
            $stems = array_map(
                static fn (int $each): Stem => self::stem("s$each", intdiv(360 * $each, $stand), age: 5),
                range(1, $stand),
            );
            self::assertCount($go, self::refs($this->judge('forsythia', $stems)), "of $stand");
        }
    }

    public function test_the_oldest_goes_and_no_younger_one_in_its_place_to_save_per_cent(): void
    {
        $judged = $this->judge(
            'climbing-rose',
            [
                self::stem('six', 0, base: 40, age: 6), self::stem('four', 72, base: 12, age: 4),
                self::stem('c', 144, base: 12, age: 2), self::stem('d', 216, base: 12, age: 2),
                self::stem('e', 288, base: 12, age: 2), self::stem('f', 320, base: 12, age: 1),
            ],
            grafted: true,
            budget: 30,
        );
        self::assertSame([], self::refs($judged), 'the oldest waits, and so do the others');
        self::assertStringContainsString('more than the 30 % that may go', self::because($judged, 'six'));
    }

    public function test_one_of_three_huge_trunks_goes_this_year_and_the_young_stay(): void
    {
        $judged = $this->judge(
            'lilac',
            [
                self::stem('huge1', 0, base: 90, age: 25), self::stem('huge2', 120, base: 80, age: 24),
                self::stem('huge3', 240, base: 85, age: 20), self::stem('y1', 40, base: 12, age: 2),
                self::stem('y2', 160, base: 12, age: 1), self::stem('y3', 280, base: 12, age: 1),
            ],
            aim: 'renewal',
        );
        self::assertSame(['huge1'], self::refs($judged));
    }

    public function test_stools_and_autumn_canes_are_cut_whole_and_bigleaf_hydrangea_gets_its_oldest_out(): void
    {
        $four = [
            self::stem('a', 0, age: 1), self::stem('b', 90, age: 1), self::stem('c', 180, age: 1),
            self::stem('d', 270, age: 1),
        ];
        self::assertCount(4, self::refs($this->judge('raspberry-autumn', $four)));
        $hydrangea = array_map(
            static fn (int $each): Stem => self::stem("s$each", $each * 60, age: $each + 1),
            range(0, 5),
        );
        self::assertSame(
            ['s5'], self::refs($this->judge('bigleaf-hydrangea', $hydrangea)), 'one third of the three that are old',
        );
    }

    public function test_one_trunk_means_one(): void
    {
        $judged = $this->judge(
            'crape-myrtle',
            [
                self::stem('a', 0, lean: 2, base: 60, age: 8), self::stem('b', 120, base: 30, age: 6),
                self::stem('c', 240, base: 30, age: 5),
            ],
            keep: 1,
            budget: 100,
        );
        self::assertCount(1, $judged->kept);
    }

    public function test_reverted_shoots_all_go_whatever_the_budget(): void
    {
        $stems = [self::stem('a', 0), self::stem('b', 90)];
        foreach ([45, 135, 225, 315] as $index => $way) {
            $stems[] = self::stem("green$index", $way, base: 20, faults: [StemFault::Reverted]);
        }
        self::assertCount(
            4,
            array_filter(
                self::refs($this->judge('holly', $stems, budget: 5)),
                static fn (string $ref): bool => str_starts_with($ref, 'green'),
            ),
        );
    }

    public function test_nobody_waits_to_replace_where_nobody_stands(): void
    {
        $old = array_map(static fn (int $each): Stem => self::stem("s$each", $each * 60, age: 6), range(1, 6));
        self::assertStringNotContainsString('wait to replace', $this->judge('forsythia', $old)->cuts[0]->because);
        self::assertStringContainsString(
            'wait to replace',
            $this->judge('forsythia', [...$old, self::stem('young', 20, age: 1)])->cuts[0]->because,
        );
    }

    public function test_where_all_is_dead_the_crown_is_scratched_first(): void
    {
        $judged = $this->judge('forsythia', [
            self::stem('a', 0, faults: [StemFault::Dead]),
            self::stem('b', 180, faults: [StemFault::Dead]),
        ]);
        self::assertStringContainsString('scratch the crown for green, wait until midsummer', $judged->told[0]);
    }

    public function test_next_years_turn_is_a_ranking_said_of_the_next_few_only(): void
    {
        $stems = array_map(
            static fn (int $each): Stem => self::stem("s$each", $each * 40, base: 20 + $each, age: 4 + $each),
            range(0, 8),
        );
        $said = array_map(static fn (Kept $kept): string => $kept->because, $this->judge('forsythia', $stems)->kept);
        self::assertCount(1, self::saying("next year's first", $said));
        self::assertCount(1, self::saying("next year's second", $said));
        self::assertCount(2, self::saying('next year', $said), 'a third of the six that are left');
    }

    public function test_judge_and_prescription_agree_in_number_or_say_why(): void
    {
        mt_srand(41);
        $year = SiteYear::of(Sites::southernEngland(), 2027);
        $compared = $differ = 0;
        $kinds = array_values(
            array_filter(
                TestBook::read()->all(),
                static fn (Kind $kind): bool => in_array(
                    $kind->habit, [Habit::Shrub, Habit::Climber, Habit::Cane], true,
                ),
            ),
        );
        for ($survey = 0; $survey < 500; $survey++) {
            $kind = $kinds[mt_rand(0, count($kinds) - 1)];
            $stems = [];
            $count = mt_rand(3, 12);
            for ($each = 0; $each < $count; $each++) {
                $stems[] = self::stem("s$each", intdiv(360 * $each, $count), base: mt_rand(8, 30), age: mt_rand(1, 7));
            }
            $judged = $this->judge($kind->id, $stems);
            $young = count(array_filter($stems, $judged->aim->isYoung(...)));
            $plant = new Plant(
                'p', $kind->id, heightMm: min(2000, $kind->typicalHeightMm),
                stems: StemCount::of($count - $young, $young),
            );
            $asked = self::asked(
                Prescriber::with(TestBook::read())
                    ->prescribe($plant, $year, ChosenSchools::of(TestBook::read()->questions))->tasks,
            );
            if ($asked === null) {
                continue;
            }
            $compared++;
            $goes = count(array_filter($judged->cuts, static fn (StemCut $cut): bool => ! $cut->free));
            if ($goes !== $asked) {
                $differ++;
                self::assertStringContainsString(
                    "By number $asked of", implode(' ', $judged->told),
                    sprintf('%s: %d by the judge, %d by the prescription', $kind->id, $goes, $asked),
                );
            }
        }
        self::assertGreaterThan(120, $compared);
        self::assertLessThan($compared / 3, $differ, 'mostly they agree outright');
    }

    /** RHS, Raspberries (from memory): summer canes bear in their second summer and are cut once they have. */
    public function test_last_years_cane_has_yet_to_bear_in_february_bears_in_june_and_has_fruited_in_autumn(): void
    {
        $stems = [];
        foreach (range(1, 6) as $each) {
            $stems[] = self::stem("c$each", $each * 50, base: 12, age: 2);
        }
        $on = fn (string $day): Judgement => $this->judgeOn('raspberry-summer', $stems, $day);
        self::assertSame([], self::refs($on('2027-02-10')));
        self::assertStringContainsString('yet to bear', implode(' ', $on('2027-02-10')->told));
        self::assertSame([], self::refs($on('2027-06-10')));
        self::assertStringContainsString('bear until', implode(' ', $on('2027-06-10')->told));
        self::assertCount(6, self::refs($on('2027-09-20')));
        self::assertCount(6, self::refs($on('2027-12-01')), 'the winter after they have fruited');
    }

    /** RHS, Cherries (from memory): plums and cherries are cut in growth, against silver leaf. */
    public function test_what_is_closed_on_the_day_of_the_survey_is_told(): void
    {
        $stems = array_map(static fn (int $each): Stem => self::stem("s$each", $each * 60, age: 4), range(1, 5));
        self::assertStringContainsString(
            'Judge it now, cut it then',
            implode(' ', $this->judgeOn('plum', $stems, '2027-01-20')->told),
        );
        self::assertStringNotContainsString(
            'Judge it now',
            implode(' ', $this->judgeOn('plum', $stems, '2027-07-10')->told),
        );
    }

    /** @param  list<Stem>  $stems */
    private function judgeOn(string $kind, array $stems, string $day): Judgement
    {
        $book = TestBook::read();
        $aims = StemAims::with($book);
        $year = SiteYear::of(Sites::southernEngland(), SiteYear::seasonOn(Sites::southernEngland(), Day::parse($day)));
        $read = SurveyDay::of(
            Survey::of($stems), $aims->for($book->kind($kind), ChosenSchools::of($book->questions)), $book->kind($kind),
            $year, Day::parse($day),
        );

        return StemJudge::with($aims->clearance($book->kind($kind)))->judge($read->survey, $read->aim, $read->told);
    }

    /**
     * @param  list<Task>  $tasks
     * @return ?int stems the prescription takes out, where it counts any
     */
    private static function asked(array $tasks): ?int
    {
        foreach ($tasks as $task) {
            foreach ($task->amounts as $amount) {
                if (str_ends_with($amount->what, ' to take out') && $amount->unit !== '%') {
                    return $amount->target;
                }
            }
        }

        return null;
    }

    /** @param  list<Stem>  $stems */
    private function judge(
        string $kind,
        array $stems,
        ?string $aim = null,
        ?bool $grafted = null,
        ?int $keep = null,
        ?int $budget = null,
    ): Judgement {
        $book = TestBook::read();
        $aims = StemAims::with($book);

        return StemJudge::with($aims->clearance($book->kind($kind)))->judge(
            Survey::of($stems),
            $aims->for($book->kind($kind), ChosenSchools::of($book->questions), $aim, $grafted, $keep, $budget),
        );
    }

    /** @param  list<StemFault>  $faults */
    private static function stem(
        string $ref,
        int $azimuth,
        int $lean = 35,
        int $base = 15,
        int $age = 3,
        array $faults = [],
    ): Stem {
        return new Stem($ref, $azimuth, $lean, 1200, $base, $age, $faults);
    }

    /** @return list<string> */
    private static function refs(Judgement $judged): array
    {
        return array_map(static fn (StemCut $cut): string => $cut->stem->ref, $judged->cuts);
    }

    private static function because(Judgement $judged, string $ref): string
    {
        foreach ($judged->kept as $kept) {
            if ($kept->stem->ref === $ref) {
                return $kept->because;
            }
        }
        self::fail("$ref is not kept");
    }

    /**
     * @param  list<string>  $all
     * @return list<string> those that say so
     */
    private static function saying(string $words, array $all): array
    {
        return array_values(array_filter($all, static fn (string $one): bool => str_contains($one, $words)));
    }

    public function test_the_day_of_the_survey_makes_nothing_of_the_ages_of_a_shrub(): void
    {
        $stems = array_map(static fn (int $each): Stem => self::stem("s$each", $each * 50, age: 3), range(1, 6));
        self::assertCount(
            2, self::refs($this->judgeOn('blackcurrant', $stems, '2027-02-10')),
            'a third of six three-year stems, in winter as in summer',
        );
        self::assertCount(2, self::refs($this->judgeOn('blackcurrant', $stems, '2027-06-10')));
    }

    /** Where one trunk is wanted a shoot beside it is no new main, on whatever roots. */
    public function test_a_sucker_beside_a_single_stem_goes(): void
    {
        $stems = [
            self::stem('trunk', 0, lean: 2, base: 40, age: 9),
            self::stem('shoot', 90, age: 1, faults: [StemFault::Sucker]),
        ];
        self::assertSame(['shoot'], self::refs($this->judge('climbing-rose', $stems, grafted: false, keep: 1)));
        self::assertNotContains('shoot', self::refs($this->judge('climbing-rose', $stems, grafted: false, keep: 2)));
    }
}
