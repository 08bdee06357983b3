<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\SiteYears;
use PruningHook\Core\Calendar\Window;
use PruningHook\Core\Planning\Agenda;
use PruningHook\Core\Planning\CommonWindow;
use PruningHook\Core\Planning\DueTask;
use PruningHook\Core\Planning\Job;
use PruningHook\Core\Planning\OrderOfWork;
use PruningHook\Core\Planning\Urgency;
use PruningHook\Core\Plant\LoggedWork;
use PruningHook\Core\Plant\Outcome;
use PruningHook\Core\Plant\Plant;
use Tests\Support\Prescribing;
use Tests\Support\Sites;
use Tests\Support\TestBook;

final class PlanningTest extends TestCase
{
    use Prescribing;

    public function test_the_common_window_is_what_all_share(): void
    {
        $common = CommonWindow::of(
            $this->window('02-01', '02-15', '03-15', '04-05'),
            $this->window('01-18', '02-01', '03-08', '03-15'),
        );
        self::assertNotNull($common);
        self::assertSame(
            ['2027-02-01', '2027-03-15', '2027-02-15', '2027-03-08'],
            array_map(strval(...), [$common->from, $common->to, $common->bestFrom, $common->bestTo]),
        );
        self::assertTrue($common->contains($this->day('2027-03-15')));
        self::assertFalse($common->contains($this->day('2027-03-16')));
        self::assertTrue($common->isBestOn($this->day('2027-02-20')));
    }

    public function test_windows_may_share_open_days_and_no_best_one(): void
    {
        $common = CommonWindow::of(
            $this->window('02-01', '02-02', '02-03', '03-30'),
            $this->window('02-01', '03-20', '03-25', '03-30'),
        );
        self::assertNotNull($common);
        self::assertNull($common->bestFrom);
        self::assertFalse($common->isBestOn($this->day('2027-02-10')));
    }

    public function test_windows_that_never_meet_share_nothing(): void
    {
        self::assertNull(
            CommonWindow::of(
                $this->window('01-01', '01-02', '01-03', '01-04'),
                $this->window('02-01', '02-02', '02-03', '02-04'),
            ),
        );
        self::assertNull(CommonWindow::of());
    }

    #[DataProvider('standings')]
    public function test_where_a_task_stands(string $today, Urgency $urgency): void
    {
        self::assertSame($urgency, $this->due($today)->urgency);
    }

    /**
     * The winter pass of the wisteria is open from 1 January to 16 March 2027.
     *
     * @return array<string, array{string, Urgency}>
     */
    public static function standings(): array
    {
        return [
            'long before' => ['2026-11-01', Urgency::Later],
            'coming' => ['2026-12-01', Urgency::Coming],
            'on the opening day' => ['2027-01-01', Urgency::Open],
            'fifteen days left' => ['2027-03-01', Urgency::Open],
            'fourteen days left' => ['2027-03-02', Urgency::Closing],
            'the last day' => ['2027-03-16', Urgency::Closing],
            'the day after' => ['2027-03-17', Urgency::Missed],
            'long after' => ['2027-06-01', Urgency::Later],
        ];
    }

    public function test_done_work_is_done_and_half_done_work_is_not(): void
    {
        self::assertSame(Urgency::Done, $this->due('2027-02-01', Outcome::Done)->urgency);
        self::assertSame(Urgency::Open, $this->due('2027-02-01', Outcome::Partly)->urgency);
    }

    public function test_the_agenda_reaches_over_the_turn_of_the_season(): void
    {
        $due = Agenda::with(TestBook::read())->around(
            new Plant('v', 'grape-vine'), SiteYears::of(Sites::southernEngland()), $this->practice(),
            $this->day('2026-12-10'),
        );
        self::assertSame(['rough-pass'], array_map(static fn (DueTask $each): string => $each->task->key, $due));
        self::assertSame(2027, $due[0]->task->season);
    }

    public function test_a_window_over_before_planting_is_not_the_plants_own(): void
    {
        $new = new Plant('f', 'panicle-hydrangea', planted: $this->day('2027-05-20'));
        $due = Agenda::with(TestBook::read())->around(
            $new, SiteYears::of(Sites::southernEngland()), $this->practice(), $this->day('2027-05-20'),
        );
        self::assertSame([], $due);
    }

    public function test_work_goes_bed_by_bed_and_diseased_plants_come_last(): void
    {
        $trim = $this->task(new Plant('x', 'box-hedge'), 'first-trim');
        $heads = $this->task(new Plant('x', 'bush-rose'), 'dead-heading');
        $order = OrderOfWork::of([
            new Job('sick', 'A', $trim, true),
            new Job('2', 'B', $heads, false),
            new Job('2', 'B', $trim, false),
            new Job('1', 'A', $trim, false),
        ]);
        self::assertSame(['1 first-trim', '2 first-trim', '2 dead-heading', 'sick first-trim'], array_map(
            static fn (Job $job): string => $job->plant.' '.$job->task->key,
            $order,
        ));
    }

    private function due(string $today, ?Outcome $logged = null): DueTask
    {
        $log = $logged === null ? null : new LoggedWork('winter-pass', 2027, $this->day('2027-01-20'), $logged, 40);

        return DueTask::of($this->task(new Plant('w', 'wisteria'), 'winter-pass')->timed(), $log, $this->day($today));
    }

    private function window(string ...$days): Window
    {
        return Window::of(...array_map(fn (string $day) => $this->day("2027-$day"), array_values($days)));
    }
}
