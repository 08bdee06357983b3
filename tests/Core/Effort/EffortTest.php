<?php

declare(strict_types=1);

namespace Tests\Core\Effort;

use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Effort\EffortRule;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\Plant\Outcome;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Plant\StemCount;
use PruningHook\Core\PlantBook\EffortRates;
use PruningHook\Core\PlantBook\Entry;
use Tests\Support\TestBook;

/** Minutes: a usual rate, then what this plant has really taken. Rates are common practice, no source. */
final class EffortTest extends TestCase
{
    private const RATE = ['base' => 10, 'per_metre_height' => 8, 'per_stem' => 0.5, 'per_metre_run' => 4];

    public function test_the_rate_counts_height_stems_number_and_run(): void
    {
        self::assertSame(26, $this->minutes(new Plant('p', 'forsythia', heightMm: 2000)));
        self::assertSame(31, $this->minutes(new Plant('p', 'forsythia', heightMm: 2000, stems: StemCount::of(6, 4))));
        self::assertSame(78, $this->minutes(new Plant('p', 'forsythia', heightMm: 2000, count: 3)));
        self::assertSame(66, $this->minutes(new Plant('p', 'forsythia', heightMm: 2000, runMm: 10000)));
    }

    public function test_an_unmeasured_plant_counts_as_its_kinds_usual_size_and_says_so(): void
    {
        $effort = $this->rule()->minutes(new Plant('p', 'forsythia'), TestBook::read()->kind('forsythia'), 'x', 1);
        // The plant book gives forsythia 2.1 m.
        self::assertSame(27, $effort->minutes);
        self::assertStringContainsString('typical, not measured', $effort->reason->because);
    }

    public function test_a_missed_pass_multiplies_it(): void
    {
        self::assertSame(78, $this->minutes(new Plant('p', 'forsythia', heightMm: 2000), factor: 3));
    }

    public function test_one_logged_visit_weighs_a_third_and_many_win(): void
    {
        self::assertSame(37, $this->minutes($this->logged(60)));
        self::assertSame(54, $this->minutes($this->logged(60, 60, 60, 60, 60, 60, 60, 60, 60)));
    }

    public function test_work_not_done_half_done_or_of_another_task_teaches_nothing(): void
    {
        $line = static fn (string $task, Outcome $outcome, ?int $minutes): LoggedWork => new LoggedWork(
            $task, 2026, Day::parse('2026-04-20'), $outcome, $minutes,
        );
        $plant = new Plant(
            'p', 'forsythia', heightMm: 2000,
            history: [
                $line('x', Outcome::NotDone, null), $line('x', Outcome::Partly, 90), $line('y', Outcome::Done, 90),
                $line('x', Outcome::Done, null),
            ],
        );
        self::assertSame(26, $this->minutes($plant));
    }

    public function test_nothing_takes_no_time_at_all(): void
    {
        $none = new EffortRule(EffortRates::fromEntry(Entry::of([])), 600);
        self::assertSame(
            1,
            $none->minutes(new Plant('p', 'forsythia', heightMm: 100), TestBook::read()->kind('forsythia'), 'x', 1)
                ->minutes,
        );
    }

    private function logged(int ...$minutes): Plant
    {
        $history = [];
        foreach ($minutes as $index => $each) {
            $history[] = new LoggedWork(
                'x', 2026 - (int) $index, Day::of(2026 - (int) $index, 4, 20), Outcome::Done, $each,
            );
        }

        return new Plant('p', 'forsythia', heightMm: 2000, history: $history);
    }

    private function minutes(Plant $plant, float $factor = 1): int
    {
        return $this->rule()->minutes($plant, TestBook::read()->kind('forsythia'), 'x', $factor)->minutes;
    }

    private function rule(): EffortRule
    {
        return new EffortRule(EffortRates::fromEntry(Entry::of(self::RATE)), 600);
    }
}
