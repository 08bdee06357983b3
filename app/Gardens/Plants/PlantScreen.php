<?php

declare(strict_types=1);

namespace App\Gardens\Plants;

use App\Ground\Bridge\CorePlants;
use App\Ground\Models\Plant;
use App\Season\DueRow;
use App\Season\DueRows;
use App\Season\PlantYears;
use App\Season\Weather\Outlook;
use PruningHook\Core\Amount\YearsBudget;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\SiteYears;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Drawing\Ring;
use PruningHook\Core\Planning\Urgency;
use PruningHook\Core\Plant\Plant as CorePlant;
use PruningHook\Core\Plant\State;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Prescription\CutOn;
use PruningHook\Core\Prescription\Prescriber;
use PruningHook\Core\Prescription\Task;
use PruningHook\Core\Schools\ChosenSchools;

/**
 * Everything the Plant screen shows: the ring, what is due, what a cut on a day would mean, and the last lines of the
 * record.
 */
final readonly class PlantScreen
{
    public function __construct(
        private PlantBook $book,
        private CorePlants $bridge,
        private DueRows $rows,
        private PlantYears $years,
        private Outlook $outlook,
        private PlantDrawing $drawing,
        private PlantForm $form,
    ) {
    }

    public function show(Plant $plant, Day $today, Day $cut): PlantPage
    {
        $plant->load([
            'garden.crew', 'workLogs' => ['loggedBy', 'visitTask:id,visit_id,prescribed'], 'bloomNotes',
            'visitTasks.visit',
        ]);
        $core = $this->bridge->plant($plant, $today);
        $years = $this->bridge->years($plant->garden);
        $span = Span::of($today->minus(45), $today->plus(319));
        $practice = $this->bridge->practice($plant->garden);
        $forecast = $this->outlook->forecast($years->site, $today);
        $days = CutOn::with($this->book)->through($core, $years, $span, $practice, $forecast);
        $rows = $this->once($this->rows->of($plant, $today, $span));
        $next = self::next($rows);
        $year = $this->years->of($plant, $today, $span);

        return new PlantPage(
            drawing: $this->drawing->show($plant, $next->due->task->key ?? null, $today),
            budgets: YearsBudget::of(
                $core, SiteYear::seasonOn($years->site, $today), $this->book->keeping,
                ...$this->book->caps->for($this->book->kind($plant->kind), $rows[0]->due->task->methodKey ?? null),
            ),
            taps: $this->form->taps($plant),
            seen: $this->form->inWords($plant),
            past: $this->isPast($plant, $years, $today),
            stands: $core,
            putAside: $this->bridge->putAside($plant->practice),
            today: $today,
            season: SiteYear::seasonOn($years->site, $today),
            faults: $year->faults,
            ring: Ring::of($year, $days),
            days: $days,
            next: $next,
            others: array_values(array_filter($rows, static fn (DueRow $row): bool => $row !== $next)),
            tasks: $this->inFull($rows, $core, $years, $practice),
            plan: self::toPlan($rows),
            crews: self::isForCrews($rows),
            verdict: CutOn::with($this->book)->judge($core, $years, $cut, $practice, $forecast),
            blooms: array_values($plant->bloomNotes->sortByDesc('season')->all()),
            logs: $plant->workLogs->sortByDesc('on')->take(5),
            left: $plant->workLogs->whereNotNull('left_for_next_year')->sortByDesc('on')->take(3),
        );
    }

    /**
     * The prescription of each row, by the row's choice: a season's is worked out once.
     *
     * @param  list<DueRow>  $rows
     * @return array<string, Task>
     */
    private function inFull(array $rows, CorePlant $plant, SiteYears $years, ChosenSchools $practice): array
    {
        $seasons = [];
        $tasks = [];
        foreach ($rows as $row) {
            $season = $row->due->task->season;
            $seasons[$season] ??= Prescriber::with($this->book)->prescribe($plant, $years->season($season), $practice);
            $task = $seasons[$season]->task($row->due->task->key);
            if ($task !== null) {
                $tasks[(string) $row->choice()] = $task;
            }
        }

        return $tasks;
    }

    /**
     * What a visit to this plant would be planned for: all that is open and not yet planned, else what was just missed,
     * else the next to open.
     *
     * @param  list<DueRow>  $rows  by opening
     * @return list<string>
     */
    private static function toPlan(array $rows): array
    {
        $free = array_filter(
            $rows,
            static fn (DueRow $row): bool => $row->visit === null
                && $row->due->urgency !== Urgency::Done
                && $row->due->task->handsOff === null,
        );
        $open = array_filter(
            $free,
            static fn (DueRow $row): bool => in_array($row->due->urgency, [Urgency::Open, Urgency::Closing], true),
        );
        $missed = array_filter($free, static fn (DueRow $row): bool => $row->due->urgency === Urgency::Missed);
        $next = array_filter($free, static fn (DueRow $row): bool => $row->due->daysToOpening() > 0);

        return array_map(
            static fn (DueRow $row): string => (string) $row->choice(),
            array_values(match (true) {
                $open !== [] => $open,
                // Just closed, it is still better done late than left.
                $missed !== [] => $missed,
                default => array_slice($next, 0, 1),
            }),
        );
    }

    /**
     * Each task once: the occurrence to come or open, not the one of a year later as well; by opening.
     *
     * @param  list<DueRow>  $rows
     * @return list<DueRow>
     */
    private function once(array $rows): array
    {
        usort($rows, self::byOpening(...));
        $once = [];
        foreach ($rows as $row) {
            $shown = $once[$row->due->task->key] ?? null;
            if ($shown === null || ($shown->due->daysLeft() < 0 && $shown->due->urgency !== Urgency::Missed)) {
                $once[$row->due->task->key] = $row;
            }
        }
        usort($once, self::byOpening(...));

        return $once;
    }

    /** Whether what was seen of it is over: it passes with the midwinter after it was seen. */
    private function isPast(Plant $plant, SiteYears $years, Day $today): bool
    {
        return $plant->state_on !== null && ! $today->isBefore(
            State::passes($plant->state_on, $years->site->hemisphere(), $this->book->keeping),
        );
    }

    /**
     * Where all of it is an arborist's there is nothing to plan.
     *
     * @param  list<DueRow>  $rows
     */
    private static function isForCrews(array $rows): bool
    {
        return $rows === []
            || array_filter($rows, static fn (DueRow $row): bool => $row->due->task->handsOff === null) !== [];
    }

    /** @param  list<DueRow>  $rows  by opening */
    private static function next(array $rows): ?DueRow
    {
        foreach ($rows as $row) {
            if ($row->due->urgency !== Urgency::Done) {
                return $row;
            }
        }

        return $rows[0] ?? null;
    }

    private static function byOpening(DueRow $a, DueRow $b): int
    {
        return $a->due->task->window->opens->number <=> $b->due->task->window->opens->number;
    }
}
