<?php

declare(strict_types=1);

namespace Tests\Core\Structure;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Fault;
use PruningHook\Core\Structure\Candidate;
use PruningHook\Core\Structure\Judgement;
use PruningHook\Core\Structure\Openness;
use PruningHook\Core\Structure\Point;
use PruningHook\Core\Structure\Rub;
use PruningHook\Core\Structure\Rules\Damaged;
use PruningHook\Core\Structure\Rules\Dead;
use PruningHook\Core\Structure\Rules\Diseased;
use PruningHook\Core\Structure\Rules\Flagged;
use PruningHook\Core\Structure\Rules\Inward;
use PruningHook\Core\Structure\Rules\Nowhere;
use PruningHook\Core\Structure\Rules\Oldest;
use PruningHook\Core\Structure\Rules\Rubbing;
use PruningHook\Core\Structure\Rules\StemRule;
use PruningHook\Core\Structure\Rules\Suckers;
use PruningHook\Core\Structure\Rules\Traced;
use PruningHook\Core\Structure\Rules\Weak;
use PruningHook\Core\Structure\Segment;
use PruningHook\Core\Structure\Shoot;
use PruningHook\Core\Structure\Spread;
use PruningHook\Core\Structure\Stem;
use PruningHook\Core\Structure\StemAim;
use PruningHook\Core\Structure\StemCut;
use PruningHook\Core\Structure\StemFault;
use PruningHook\Core\Structure\StemPlan;
use PruningHook\Core\Structure\StemRepair;
use PruningHook\Core\Structure\Survey;
use PruningHook\Core\Structure\Tally;
use Tests\Support\TestAim;

/** The counting and measuring below a judgement, each sum done by hand. Common practice, no source. */
final class TallyTest extends TestCase
{
    /** Dead, ill and broken wood comes before anybody's word; only what is weak is looked at again after a cut. */
    public function test_which_rules_clean_and_which_look_again(): void
    {
        $rules = [
            new Dead, new Diseased, new Damaged, new Suckers, new Traced, new Rubbing, new Inward, new Nowhere,
            new Weak, new Oldest,
        ];
        $those = static fn (callable $asked): array => array_map(
            static fn (StemRule $rule): string => $rule->name(), array_values(array_filter($rules, $asked)),
        );
        self::assertSame(
            ['Dead', 'Diseased', 'Damaged'], $those(static fn (StemRule $rule): bool => $rule->cleans()),
        );
        self::assertSame(['Weak'], $those(static fn (StemRule $rule): bool => $rule->looksAgain()));
    }

    public function test_a_tally_counts_what_lives_what_is_sound_and_what_is_old(): void
    {
        $survey = Survey::of([
            self::stem('old', 6), self::stem('young', 2), self::stem('out', 5),
            self::stem('dead', 7, [StemFault::Dead]), self::stem('ill', 4, [StemFault::Diseased]),
        ], ['out']);
        $tally = Tally::of($survey, self::aim(StemPlan::Thirds), 12.5);
        self::assertSame(
            [3, 2, 3, 2, 1, 12.5],
            [$tally->live, $tally->sound, $tally->soundAtFirst, $tally->oldAtFirst, $tally->out(), $tally->gone],
        );
    }

    #[DataProvider('asked')]
    public function test_how_many_go_by_number(StemPlan $plan, ?int $keep, int $old, int $all, ?int $go): void
    {
        self::assertSame($go, self::aim($plan, $keep)->asks($old, $all));
    }

    /** @return array<string, array{StemPlan, ?int, int, int, ?int}> */
    public static function asked(): array
    {
        return [
            'a third of nine old, a third of all may go' => [StemPlan::Thirds, null, 9, 12, 3],
            'at once, as far as a third' => [StemPlan::AtOnce, null, 9, 12, 4],
            'at once, but no young ones' => [StemPlan::AtOnce, null, 2, 12, 2],
            'canes: the fruited, and the new above eight' => [StemPlan::Canes, 8, 6, 16, 8],
            'canes: the fruited, where the new are few' => [StemPlan::Canes, 8, 6, 10, 6],
            'canes of no number' => [StemPlan::Canes, null, 6, 16, 6],
            'a bowl of five out of seven' => [StemPlan::Bowl, 5, 7, 7, 2],
            'a bowl of five out of nine, a third at the most' => [StemPlan::Bowl, 5, 9, 9, 3],
            'a bowl that has its five' => [StemPlan::Bowl, 5, 5, 5, 0],
            'mains that lack one' => [StemPlan::Mains, 5, 4, 4, 0],
            'mains of no number' => [StemPlan::Mains, null, 4, 4, null],
            'all of a stool' => [StemPlan::Whole, null, 3, 8, 8],
            'nothing for its age' => [StemPlan::Tidy, null, 3, 8, null],
        ];
    }

    public function test_the_worse_is_the_more_marked_then_the_older_then_the_thinner(): void
    {
        self::assertSame([-2, -6, 20, 'a'], Flagged::worth(
            new Stem('a', 0, 30, 900, 20, 6, [StemFault::Weak, StemFault::Inward]),
        ));
        self::assertSame([0, 0, 12, 'b'], Flagged::worth(new Stem('b', 0, 30, 900, 12)));
        $nobodyKnows = new Stem('unknown', 0, 30, 900, 15);
        $thisYears = new Stem('first', 0, 30, 900, 15, 1);
        self::assertSame([$thisYears, $nobodyKnows], Flagged::sorted([$nobodyKnows, $thisYears]));
    }

    /** Where nobody knows their age, those go that stand closest: the rest is left most evenly round the plant. */
    public function test_of_stems_of_unknown_age_those_that_crowd_go_first(): void
    {
        $stem = static fn (string $ref, float $way, ?int $age = null): Stem => new Stem($ref, $way, 30, 900, 15, $age);
        $first = static fn (Stem ...$stems): array => array_map(
            static fn (Candidate $candidate): string => $candidate->stem->ref,
            array_slice([...(new Oldest)->candidates(
                Survey::of(array_values($stems)), TestAim::of(StemPlan::AtOnce, null, null, null, 40, 'x'), [],
            )], 0, 2),
        );
        // At 20, 180 and 270 degrees the three that stay leave gaps of 160, 90 and 110.
        self::assertSame(['a', 'e'], $first(
            $stem('a', 0), $stem('b', 20), $stem('c', 180), $stem('d', 270), $stem('e', 90),
        ));
        self::assertSame(['old', 'b'], $first(
            $stem('a', 0), $stem('b', 20), $stem('c', 180), $stem('old', 270, 9), $stem('e', 90),
        ));
    }

    public function test_shares_are_told_to_a_tenth(): void
    {
        $cut = new StemCut(1, self::stem('a', 6), 'Oldest', 'it is old', 'out at the base', false, 16.68);
        self::assertSame(16.7, $cut->toArray()['share_percent']);
        $judged = new Judgement(self::aim(StemPlan::Thirds), [$cut], [], [], 40, 60, 16.68, []);
        self::assertSame(16.7, $judged->toArray()['share_removed_percent']);
        self::assertSame($cut, $judged->cut('a'));
        self::assertNull($judged->cut('b'));
    }

    /** A judgement that is read back says what was said, and leaves out what the survey no longer has. */
    public function test_a_judgement_is_recalled_as_it_was_written(): void
    {
        $cut = new StemCut(1, self::stem('a', 6), 'Oldest', 'it is old', 'out at the base', false, 20.0);
        $rubs = [new Rub('a', 'b', 12, 4, 600, true), new Rub('b', 'c', 5, 5, 300, false)];
        $written = (new Judgement(self::aim(StemPlan::Thirds), [$cut], [], $rubs, 40, 60, 20.0, ['Look.']))->toArray();
        $stems = ['a' => self::stem('a', 6)];
        $again = Judgement::recalled(self::aim(StemPlan::Thirds), $stems, $written);
        self::assertSame($written, $again->toArray());
        self::assertSame([true, false], array_map(static fn (Rub $rub): bool => $rub->converging, $again->rubs));
        self::assertSame([], Judgement::recalled(self::aim(StemPlan::Thirds), [], $written)->cuts);
    }

    public function test_measures_no_stem_has_are_told(): void
    {
        self::assertSame([90.0, 1], [(new Stem('a', 0, 90, 2, 1))->leanDeg, (new Stem('a', 0, 0, 2, 1))->baseMm]);
        self::assertSame(300, (new Stem('a', 0, 0, 900, 9, 300))->ageYears);
        self::assertSame(0, (new Stem('a', 0, 0, 900, 9, 0))->ageYears);
        self::assertSame(
            [350.0, 10.0],
            [(new Stem('a', -10, 0, 900, 9))->azimuthDeg, (new Stem('a', 370, 0, 900, 9))->azimuthDeg],
        );
        foreach (
            [
                'leans between' => [0, 91, 900, 9, 1],
                'leans' => [0, -1, 900, 9, 1],
                'above nothing' => [0, 0, 0, 9, 1],
                'a length and a thickness' => [0, 0, 900, 0, 1],
                '301 years' => [0, 0, 900, 9, 301],
                '-1 years' => [0, 0, 900, 9, -1],
                'did you mean 90 cm' => [0, 0, 90, 46, 1],
                'mixed up' => [0, 0, 9, 900, 1],
            ] as $says => [$azimuth, $lean, $length, $base, $age]
        ) {
            try {
                new Stem('a', $azimuth, $lean, $length, $base, $age);
                self::fail("not told: $says");
            } catch (Fault $fault) {
                self::assertStringContainsString($says, $fault->getMessage());
            }
        }
    }

    public function test_a_stem_tapers_to_a_quarter_and_grows_but_for_dead_wood(): void
    {
        $stem = new Stem('a', 90, 30, 1000, 20, 3);
        self::assertSame([20.0, 12.5, 5.0], [$stem->thicknessAt(0), $stem->thicknessAt(0.5), $stem->thicknessAt(1)]);
        self::assertSame(400.0, $stem->section());
        $grown = $stem->grown(300, 0.12);
        self::assertSame([1300, 22, 4], [$grown->lengthMm, $grown->baseMm, $grown->ageYears]);
        $dead = new Stem('a', 90, 30, 1000, 20, 3, [StemFault::Dead]);
        self::assertSame($dead, $dead->grown(300, 0.12));
        self::assertSame(0.0, $dead->section());
        self::assertSame([1, 5], [$stem->aged(-4)->ageYears, $stem->aged(2)->ageYears]);
        self::assertNull((new Stem('a', 90, 30, 1000, 20))->aged(2)->ageYears);
        self::assertNull((new Stem('a', 90, 30, 1000, 20))->grown(1, 0)->ageYears);
        // East, 30 degrees from the upright: half its length out, and 866 mm up.
        $tip = $stem->tip(40);
        self::assertEqualsWithDelta([540, 0, 866.03], [$tip->x, $tip->y, $tip->z], 0.01);
        // What grows inward leaves the crown on the far side.
        $inward = new Stem('a', 90, 30, 1000, 20, 3, [StemFault::Inward]);
        self::assertEqualsWithDelta([-40, 460], [$inward->base(40)->x, $inward->tip(40)->x], 0.01);
        $said = new Stem('a', 90, 30, 1000, 20, 3, [], [], 0.0);
        self::assertEqualsWithDelta([0, 40], [$said->base(40)->x, $said->base(40)->y], 0.01);
        self::assertSame([20.0, 180.0], [
            (new Stem('a', 350, 0, 900, 9))->apart(new Stem('b', 10, 0, 900, 9)),
            (new Stem('a', 270, 0, 900, 9))->apart(new Stem('b', 90, 0, 900, 9)),
        ]);
    }

    /** @param  array{float, float, float}  $nearest  distance, and the share of each where that is */
    #[DataProvider('pieces')]
    public function test_how_near_two_pieces_come(Segment $a, Segment $b, array $nearest): void
    {
        self::assertEqualsWithDelta($nearest, $a->nearest($b), 1e-9);
        [$apart, $one, $other] = $nearest;
        self::assertEqualsWithDelta($apart, $b->nearest($a)[0], 1e-9, 'from the other side');
        self::assertEqualsWithDelta(
            $apart, $a->from->towards($a->to, $one)->distanceTo($b->from->towards($b->to, $other)), 1e-9,
        );
    }

    /** @return array<string, array{Segment, Segment, array{float, float, float}}> */
    public static function pieces(): array
    {
        return [
            'crossing, one above the other' => [
                self::piece([-10, 0, 0], [10, 0, 0]), self::piece([0, -30, 5], [0, 10, 5]), [5.0, 0.5, 0.75],
            ],
            'side by side' => [self::piece([0, 0, 0], [10, 0, 0]), self::piece([0, 3, 0], [10, 3, 0]), [3.0, 0.0, 0.0]],
            'side by side, one further on' => [
                self::piece([0, 0, 0], [10, 0, 0]), self::piece([4, 3, 0], [14, 3, 0]), [3.0, 0.4, 0.0],
            ],
            'side by side, one that begins before' => [
                self::piece([4, 3, 0], [14, 3, 0]), self::piece([0, 0, 0], [10, 0, 0]), [3.0, 0.0, 0.4],
            ],
            'leading away from each other' => [
                self::piece([0, 0, 0], [-10, 0, 10]), self::piece([4, 3, 0], [14, 3, 10]), [5.0, 0.0, 0.0],
            ],
            'the tip of one beside the other' => [
                self::piece([0, 0, 0], [0, 0, 10]), self::piece([-20, 0, 14], [20, 0, 14]), [4.0, 1.0, 0.5],
            ],
            'the tip of the other beside the one' => [
                self::piece([-20, 0, 14], [20, 0, 14]), self::piece([0, 0, 0], [0, 0, 10]), [4.0, 0.5, 1.0],
            ],
            'beyond both tips' => [
                self::piece([0, 0, 0], [10, 0, 0]), self::piece([13, 14, 0], [13, 4, 0]), [5.0, 1.0, 1.0],
            ],
            'a point and a piece' => [
                self::piece([2, 3, 0], [2, 3, 0]), self::piece([0, 0, 0], [8, 0, 0]), [3.0, 0.0, 0.25],
            ],
            'a piece and a point' => [
                self::piece([0, 0, 0], [8, 0, 0]), self::piece([2, 3, 0], [2, 3, 0]), [3.0, 0.25, 0.0],
            ],
            'a point beyond a piece' => [
                self::piece([11, 4, 0], [11, 4, 0]), self::piece([0, 0, 0], [8, 0, 0]), [5.0, 0.0, 1.0],
            ],
            'two points' => [self::piece([0, 0, 0], [0, 0, 0]), self::piece([2, 3, 6], [2, 3, 6]), [7.0, 0.0, 0.0]],
        ];
    }

    /**
     * @param  array{int, int, int}  $from
     * @param  array{int, int, int}  $to
     */
    private static function piece(array $from, array $to): Segment
    {
        return new Segment(Point::at(...$from), Point::at(...$to));
    }

    public function test_a_rub_is_said_by_how_near_it_is(): void
    {
        $says = static fn (int $now, int $next): string => (new Rub('a', 'b', $now, $next, 640, true))->inWords();
        self::assertSame('they touch, 640 mm up', $says(0, -8));
        self::assertSame('1 mm apart now, 640 mm up, and grown together by next season', $says(1, 0));
        self::assertSame('9 mm apart and closing, 640 mm up: they will rub within the year', $says(9, 1));
    }

    public function test_the_more_even_ring_has_the_smaller_sum_of_squared_gaps(): void
    {
        $ring = Spread::of(
            array_map(static fn (int $way): Stem => self::stem("s$way", 3, [], $way), [0, 90, 180, 270]),
        );
        self::assertSame(4 * 90 ** 2, $ring->unevenness([]));
        self::assertSame(180 ** 2 + 2 * 90 ** 2, $ring->unevenness(['s90' => true]));
        self::assertSame(360 ** 2, $ring->unevenness(['s90' => true, 's0' => true, 's180' => true]));
        self::assertSame(0, Spread::of([])->unevenness([]));
    }

    public function test_the_middle_is_open_where_nothing_stands_in_it(): void
    {
        self::assertSame(100, Openness::of([]));
        self::assertSame(100, Openness::of([self::stem('a', 3, [StemFault::Dead], 0, 0)]));
        $flat = static fn (int $way): Stem => new Stem("s$way", $way, 80, 1000, 15, 3);
        // Of 48 places the outermost, towards each of the three, lies within a tenth of the reach of its upper half.
        self::assertSame(94, Openness::of([$flat(0), $flat(120), $flat(240)]));
        self::assertSame(98, Openness::of([$flat(0)]));
        $upright = new Stem('u', 40, 20, 1000, 15, 3);
        self::assertLessThan(94, Openness::of([$flat(0), $flat(120), $flat(240), $upright]));
        self::assertSame(
            Openness::of([$flat(0), $flat(120), $flat(240), $upright]),
            Openness::of([$flat(30), $flat(150), $flat(270), new Stem('u', 70, 20, 1000, 15, 3)]),
            'a turned plant is as open',
        );
    }

    public function test_at_a_knuckle_one_shoot_stays_of_three_and_two_of_four(): void
    {
        $shoots = [
            new Shoot('back', 180, 40, 9), new Shoot('on', 0, 35, 7), new Shoot('stout', 10, 30, 12),
            new Shoot('flat', 90, 80, 14),
        ];
        $lopped = static fn (Shoot ...$shoots): Stem => new Stem(
            'a', 0, 30, 900, 40, 9, [StemFault::Lopped], array_values($shoots),
        );
        self::assertSame(
            // Two steps of 30 degrees off the stem's way are 70 and 81: the stouter of them comes first.
            ['stout', 'on', 'flat', 'back'],
            array_map(static fn (Shoot $shoot): string => $shoot->ref, StemRepair::ranked($lopped(...$shoots))),
        );
        self::assertStringContainsString(
            'keep stout and on, which',
            (string) StemRepair::of($lopped(...$shoots)),
        );
        self::assertStringContainsString(
            'take off back and flat',
            (string) StemRepair::of($lopped(...$shoots)),
        );
        self::assertStringContainsString(
            'keep stout, which',
            (string) StemRepair::of($lopped(...array_slice($shoots, 0, 3))),
        );
        self::assertSame(
            'Lopped: keep on and shorten the stub into it.',
            StemRepair::of($lopped($shoots[1])),
        );
        self::assertStringContainsString('the best one or two shoots', (string) StemRepair::of($lopped()));
        self::assertStringContainsString(
            'too narrow', (string) StemRepair::of(self::stem('a', 3, [StemFault::NarrowFork, StemFault::Forked])),
        );
        self::assertStringContainsString(
            'one leader', (string) StemRepair::of(self::stem('a', 3, [StemFault::Forked])),
        );
        self::assertNull(StemRepair::of(self::stem('a', 3)));
    }

    public function test_an_aim_that_cannot_be_is_told(): void
    {
        self::assertSame(1, TestAim::of(StemPlan::Bowl, 1, 1, 1, 100, 'x')->keep);
        self::assertSame(0, TestAim::of(StemPlan::Bowl, 1, 1, 1, 0, 'x')->budgetPercent);
        $told = 0;
        foreach ([[0, 50], [1, 101], [1, -1]] as [$keep, $budget]) {
            try {
                TestAim::of(StemPlan::Bowl, 1, $keep, 5, $budget, 'x');
            } catch (Fault) {
                $told++;
            }
        }
        self::assertSame(3, $told);
        $aim = self::aim(StemPlan::Thirds);
        self::assertSame([7, 2], [$aim->pencilMm, $aim->youngYears], 'a pencil is about 7 mm');
        self::assertTrue($aim->isYoung(self::stem('a', 2)));
        self::assertFalse($aim->isYoung(self::stem('a', 3)));
        self::assertFalse($aim->isYoung(new Stem('a', 0, 30, 900, 15)));
    }

    /** @param  list<StemFault>  $faults */
    private static function stem(string $ref, int $age, array $faults = [], float $azimuth = 0, float $lean = 30): Stem
    {
        return new Stem($ref, $azimuth, $lean, 900, 15, $age, $faults);
    }

    private static function aim(StemPlan $plan, ?int $keep = null): StemAim
    {
        return TestAim::of($plan, null, $keep, $keep, 33, 'common practice');
    }
}
