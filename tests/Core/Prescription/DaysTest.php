<?php

declare(strict_types=1);

namespace Tests\Core\Prescription;

use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\DayState;
use PruningHook\Core\Calendar\SiteYears;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\Plant\Outcome;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Prescription\CutOn;
use PruningHook\Core\Prescription\CutVerdict;
use PruningHook\Core\Reason;
use PruningHook\Core\Weather\DayWeather;
use PruningHook\Core\Weather\Forecast;
use Tests\Support\Prescribing;
use Tests\Support\Sites;
use Tests\Support\TestBook;

/** Every day of a plant's year, and what can speak against a cut on it. */
final class DaysTest extends TestCase
{
    use Prescribing;

    public function test_a_newly_planted_shrub_is_left_alone_out_of_its_clean(): void
    {
        $planted = new Plant('p', 'forsythia', planted: $this->day('2026-11-20'));
        $this->assertSays(
            $this->judge($planted, '2027-03-01'), DayState::AtACost, 'Newly planted',
            'shaping now sets it back a year',
        );
        self::assertNotContains('Newly planted', self::rules($this->judge($planted, '2028-03-01')));
    }

    public function test_a_forecast_frost_holds_an_open_day_and_the_days_before_it(): void
    {
        $forecast = Forecast::of([
            DayWeather::of($this->day('2027-01-19'), 1, 6, 0), DayWeather::of($this->day('2027-01-20'), 0, 5, 0),
            DayWeather::of($this->day('2027-01-21'), -6, 2, 0), DayWeather::of($this->day('2027-01-22'), 1, 7, 0),
        ]);
        $wisteria = new Plant('p', 'wisteria');
        self::assertSame(DayState::Best, $this->judge($wisteria, '2027-01-19')->state);
        $this->assertSays(
            $this->judge($wisteria, '2027-01-19', $forecast), DayState::AtACost, 'Hold: hard frost',
            '-6 degrees are forecast for 21 January',
        );
        self::assertSame(DayState::Best, $this->judge($wisteria, '2027-01-22', $forecast)->state, 'once it has passed');
        self::assertSame(
            DayState::Best, $this->judge($wisteria, '2027-01-25', $forecast)->state,
            'beyond the forecast nobody knows',
        );
    }

    public function test_swollen_buds_of_canes_rub_off(): void
    {
        // Raspberry canes break bud about 18 March at this site.
        $this->assertSays(
            $this->judge(new Plant('p', 'summer raspberry'), '2027-03-22'), DayState::AtACost, 'Swollen buds',
            'rub off at a touch',
        );
        self::assertNotContains(
            'Swollen buds', self::rules($this->judge(new Plant('p', 'lilac'), '2027-03-30')),
            'a lilac keeps its buds',
        );
    }

    public function test_a_nest_closes_a_plant_for_six_weeks(): void
    {
        $hedge = new Plant(
            'p', 'privet',
            history: [new LoggedWork('first-trim', 2027, $this->day('2027-05-20'), Outcome::NotDone, null, null, true)],
        );
        $this->assertSays($this->judge($hedge, '2027-06-10'), DayState::Closed, 'Nest', 'A nest was found on 20 May');
        self::assertNotSame(DayState::Closed, $this->judge($hedge, '2027-07-02')->state);
    }

    public function test_in_the_nesting_season_a_dense_plant_is_looked_through_first(): void
    {
        $verdict = $this->judge(new Plant('p', 'evergreen-azalea'), '2027-06-10');
        self::assertContains($verdict->state, [DayState::Best, DayState::Open], 'it is open all the same');
        self::assertContains('Nesting season', self::rules($verdict));
    }

    /** RSPB and RHS (from memory): hedges are not cut while most nests are full. */
    public function test_a_clipped_hedge_and_a_dense_evergreen_cost_a_cut_at_the_peak_of_the_nests(): void
    {
        foreach (['privet', 'yew', 'box-hedge', 'spotted-laurel'] as $kind) {
            $this->assertSays(
                $this->judge(new Plant('p', $kind), '2027-06-10'), DayState::AtACost, 'Nesting peak',
                'Most nests are full',
            );
            self::assertNotContains(
                'Nesting peak', self::rules($this->judge(new Plant('p', $kind), '2027-07-01')), $kind,
            );
            self::assertNotContains(
                'Nesting peak', self::rules($this->judge(new Plant('p', $kind), '2027-03-31')), $kind,
            );
        }
    }

    public function test_a_spent_budget_puts_a_price_on_every_further_cut(): void
    {
        $cut = static fn (int $percent): LoggedWork => new LoggedWork(
            'winter-structure', 2027, \PruningHook\Core\Calendar\Day::parse('2027-01-15'), Outcome::Done, 60,
            $percent,
        );
        $this->assertSays(
            $this->judge(new Plant('p', 'apple', history: [$cut(30)]), '2027-02-01'), DayState::AtACost,
            'Already over budget', '30 % of its live growth has come off this season and 25 % is its cap',
        );
        self::assertSame(
            DayState::Best,
            $this->judge(new Plant('p', 'apple', history: [$cut(20)]), '2027-02-01')->state,
        );
    }

    public function test_a_missed_summer_pass_is_named_on_the_days_of_the_winter_one(): void
    {
        $missed = new Plant(
            'p', 'wisteria',
            history: [new LoggedWork('summer-pass', 2026, $this->day('2026-08-01'), Outcome::NotDone, null)],
        );
        $this->assertSays($this->judge($missed, '2027-01-20'), DayState::Best, 'Missed pass', '3 times as long');
    }

    public function test_a_year_of_days_has_no_gap_and_agrees_with_each_day(): void
    {
        $span = Span::of($this->day('2027-01-01'), $this->day('2027-12-31'));
        foreach (['wisteria', 'forsythia', 'sour-cherry', 'grape-vine', 'bush-rose', 'privet', 'walnut'] as $kind) {
            $runs = CutOn::with(TestBook::read())->through(
                new Plant('p', $kind), SiteYears::of(Sites::southernEngland()), $span, $this->practice(),
            );
            self::assertTrue($runs[0]->from->equals($span->from));
            self::assertTrue($runs[count($runs) - 1]->to->equals($span->to));
            foreach ($runs as $index => $run) {
                self::assertNotSame([], $run->reasons, "$kind: $run->from");
                self::assertTrue(
                    $index === 0 || $runs[$index - 1]->to->plus(1)->equals($run->from),
                    "$kind: a gap before $run->from",
                );
                foreach ([$run->from, $run->to] as $day) {
                    self::assertSame(
                        $this->judge(new Plant('p', $kind), (string) $day)->state, $run->state, "$kind on $day",
                    );
                }
            }
            self::assertLessThan(40, count($runs), "$kind: days alike stand together");
        }
    }

    /** Every day of a spring, and not only those on which a stretch begins or ends. */
    public function test_a_stretch_of_days_is_on_each_of_them_what_its_first_is(): void
    {
        foreach (['raspberry-summer', 'grape-vine', 'privet'] as $kind) {
            $span = Span::of($this->day('2027-02-15'), $this->day('2027-05-10'));
            $plant = new Plant('p', $kind);
            $runs = CutOn::with(TestBook::read())
                ->through($plant, SiteYears::of(Sites::southernEngland()), $span, $this->practice());
            foreach ($runs as $run) {
                $says = array_map(static fn (Reason $reason): string => $reason->rule, $run->reasons);
                for ($day = $run->from; ! $day->isAfter($run->to); $day = $day->plus(1)) {
                    $verdict = $this->judge($plant, (string) $day);
                    self::assertSame([$run->state, $says], [$verdict->state, self::rules($verdict)], "$kind on $day");
                }
            }
        }
    }

    private function judge(Plant $plant, string $day, ?Forecast $forecast = null): CutVerdict
    {
        $kind = TestBook::read()->find($plant->kind);
        self::assertNotNull($kind, $plant->kind);
        $known = new Plant($plant->ref, $kind->id, planted: $plant->planted, history: $plant->history);

        return CutOn::with(TestBook::read())->judge(
            $known, SiteYears::of(Sites::southernEngland()), $this->day($day), $this->practice(), $forecast,
        );
    }

    private function assertSays(CutVerdict $verdict, DayState $state, string $rule, string $because): void
    {
        self::assertSame($state, $verdict->state, implode('; ', self::rules($verdict)));
        foreach ($verdict->reasons as $reason) {
            if ($reason->rule === $rule) {
                self::assertStringContainsString($because, $reason->because);

                return;
            }
        }
        self::fail("No reason is called $rule: ".implode('; ', self::rules($verdict)));
    }

    /** @return list<string> */
    private static function rules(CutVerdict $verdict): array
    {
        return array_map(static fn (Reason $reason): string => $reason->rule, $verdict->reasons);
    }
}
