<?php

declare(strict_types=1);

namespace Tests\Core\Prescription;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\DayState;
use PruningHook\Core\Calendar\SiteYears;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\Plant\Outcome;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Prescription\CutOn;
use PruningHook\Core\Prescription\CutVerdict;
use PruningHook\Core\Prescription\DayRun;
use PruningHook\Core\Weather\DayWeather;
use PruningHook\Core\Weather\Forecast;
use Tests\Support\Prescribing;
use Tests\Support\Sites;
use Tests\Support\TestBook;

final class CutOnTest extends TestCase
{
    use Prescribing;

    #[DataProvider('days')]
    public function test_each_day_has_its_state_and_its_reason(
        string $kind,
        string $day,
        DayState $state,
        string $reason,
    ): void {
        $verdict = $this->judge($kind, $day);
        self::assertSame($state, $verdict->state);
        $said = implode(' ', array_map(static fn ($each): string => $each->rule.' '.$each->because, $verdict->reasons));
        self::assertStringContainsString($reason, $said);
    }

    /** @return array<string, array{string, string, DayState, string}> */
    public static function days(): array
    {
        return [
            'wisteria in midwinter' => ['wisteria', '2027-01-20', DayState::Best, 'flower buds can be told'],
            'wisteria in mid-March' => ['wisteria', '2027-03-10', DayState::Open, 'flower buds can be told'],
            'wisteria in autumn' => ['wisteria', '2026-11-24', DayState::AtACost, 'Too early for winter pass'],
            'forsythia in winter: this year\'s flowers go' => [
                'forsythia', '2027-01-20', DayState::AtACost, 'carries the buds that open from about 13 March',
            ],
            'forsythia in bloom' => ['forsythia', '2027-03-25', DayState::AtACost, 'it is in bloom'],
            'forsythia late in summer: the stop' => ['forsythia', '2027-09-25', DayState::Closed, 'will not ripen'],
            'cherry out of leaf' => ['sour-cherry', '2027-02-01', DayState::Closed, 'silver leaf'],
            'cherry after cropping' => ['sour-cherry', '2027-08-05', DayState::Best, 'fruited'],
            'bluebeard in winter' => ['bluebeard', '2027-01-10', DayState::Closed, 'kills the framework'],
            'male kiwi before it flowers' => ['hardy-kiwi-male', '2027-03-10', DayState::AtACost, 'no pollen'],
        ];
    }

    public function test_outside_every_window_it_says_what_to_wait_for(): void
    {
        $verdict = $this->judge('forsythia', '2027-01-20');
        self::assertSame('after-flowering', $verdict->next?->key);
        self::assertSame([], $verdict->tasks);
    }

    public function test_in_the_south_the_same_day_means_the_opposite(): void
    {
        $day = $this->day('2027-07-20');
        $south = CutOn::with(TestBook::read())->judge(
            new Plant('p', 'wisteria'), SiteYears::of(Sites::southernEnglandMirrored()), $day, $this->practice(),
        );
        self::assertSame('winter-pass', $south->tasks[0]->key);
        self::assertSame('summer-pass', $this->judge('wisteria', '2027-07-20')->tasks[0]->key);
    }

    public function test_every_day_of_the_year_has_a_state_and_a_reason_for_every_kind(): void
    {
        $span = Span::of($this->day('2027-01-01'), $this->day('2027-12-31'));
        foreach (TestBook::read()->all() as $kind) {
            $runs = CutOn::with(TestBook::read())->through(
                new Plant('p', $kind->id), SiteYears::of(Sites::missouri()), $span, $this->practice(),
            );
            $days = 0;
            foreach ($runs as $run) {
                self::assertNotEmpty($run->reasons, "$kind->id on $run->from");
                $days += $run->from->daysUntil($run->to) + 1;
            }
            self::assertSame(365, $days, $kind->id);
            self::assertContains(
                DayState::Best,
                array_map(static fn (DayRun $run): DayState => $run->state, $runs),
                "$kind->id has no best day",
            );
        }
    }

    /**
     * A year is told by the days on which something turns; each day of it must still be what it is when asked alone.
     */
    public function test_a_year_in_runs_is_the_same_year_day_by_day(): void
    {
        $cut = CutOn::with(TestBook::read());
        $forecast = Forecast::of(
            array_map(
                fn (int $ahead): DayWeather => DayWeather::of(
                    $this->day('2027-03-01')->plus($ahead), $ahead % 3 === 0 ? -6 : 4, 9, $ahead % 4 === 0 ? 12 : 0,
                ),
                range(0, 9),
            ),
        );
        foreach (array_values(TestBook::read()->all()) as $index => $kind) {
            if ($index % 7 !== 0) {
                continue;
            }
            $history = [new LoggedWork('x', 2027, $this->day('2027-05-02'), Outcome::Done, 30, 40, true)];
            $plant = new Plant(
                'p', $kind->id, planted: $index % 2 === 0 ? $this->day('2026-11-01') : null,
                history: $index % 3 === 0 ? $history : [],
            );
            $years = SiteYears::of(Sites::all()[$index % count(Sites::all())]);
            $span = Span::of($this->day('2027-01-15'), $this->day('2028-01-14'));
            $at = $span->from;
            foreach ($cut->through($plant, $years, $span, $this->practice(), $forecast) as $run) {
                self::assertTrue($run->from->equals($at), "$kind->id: a gap before $run->from");
                for (
                    $day = $run->from;
                    ! $day->isAfter($run->to);
                    $day = $day->plus(min(5, max(1, $day->daysUntil($run->to))))
                ) {
                    self::assertTrue(
                        $run->goesOnWith($cut->judge($plant, $years, $day, $this->practice(), $forecast)),
                        "$kind->id on $day",
                    );
                }
                $at = $run->to->plus(1);
            }
        }
    }

    private function judge(string $kind, string $day): CutVerdict
    {
        return CutOn::with(TestBook::read())->judge(
            new Plant('p', $kind), SiteYears::of(Sites::southernEngland()), $this->day($day), $this->practice(),
        );
    }
}
