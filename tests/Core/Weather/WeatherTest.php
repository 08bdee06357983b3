<?php

declare(strict_types=1);

namespace Tests\Core\Weather;

use App\Season\Weather\SimulatedStation;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Fault;
use PruningHook\Core\Weather\Advice;
use PruningHook\Core\Weather\DayWeather;
use PruningHook\Core\Weather\GrowingDegreeDays;
use PruningHook\Core\Weather\WorkAdvice;
use Tests\Support\Sites;
use Tests\Support\TestBook;

final class WeatherTest extends TestCase
{
    /**
     * The worked example of extension guides (from memory): a day of 70 F and 50 F gathers 60 - 50 = 10 degree days.
     */
    public function test_degree_days_by_the_simple_average(): void
    {
        self::assertEqualsWithDelta(10, GrowingDegreeDays::ofDay(self::day(10, 21.111)), .01);
        self::assertSame(0.0, GrowingDegreeDays::ofDay(self::day(0, 18)));
        self::assertSame(0.0, GrowingDegreeDays::ofDay(self::day(-8, 2)));
    }

    public function test_a_sum_is_reached_on_a_day_or_not_at_all(): void
    {
        $days = [];
        foreach (range(1, 10) as $number) {
            $days[] = DayWeather::of(Day::of(2027, 3, $number), 10, 20, 0);
        }
        // Each day gathers 9 degree days.
        self::assertEqualsWithDelta(90, GrowingDegreeDays::sum($days), .001);
        self::assertSame('2027-03-10', (string) GrowingDegreeDays::reached($days, 86));
        self::assertNull(GrowingDegreeDays::reached($days, 91));
    }

    public function test_warmth_to_come_is_foretold_from_years_that_have_been(): void
    {
        // One year gathers 9 degree days a day, the other none: 4.5 on average, so 18 more take four days.
        $year = static fn (float $max): array => array_map(
            static fn (int $number): DayWeather => DayWeather::of(Day::of(2026, 3, $number), 10, $max, 0),
            range(1, 20),
        );
        $today = Day::parse('2027-02-28');
        self::assertSame('2027-03-04', (string) GrowingDegreeDays::foretell(68, $today, [$year(20), $year(10)], 86));
        self::assertSame('2027-02-28', (string) GrowingDegreeDays::foretell(90, $today, [], 86));
        self::assertNull(GrowingDegreeDays::foretell(68, $today, [$year(10)], 86));
    }

    /**
     * @param  list<DayWeather>  $days
     * @param  list<string>  $rules
     */
    #[DataProvider('forecasts')]
    public function test_the_forecast_holds_or_advises(array $days, array $rules): void
    {
        self::assertSame(
            $rules,
            array_map(
                static fn (Advice $advice): string => $advice->reason->rule,
                WorkAdvice::with(TestBook::read()->figures)->on($days),
            ),
        );
    }

    /** @return array<string, array{list<DayWeather>, list<string>}> */
    public static function forecasts(): array
    {
        $mild = self::day(4, 12);

        return [
            'nothing known' => [[], []],
            'mild and dry' => [[$mild, $mild, $mild], []],
            'hard frost today' => [[self::day(-5, 2)], ['Hold: hard frost']],
            'hard frost the day after tomorrow' => [[$mild, $mild, self::day(-4, 3)], ['Hold: hard frost']],
            'hard frost later than it matters' => [[$mild, $mild, $mild, self::day(-9, 0)], []],
            'a light frost' => [[self::day(-1, 6)], []],
            'heat' => [[self::day(19, 33)], ['Mind the heat']],
            'rain' => [[self::day(8, 12, 9)], ['Hold: rain']],
            'rain tomorrow' => [[$mild, self::day(8, 12, 9)], []],
        ];
    }

    public function test_no_day_is_colder_at_its_warmest_than_at_its_coldest(): void
    {
        $this->expectException(Fault::class);
        self::day(12, 4);
    }

    public function test_the_simulated_station_repeats_itself_and_has_seasons(): void
    {
        $site = Sites::southernEngland();
        [$first, $last] = [Day::parse('2027-01-01'), Day::parse('2027-12-31')];
        $year = (new SimulatedStation)->days($site, $first, $last);
        self::assertEquals($year, (new SimulatedStation)->days($site, $first, $last));
        self::assertNotEquals($year, (new SimulatedStation(2))->days($site, $first, $last));
        self::assertCount(365, $year);
        $mean = static fn (int $month): float => self::mean(
            array_filter($year, static fn (DayWeather $day): bool => $day->day->month() === $month),
        );
        self::assertGreaterThan($mean(1) + 8, $mean(7));
        $south = (new SimulatedStation)->days(Sites::southernEnglandMirrored(), $first, $last);
        self::assertGreaterThan(self::mean(array_slice($south, 180, 31)), self::mean(array_slice($south, 0, 31)));
    }

    /** @param  array<int, DayWeather>  $days */
    private static function mean(array $days): float
    {
        return array_sum(array_map(static fn (DayWeather $day): float => ($day->min + $day->max) / 2, $days)) /
            count($days);
    }

    private static function day(float $min, float $max, float $rain = 0): DayWeather
    {
        return DayWeather::of(Day::parse('2027-03-01'), $min, $max, $rain);
    }
}
