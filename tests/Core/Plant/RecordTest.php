<?php

declare(strict_types=1);

namespace Tests\Core\Plant;

use PHPUnit\Framework\TestCase;
use PruningHook\Core\Amount\LoggedAmounts;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Plant\Growing;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\Plant\Outcome;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Plant\Taken;
use PruningHook\Core\Structure\Stem;
use PruningHook\Core\Structure\StemFault;
use PruningHook\Core\Structure\StemPlan;
use PruningHook\Core\Structure\Survey;
use PruningHook\Core\Weather\DayWeather;
use PruningHook\Core\Weather\Forecast;
use PruningHook\Core\Weather\WorkAdvice;
use Tests\Support\TestAim;
use Tests\Support\TestBook;

/** What is read out of the record: what came off, what grew, what was ill. Common practice, no source. */
final class RecordTest extends TestCase
{
    public function test_amounts_say_what_came_off(): void
    {
        $line = static fn (string $effect, int $value, string $unit = 'stems'): array => [
            'effect' => $effect, 'what' => 'in whatever words', 'unit' => $unit, 'value' => $value,
        ];
        self::assertEquals(new Taken, LoggedAmounts::taken([]));
        self::assertEquals(new Taken(3), LoggedAmounts::taken([
            $line('old-stems-out', 3), $line('stems-kept', 4),
        ]));
        self::assertEquals(new Taken(0, 5), LoggedAmounts::taken([$line('stems-out', 5, 'canes')]));
        self::assertEquals(new Taken, LoggedAmounts::taken([$line('live-share', 33, '%')]));
        self::assertEquals(new Taken(0, 0, 300), LoggedAmounts::taken([$line('cut-height', 300, 'mm')]));
        self::assertEquals(new Taken(0, 0, 900), LoggedAmounts::taken([$line('height-after', 900, 'mm')]));
        self::assertSame([300, null, null], [
            LoggedAmounts::cutMm([$line('cut-height', 300, 'mm')]), LoggedAmounts::cutMm([]),
            LoggedAmounts::cutMm([$line('height-after', 900, 'mm')]),
        ]);
    }

    public function test_growth_is_seen_where_cut_and_flowers_were_both_measured(): void
    {
        self::assertSame(
            [900, 1000],
            Growing::seen(
                [2024 => 300, 2025 => null, 2026 => 400, 2027 => 500],
                [2024 => 1200, 2025 => 900, 2026 => 1400, 2023 => 800],
            ),
        );
        self::assertSame(
            [],
            Growing::seen([2024 => 300], [2024 => 300]),
            'flowers at the cut are no growth',
        );
        self::assertSame([1], Growing::seen([2024 => 300], [2024 => 301]));
    }

    public function test_a_plant_is_ill_until_somebody_finds_it_well(): void
    {
        $work = static fn (string $on, bool $ill): LoggedWork => new LoggedWork(
            'x', 2026, Day::parse($on), Outcome::Done, 10, diseased: $ill,
        );
        $ill = static fn (LoggedWork ...$history): bool => (new Plant(
            'p', 'lilac', history: array_values($history),
        ))->wasDiseased();
        self::assertFalse($ill());
        self::assertTrue($ill($work('2026-03-01', false), $work('2026-06-01', true)));
        self::assertFalse($ill($work('2026-06-01', true), $work('2026-07-01', false)));
        self::assertTrue(
            $ill($work('2026-06-01', true), $work('2026-03-01', false)),
            'the last day counts, not the last line',
        );
        self::assertFalse(
            $ill($work('2026-06-01', true), $work('2026-06-01', false)),
            'of one day the last line',
        );
    }

    public function test_a_survey_counts_what_stands_alive(): void
    {
        $survey = Survey::of([
            new Stem('a', 0, 30, 900, 15, 6), new Stem('b', 90, 30, 900, 15, 2), new Stem('c', 180, 30, 900, 15),
            new Stem('d', 200, 30, 900, 15, 7, [StemFault::Dead]), new Stem('e', 270, 30, 900, 15, 8),
        ], ['e']);
        $counts = $survey->counts(TestAim::of(StemPlan::Thirds, null, null, null, 33, 'x'));
        self::assertSame([2, 1], [$counts->old, $counts->young]);
    }

    public function test_work_is_held_until_the_first_day_on_which_nothing_holds_it(): void
    {
        $advice = WorkAdvice::with(TestBook::read()->figures);
        $forecast = static fn (float ...$minima): Forecast => Forecast::of(array_map(
            static fn (int $ahead, float $min): DayWeather => DayWeather::of(
                Day::parse('2027-02-01')->plus($ahead), $min, 12, 0,
            ),
            array_keys(array_values($minima)),
            array_values($minima),
        ));
        $today = Day::parse('2027-02-01');
        self::assertNull($advice->hold($forecast(4, 4, 4, 4), $today, 7));
        // A frost on the third day holds the cut on each of the three days up to it.
        $hold = $advice->hold($forecast(4, 4, -6, 4, 4, 4, 4), $today, 7);
        self::assertSame('2027-02-04', (string) $hold?->next);
        self::assertSame('Hold: hard frost', $hold?->reason->rule);
        self::assertNull($advice->hold($forecast(-6, -6, -6, -6), $today, 2)?->next, 'none within the forecast');
    }
}
