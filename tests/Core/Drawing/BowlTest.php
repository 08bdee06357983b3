<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Drawing\Bowl;
use PruningHook\Core\Drawing\Limb;
use PruningHook\Core\Drawing\Spoke;
use PruningHook\Core\Drawing\Spot;
use PruningHook\Core\Drawing\SurveyedPlant;
use PruningHook\Core\Structure\Clearance;
use PruningHook\Core\Structure\Stem;
use PruningHook\Core\Structure\StemFault;
use PruningHook\Core\Structure\StemJudge;
use PruningHook\Core\Structure\StemPlan;
use PruningHook\Core\Structure\Survey;
use Tests\Support\Growing;
use Tests\Support\TestAim;

/** The geometry of the bowl, in mm: a picture to scale is a measure, and it is drawn from the axes. */
final class BowlTest extends TestCase
{
    use Growing;

    /**
     * @param  list<Stem>  $stems
     * @param  list<string>  $cut
     */
    private function bowl(array $stems, array $cut = [], string $kind = 'forsythia'): Bowl
    {
        $survey = Survey::of($stems, $cut);
        $judged = StemJudge::with(new Clearance(110, 300, .12))
            ->judge($survey, TestAim::of(StemPlan::Bowl, 3, 4, 5, 75, 'x'));

        return Bowl::of($survey, $judged, SurveyedPlant::of($this->grown($kind, 8), $stems));
    }

    /** @return list<Stem> */
    private static function cross(): array
    {
        return [
            new Stem('n', 0, 30, 1000, 15, 1), new Stem('e', 90, 30, 1000, 15, 2),
            new Stem('s', 180, 30, 1000, 15, 6, [StemFault::Dead, StemFault::Weak]), new Stem('w', 270, 30, 1000, 15),
            new Stem('x', 225, 30, 1000, 15, 7),
        ];
    }

    public function test_north_is_up_and_each_stem_reaches_as_far_as_it_was_seen_to(): void
    {
        $bowl = $this->bowl(self::cross());
        $tips = array_map(static fn (Spoke $spoke): Spot => $spoke->tip(), $bowl->spokes);
        self::assertGreaterThan(0, $tips[0]->y);
        self::assertGreaterThan(0, $tips[1]->x);
        self::assertLessThan(0, $tips[2]->y);
        self::assertLessThan(0, $tips[3]->x);
        foreach ($bowl->spokes as $spoke) {
            // A metre at 30 degrees reaches half a metre out from where it leaves the ground.
            $foot = hypot($spoke->spine[0]->x, $spoke->spine[0]->y);
            self::assertEqualsWithDelta(500 + $foot, hypot($spoke->tip()->x, $spoke->tip()->y), 12, $spoke->ref);
        }
    }

    public function test_it_says_of_each_stem_what_it_is_and_what_becomes_of_it(): void
    {
        $bowl = $this->bowl(self::cross(), ['x']);
        self::assertSame(['young', 'last', 'old', 'unknown', 'old'], array_column($bowl->spokes, 'age'));
        self::assertSame(['keep', 'keep', 'cut', 'keep', 'gone'], array_column($bowl->spokes, 'kind'));
        self::assertSame([null, null, 1, null, null], array_column($bowl->spokes, 'order'));
        self::assertSame([
            'n, 15 mm thick, 1 year: stays', 'e, 15 mm thick, 2 years: stays',
            's, 15 mm thick, 6 years, dead, weak: cut 1, dead', 'w, 15 mm thick, age unknown: stays',
            'x, 15 mm thick, 7 years: already out',
        ], array_column($bowl->spokes, 'says'));
        self::assertStringContainsString('3 stems stay, 1 goes', $bowl->says);
    }

    public function test_stems_are_limbs_of_their_age_and_only_what_stands_is_drawn(): void
    {
        $bowl = $this->bowl(self::cross(), ['x']);
        [$young, $last, $dead, , $gone] = $bowl->spokes;
        $woods = static fn (Spoke $spoke): array => array_column($spoke->limbs, 'wood');
        self::assertSame(['new'], $woods($young), 'what grew this season is all new');
        self::assertEqualsCanonicalizing(['last', 'new'], $woods($last));
        self::assertContains('old', $woods($dead));
        self::assertSame([], $gone->limbs);
        $goes = static fn (Spoke $spoke): array => array_values(array_unique(array_column($spoke->limbs, 'goes')));
        self::assertSame([false], $goes($young));
        self::assertSame([true], $goes($dead));

        // The branches of what goes go with it, and those of what is gone are not there.
        self::assertContains(true, array_column($bowl->branches, 'goes'));
        $ways = array_map(
            static fn (Limb $limb): float => fmod(
                rad2deg(atan2($limb->spine[0]->x, $limb->spine[0]->y)) + 360, 360,
            ),
            $bowl->branches,
        );
        self::assertSame([], array_filter($ways, static fn (float $way): bool => abs($way - 225) < 5));
        self::assertNotSame([], array_filter($ways, static fn (float $way): bool => abs($way - 180) < 5));
    }

    public function test_a_stem_tapers_and_is_as_thick_as_it_was_measured(): void
    {
        $width = static fn (Limb $limb, int $at): float => hypot(
            $limb->outline[$at]->x - $limb->outline[count($limb->outline) - 1 - $at]->x,
            $limb->outline[$at]->y - $limb->outline[count($limb->outline) - 1 - $at]->y,
        );
        $bowl = $this->bowl([new Stem('a', 0, 80, 1000, 40, 1), new Stem('b', 180, 80, 1000, 80, 1)]);
        [$thin, $thick] = array_map(static fn (Spoke $spoke): Limb => $spoke->limbs[0], $bowl->spokes);
        self::assertEqualsWithDelta(2 * $width($thin, 0), $width($thick, 0), 1.0);
        self::assertLessThan($width($thick, 0), $width($thick, count($thick->spine) - 1));
    }

    public function test_one_that_grows_inward_sets_out_from_the_far_side(): void
    {
        $bowl = $this->bowl([
            new Stem('a', 0, 30, 1000, 30, 3), new Stem('b', 90, 30, 1000, 30, 3, [StemFault::Inward]),
        ]);
        self::assertGreaterThan(0, $bowl->spokes[0]->spine[0]->y);
        self::assertLessThan(0, $bowl->spokes[1]->spine[0]->x);
        self::assertGreaterThan(0, $bowl->spokes[1]->tip()->x);
    }

    public function test_a_rub_is_marked_between_the_two_where_they_come_nearest(): void
    {
        $bowl = $this->bowl([
            new Stem('a', 0, 20, 1000, 20, 3), new Stem('b', 4, 26, 1000, 20, 3, fromAzimuthDeg: 184),
            new Stem('c', 180, 30, 1000, 20, 3),
        ]);
        self::assertCount(1, $bowl->rubs);
        self::assertStringStartsWith('a and b: ', $bowl->rubs[0]->says);
        // Between the ways the two go, and above where no stem moves.
        $at = $bowl->rubs[0]->at;
        self::assertEqualsWithDelta(2, rad2deg(atan2($at->x, $at->y)), 2);
        self::assertGreaterThan(0.3 * 1000 * sin(deg2rad(20)), hypot($at->x, $at->y));
        self::assertLessThan(1000 * sin(deg2rad(26)), hypot($at->x, $at->y));
    }

    public function test_names_stand_beyond_the_tips_and_numbers_on_the_stems(): void
    {
        $spoke = new Spoke('a', 'cut', [new Spot(0, 100), new Spot(0, 600)], [], 'old', 1, 'says');
        self::assertEqualsWithDelta(600 + 0.09 * 700, $spoke->label(700)->y, 0.01);
        self::assertEqualsWithDelta(100 + 0.62 * 500, $spoke->seal()->y, 0.01);
        $bent = new Spoke('a', 'cut', [new Spot(0, 0), new Spot(0, 100), new Spot(100, 100)], [], 'old', 1, 'says');
        self::assertEqualsWithDelta(24.0, $bent->seal()->x, 0.01);
        self::assertEqualsWithDelta(100.0, $bent->seal()->y, 0.01);

        $bowl = $this->bowl(self::cross());
        foreach ($bowl->spokes as $spoke) {
            $label = $spoke->label($bowl->reach);
            self::assertGreaterThan(hypot($spoke->tip()->x, $spoke->tip()->y), hypot($label->x, $label->y));
            self::assertLessThan($bowl->reach, hypot($label->x, $label->y), 'in the picture');
        }
    }

    public function test_no_branch_reaches_out_of_the_picture(): void
    {
        foreach (['forsythia', 'bush-rose', 'crape-myrtle'] as $kind) {
            $bowl = $this->bowl(self::cross(), kind: $kind);
            foreach ($bowl->branches as $limb) {
                foreach ($limb->outline as $at) {
                    self::assertLessThan($bowl->reach, hypot($at->x, $at->y), $kind);
                }
            }
        }
    }

    #[DataProvider('lengths')]
    public function test_its_measure_is_round_and_no_more_than_half_its_reach(int $length, int $measure): void
    {
        self::assertSame($measure, $this->bowl([new Stem('n', 0, 90, $length, 4, 1)])->measure);
    }

    /** @return array<string, array{int, int}> */
    public static function lengths(): array
    {
        return [
            'a tuft' => [60, 25], 'a subshrub' => [98, 50], 'a low shrub' => [198, 100], 'a shrub' => [998, 500],
            'a big one' => [2200, 1000], 'a small tree' => [5000, 2000],
        ];
    }

    public function test_a_survey_without_a_stem_has_an_empty_bowl(): void
    {
        $survey = Survey::of([]);
        $judged = StemJudge::with(new Clearance(110, 300, .12))
            ->judge($survey, TestAim::of(StemPlan::Bowl, 3, 4, 5, 75, 'x'));
        $bowl = Bowl::of($survey, $judged, null);
        self::assertSame([[], [], []], [$bowl->spokes, $bowl->branches, $bowl->rubs]);
        self::assertGreaterThan(0, $bowl->reach);
        self::assertNull($bowl->measure, 'nothing to be measured: its line crossed the whole page');
    }
}
