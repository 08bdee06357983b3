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
use PruningHook\Core\Drawing\Line;
use PruningHook\Core\Drawing\Pressure;
use PruningHook\Core\Drawing\Ring;
use PruningHook\Core\Drawing\Sector;
use PruningHook\Core\Drawing\Spoke;
use PruningHook\Core\Drawing\Spot;
use PruningHook\Core\Drawing\Strip;
use PruningHook\Core\Planning\PlantYear;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\Plant\Outcome;
use PruningHook\Core\Plant\Plant;
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
