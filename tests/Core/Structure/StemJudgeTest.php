<?php

declare(strict_types=1);

namespace Tests\Core\Structure;

use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Fault;
use PruningHook\Core\Structure\Clearance;
use PruningHook\Core\Structure\Judgement;
use PruningHook\Core\Structure\Kept;
use PruningHook\Core\Structure\Shoot;
use PruningHook\Core\Structure\Stem;
use PruningHook\Core\Structure\StemAim;
use PruningHook\Core\Structure\StemCut;
use PruningHook\Core\Structure\StemFault;
use PruningHook\Core\Structure\StemJudge;
use PruningHook\Core\Structure\StemPlan;
use PruningHook\Core\Structure\Survey;
use Tests\Support\TestAim;

/** Judging stems: the rules of the trade one by one, then what must hold for any plant. */
final class StemJudgeTest extends TestCase
{
    use TestTrait;

    public function test_the_order_is_dead_diseased_damaged_suckers_then_the_living(): void
    {
        $judged = $this->judge(
            [
                $this->stem('old', 0, age: 9), $this->stem('young', 180, age: 2), $this->stem('third', 90, age: 3),
                $this->stem('fourth', 270, age: 3), $this->stem('fifth', 45, age: 4),
                $this->stem('sucker', 120, age: 1, faults: [StemFault::Sucker]),
                $this->stem('broken', 200, faults: [StemFault::Damaged]),
                $this->stem('sick', 300, faults: [StemFault::Diseased]),
                $this->stem('dead', 330, faults: [StemFault::Dead]),
            ],
            self::bowl(),
        );
        self::assertSame(['dead', 'sick', 'broken', 'sucker', 'old'], self::refs($judged));
        self::assertSame(
            [true, true, true, true, false],
            array_map(static fn (StemCut $cut): bool => $cut->free, $judged->cuts),
        );
        self::assertSame([1, 2, 3, 4, 5], array_map(static fn (StemCut $cut): int => $cut->order, $judged->cuts));
        self::assertStringContainsString('clean all through', $judged->cuts[1]->where);
        self::assertStringContainsString('pulled off where it begins', $judged->cuts[3]->where);
    }

    public function test_on_its_own_roots_a_sucker_counts_and_on_a_graft_it_is_free(): void
    {
        $stems = [
            $this->stem('a', 0), $this->stem('b', 120), $this->stem('c', 240),
            $this->stem('sucker', 60, faults: [StemFault::Sucker]),
        ];
        self::assertSame(0.0, $this->judge($stems, self::aim(StemPlan::Tidy, grafted: true))->sharePercent);
        self::assertSame(25.0, $this->judge($stems, self::aim(StemPlan::Tidy))->sharePercent);
    }

    public function test_of_two_that_cross_the_older_goes(): void
    {
        // One leaves the crown on the far side, leans further and crosses the other half way up.
        $judged = $this->judge(
            [
                new Stem('old', 0, 28, 900, 15, 6, [], [], 180), $this->stem('new', 0, lean: 22, age: 2),
                $this->stem('far', 180),
            ],
            self::aim(StemPlan::Tidy, budget: 60),
            closeMm: 110,
        );
        self::assertSame(['old'], self::refs($judged));
        self::assertSame('Rubbing', $judged->cuts[0]->rule);
        self::assertSame(['new', 'old'], self::pair($judged));
    }

    public function test_stems_that_spread_apart_do_not_rub(): void
    {
        self::assertSame(
            [],
            $this->judge(
                [$this->stem('a', 0, lean: 40), $this->stem('b', 90, lean: 40), $this->stem('c', 200, lean: 40)],
                self::aim(StemPlan::Tidy),
            )->rubs,
        );
    }

    public function test_a_rub_is_foreseen_before_it_happens(): void
    {
        // 40 mm thick each and going the same way, with a finger of air between them where they begin to move.
        $stems = [
            $this->stem('a', 0, lean: 30, length: 1200, base: 40),
            $this->stem('b', 12, lean: 30, length: 1200, base: 40),
        ];
        $still = (new Clearance(1, 0, 0.0))->rubs($stems);
        $grown = (new Clearance(1, 600, 0.9))->rubs($stems);
        self::assertSame([], $still, 'as they stand they do not touch');
        self::assertCount(1, $grown);
        self::assertGreaterThan(0, $grown[0]->clearanceNowMm);
        self::assertLessThanOrEqual(0, $grown[0]->clearanceNextMm);
    }

    public function test_the_count_is_kept_to_and_the_best_spread_ring_stays(): void
    {
        // All of one age: the three that crowd the north are thinned, the ring stays.
        $judged = $this->judge(
            [
                $this->stem('n1', 0), $this->stem('n2', 20), $this->stem('n3', 340), $this->stem('e', 90),
                $this->stem('s', 180), $this->stem('w', 270),
            ],
            self::bowl(100),
        );
        self::assertSame(['n2', 'n3'], self::sorted(self::refs($judged)));
    }

    public function test_a_third_is_the_most_in_a_year_and_young_stems_are_never_taken_for_their_age(): void
    {
        $stems = [];
        foreach (range(1, 9) as $number) {
            $stems[] = $this->stem("old$number", $number * 40, age: 3 + $number);
        }
        foreach (range(1, 3) as $number) {
            $stems[] = $this->stem("young$number", $number * 110, age: 1);
        }
        $judged = $this->judge($stems, self::aim(StemPlan::Thirds, budget: 50));
        self::assertSame(
            ['old9', 'old8', 'old7'], self::refs($judged), 'a third of the nine old ones, as the prescription has it',
        );
        $next = array_filter($judged->kept, static fn (Kept $kept): bool => $kept->goesNextYear);
        self::assertNotEmpty($next);
        foreach ($next as $kept) {
            self::assertStringStartsWith('old', $kept->stem->ref);
        }
    }

    public function test_fruited_canes_go_and_this_years_stay(): void
    {
        $judged = $this->judge(
            [
                $this->stem('f1', 0, age: 2), $this->stem('f2', 90, age: 2), $this->stem('p1', 180, age: 1),
                $this->stem('p2', 270, age: 1),
            ],
            self::aim(StemPlan::Canes, budget: 67),
        );
        self::assertSame(['f1', 'f2'], self::refs($judged));
        self::assertStringContainsString('has fruited', $judged->cuts[0]->because);
    }

    public function test_the_next_to_go_is_matched_with_the_young_stem_beside_it(): void
    {
        $judged = $this->judge(
            [
                $this->stem('old', 90, age: 8), $this->stem('far', 270, age: 1), $this->stem('near', 110, age: 1),
                $this->stem('mid', 180, age: 3),
            ],
            self::aim(StemPlan::Mains, keep: 4),
        );
        $old = array_values(array_filter($judged->kept, static fn (Kept $kept): bool => $kept->stem->ref === 'old'))[0];
        self::assertTrue($old->goesNextYear);
        self::assertSame('near', $old->replacedBy);
    }

    public function test_the_lead_overrules_and_the_rest_adapts(): void
    {
        $stems = [
            $this->stem('a', 0, age: 9), $this->stem('b', 72, age: 7), $this->stem('c', 144, age: 5),
            $this->stem('d', 216, age: 3), $this->stem('e', 288, age: 2),
        ];
        self::assertSame(['a'], self::refs($this->judge($stems, self::bowl())));
        $kept = $this->judge($stems, self::bowl(), word: ['a' => Survey::KEEP]);
        self::assertSame(['b'], self::refs($kept));
        self::assertStringContainsString("a stays by the lead's word", $kept->told[0]);
        $removed = $this->judge($stems, self::bowl(), word: ['e' => Survey::REMOVE]);
        self::assertSame(['e'], self::refs($removed), 'four are left, and four are wanted');
    }

    public function test_the_leads_word_over_the_cap_is_done_and_told(): void
    {
        $judged = $this->judge(
            [$this->stem('a', 0, base: 30), $this->stem('b', 120), $this->stem('c', 240)],
            self::aim(StemPlan::Tidy, budget: 25),
            word: ['a' => Survey::REMOVE],
        );
        self::assertSame(['a'], self::refs($judged));
        self::assertStringContainsString('25 % is the cap', $judged->told[0]);
    }

    public function test_what_the_budget_spares_is_next_years_first(): void
    {
        $judged = $this->judge(
            [
                $this->stem('thick', 0, base: 40, age: 9, faults: [StemFault::Inward]), $this->stem('b', 120),
                $this->stem('c', 240),
            ],
            self::aim(StemPlan::Mains, budget: 20, keep: 3),
        );
        self::assertSame([], self::refs($judged));
        self::assertStringContainsString("next year's first", $judged->kept[0]->because);
        self::assertTrue($judged->kept[0]->goesNextYear);
    }

    public function test_a_plant_with_nothing_alive_is_told(): void
    {
        $judged = $this->judge(
            [$this->stem('a', 0, faults: [StemFault::Dead]), $this->stem('b', 90, faults: [StemFault::Dead])],
            self::bowl(),
        );
        self::assertSame(['a', 'b'], self::refs($judged));
        self::assertStringContainsString('scratch the crown for green, wait until midsummer', $judged->told[0]);
    }

    public function test_the_last_live_stem_stays_even_diseased(): void
    {
        $judged = $this->judge(
            [$this->stem('a', 0, faults: [StemFault::Diseased]), $this->stem('b', 90, faults: [StemFault::Diseased])],
            self::bowl(),
        );
        self::assertSame(['a'], self::refs($judged));
        self::assertStringContainsString('think of replacing', $judged->told[0]);
    }

    public function test_a_lopped_top_keeps_the_shoots_that_carry_on(): void
    {
        $stem = new Stem(
            'limb', 0, 20, 2000, 60, 10, [StemFault::Lopped],
            [
                new Shoot('back', 180, 50, 12), new Shoot('on', 5, 25, 12), new Shoot('thin', 0, 25, 5),
                new Shoot('flat', 90, 85, 15), new Shoot('up', 0, 0, 10),
            ],
        );
        $judged = $this->judge([$stem, $this->stem('b', 120), $this->stem('c', 240)], self::aim(StemPlan::Tidy));
        self::assertSame([], self::refs($judged));
        self::assertStringContainsString('keep on and up', (string) $judged->kept[0]->treat);
        self::assertStringContainsString(
            'take off back and thin and flat',
            str_replace('thin and back', 'back and thin', (string) $judged->kept[0]->treat),
        );
    }

    public function test_two_stems_of_one_name_and_a_cut_that_is_no_stem_are_told(): void
    {
        foreach (
            [
                fn (): Survey => Survey::of([$this->stem('a', 0), $this->stem('a', 90)]),
                fn (): Survey => Survey::of([$this->stem('a', 0)], ['z']),
                fn (): Stem => new Stem('x', 0, 10, 35, 20),
                fn (): Stem => new Stem('x', 0, 95, 500, 20),
                fn (): StemAim => self::aim(StemPlan::Bowl, keep: 0),
            ] as $wrong
        ) {
            try {
                $wrong();
                self::fail('nothing was told');
            } catch (Fault $fault) {
                self::assertNotSame('', $fault->getMessage());
            }
        }
    }

    public function test_no_answer_is_over_its_cap_or_empties_a_plant_and_a_second_look_takes_nothing_more(): void
    {
        $this->limitTo(150)
            ->forAll(
                Generators::choose(1, 99999), Generators::choose(1, 25), Generators::choose(0, 100),
                Generators::elements(...StemPlan::cases()), Generators::choose(1, 8),
            )
            ->then(function (int $seed, int $count, int $budget, StemPlan $plan, int $keep): void {
                $stems = self::random($seed, $count);
                $aim = self::aim(
                    $plan, budget: $budget, keep: $plan === StemPlan::Tidy ? null : $keep, grafted: $seed % 2 === 0,
                );
                $judged = $this->judge($stems, $aim);
                $weighed = array_filter(
                    $judged->cuts,
                    static fn (StemCut $cut): bool => ! $cut->stem->has(StemFault::Reverted),
                );
                if ($plan->isWeighed()) {
                    self::assertLessThanOrEqual(
                        $budget + StemAim::A_HAIR + 1e-6,
                        array_sum(array_map(static fn (StemCut $cut): float => $cut->sharePercent, $weighed)),
                    );
                } elseif ($plan->goesByNumber()) {
                    $counted = count(array_filter($weighed, static fn (StemCut $cut): bool => ! $cut->free));
                    self::assertLessThanOrEqual(
                        max(intdiv($count, 3), (int) ($count * ($budget + 0.5) / 100)),
                        $counted,
                    );
                }
                $live = array_filter($stems, static fn (Stem $stem): bool => ! $stem->has(StemFault::Dead));
                $left = array_filter(
                    $judged->kept,
                    static fn (Kept $kept): bool => ! $kept->stem->has(StemFault::Dead),
                );
                self::assertTrue(
                    $live === [] || $left !== [] || in_array($plan, [StemPlan::Canes, StemPlan::Whole], true),
                );
                self::assertSame([], $this->judge($stems, $aim, cut: self::refs($judged))->cuts);
                foreach ($judged->kept as $kept) {
                    self::assertFalse($kept->stem->has(StemFault::Dead), 'no dead stem is kept');
                }
                self::assertCount($count, [...$judged->cuts, ...$judged->kept]);
            });
    }

    public function test_more_budget_never_keeps_a_dead_stem(): void
    {
        $any = [Generators::choose(1, 99999), Generators::choose(0, 90), Generators::choose(0, 10)];
        $this->limitTo(60)->forAll(...$any)->then(function (int $seed, int $budget, int $more): void {
            $stems = self::random($seed, 15);
            foreach ([$budget, $budget + $more] as $percent) {
                foreach ($this->judge($stems, self::aim(StemPlan::Bowl, budget: $percent, keep: 4))->kept as $kept) {
                    self::assertFalse($kept->stem->has(StemFault::Dead));
                }
            }
        });
    }

    public function test_a_turned_or_mirrored_plant_is_judged_the_same(): void
    {
        $this->limitTo(80)
            ->forAll(
                Generators::choose(1, 99999), Generators::choose(1, 359), Generators::elements(...StemPlan::cases()),
            )
            ->then(function (int $seed, int $turn, StemPlan $plan): void {
                $stems = self::random($seed, 14);
                $aim = self::aim($plan, budget: 40, keep: $plan === StemPlan::Tidy ? null : 5);
                $first = self::refs($this->judge($stems, $aim));
                self::assertSame($first, self::refs($this->judge(self::turned($stems, 1, $turn), $aim)), 'turned');
                self::assertSame($first, self::refs($this->judge(self::turned($stems, -1, 360), $aim)), 'mirrored');
            });
    }

    /**
     * @param  list<Stem>  $stems
     * @param  list<string>  $cut
     * @param  array<string, string>  $word
     */
    private function judge(array $stems, StemAim $aim, array $cut = [], array $word = [], int $closeMm = 110): Judgement
    {
        return StemJudge::with(new Clearance($closeMm, 300, 0.12))->judge(Survey::of($stems, $cut, $word), $aim);
    }

    private static function bowl(int $budget = 75): StemAim
    {
        return TestAim::of(StemPlan::Bowl, 3, 4, 5, $budget, 'common practice', true);
    }

    private static function aim(StemPlan $plan, int $budget = 33, ?int $keep = null, bool $grafted = false): StemAim
    {
        return TestAim::of($plan, null, $keep, $keep, $budget, 'common practice', $grafted);
    }

    /** @param  list<StemFault>  $faults */
    private function stem(
        string $ref,
        float $azimuth,
        float $lean = 35,
        int $length = 900,
        int $base = 15,
        ?int $age = 3,
        array $faults = [],
    ): Stem {
        return new Stem($ref, $azimuth, $lean, $length, $base, $age, $faults);
    }

    /**
     * @param  list<Stem>  $stems
     * @return list<Stem>
     */
    private static function turned(array $stems, int $sense, int $turn): array
    {
        return array_map(
            static fn (Stem $stem): Stem => new Stem(
                $stem->ref, $sense * $stem->azimuthDeg + $turn, $stem->leanDeg, $stem->lengthMm, $stem->baseMm,
                $stem->ageYears, $stem->faults,
            ),
            $stems,
        );
    }

    /** @return list<Stem> */
    private static function random(int $seed, int $count): array
    {
        mt_srand($seed);
        $stems = [];
        for ($index = 0; $index < $count; $index++) {
            $base = mt_rand(5, 40);
            $stems[] = new Stem(
                "s$index", mt_rand(0, 359), mt_rand(0, 60), mt_rand(10, 60) * $base, $base,
                mt_rand(0, 5) === 0 ? null : mt_rand(1, 9),
                mt_rand(0, 3) === 0 ? [StemFault::cases()[mt_rand(0, count(StemFault::cases()) - 1)]] : [],
            );
        }
        mt_srand();

        return $stems;
    }

    /** @return list<string> */
    private static function refs(Judgement $judged): array
    {
        return array_map(static fn (StemCut $cut): string => $cut->stem->ref, $judged->cuts);
    }

    /** @return list<string> */
    private static function pair(Judgement $judged): array
    {
        return self::sorted([$judged->rubs[0]->a, $judged->rubs[0]->b]);
    }

    /**
     * @param  list<string>  $refs
     * @return list<string>
     */
    private static function sorted(array $refs): array
    {
        sort($refs);

        return $refs;
    }
}
