<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\SiteYears;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Calendar\Window;
use PruningHook\Core\Planning\Agenda;
use PruningHook\Core\Planning\CommonWindow;
use PruningHook\Core\Planning\DueTask;
use PruningHook\Core\Planning\PlantYear;
use PruningHook\Core\Planning\Urgency;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\Entry;
use PruningHook\Core\PlantBook\KindReader;
use PruningHook\Core\PlantBook\Sources;
use Tests\Support\Prescribing;
use Tests\Support\Sites;
use Tests\Support\TestBook;

/** When a task begins and ceases to press. Common practice, no source. */
final class EdgesTest extends TestCase
{
    use Prescribing;

    #[DataProvider('days')]
    public function test_how_a_task_presses(int $left, int $toOpening, Urgency $urgency): void
    {
        self::assertSame($urgency, DueTask::pressing($left, $toOpening));
    }

    /** @return array<string, array{int, int, Urgency}> days left, days until it opens */
    public static function days(): array
    {
        return [
            'over by a month' => [-30, -60, Urgency::Missed],
            'over by more' => [-31, -60, Urgency::Later],
            'over since yesterday' => [-1, -60, Urgency::Missed],
            'its last day' => [0, -60, Urgency::Closing],
            'two weeks left' => [14, -60, Urgency::Closing],
            'a day more' => [15, -60, Urgency::Open],
            'its first day' => [60, 0, Urgency::Open],
            'opens tomorrow' => [60, 1, Urgency::Coming],
            'in six weeks' => [100, 42, Urgency::Coming],
            'later than that' => [100, 43, Urgency::Later],
        ];
    }

    public function test_common_days_end_with_the_first_that_ends(): void
    {
        $day = static fn (int $of): Day => Day::of(2027, 3, $of);
        $common = CommonWindow::of(
            Window::of($day(1), $day(5), $day(10), $day(20)), Window::of($day(20), $day(20), $day(22), $day(30)),
        );
        self::assertNotNull($common);
        self::assertTrue($common->contains($day(20)));
        self::assertFalse($common->contains($day(19)));
        self::assertFalse($common->contains($day(21)));
        self::assertFalse($common->isBestOn($day(20)), 'no best day is shared');
        $best = CommonWindow::of(
            Window::of($day(1), $day(5), $day(10), $day(20)), Window::of($day(1), $day(10), $day(22), $day(30)),
        );
        self::assertSame([false, true, false], array_map(
            static fn (int $of): bool => $best?->isBestOn($day($of)) ?? false, [9, 10, 11],
        ));
        self::assertNull(CommonWindow::of());
    }

    public function test_one_fault_of_a_kinds_year_is_told_once(): void
    {
        $lilac = TestBook::read()->kind('lilac');
        $years = array_map(
            static fn (int $season): SiteYear => SiteYear::of(Sites::southernEngland(), $season), [2027, 2028, 2029],
        );
        [$closed, $bloom, $faults] = PlantYear::nature($lilac, $years);
        self::assertCount(3, $bloom);
        self::assertSame([], $faults);
        self::assertSame([], $closed);
        $broken = (new KindReader(
            Sources::of([]), TestBook::read()->recipes, TestBook::read()->stations,
        ))->read(Entry::of([
            'id' => 'x', 'name' => 'X', 'botanical' => 'X y', 'habit' => 'shrub', 'wood' => 'old', 'about' => 'x',
            'phenology' => ['bloom-start' => 'midwinter+101', 'bloom-end' => 'midwinter+100'], 'tasks' => [],
        ]));
        [, $none, $told] = PlantYear::nature($broken, $years);
        self::assertSame([], $none);
        self::assertCount(1, $told);
        self::assertStringStartsWith('On this site\'s year its bloom would end on', $told[0]);
    }

    public function test_the_agenda_of_a_plant_reaches_a_month_back_and_six_weeks_ahead_and_stands_in_order(): void
    {
        $years = SiteYears::of(Sites::southernEngland());
        $agenda = Agenda::with(TestBook::read());
        $plant = new Plant('w', 'wisteria');
        $due = $agenda->around($plant, $years, $this->practice(), Day::parse('2027-04-15'));
        self::assertSame(['winter-pass'], array_map(static fn (DueTask $each): string => $each->task->key, $due));
        self::assertSame(Urgency::Missed, $due[0]->urgency);
        self::assertSame([], $agenda->around($plant, $years, $this->practice(), Day::parse('2027-04-16')));
        $year = $agenda->between(
            $plant, $years, $this->practice(), Day::parse('2027-01-01'), Day::parse('2027-01-01'),
            Day::parse('2028-12-31'),
        );
        $opens = array_map(static fn (DueTask $each): int => $each->task->window->opens->number, $year);
        $sorted = $opens;
        sort($sorted);
        self::assertSame($sorted, $opens);
        $gathered = PlantYear::gather(
            TestBook::read(), $plant, $years, $this->practice(), Day::parse('2027-02-20'),
            Span::of(Day::parse('2027-01-01'), Day::parse('2027-12-31')),
        )->visitedOn([Day::parse('2027-01-01'), Day::parse('2028-01-01')]);
        self::assertCount(1, $gathered->visits);
        self::assertSame(Urgency::Open, $gathered->mostPressing());
    }

    public function test_a_plant_put_in_during_a_season_has_what_is_still_to_come_of_it(): void
    {
        $years = SiteYears::of(Sites::southernEngland());
        $due = fn (?string $planted): array => array_map(
            static fn (DueTask $each): string => $each->task->key.' '.$each->task->season,
            Agenda::with(TestBook::read())->between(
                new Plant('w', 'wisteria', planted: $planted === null ? null : Day::parse($planted)), $years,
                $this->practice(), Day::parse('2027-01-01'), Day::parse('2027-01-01'), Day::parse('2028-09-30'),
            ),
        );
        self::assertSame(
            ['winter-pass 2027', 'summer-pass 2027', 'winter-pass 2028', 'summer-pass 2028'], $due(null),
        );
        self::assertContains('summer-pass 2028', $due('2027-05-01'));
        self::assertNotContains('winter-pass 2027', $due('2027-05-01'));
        self::assertSame([], $due('2029-05-01'));
    }
}
