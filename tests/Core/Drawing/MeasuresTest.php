<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\DayState;
use PruningHook\Core\Calendar\SiteYears;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Drawing\Pressure;
use PruningHook\Core\Drawing\Ring;
use PruningHook\Core\Drawing\Sector;
use PruningHook\Core\Drawing\Strip;
use PruningHook\Core\Planning\PlantYear;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\Plant\Outcome;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Prescription\CutVerdict;
use PruningHook\Core\Prescription\DayRun;
use Tests\Support\Prescribing;
use Tests\Support\Sites;
use Tests\Support\TestBook;

/** Where things stand in the pictures, in mm, worked out by hand: a picture to scale is a measure. */
final class MeasuresTest extends TestCase
{
    use Prescribing;

    public function test_the_ring_has_a_lane_a_task_then_the_bloom_then_the_closed_days(): void
    {
        $years = SiteYears::of(Sites::southernEngland());
        $span = Span::of(Day::parse('2027-01-01'), Day::parse('2027-12-31'));
        $today = Day::parse('2027-07-02');
        $year = PlantYear::gather(
            TestBook::read(), new Plant('p', 'wisteria'), $years, $this->practice(), $today, $span,
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
            Day::parse('2027-02-20'), Span::of(Day::parse('2027-01-01'), Day::parse('2027-12-31')),
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
