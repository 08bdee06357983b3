<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\SiteYears;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Drawing\Bar;
use PruningHook\Core\Drawing\Ring;
use PruningHook\Core\Drawing\Sector;
use PruningHook\Core\Drawing\Strip;
use PruningHook\Core\Planning\PlantYear;
use PruningHook\Core\Prescription\Plant;
use Tests\Support\Prescribing;
use Tests\Support\Sites;
use Tests\Support\TestBook;

final class DrawingTest extends TestCase
{
    use Prescribing;

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
        self::assertSame(['Feb', 'Mar', 'Apr'], array_column($months, 'name'));
        self::assertSame([17.0, 45.0, 76.0], array_column($months, 'x'));
    }

    public function test_short_stretches_are_marked_by_mondays(): void
    {
        $weeks = Strip::marks(Span::of(Day::parse('2027-02-17'), Day::parse('2027-03-16')), 2);
        self::assertSame(['22 Feb', '1 Mar', '8 Mar', '15 Mar'], array_column($weeks, 'name'));
        self::assertSame([10.0, 24.0, 38.0, 52.0], array_column($weeks, 'x'));
    }

    public function test_the_ring_turns_clockwise_from_january(): void
    {
        self::assertSame(0.0, Ring::degrees(Day::parse('2027-01-01')));
        self::assertEqualsWithDelta(180, Ring::degrees(Day::parse('2027-07-02')), 1);
        [$x, $y] = Sector::point(90, 10);
        self::assertEqualsWithDelta(10, $x, .001);
        self::assertEqualsWithDelta(0, $y, .001);
    }

    public function test_each_task_has_a_ring_of_its_own_and_all_stay_inside_the_rim(): void
    {
        $ring = Ring::of($this->year('grape-vine'));
        $outers = array_values(array_unique(array_map(static fn (Sector $sector): string => (string) $sector->outer, array_filter(
            $ring->sectors, static fn (Sector $sector): bool => $sector->kind === 'best',
        ))));
        self::assertCount(3, $outers);
        foreach ($ring->sectors as $sector) {
            self::assertLessThanOrEqual(Ring::RIM, $sector->outer);
            self::assertGreaterThan(0, $sector->inner);
            self::assertStringStartsWith('M', $sector->outline());
        }
    }

    private function year(string $kind): PlantYear
    {
        return PlantYear::gather(TestBook::read(), Plant::of('p', $kind), SiteYears::of(Sites::southernEngland()), $this->practice(), $this->day('2027-02-20'),
            Span::of($this->day('2027-01-01'), $this->day('2027-12-31')), [$this->day('2027-02-10')]);
    }
}
