<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\SiteYears;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Drawing\Bar;
use PruningHook\Core\Drawing\Pressure;
use PruningHook\Core\Drawing\Ring;
use PruningHook\Core\Drawing\Sector;
use PruningHook\Core\Drawing\Strip;
use PruningHook\Core\Planning\PlantYear;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Prescription\CutOn;
use Tests\Support\Prescribing;
use Tests\Support\Sites;
use Tests\Support\TestBook;

final class DrawingTest extends TestCase
{
    use Prescribing;

    public function test_the_letters_of_the_months_stand_clockwise_from_the_top(): void
    {
        $months = Ring::months();
        self::assertSame('JFMAMJJASOND', implode('', array_column($months, 'label')));
        // January to the right of the top, July to the left of the foot, all as far from the middle.
        self::assertGreaterThan(0, $months[0]['at']->x);
        self::assertLessThan(0, $months[0]['at']->y);
        self::assertLessThan(0, $months[6]['at']->x);
        self::assertGreaterThan(0, $months[6]['at']->y);
        foreach ($months as $month) {
            self::assertEqualsWithDelta(97, hypot($month['at']->x, $month['at']->y), 0.01);
        }
    }

    public function test_a_strip_draws_a_day_a_millimetre(): void
    {
        $strip = Strip::of($this->year('wisteria'));
        self::assertSame(365.0, $strip->width);
        self::assertSame(50.0, $strip->today);
        $best = array_values(array_filter($strip->bars, static fn (Bar $bar): bool => $bar->kind === 'best'));
        // The winter pass is best from 4 January to 28 February.
        self::assertSame([3.0, 56.0], [$best[0]->x, $best[0]->width]);
        self::assertSame([40.0], $strip->hooks);
        self::assertStringContainsString('Winter pass: open 1 January to 16 March', $strip->says);
    }

    public function test_what_lies_outside_is_clipped(): void
    {
        foreach (Strip::of($this->year('sour-cherry'))->bars as $bar) {
            self::assertGreaterThanOrEqual(0, $bar->x);
            self::assertLessThanOrEqual(365, $bar->x + $bar->width);
        }
    }

    public function test_months_stand_at_their_first_day(): void
    {
        $months = Strip::marks(Span::of(Day::parse('2027-01-15'), Day::parse('2027-04-30')));
        self::assertSame(['Feb', 'Mar', 'Apr'], array_column($months, 'says'));
        self::assertSame([17.0, 45.0, 76.0], array_column($months, 'at'));
    }

    public function test_short_stretches_are_marked_by_mondays(): void
    {
        $weeks = Strip::marks(Span::of(Day::parse('2027-02-17'), Day::parse('2027-03-16')), 2);
        self::assertSame(['22 Feb', '1 Mar', '8 Mar', '15 Mar'], array_column($weeks, 'says'));
        self::assertSame([10.0, 24.0, 38.0, 52.0], array_column($weeks, 'at'));
    }

    public function test_the_ring_turns_clockwise_from_january(): void
    {
        self::assertSame(0.0, Ring::degrees(Day::parse('2027-01-01')));
        self::assertEqualsWithDelta(180, Ring::degrees(Day::parse('2027-07-02')), 1);
        $at = Sector::point(90, 10);
        self::assertEqualsWithDelta(10, $at->x, .001);
        self::assertEqualsWithDelta(0, $at->y, .001);
        $at = Sector::point(30, 10);
        self::assertEqualsWithDelta(5, $at->x, .001);
        self::assertEqualsWithDelta(-8.660, $at->y, .001, 'upwards in a picture');
    }

    public function test_a_sector_is_drawn_round_the_short_way_or_the_long(): void
    {
        self::assertSame(
            'M0.00 -10.00A10.00 10.00 0 0 1 10.00 -0.00L5.00 -0.00A5.00 5.00 0 0 0 0.00 -5.00Z',
            (new Sector('open', 0, 90, 5, 10, 'a quarter'))->outline(),
        );
        self::assertSame(
            'M0.00 -10.00A10.00 10.00 0 1 1 -10.00 0.00L-5.00 0.00A5.00 5.00 0 1 0 0.00 -5.00Z',
            (new Sector('open', 0, 270, 5, 10, 'three quarters'))->outline(),
        );
        self::assertStringContainsString('0 0 1', (new Sector('open', 0, 180, 5, 10, 'half'))->outline());
    }

    public function test_each_task_has_a_ring_of_its_own_and_all_stay_inside_the_rim(): void
    {
        $ring = Ring::of($this->year('grape-vine'));
        $outers = array_values(
            array_unique(
                array_map(
                    static fn (Sector $sector): string => (string) $sector->outer,
                    array_filter(
                        $ring->sectors,
                        static fn (Sector $sector): bool => $sector->kind === 'best',
                    ),
                ),
            ),
        );
        self::assertCount(3, $outers);
        foreach ($ring->sectors as $sector) {
            self::assertLessThanOrEqual(Ring::RIM, $sector->outer);
            self::assertGreaterThan(0, $sector->inner);
            self::assertStringStartsWith('M', $sector->outline());
        }
    }

    /** With as many tasks as a vine has, the rings leave room in the middle for the word for today. */
    public function test_many_tasks_make_narrower_rings_and_leave_the_heart_free(): void
    {
        $year = $this->year('grape-vine');
        $few = Ring::of($year);
        $many = Ring::of(new PlantYear(
            $year->span, $year->today,
            [...$year->tasks, ...$this->year('wisteria')->tasks, ...$this->year('sour-cherry')->tasks],
            $year->closed, $year->bloom, $year->visits,
        ));
        self::assertSame(11.0, $few->sectors[0]->outer - $few->sectors[0]->inner);
        self::assertLessThan(11.0, $many->sectors[0]->outer - $many->sectors[0]->inner);
        foreach ([$few, $many] as $ring) {
            self::assertGreaterThanOrEqual(19.99, $ring->heart);
            foreach ($ring->sectors as $sector) {
                self::assertGreaterThanOrEqual(19.99, $sector->inner);
            }
        }
    }

    public function test_the_ring_draws_the_days_outside_the_windows(): void
    {
        $span = Span::of($this->day('2027-01-01'), $this->day('2027-12-31'));
        $days = CutOn::with(TestBook::read())->through(
            new Plant('p', 'forsythia'), SiteYears::of(Sites::southernEngland()), $span, $this->practice(),
        );
        $sectors = Ring::of($this->year('forsythia'), $days)->sectors;
        $closed = array_values(array_filter($sectors, static fn (Sector $sector): bool => $sector->kind === 'closed'));
        self::assertCount(1, $closed);
        self::assertStringContainsString('late-season stop', $closed[0]->says);
        // 9 September is day 252 of 365.25.
        self::assertEqualsWithDelta(251 / 365.25 * 360, $closed[0]->from, .01);
        self::assertNotSame([], array_filter($sectors, static fn (Sector $sector): bool => $sector->kind === 'cost'));
    }

    public function test_pressure_draws_counts_by_the_week_in_two_paths(): void
    {
        $year = Span::of($this->day('2027-01-01'), $this->day('2027-12-31'));
        $counts = [$this->day('2027-01-04')->number => [20, 10], $this->day('2027-01-11')->number => [1, 0]];
        $pressure = Pressure::of($counts, 3, $year, $this->day('2027-02-20'));
        // 1 January 2027 is a Friday: the first week is the three days that are left of it.
        self::assertSame(
            [0.0, 3.0, 0, 0],
            [
                $pressure->steps[0]->x, $pressure->steps[0]->width, $pressure->steps[0]->open,
                $pressure->steps[0]->best,
            ],
        );
        self::assertSame(
            [3.0, 7.0, 20, 10],
            [
                $pressure->steps[1]->x, $pressure->steps[1]->width, $pressure->steps[1]->open,
                $pressure->steps[1]->best,
            ],
        );
        self::assertSame(20, $pressure->peak());
        self::assertSame('M3.4 32v-30h6.2v30zM10.4 32v-3h6.2v3z', $pressure->path('open', 20, 30));
        self::assertSame('M3.4 32v-15h6.2v15z', $pressure->path('best', 20, 30));
        $heights = array_map(static fn (int $tasks): float => Pressure::height($tasks, 20, 30), [0, 1, 10, 20]);
        self::assertSame([0.0, 3.0, 15.0, 30.0], $heights);
        self::assertSame('3 plants; most at their best in the week of 4 January: 10 tasks, and 20 '
            .'open', $pressure->says);
        self::assertEqualsWithDelta(365, array_sum(array_column($pressure->steps, 'width')), .001);
        self::assertSame(50.0, $pressure->today);
    }

    public function test_pressure_counts_short_stretches_by_the_day(): void
    {
        $pressure = Pressure::of(
            [$this->day('2027-02-03')->number => [2, 1]],
            2,
            Span::of($this->day('2027-02-02'), $this->day('2027-02-15')),
            $this->day('2027-03-01'),
            10,
        );
        self::assertSame(
            [10.0, 10.0, 2, 1],
            [
                $pressure->steps[1]->x, $pressure->steps[1]->width, $pressure->steps[1]->open,
                $pressure->steps[1]->best,
            ],
        );
        self::assertStringContainsString('on 3 February: 1 task,', $pressure->says);
        self::assertNull($pressure->today);
    }

    public function test_a_narrowed_stretch_keeps_only_what_touches_it(): void
    {
        $narrow = $this->year('wisteria')->within(Span::of($this->day('2027-02-01'), $this->day('2027-02-28')));
        self::assertCount(1, $narrow->tasks);
        self::assertSame('winter-pass', $narrow->tasks[0]->task->key);
        self::assertSame(28.0, Strip::of($narrow)->width);
    }

    public function test_a_week_is_marked_by_days(): void
    {
        self::assertSame(
            ['22 Feb', '23 Feb', '24 Feb'],
            array_column(Strip::marks(Span::of($this->day('2027-02-22'), $this->day('2027-02-24'))), 'says'),
        );
    }

    private function year(string $kind): PlantYear
    {
        return PlantYear::gather(
            TestBook::read(), new Plant('p', $kind), SiteYears::of(Sites::southernEngland()), $this->practice(),
            $this->day('2027-02-20'), Span::of($this->day('2027-01-01'), $this->day('2027-12-31')),
        )->visitedOn([$this->day('2027-02-10')]);
    }
}
