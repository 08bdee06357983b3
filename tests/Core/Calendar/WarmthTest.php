<?php

declare(strict_types=1);

namespace Tests\Core\Calendar;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\Anchor;
use PruningHook\Core\Calendar\Climate;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\GivenSite;
use PruningHook\Core\Calendar\Hemisphere;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\Calendar\MonthDay;
use PruningHook\Core\Calendar\Normals;
use PruningHook\Core\Calendar\SeasonSeen;
use PruningHook\Core\Calendar\Shift;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\Stations;
use PruningHook\Core\Calendar\ThermalDate;
use PruningHook\Core\Calendar\ThermalYear;
use PruningHook\Core\Calendar\WinterClass;
use PruningHook\Core\Fault;
use Tests\Support\TestBook;

/** A site's normal year, how it adds up, and the events that follow it. */
final class WarmthTest extends TestCase
{
    public function test_a_day_lies_between_the_middles_of_two_months(): void
    {
        $normals = Normals::of([0, 10, 20, 10, 0, 0, 0, 0, 0, 0, 0, -10]);
        self::assertEqualsWithDelta(0.0, $normals->onDay(15), 0.5);
        self::assertEqualsWithDelta(5.0, $normals->onDay(30), 0.6);
        // New year lies half way between December's middle and January's.
        self::assertEqualsWithDelta(-5.0, $normals->onDay(365), 0.3);
        self::assertEqualsWithDelta(-5.0, $normals->onDay(1), 0.5);
        self::assertSame([-10.0, 20.0], [$normals->coldest(), $normals->warmest()]);
    }

    public function test_height_cools_and_the_other_half_of_the_earth_is_half_a_year_later(): void
    {
        $oxford = self::stations()->named('Oxford')->normals;
        // 0.65 K for each 100 m: ISO 2533, standard atmosphere (from memory).
        self::assertEqualsWithDelta($oxford->means[6] - 1.3, $oxford->raised(200)->means[6], 1e-9);
        self::assertSame($oxford->means[0], $oxford->mirrored()->means[6]);
        self::assertSame(
            [Hemisphere::North, Hemisphere::South, null],
            [
                $oxford->hemisphere(), $oxford->mirrored()->hemisphere(),
                Normals::of(array_fill(0, 12, 26))->hemisphere(),
            ],
        );
    }

    /** @param  array<array-key, mixed>  $means */
    #[DataProvider('impossible')]
    public function test_months_that_cannot_be_are_refused_in_words(array $means, string $says): void
    {
        $this->expectException(Fault::class);
        $this->expectExceptionMessage($says);
        Normals::of($means);
    }

    /** @return array<string, array{array<array-key, mixed>, string}> */
    public static function impossible(): array
    {
        $year = [4, 5, 7, 10, 13, 16, 18, 18, 15, 11, 7, 5];

        return [
            'July of 80 degrees' => [array_replace($year, [6 => 80]), 'month 7 cannot be 80 degrees on average'],
            'too cold' => [array_replace($year, [0 => -51]), 'month 1 cannot be -51'],
            'eleven months' => [array_slice($year, 1), 'twelve months are needed, January to December, not 11'],
            'a word' => [array_replace($year, [2 => 'mild']), 'month 3 is no number'],
        ];
    }

    public function test_a_northern_summer_in_a_southern_garden_is_refused(): void
    {
        $oxford = Climate::measured(self::stations()->named('Oxford')->normals);
        $this->expectException(Fault::class);
        $this->expectExceptionMessage('its months are warm when those of the south half of the earth are cold');
        new Site(-43.5, 172.6, 10, MonthDay::parse('10-10'), MonthDay::parse('04-28'), null, climate: $oxford);
    }

    public function test_the_winter_is_told_by_the_coldest_month_unless_somebody_says(): void
    {
        $at = static fn (string $station): WinterClass => self::stations()->named($station)->site->winter;
        self::assertSame(
            [WinterClass::Cool, WinterClass::Cold, WinterClass::Warm],
            [$at('Oxford'), $at('Minneapolis'), $at('Los Angeles')],
        );
        self::assertSame(WinterClass::Cold, self::stations()->site(new GivenSite(
            51.5, -1.2, 90, MonthDay::parse('04-22'), MonthDay::parse('10-28'), WinterClass::Cold,
        ))->winter);
    }

    public function test_daylength(): void
    {
        // Oxford has 7 h 50 min at midwinter and 16 h 39 min at midsummer. Ours is of the sun's middle and without the
        // bending of light, up to twenty minutes less. Astronomical almanac (from memory).
        self::assertEqualsWithDelta(7.83, ThermalYear::daylength(51.76, 0), 0.34);
        self::assertEqualsWithDelta(16.65, ThermalYear::daylength(51.76, 182), 0.34);
        self::assertEqualsWithDelta(12.0, ThermalYear::daylength(51.76, 91), 0.1);
        self::assertSame(
            ThermalYear::daylength(51.76, 40), ThermalYear::daylength(-51.76, 40), 'counted from its own midwinter',
        );
        self::assertSame([0.0, 24.0], [ThermalYear::daylength(80, 0), ThermalYear::daylength(80, 182)]);
    }

    public function test_a_sum_is_reached_on_the_first_day_that_has_it(): void
    {
        foreach (self::stations()->all as $station) {
            $year = $station->site->thermal();
            for ($day = 1; $day < 365; $day++) {
                self::assertGreaterThanOrEqual($year->sumOn($day - 1), $year->sumOn($day));
            }
            foreach ([50.0, 400.0, 1500.0] as $sum) {
                $reached = $year->reaches($sum);
                if ($reached === null) {
                    self::assertLessThan($sum, $year->sumOn(364), $station->name);
                } elseif ($reached > $year->coldOver) {
                    self::assertGreaterThanOrEqual($sum, $year->sumOn($reached));
                    self::assertLessThan($sum, $year->sumOn($reached - 1), $station->name);
                }
            }
            self::assertGreaterThanOrEqual($year->coldOver, $year->reaches(-500.0));
        }
    }

    public function test_the_worst_of_the_cold(): void
    {
        $over = static fn (string $station): int => self::stations()->named($station)->site->thermal()->coldOver;
        // The mean of Minneapolis passes -2 C early in March, that of Chicago in the middle of February.
        self::assertSame([25, 75, 0], [$over('Oxford'), $over('Minneapolis'), $over('Los Angeles')]);
        self::assertEqualsWithDelta(56, $over('Chicago'), 2);
        self::assertSame(25, $over('Portland'), 'its December is as cold as its January');
    }

    public function test_a_year_is_carried_from_the_nearest_station_by_height_and_frost(): void
    {
        $stations = self::stations();
        $site = $stations->site(new GivenSite(51.9, -1.4, 263, MonthDay::parse('05-20'), MonthDay::parse('10-10')));
        $oxford = $stations->named('Oxford')->normals;
        self::assertEqualsWithDelta($oxford->means[0] - 1.3, $site->climate->normals->means[0], 1e-9);
        // Its last frost comes 28 days after Oxford's, of which the height explains 6.6: half of the rest.
        self::assertSame(11, $site->climate->lateDays);
        self::assertSame(
            'carried from Oxford, 18 km away and 200 m lower, its spring corrected by the last frost',
            $site->climate->from,
        );
        $hollow = $stations->site(new GivenSite(51.9, -1.4, 63, MonthDay::parse('07-30'), MonthDay::parse('10-10')));
        self::assertSame(21, $hollow->climate->lateDays, 'so late a frost is doubted');
        $given = $stations->site(new GivenSite(51.9, -1.4, 263, null, null, WinterClass::Warm, null, $oxford));
        self::assertSame([0, 'as given for this site'], [$given->climate->lateDays, $given->climate->from]);
        self::assertSame($oxford->means, $given->climate->normals->means);
        // Across the equator, where no station is nearer.
        self::assertSame(
            Hemisphere::South,
            $stations->site(new GivenSite(-1.0, -30.0, 0, null, null, WinterClass::Warm))->hemisphere(),
        );
    }

    public function test_a_late_spring_moves_the_sum_and_is_made_up_for_after_midsummer(): void
    {
        $site = self::stations()->named('Oxford')->site;
        $year = static fn (int $late): SiteYear => SiteYear::of($site, 2027, SeasonSeen::of(
            Shift::of($late, ['a', 'b']), Shift::of(0, []),
        ));
        foreach (['05-20' => 12, '06-21' => 12, '08-20' => 6, '10-10' => 1] as $day => $later) {
            $event = self::stations()->event("$day at Oxford");
            self::assertInstanceOf(ThermalDate::class, $event);
            self::assertSame("2027-$day", (string) Day::fromNumber($year(0)->reaching($event->sum)));
            self::assertEqualsWithDelta(
                $later, $year(12)->reaching($event->sum) - $year(0)->reaching($event->sum), 1, $day,
            );
        }
    }

    public function test_the_worked_example(): void
    {
        // Weigela in bloom on 20 May at Oxford has had some 400 to 430 degree days; with these it flowers near 12 April
        // in the Carolina piedmont, 25 May in Minnesota, and at the end of February on a coast of 13 C the year round.
        $weigela = self::stations()->event('05-20 at Oxford');
        self::assertInstanceOf(ThermalDate::class, $weigela);
        self::assertEqualsWithDelta(415, $weigela->sum, 20);
        $coast = new Site(
            36.6, -121.9, 10, null, null, null, climate: Climate::measured(Normals::of(array_fill(0, 12, 13))),
        );
        foreach ([
            '2027-04-12' => self::stations()->named('Clemson')->site,
            '2027-05-25' => self::stations()->named('Minneapolis')->site, '2027-02-24' => $coast,
        ] as $on => $site) {
            self::assertEqualsWithDelta(
                Day::parse($on)->number, SiteYear::of($site, 2027)->reaching($weigela->sum), 6, $on,
            );
        }
    }

    public function test_what_the_year_has_no_warmth_for_comes_with_the_first_frost(): void
    {
        $arctic = self::stations()->named('Punta Arenas')->site;
        $event = self::stations()->event('09-01 at Oxford');
        self::assertInstanceOf(ThermalDate::class, $event);
        $year = SiteYear::of($arctic, 2027);
        self::assertSame($year->day(Anchor::FirstFrost)->number, $year->reaching($event->sum));
    }

    public function test_a_mirrored_garden_has_the_same_events_half_a_year_later(): void
    {
        $oxford = self::stations()->named('Oxford')->normals;
        $south = SiteYear::of(new Site(
            -51.76, -1.26, 63, MonthDay::parse('10-22'), MonthDay::parse('04-28'), null,
            climate: Climate::measured($oxford->mirrored()),
        ), 2027);
        $north = SiteYear::of(self::stations()->named('Oxford')->site, 2027);
        foreach (TestBook::read()->all() as $kind) {
            foreach ([Anchor::BudBreak, Anchor::BloomStart, Anchor::BloomEnd] as $event) {
                if ($kind->phenology->has($event)) {
                    self::assertEqualsWithDelta(
                        182.5,
                        KindYear::of($north, $kind->phenology)->day($event)
                            ->daysUntil(KindYear::of($south, $kind->phenology)->day($event)),
                        4, "$kind->id $event->value",
                    );
                }
            }
        }
    }

    public function test_forsythia_flowers_on_the_day_that_crews_take_for_spring(): void
    {
        $forsythia = TestBook::read()->kind('forsythia')->phenology;
        foreach (self::stations()->all as $station) {
            $year = SiteYear::of($station->site, 2027);
            self::assertSame(
                (string) $year->day(Anchor::ForsythiaBloom),
                (string) KindYear::of($year, $forsythia)->day(Anchor::BloomStart), $station->name,
            );
        }
    }

    public function test_a_station_nobody_knows_and_a_day_no_year_has_are_refused(): void
    {
        $wrong = ['05-20 at Atlantis' => 'no station "Atlantis"', '02-31 at Oxford' => 'not a day of any year'];
        foreach ($wrong as $text => $says) {
            try {
                self::stations()->event($text);
                self::fail($text);
            } catch (Fault $fault) {
                self::assertStringContainsString($says, $fault->getMessage());
            }
        }
        self::assertGreaterThanOrEqual(60, count(self::stations()->all));
    }

    private static function stations(): Stations
    {
        return TestBook::read()->stations;
    }
}
