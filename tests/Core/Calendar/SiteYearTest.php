<?php

declare(strict_types=1);

namespace Tests\Core\Calendar;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\Anchor;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Edge;
use PruningHook\Core\Calendar\MonthDay;
use PruningHook\Core\Calendar\Phenology;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\Window;
use PruningHook\Core\Calendar\WinterClass;
use PruningHook\Core\Fault;
use Tests\Support\Sites;

final class SiteYearTest extends TestCase
{
    public function test_a_northern_season_begins_with_the_midwinter_of_the_year_before(): void
    {
        $year = SiteYear::of(Sites::southernEngland(), 2027);
        self::assertSame('2026-12-21', (string) $year->day(Anchor::Midwinter));
        self::assertSame('2027-04-22', (string) $year->day(Anchor::LastFrost));
        self::assertSame('2027-06-21', (string) $year->day(Anchor::Midsummer));
        self::assertSame('2027-10-28', (string) $year->day(Anchor::FirstFrost));
        self::assertSame('2026-10-28', (string) $year->day(Anchor::PreviousFirstFrost));
    }

    public function test_a_southern_season_is_the_same_half_a_year_later(): void
    {
        $year = SiteYear::of(Sites::southernEnglandMirrored(), 2027);
        self::assertSame('2027-06-21', (string) $year->day(Anchor::Midwinter));
        self::assertSame('2027-10-22', (string) $year->day(Anchor::LastFrost));
        self::assertSame('2027-12-21', (string) $year->day(Anchor::Midsummer));
        self::assertSame('2028-04-28', (string) $year->day(Anchor::FirstFrost));
    }

    #[DataProvider('turns')]
    public function test_late_autumn_already_counts_to_the_coming_season(string $day, bool $south, int $season): void
    {
        $site = $south ? Sites::southernEnglandMirrored() : Sites::southernEngland();
        self::assertSame($season, SiteYear::seasonOn($site, Day::parse($day)));
    }

    /** @return array<string, array{string, bool, int}> */
    public static function turns(): array
    {
        return [
            'north, October' => ['2026-10-20', false, 2026],
            'north, late November' => ['2026-11-24', false, 2027],
            'north, February' => ['2027-02-01', false, 2027],
            'south, April' => ['2027-04-20', true, 2026],
            'south, late May' => ['2027-05-24', true, 2027],
            'south, January' => ['2028-01-10', true, 2027],
        ];
    }

    public function test_only_a_warm_site_may_lack_frost(): void
    {
        self::assertTrue(
            SiteYear::of(Sites::frostless(), 2027)->day(Anchor::LastFrost)->isAfter(Day::parse('2027-01-01')),
        );
        $this->expectException(Fault::class);
        new Site(50, 0, 0, null, MonthDay::parse('10-20'), WinterClass::Cool);
    }

    public function test_a_site_lies_on_earth(): void
    {
        $this->expectExceptionMessage('latitude');
        new Site(91, 0, 0, MonthDay::parse('04-20'), MonthDay::parse('10-20'), WinterClass::Cool);
    }

    public function test_an_edge_takes_the_earlier_or_the_later_of_several(): void
    {
        $year = SiteYear::of(Sites::southernEngland(), 2027);
        self::assertSame('2027-03-01', (string) Edge::parse('earliest(midwinter+70, last-frost-7)')->in($year));
        self::assertSame('2027-04-15', (string) Edge::parse('latest(midwinter+70, last-frost-7)')->in($year));
        self::assertSame('4 weeks after midwinter', Edge::parse('midwinter+28')->inWords());
    }

    #[DataProvider('nonsense')]
    public function test_an_edge_refuses_what_it_does_not_know(string $text): void
    {
        $this->expectException(Fault::class);
        Edge::parse($text);
    }

    /** @return list<array{string}> */
    public static function nonsense(): array
    {
        return [['easter+7'], ['midwinter+'], [''], ['earliest()'], ['midwinter+7000']];
    }

    public function test_an_event_leans_only_on_those_before_it(): void
    {
        $this->expectExceptionMessage('cannot lean on');
        Phenology::of(['bloom-start' => Edge::parse('bloom-end-20'), 'bloom-end' => Edge::parse('midsummer')]);
    }

    public function test_a_windows_days_follow_each_other(): void
    {
        $this->expectException(Fault::class);
        Window::of(
            Day::parse('2027-03-01'), Day::parse('2027-02-01'), Day::parse('2027-03-05'), Day::parse('2027-03-09'),
        );
    }

    public function test_where_days_cross_the_closing_one_wins(): void
    {
        $window = Window::drawnBack(
            Day::parse('2027-03-01'), Day::parse('2027-03-10'), Day::parse('2027-03-20'), Day::parse('2027-02-20'),
        );
        self::assertSame(
            ['opens' => '2027-02-11', 'best_from' => '2027-02-11', 'best_to' => '2027-02-20', 'closes' => '2027-02-20'],
            $window->toArray(),
        );
    }

    /** Common practice, no source: fewer than ten best days are nothing anybody can plan by. */
    #[DataProvider('collapsed')]
    public function test_too_few_best_days_spread_over_the_open_ones_first(
        string $opens,
        string $bestFrom,
        string $bestTo,
        string $closes,
        string $says,
    ): void {
        self::assertSame(
            $says,
            implode(
                ' ',
                Window::drawnBack(
                    Day::parse($opens), Day::parse($bestFrom), Day::parse($bestTo), Day::parse($closes),
                )->toArray(),
            ),
        );
    }

    /** @return array<string, array{string, string, string, string, string}> */
    public static function collapsed(): array
    {
        return [
            'ten days stay' => [
                '2027-03-01', '2027-03-05', '2027-03-14', '2027-03-20', '2027-03-01 2027-03-05 2027-03-14 2027-03-20',
            ],
            'nine begin a day sooner' => [
                '2027-03-01', '2027-03-05', '2027-03-13', '2027-03-20', '2027-03-01 2027-03-04 2027-03-13 2027-03-20',
            ],
            'what does not go before goes after' => [
                '2027-03-03', '2027-03-05', '2027-03-05', '2027-03-20', '2027-03-03 2027-03-03 2027-03-12 2027-03-20',
            ],
            'and what is shut on both sides opens sooner' => [
                '2027-03-04', '2027-03-05', '2027-03-05', '2027-03-06', '2027-02-25 2027-02-25 2027-03-06 2027-03-06',
            ],
        ];
    }
}
