<?php

declare(strict_types=1);

namespace Tests\Core\Weather;

use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Weather\Advice;
use PruningHook\Core\Weather\DayWeather;
use PruningHook\Core\Weather\Forecast;
use PruningHook\Core\Weather\WorkAdvice;
use Tests\Support\TestBook;

final class ForecastTest extends TestCase
{
    public function test_days_in_a_row_are_had_until_the_first_gap(): void
    {
        $forecast = Forecast::of([self::on('2027-02-01'), self::on('2027-02-02'), self::on('2027-02-04')]);
        self::assertCount(2, $forecast->from(Day::parse('2027-02-01')));
        self::assertCount(1, $forecast->from(Day::parse('2027-02-04')));
        self::assertSame([], $forecast->from(Day::parse('2027-02-03')));
        self::assertNull(Forecast::none()->on(Day::parse('2027-02-01')));
    }

    public function test_what_holds_the_work_is_said_before_what_is_only_minded(): void
    {
        $advice = WorkAdvice::with(TestBook::read()->figures)->on([
            DayWeather::of(Day::parse('2027-07-01'), 16, 33, 12),
        ]);
        self::assertSame(
            [['Hold: rain', true], ['Mind the heat', false]],
            array_map(static fn (Advice $each): array => [$each->reason->rule, $each->hold], $advice),
        );
    }

    private static function on(string $day): DayWeather
    {
        return DayWeather::of(Day::parse($day), 2, 8, 0);
    }

    public function test_what_a_day_is_may_turn_with_its_weather_and_on_the_morrow(): void
    {
        $turns = array_map(strval(...), Forecast::of([self::on('2027-02-10')])->turns());
        self::assertSame(['2027-02-10', '2027-02-11'], $turns);
    }
}
