<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\DayState;
use PruningHook\Core\Calendar\SiteYears;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Drawing\Bowl;
use PruningHook\Core\Drawing\Elevation;
use PruningHook\Core\Drawing\Lateral;
use PruningHook\Core\Drawing\Line;
use PruningHook\Core\Drawing\Mark;
use PruningHook\Core\Drawing\Pressure;
use PruningHook\Core\Drawing\Ring;
use PruningHook\Core\Drawing\Sector;
use PruningHook\Core\Drawing\SideStem;
use PruningHook\Core\Drawing\Spoke;
use PruningHook\Core\Drawing\Spot;
use PruningHook\Core\Drawing\Strip;
use PruningHook\Core\Drawing\Tick;
use PruningHook\Core\Drawing\VineArm;
use PruningHook\Core\Drawing\Wall;
use PruningHook\Core\Planning\PlantYear;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\Plant\Outcome;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Plant\StemCount;
use PruningHook\Core\Prescription\CutVerdict;
use PruningHook\Core\Prescription\DayRun;
use PruningHook\Core\Structure\Clearance;
use PruningHook\Core\Structure\Stem;
use PruningHook\Core\Structure\StemFault;
use PruningHook\Core\Structure\StemJudge;
use PruningHook\Core\Structure\StemPlan;
use PruningHook\Core\Structure\Survey;
use Tests\Support\Prescribing;
use Tests\Support\Sites;
use Tests\Support\TestAim;
use Tests\Support\TestBook;

/** Where things stand in the pictures, in mm, worked out by hand: a picture to scale is a measure. */
final class MeasuresTest extends TestCase
{
    use Prescribing;

    public function test_a_line_has_a_length_and_places_along_it(): void
    {
        $line = new Line(10, 20, 310, 420);
        self::assertSame(500.0, $line->length());
        self::assertEquals(new Spot(10, 20), $line->at(0));
        self::assertEquals(new Spot(85, 120), $line->at(0.25));
        self::assertEquals(new Spot(310, 420), $line->at(1));
    }

    public function test_a_spokes_name_stands_beyond_its_tip_and_its_number_on_it(): void
    {
        $spoke = new Spoke('a', 'cut', new Line(0, 100, 0, 600), 15, 'old', 1, 'says');
        self::assertEqualsWithDelta(600 + 0.09 * 700, $spoke->label(700)->y, 0.01);
        self::assertEqualsWithDelta(100 + 0.62 * 500, $spoke->seal()->y, 0.01);
    }

    public function test_the_bowl_says_of_each_stem_what_it_is_and_what_becomes_of_it(): void
    {
        $survey = Survey::of([
            Stem::of('n', 0, 30, 1000, 15, 1), Stem::of('e', 90, 30, 1000, 15, 2),
            Stem::of('s', 180, 30, 1000, 15, 6, [StemFault::Dead, StemFault::Weak]), Stem::of('w', 270, 30, 1000, 15),
            Stem::of('x', 225, 30, 1000, 15, 7),
        ], ['x']);
        $judge = StemJudge::with(new Clearance(110, 300, .12));
        $bowl = Bowl::of($survey, $judge->judge($survey, TestAim::of(StemPlan::Bowl, 3, 4, 5, 75, 'x')));
        self::assertSame(['young', 'last', 'old', 'unknown', 'old'], array_column($bowl->spokes, 'age'));
        self::assertSame(['keep', 'keep', 'cut', 'keep', 'gone'], array_column($bowl->spokes, 'kind'));
        $says = array_column($bowl->spokes, 'says');
        self::assertSame('n, 15 mm thick, 1 year: stays', $says[0]);
        self::assertSame('e, 15 mm thick, 2 years: stays', $says[1]);
        self::assertSame('s, 15 mm thick, 6 years, dead, weak: cut 1, dead', $says[2]);
        self::assertSame('w, 15 mm thick, age unknown: stays', $says[3]);
        self::assertSame('x, 15 mm thick, 7 years: already out', $says[4]);
        // Five stems of 15 mm make a crown of 33.5 mm; each reaches half its length out.
        $reach = 500 + sqrt(5) * 15;
        self::assertEqualsWithDelta($reach * 1.3, $bowl->reach, 0.01);
        self::assertEqualsWithDelta($reach * 0.3, $bowl->middle, 0.01);
        self::assertSame(250, $bowl->measure, 'a round length of no more than half the reach');
    }

    #[DataProvider('lengths')]
    public function test_a_bowls_measure_is_round_and_no_more_than_half_its_reach(int $length, int $measure): void
    {
        $survey = Survey::of([Stem::of('n', 0, 90, $length, 4, 1)]);
        $aim = TestAim::of(StemPlan::Tidy, null, null, null, 33, 'x');
        $bowl = Bowl::of($survey, StemJudge::with(new Clearance(110, 300, .12))->judge($survey, $aim));
        self::assertSame($measure, $bowl->measure);
    }

    /** @return array<string, array{int, int}> */
    public static function lengths(): array
    {
        return [
            'a tuft' => [60, 25], 'a subshrub' => [96, 50], 'a low shrub' => [196, 100], 'a shrub' => [996, 500],
            'a big one' => [1996, 1000], 'a small tree' => [3996, 2000],
        ];
    }

    public function test_stems_from_the_side_stand_by_place_and_end_at_the_cut(): void
    {
        $plant = new Plant('p', 'bluebeard', heightMm: 1000, spreadMm: 1000, stems: StemCount::of(2, 1));
        $e = Elevation::of($plant, TestBook::read()->kind('bluebeard'), $this->task($plant, 'spring-cut'), 360);
        self::assertSame([1100, 360], [$e->width, $e->cutMm]);
        [$left, $middle, $right] = $e->stems;
        // The outer ones lean out to 42 cm and reach 72 cm up, the middle one 94.
        self::assertEquals(new Line(-60, 0, -420, 720), $left->line);
        self::assertEquals(new Line(0, 0, 0, 940), $middle->line);
        self::assertEquals(new Line(60, 0, 420, 720), $right->line);
        self::assertEquals(new Spot(-240, 360), $left->keep, 'kept to half its length');
        self::assertEquals(
            [false, false, false],
            array_map(static fn (SideStem $stem): bool => $stem->goes(), $e->stems),
        );
        self::assertEqualsWithDelta(-240, $e->ticks[0]->at->x, 0.01);
        self::assertSame(
            [0.0, 250.0, 500.0, 750.0, 1000.0], array_map(static fn (Mark $mark): float => $mark->at, $e->measure),
        );
        self::assertSame(['0', '25 cm', '50 cm', '75 cm', '1 m'], array_column($e->measure, 'says'));
        // The outline is a rounded one, fuller than a half circle: halfway up at the side, highest in the middle.
        self::assertCount(17, $e->ghost);
        self::assertEqualsWithDelta(-500, $e->ghost[0]->x, 0.01);
        self::assertEqualsWithDelta(500, $e->ghost[16]->x, 0.01);
        self::assertEqualsWithDelta([0, 1000], [$e->ghost[8]->x, $e->ghost[8]->y], 0.01);
        self::assertEqualsWithDelta(-500 * cos(M_PI / 4) ** 0.8, $e->ghost[4]->x, 0.01);
        self::assertEqualsWithDelta(1000 * sin(M_PI / 4) ** 0.6, $e->ghost[4]->y, 0.01);
        // Cut at 36 cm it is as much narrower as the root of that share.
        self::assertEqualsWithDelta(300, $e->after[16]->x, 0.01);
        self::assertEqualsWithDelta(360, $e->after[8]->y, 0.01);
    }

    public function test_numbers_of_stems_that_go_stand_at_four_heights_and_cuts_at_the_base(): void
    {
        $plant = new Plant('p', 'forsythia', heightMm: 2000, spreadMm: 2000, stems: StemCount::of(9, 0));
        $e = Elevation::of($plant, TestBook::read()->kind('forsythia'), $this->task($plant, 'after-flowering'));
        $going = array_filter($e->stems, static fn (SideStem $stem): bool => $stem->goes());
        // The three in the middle, the very middle one first.
        self::assertSame([4 => 1, 3 => 2, 5 => 3], array_replace([4 => 0, 3 => 0, 5 => 0], array_map(
            static fn (SideStem $stem): int => (int) $stem->order, $going,
        )));
        self::assertEqualsWithDelta(0.35 + 0.17, $going[4]->seal->y / $going[4]->line->y2, 0.001);
        self::assertEqualsWithDelta(0.35 + 0.34, $going[3]->seal->y / $going[3]->line->y2, 0.001);
        self::assertCount(3, $e->ticks);
        self::assertEqualsWithDelta(0.03 * $going[3]->line->y2, $e->ticks[0]->at->y, 0.01);
        self::assertSame([0.0, 0.0, 0.0], array_map(static fn (Tick $tick): float => $tick->angle, $e->ticks));
        self::assertNull($e->cutMm);
        self::assertStringStartsWith('2 m tall and 2 m wide as it is; 3 stems out', $e->says);
    }

    public function test_alternate_buds_are_cut_aslant_away_from_the_middle(): void
    {
        $plant = new Plant('p', 'butterfly-bush', heightMm: 2000, stems: StemCount::of(2, 1));
        $e = Elevation::of($plant, TestBook::read()->kind('butterfly-bush'), $this->task($plant, 'spring-cut'), 500);
        $opposite = TestBook::read()->kind('butterfly-bush')->has('opposite-buds');
        self::assertSame(
            $opposite ? [0.0, 0.0, 0.0] : [-35.0, 35.0, 35.0],
            array_map(static fn (Tick $tick): float => $tick->angle, $e->ticks),
        );
        $rose = new Plant('r', 'bush-rose', heightMm: 1200, stems: StemCount::of(2, 1));
        $slant = Elevation::of($rose, TestBook::read()->kind('bush-rose'), $this->task($rose, 'main-pruning'), 400);
        self::assertSame([-35.0, 35.0, 35.0], array_map(static fn (Tick $tick): float => $tick->angle, $slant->ticks));
    }

    public function test_a_wisteria_on_its_wires_to_the_millimetre(): void
    {
        $plant = new Plant('p', 'wisteria', heightMm: 1200, spreadMm: 4000, form: 'wall');
        $book = TestBook::read();
        $wall = Wall::of($plant, $book->kind('wisteria'), $this->task($plant, 'winter-pass'), $book->figures);
        self::assertSame([450.0, 750.0, 1050.0], $wall->wires);
        self::assertSame([4000, 1260], [$wall->width, $wall->height]);
        self::assertEquals(new Line(2000, 0, 2000, 1050), $wall->mains[0], 'the trunk to the top wire');
        self::assertEquals(new Line(2000, 450, 120, 450), $wall->mains[1]);
        self::assertEquals(new Line(2000, 450, 3880, 450), $wall->mains[2]);
        // A tie about every 45 cm: two on the trunk, four on each arm.
        self::assertCount(2 + 6 * 4, $wall->ties);
        self::assertEquals(new Spot(2000, 450), $wall->ties[0]);
        // Nothing is said of their spacing: 15 cm.
        $spacing = 150;
        // From the second place on: where the arms leave the trunk there is no room.
        self::assertCount(6 * (intdiv(1880, $spacing) - 1), $wall->laterals);
        $first = $wall->laterals[0];
        self::assertEqualsWithDelta(2000 - 2 * $spacing, $first->line->x1, 0.01);
        self::assertSame(450.0, $first->line->y1);
        self::assertEqualsWithDelta(450 + 45 * 2 / hypot(0.35, 1), $first->buds[1]->y, 0.01);
        self::assertEqualsWithDelta(102, $first->line->length(), 0.01, 'cut 12 mm above the second bud');
        self::assertLessThan(450, $wall->laterals[1]->line->y2, 'the next one goes down');
        self::assertSame([2], array_values(array_unique(array_map(
            static fn (Lateral $lateral): int => count($lateral->buds), $wall->laterals,
        ))));
        self::assertStringStartsWith('3 wires, 7 arms and trunk, ', $wall->says);
        self::assertStringEndsWith('cut to 2 buds each, 26 ties', $wall->says);
    }

    public function test_a_fan_and_a_cordon_to_the_millimetre(): void
    {
        $book = TestBook::read();
        $fan = new Plant('p', 'sour-cherry', heightMm: 2000, spreadMm: 3000, form: 'fan');
        $ribs = Wall::of($fan, $book->kind('sour-cherry'), $this->task($fan, 'after-cropping'), $book->figures)->mains;
        self::assertEqualsWithDelta(new Line(1440, 0, 150, 1240), $ribs[0], 0.01);
        self::assertEqualsWithDelta(new Line(1560, 0, 2850, 1240), $ribs[7], 0.01);
        self::assertEqualsWithDelta(1500 - 60 / 7, $ribs[3]->x1, 0.01);
        $cordon = new Plant('p', 'apple-espalier', heightMm: 2000, spreadMm: 3000, form: 'cordon');
        $stem = Wall::of($cordon, $book->kind('apple-espalier'), $this->task($cordon, 'summer-pass'), $book->figures);
        self::assertEquals(new Line(150, 0, 2050, 1900), $stem->mains[0]);
        self::assertStringContainsString('1 stem aslant', $stem->says);
    }

    public function test_a_vines_arm_to_the_millimetre(): void
    {
        $plant = new Plant('p', 'grape-vine');
        $arm = VineArm::of($this->task($plant, 'rough-pass'), $this->task($plant, 'final-pass'));
        self::assertSame([1200, 720], [$arm->width, $arm->height]);
        [$cane, $spare, $second] = $arm->canes;
        self::assertEquals(new Line(75, 0, 75, 600), $cane->line);
        self::assertEquals(new Line(117, 0, 177, 600), $spare->line, 'it leans, so that each can be told');
        self::assertSame(225.0, $second->line->x1);
        self::assertEquals(new Spot(75, 30), $cane->nodes[0]);
        self::assertEqualsWithDelta(75 * 6.65, $cane->rough->y, 0.01);
        self::assertEqualsWithDelta(75 * 2.65, $cane->final?->y, 0.01);
        self::assertFalse(VineArm::isFor($this->task(new Plant('l', 'lilac'), 'after-flowering')));
        self::assertTrue(VineArm::isFor($this->task($plant, 'final-pass')));
    }

    public function test_the_ring_has_a_lane_a_task_then_the_bloom_then_the_closed_days(): void
    {
        $years = SiteYears::of(Sites::southernEngland());
        $span = Span::of(Day::parse('2027-01-01'), Day::parse('2027-12-31'));
        $today = Day::parse('2027-07-02');
        $year = PlantYear::gather(
            TestBook::read(), new Plant('p', 'wisteria'), $years, $this->practice(), $today, $span, [],
        );
        $outers = [];
        foreach (Ring::of($year)->sectors as $sector) {
            $outers[$sector->kind][] = [round($sector->inner, 2), round($sector->outer, 2)];
        }
        self::assertContains([73.0, 84.0], $outers['open']);
        self::assertContains([59.5, 70.5], $outers['best']);
        self::assertSame([51.5, 57.0], $outers['bloom'][0]);
        $runs = [
            self::days('2027-01-01', '2027-01-31', DayState::Closed),
            self::days('2027-02-01', '2027-02-28', DayState::AtACost),
            self::days('2027-03-01', '2027-12-31', DayState::Open),
        ];
        $ring = Ring::of($year, $runs);
        [$closed, $cost] = array_slice($ring->sectors, -2);
        self::assertEqualsWithDelta([38, 49], [$closed->inner, $closed->outer], 0.01);
        self::assertEqualsWithDelta([49 - 22 / 3, 49 - 11 / 3], [$cost->inner, $cost->outer], 0.01);
        self::assertEqualsWithDelta(31 / 365.25 * 360, $closed->to, 0.01);
        self::assertEqualsWithDelta(35.5, $ring->heart, 0.01);
        self::assertEqualsWithDelta(182 / 365.25 * 360, $ring->today, 0.01);
        $whole = self::days('2027-01-01', '2028-02-28', DayState::Closed);
        self::assertEqualsWithDelta(
            359.9,
            max([0, ...array_column(Ring::of($year, [$whole])->sectors, 'to')]),
            0.001,
            'once round and no further',
        );
    }

    public function test_what_is_done_is_drawn_once_and_said(): void
    {
        $plant = new Plant('p', 'wisteria', history: [
            new LoggedWork('winter-pass', 2027, Day::parse('2027-02-10'), Outcome::Done, 60),
        ]);
        $sectors = Ring::of(PlantYear::gather(
            TestBook::read(), $plant, SiteYears::of(Sites::southernEngland()), $this->practice(),
            Day::parse('2027-02-20'), Span::of(Day::parse('2027-01-01'), Day::parse('2027-12-31')), [],
        ))->sectors;
        $of = static fn (string $kind): array => array_values(array_filter(
            $sectors, static fn (Sector $sector): bool => $sector->kind === $kind,
        ));
        self::assertCount(1, $of('done'));
        self::assertStringEndsWith(', done', $of('done')[0]->says);
        self::assertStringEndsNotWith(', done', $of('open')[0]->says);
        self::assertCount(count($of('open')), $of('best'));
    }

    public function test_a_wall_nobody_measured_across_is_a_fifth_wider_than_high(): void
    {
        $book = TestBook::read();
        $wall = fn (Plant $plant): Wall => Wall::of(
            $plant, $book->kind('wisteria'), $this->task($plant, 'winter-pass'), $book->figures,
        );
        $of = static fn (?int $height, ?int $spread = null, ?int $run = null): Plant => new Plant(
            'p', 'wisteria', heightMm: $height, spreadMm: $spread, runMm: $run, form: 'wall',
        );
        self::assertSame([1481, 1296], [$wall($of(1234))->width, $wall($of(1234))->height]);
        self::assertSame(5000, $wall($of(1234, null, 5000))->width);
        self::assertSame(4000, $wall($of(1234, 4000, 5000))->width);
        self::assertSame([600, 630], [$wall($of(200, 300))->width, $wall($of(200, 300))->height]);
    }

    public function test_bars_of_pressure_stand_on_one_line(): void
    {
        $span = Span::of(Day::parse('2027-01-04'), Day::parse('2027-01-17'));
        $day = Day::parse('2027-01-05')->number;
        $pressure = Pressure::of([$day => [4, 2]], 3, $span, Day::parse('2027-01-06'), 2);
        self::assertSame(1, Pressure::step($span));
        self::assertSame([28.0, 4.0, 4], [$pressure->width, $pressure->today, $pressure->peak()]);
        self::assertSame('M2.4 32v-30h1.2v30z', $pressure->path('open', 4, 30));
        self::assertSame('M2.4 32v-15h1.2v15z', $pressure->path('best', 4, 30));
        self::assertSame(1, Pressure::step(Span::of(Day::parse('2027-01-01'), Day::parse('2027-02-14'))));
        self::assertSame(7, Pressure::step(Span::of(Day::parse('2027-01-01'), Day::parse('2027-02-15'))));
        self::assertNull(Pressure::of([], 3, $span, Day::parse('2027-02-01'))->today);
        self::assertStringContainsString('nothing at its best', Pressure::of([], 3, $span, $span->from)->says);
        self::assertSame(0, Pressure::of([], 3, $span, $span->from)->peak());
        self::assertSame([3.0, 30.0], [Pressure::height(1, 50, 30), Pressure::height(1, 0, 30)]);
        self::assertStringContainsString(
            'on 5 January: 1 task, and 1 open', Pressure::of([$day => [1, 1]], 3, $span, $span->from)->says,
        );
    }

    public function test_marks_are_days_then_mondays_then_months(): void
    {
        $from = Day::parse('2027-02-20');
        $count = static fn (int $days): int => count(Strip::marks(Span::of($from, $from->plus($days - 1))));
        self::assertSame([21, 3, 14, 3], [$count(21), $count(22), $count(100), $count(101)]);
        $monday = Day::parse('2027-02-22');
        self::assertSame(0.0, Strip::marks(Span::of($monday, $monday->plus(30)))[0]->at);
    }

    private static function days(string $from, string $to, DayState $state): DayRun
    {
        return DayRun::startedBy(new CutVerdict(Day::parse($from), $state, [], [], null))->until(Day::parse($to));
    }
}
