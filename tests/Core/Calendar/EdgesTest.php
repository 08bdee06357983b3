<?php

declare(strict_types=1);

namespace Tests\Core\Calendar;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\Anchor;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\DayState;
use PruningHook\Core\Calendar\Edge;
use PruningHook\Core\Calendar\FrostDoubt;
use PruningHook\Core\Calendar\Hemisphere;
use PruningHook\Core\Calendar\Hopkins;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\Calendar\MonthDay;
use PruningHook\Core\Calendar\Offset;
use PruningHook\Core\Calendar\Phenology;
use PruningHook\Core\Calendar\Region;
use PruningHook\Core\Calendar\SeasonSeen;
use PruningHook\Core\Calendar\Shift;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\SiteYears;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Calendar\Window;
use PruningHook\Core\Calendar\WindowRule;
use PruningHook\Core\Calendar\WinterClass;
use PruningHook\Core\Fault;
use Tests\Support\Sites;

/** The calendar at its edges: the last day that still is, and the first that is no more. */
final class EdgesTest extends TestCase
{
    #[DataProvider('words')]
    public function test_a_stretch_is_said_in_weeks_where_it_is_some(string $offset, string $words): void
    {
        self::assertSame($words, Offset::parse($offset)->inWords());
    }

    /** @return array<string, array{string, string}> */
    public static function words(): array
    {
        return [
            'on the day' => ['midwinter', Anchor::Midwinter->inWords()],
            'one day' => ['midwinter+1', '1 day after '.Anchor::Midwinter->inWords()],
            'two days' => ['midwinter-2', '2 days before '.Anchor::Midwinter->inWords()],
            'one week is seven days' => ['midwinter+7', '7 days after '.Anchor::Midwinter->inWords()],
            'eight days' => ['midwinter+8', '8 days after '.Anchor::Midwinter->inWords()],
            'two weeks' => ['midwinter-14', '2 weeks before '.Anchor::Midwinter->inWords()],
            'eight weeks' => ['midwinter + 56', '8 weeks after '.Anchor::Midwinter->inWords()],
        ];
    }

    public function test_an_edge_takes_one_of_its_days_and_says_so(): void
    {
        $year = SiteYear::of(Sites::southernEngland(), 2027);
        $day = static fn (string $edge): string => (string) Edge::parse($edge)->in($year);
        self::assertSame('2026-12-21', $day('midwinter'));
        self::assertSame('2026-12-31', $day('earliest(midwinter+10, midwinter+20)'));
        self::assertSame('2027-01-10', $day('latest(midwinter+10, midwinter+20)'));
        self::assertSame('2027-01-10', $day('latest(midwinter+20, midwinter+10)'));
        self::assertStringEndsWith(
            'whichever is later',
            Edge::parse('latest(midwinter+10, midwinter+20)')->inWords(),
        );
        self::assertStringEndsWith(
            'whichever is earlier',
            Edge::parse('earliest(midwinter, midsummer)')->inWords(),
        );
        self::assertSame(
            [Anchor::Midwinter, Anchor::Midsummer],
            Edge::parse('latest(midwinter, midsummer)')->anchors(),
        );
    }

    #[DataProvider('corners')]
    public function test_a_region_ends_where_it_ends(float $latitude, float $longitude, Region $region): void
    {
        self::assertSame($region, Region::guess($latitude, $longitude));
    }

    /** @return array<string, array{float, float, Region}> */
    public static function corners(): array
    {
        return [
            'Galicia' => [43, -8, Region::EuropeMaritime],
            'the Algarve' => [37, -8.5, Region::EuropeMaritime],
            'Gibraltar' => [36.1, -5.4, Region::EuropeInland],
            'Crete' => [35.2, 25, Region::EuropeInland],
            'Brittany' => [48.4, -4.5, Region::EuropeMaritime],
            'Paris' => [48.9, 2.4, Region::EuropeInland],
            'the Frisian coast' => [53.5, 6.9, Region::EuropeMaritime],
            'Berlin' => [52.5, 13.4, Region::EuropeInland],
            'Bergen' => [60.4, 5.3, Region::EuropeMaritime],
            'Oslo' => [59.9, 10.7, Region::EuropeInland],
            'Reykjavik' => [64.1, -21.9, Region::EuropeMaritime],
            'Moscow' => [55.8, 37.6, Region::EuropeInland],
            'Yekaterinburg' => [56.8, 60.6, Region::Elsewhere],
            'Cairo' => [30, 31.2, Region::Elsewhere],
            'Chicago' => [41.9, -87.6, Region::UpperMidwest],
            'Detroit' => [42.3, -83, Region::UpperMidwest],
            'Cleveland' => [41.5, -81.7, Region::NorthAmericaEast],
            'Indianapolis' => [39.8, -86.2, Region::NorthAmericaEast],
            'Winnipeg' => [49.9, -97.1, Region::UpperMidwest],
            'Amarillo' => [35.2, -101.8, Region::NorthAmericaEast],
            'Key West' => [24.6, -81.8, Region::NorthAmericaEast],
            'St John\'s, Newfoundland' => [47.6, -52.7, Region::NorthAmericaEast],
            'Mexico City' => [19.4, -99.1, Region::Elsewhere],
            'Guadalajara' => [20.7, -103.3, Region::Elsewhere],
            'Utqiagvik' => [71.3, -156.8, Region::NorthAmericaWest],
            'beyond the Arctic coast' => [73, -125, Region::Elsewhere],
            'beyond the North Cape' => [72.5, 25, Region::Elsewhere],
            'Attu' => [52.9, -172.9, Region::Elsewhere],
            'Fiji, east of the line' => [-17.8, 178, Region::Australasia],
            'Macquarie Island' => [-54.5, 158.9, Region::Elsewhere],
            'Honolulu' => [21.3, -157.9, Region::NorthAmericaWest],
            'Darwin' => [-12.5, 130.8, Region::Australasia],
            'Perth' => [-31.9, 115.9, Region::Australasia],
            'Jakarta' => [-6.2, 106.8, Region::Elsewhere],
            'Cape Town' => [-33.9, 18.4, Region::Elsewhere],
            'Invercargill' => [-46.4, 168.4, Region::Australasia],
        ];
    }

    /** Hopkins 1918 (from memory): four days a degree poleward, for each 122 m up, and each five degrees east. */
    public function test_spring_comes_four_days_later_a_degree_and_a_height(): void
    {
        $from = self::site(40, -90, 100);
        self::assertSame(4, Hopkins::delay($from, self::site(41, -90, 100)));
        self::assertSame(4, Hopkins::delay($from, self::site(40, -90, 222)));
        self::assertSame(4, Hopkins::delay($from, self::site(40, -85, 100)));
        self::assertSame(-8, Hopkins::delay($from, self::site(38, -90, 100)));
        self::assertSame(0, Hopkins::delay(self::site(50, 0, 0), self::site(50, 15, 0)), 'only in North America');
        self::assertSame(
            4, Hopkins::delay(self::site(-40, 170, 0), self::site(-41, 170, 0)), 'poleward is south there',
        );
        self::assertSame(0, Hopkins::delay(self::site(15, -60, 0), self::site(15, -45, 0)));
        $carried = Hopkins::carry($from, self::site(41, -90, 100));
        self::assertSame(['05-04', '10-16'], array_map(strval(...), array_values($carried ?? [])));
        // The day before the first of March is the 28th: in no common year is there another.
        $march = new Site(40, -90, 100, MonthDay::parse('03-01'), MonthDay::parse('11-30'), WinterClass::Cool);
        self::assertSame('02-25', (string) (Hopkins::carry($march, self::site(39, -90, 100))['last'] ?? ''));
    }

    public function test_the_way_between_places(): void
    {
        // A degree of a great circle on a ball of 6371 km: 111.19 km; at 60 degrees a degree east is half of that.
        self::assertEqualsWithDelta(111.195, self::site(50, 0, 0)->kilometresTo(self::site(51, 0, 0)), 0.01);
        self::assertEqualsWithDelta(111.195, self::site(0.5, 10, 0)->kilometresTo(self::site(0.5, 11, 0)), 0.01);
        self::assertEqualsWithDelta(55.596, self::site(60, 0, 0)->kilometresTo(self::site(60, 1, 0)), 0.01);
        self::assertSame(0.0, self::site(50, 0, 0)->kilometresTo(self::site(50, 0, 0)));
    }

    public function test_three_signs_are_named_and_the_rest_counted(): void
    {
        self::assertSame('a; b; c', Shift::of(4, ['a', 'b', 'c'])->inWords());
        self::assertSame('a; b; c; and 1 more', Shift::of(4, ['a', 'b', 'c', 'd'])->inWords());
        self::assertSame('a; and 2 more', Shift::of(4, ['a'], 2)->inWords());
        self::assertSame([0, ''], [Shift::none()->days, Shift::none()->inWords()]);
    }

    public function test_a_season_is_average_where_nothing_moves_it(): void
    {
        self::assertTrue(SeasonSeen::average()->isAverage());
        self::assertFalse(SeasonSeen::of(Shift::of(3, ['a']))->isAverage());
        self::assertFalse(SeasonSeen::of(Shift::none(), Shift::of(-2, ['b']))->isAverage());
        self::assertFalse(SeasonSeen::of(Shift::none(), null, ['bloom-start' => Day::of(2027, 3, 1)])->isAverage());
        self::assertSame('a; b', SeasonSeen::of(Shift::of(3, ['a']), Shift::of(1, ['b']))->inWords());
        self::assertSame('b', SeasonSeen::of(Shift::none(), Shift::of(1, ['b']))->inWords());
    }

    public function test_seasons_that_reach_into_a_stretch(): void
    {
        $years = SiteYears::of(Sites::southernEngland());
        $seasons = static fn (string $from, string $to): array => array_map(
            static fn (SiteYear $year): int => $year->season, $years->reaching(Day::parse($from), Day::parse($to)),
        );
        // The season of 2027 begins at the midwinter before; a month back still counts, and 110 days ahead do.
        self::assertSame([2027], $seasons('2027-01-20', '2027-08-01'));
        self::assertSame([2026, 2027], $seasons('2027-01-19', '2027-08-01'));
        self::assertSame([2027], $seasons('2027-05-01', '2027-09-01'));
        self::assertSame([2027, 2028], $seasons('2027-05-01', '2027-09-02'));
        self::assertSame(2026, $years->holding(Day::parse('2026-12-20'))->season);
        self::assertSame(2027, $years->holding(Day::parse('2026-12-21'))->season);
    }

    public function test_what_was_seen_in_the_season_before_counts_in_that_season_alone(): void
    {
        $seen = SeasonSeen::of(Shift::of(9, ['forsythia']));
        $years = SiteYears::of(Sites::southernEngland(), [2027 => $seen]);
        $average = SiteYears::of(Sites::southernEngland());
        $frost = static fn (SiteYears $years, int $season): string => (string) $years->season($season)
            ->day(Anchor::LastFrost);
        self::assertSame(9, Day::parse($frost($average, 2027))->daysUntil(Day::parse($frost($years, 2027))));
        self::assertSame($frost($average, 2026), $frost($years, 2026));
        self::assertSame($frost($average, 2028), $frost($years, 2028));
        self::assertTrue($years->season(2028)->seen->isAverage());
        self::assertSame(9, $years->season(2028)->before()->seen->spring->days);
        self::assertSame(0, $years->season(2029)->before()->seen->spring->days);
    }

    public function test_a_kind_blooms_where_both_its_days_are_known(): void
    {
        $year = SiteYear::of(Sites::southernEngland(), 2027);
        self::assertNull(self::blooming($year, [])->bloom());
        $bloom = self::blooming($year, ['bloom-start' => 'midwinter+90', 'bloom-end' => 'midwinter+100'])->bloom();
        self::assertSame(['2027-03-21', '2027-03-31', 11], [
            (string) $bloom?->from, (string) $bloom?->to, $bloom?->days(),
        ]);
        self::assertNull(self::blooming($year, ['bud-break' => 'midwinter+90'])->bloom());
        $this->expectExceptionMessage('its bloom would end on');
        self::blooming($year, ['bloom-start' => 'midwinter+101', 'bloom-end' => 'midwinter+100'])->bloom();
    }

    public function test_a_window_and_a_span_hold_their_first_and_last_day(): void
    {
        $day = static fn (int $of): Day => Day::of(2027, 3, $of);
        $window = Window::of($day(1), $day(5), $day(10), $day(20));
        self::assertSame([false, true, true, false], array_map(
            $window->contains(...), [$day(1)->minus(1), $day(1), $day(20), $day(21)],
        ));
        self::assertSame([false, true, true, false], array_map(
            $window->isBestOn(...), [$day(4), $day(5), $day(10), $day(11)],
        ));
        self::assertSame('2027-03-01', (string) Window::of($day(1), $day(1), $day(1), $day(1))->closes);
        $span = Span::of($day(5), $day(10));
        self::assertSame([6, 1], [$span->days(), Span::of($day(5), $day(5))->days()]);
        self::assertSame(
            [false, true, true, false],
            array_map($span->holds(...), [$day(4), $day(5), $day(10), $day(11)]),
        );
        self::assertSame(
            [true, true, false, false],
            [
                $span->touches($day(1), $day(5)), $span->touches($day(10), $day(12)),
                $span->touches($day(1), $day(4)), $span->touches($day(11), $day(12)),
            ],
        );
        self::assertSame(
            '2027-03-05 2027-03-07',
            implode(' ', [
                (string) $span->clip($day(1), $day(7))?->from,
                (string) $span->clip($day(1), $day(7))?->to,
            ]),
        );
        self::assertNull($span->clip($day(1), $day(4)));
        $this->expectException(Fault::class);
        Span::of($day(6), $day(5));
    }

    /** Best days are collapsed where fewer than ten lie between their edges, the closing one included. */
    public function test_best_days_collapse_below_ten(): void
    {
        $year = SiteYear::of(Sites::southernEngland(), 2027);
        $collapses = static fn (int $to, int $closes): bool => WindowRule::of(
            Edge::parse('midwinter'), Edge::parse('midwinter+10'), Edge::parse("midwinter+$to"),
            Edge::parse("midwinter+$closes"),
        )->collapses($year);
        self::assertSame([false, true, false, true], [
            $collapses(19, 30), $collapses(18, 30), $collapses(40, 19), $collapses(40, 18),
        ]);
    }

    public function test_where_there_is_no_frost_spring_and_autumn_hang_on_midwinter(): void
    {
        $warm = SiteYear::of(new Site(28, -16, 0, null, null, WinterClass::Warm), 2027);
        self::assertSame('2027-02-04', (string) $warm->day(Anchor::LastFrost));
        self::assertSame('2027-12-01', (string) $warm->day(Anchor::FirstFrost));
        self::assertSame('2026-12-01', (string) $warm->day(Anchor::PreviousFirstFrost));
        // By what warmth its latitude promises: where no bud is chilled, it takes its time.
        self::assertSame('2027-02-01', (string) $warm->day(Anchor::ForsythiaBloom));
    }

    /** A first frost late in autumn and one early in the new year both belong to the autumn of the season. */
    public function test_frosts_are_taken_from_the_half_year_they_belong_to(): void
    {
        $at = static fn (string $last, string $first): SiteYear => SiteYear::of(new Site(
            48, -5, 0, MonthDay::parse($last), MonthDay::parse($first), WinterClass::Cool,
        ), 2027);
        self::assertSame(['2027-01-20', '2028-01-10'], [
            (string) $at('01-20', '01-10')->day(Anchor::LastFrost),
            (string) $at('01-20', '01-10')->day(Anchor::FirstFrost),
        ]);
        self::assertSame(['2027-06-10', '2027-08-25'], [
            (string) $at('06-10', '08-25')->day(Anchor::LastFrost),
            (string) $at('06-10', '08-25')->day(Anchor::FirstFrost),
        ]);
    }

    public function test_days_are_the_worse_the_more_they_cost(): void
    {
        $days = DayState::cases();
        usort($days, static fn (DayState $a, DayState $b): int => $a->severity() <=> $b->severity());
        self::assertSame([DayState::Best, DayState::Open, DayState::AtACost, DayState::Closed], $days);
    }

    public function test_a_doubt_names_the_side_of_the_equator(): void
    {
        $says = static fn (float $latitude): string => FrostDoubt::of(
            $latitude, MonthDay::parse('09-20'), MonthDay::parse('05-20'), 40,
        )->says ?? '';
        self::assertStringStartsWith('At 52° north', $says(52));
        self::assertStringStartsWith('At 5° north', $says(5));
    }

    public function test_the_equator_counts_to_the_north_and_winters_are_half_a_year_apart(): void
    {
        self::assertSame([Hemisphere::North, Hemisphere::South], [Hemisphere::at(0), Hemisphere::at(-0.1)]);
        self::assertSame(
            '2026-12-21 2027-06-21',
            Hemisphere::North->midwinterOf(2027).' '.Hemisphere::North->midsummerOf(2027),
        );
        self::assertSame(
            '2027-06-21 2027-12-21',
            Hemisphere::South->midwinterOf(2027).' '.Hemisphere::South->midsummerOf(2027),
        );
    }

    /** @param  array<string, string>  $edges */
    private static function blooming(SiteYear $year, array $edges): KindYear
    {
        return KindYear::of($year, Phenology::of(array_map(Edge::parse(...), $edges)));
    }

    private static function site(float $latitude, float $longitude, int $elevation): Site
    {
        return new Site(
            $latitude, $longitude, $elevation, MonthDay::parse($latitude < 0 ? '10-20' : '04-30'),
            MonthDay::parse($latitude < 0 ? '04-30' : '10-20'), WinterClass::Cool,
        );
    }
}
