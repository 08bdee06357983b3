<?php

declare(strict_types=1);

namespace Tests\Core\Calendar;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\MonthDay;
use PruningHook\Core\Fault;

final class DayTest extends TestCase
{
    public function test_it_counts_over_the_end_of_a_year(): void
    {
        self::assertSame('2027-01-04', (string) Day::parse('2026-12-21')->plus(14));
        self::assertSame(14, Day::parse('2026-12-21')->daysUntil(Day::parse('2027-01-04')));
    }

    public function test_it_knows_days_before_the_machine_began_to_count(): void
    {
        self::assertSame('1955-03-01', (string) Day::parse('1955-02-28')->plus(1));
    }

    #[DataProvider('impossible')]
    public function test_it_refuses_days_the_calendar_lacks(string $text): void
    {
        $this->expectException(Fault::class);
        Day::parse($text);
    }

    /** @return array<string, array{string}> */
    public static function impossible(): array
    {
        return [
            '30 February' => ['2027-02-30'],
            'month 13' => ['2027-13-01'],
            'another writing' => ['1/2/2027'],
            'nothing' => [''],
        ];
    }

    public function test_a_day_of_the_year_finds_its_nearest_occurrence(): void
    {
        self::assertSame('2027-04-22', (string) MonthDay::parse('04-22')->nearest(Day::parse('2027-02-01')));
        self::assertSame('2026-12-30', (string) MonthDay::parse('12-30')->nearest(Day::parse('2027-02-01')));
    }

    public function test_leap_day_falls_on_the_28th_in_common_years(): void
    {
        self::assertSame('2027-02-28', (string) MonthDay::parse('02-29')->in(2027));
        self::assertSame('2028-02-29', (string) MonthDay::parse('02-29')->in(2028));
    }

    public function test_it_refuses_a_day_no_year_has(): void
    {
        $this->expectExceptionMessage('not a day of any year');
        MonthDay::parse('02-30');
    }
}
