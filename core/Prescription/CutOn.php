<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\DayState;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\SiteYears;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\OutsideWindow;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\PlantBook\TaskRule;
use PruningHook\Core\Practice\Practice;
use PruningHook\Core\Prescription\Outside\Consequence;
use PruningHook\Core\Prescription\Outside\FlowerBudsLost;
use PruningHook\Core\Prescription\Outside\TenderRegrowth;
use PruningHook\Core\Reason;

/** Answers "what if we cut it on this day?": within a window, at what cost outside it, or not at all. */
final readonly class CutOn
{
    private Prescriber $prescriber;

    private function __construct(private PlantBook $book)
    {
        $this->prescriber = Prescriber::with($book);
    }

    public static function with(PlantBook $book): self
    {
        return new self($book);
    }

    /** @throws \PruningHook\Core\Fault when the kind is unknown or the plant not in the ground on that day */
    public function judge(Plant $plant, SiteYears $years, Day $day, Practice $practice): CutVerdict
    {
        $kind = $this->book->kind($plant->kind);
        $seen = $years->holding($day);
        $tasks = $this->tasks($plant, $years, $seen->season, $practice);
        $closed = $this->closure($kind, $seen, $day);
        $holding = array_values(array_filter($tasks, static fn (Task $task): bool => $task->window->contains($day)));
        $next = $this->next($tasks, $day);
        if ($closed !== null) {
            return CutVerdict::of($day, DayState::Closed, [], [$closed], $next);
        }
        if ($holding !== []) {
            $best = array_filter($holding, static fn (Task $task): bool => $task->window->isBestOn($day));

            return CutVerdict::of($day, $best === [] ? DayState::Open : DayState::Best, $holding, array_merge(
                ...array_map(static fn (Task $task): array => $task->whenReasons(), $holding),
            ), null);
        }
        $consequences = [
            ...$this->consequences($plant, $kind, $seen, $day, $practice),
            ...$this->besideTheWindow($kind, $tasks, $day),
        ];
        $states = array_map(static fn (Consequence $consequence): DayState => $consequence->state, $consequences);

        return CutVerdict::of(
            $day,
            in_array(DayState::Closed, $states, true) ? DayState::Closed : DayState::AtACost,
            [],
            array_map(static fn (Consequence $consequence): Reason => $consequence->reason, $consequences),
            $next,
        );
    }

    /**
     * The tasks of the season before, this one and the next, in the order of their windows.
     *
     * @return list<Task>
     */
    private function tasks(Plant $plant, SiteYears $years, int $season, Practice $practice): array
    {
        $tasks = [];
        foreach ([$season - 1, $season, $season + 1] as $each) {
            $year = $years->season($each);
            if ($plant->planted === null || ! $plant->planted->isAfter($year->end())) {
                $tasks = [...$tasks, ...$this->prescriber->prescribe($plant, $year, $practice)->tasks];
            }
        }

        return $tasks;
    }

    private function closure(Kind $kind, SiteYear $seen, Day $day): ?Reason
    {
        foreach (Prescriber::closed($kind, $seen) as $closure) {
            if ($closure->contains($day)) {
                return Reason::of('Closed until '.$closure->to->inWords(), $closure->because, $closure->source);
            }
        }

        return null;
    }

    /** @return list<Consequence> */
    private function consequences(Plant $plant, Kind $kind, SiteYear $seen, Day $day, Practice $practice): array
    {
        $year = KindYear::of($seen, $kind->phenology);
        $next = KindYear::of(SiteYear::of($seen->site, $seen->season + 1), $kind->phenology);
        $circumstances = Prescriber::circumstances($plant, $seen, $practice);
        $rules = array_values(array_filter(
            $kind->tasks,
            static fn (TaskRule $rule): bool => $rule->when->holds($circumstances),
        ));

        return array_values(array_filter([
            (new FlowerBudsLost)->judge($day, $kind, $year, $next, $rules),
            (new TenderRegrowth)->judge($day, $kind, $year, $next, $rules),
        ]));
    }

    /**
     * What the plant book says of being too late for the task just closed and too early for the next; where both are
     * the same task a year apart, whichever is nearer.
     *
     * @param  list<Task>  $tasks
     * @return list<Consequence>
     */
    private function besideTheWindow(Kind $kind, array $tasks, Day $day): array
    {
        $late = $this->previous($tasks, $day);
        $early = $this->next($tasks, $day);
        $since = $late?->window->closes->daysUntil($day) ?? PHP_INT_MAX;
        $until = $early === null ? PHP_INT_MAX : $day->daysUntil($early->window->opens);
        $same = $late?->key === $early?->key;
        $said = [];
        if ($late !== null && (! $same || $since <= $until)) {
            $said[] = $this->said($kind->tasks[$late->key]->late, $late, $since, 'late for');
        }
        if ($early !== null && (! $same || $until < $since)) {
            $said[] = $this->said($kind->tasks[$early->key]->early, $early, $until, 'early for');
        }

        return $said;
    }

    private function said(?OutsideWindow $outside, Task $task, int $days, string $word): Consequence
    {
        $reason = Reason::of(
            sprintf('%d %s too %s %s', $days, $days === 1 ? 'day' : 'days', $word, lcfirst($task->name)),
            $outside->because ?? 'Outside its window it gains nothing by the cut.',
            $outside->source ?? 'common practice',
        );

        return $outside?->closed === true ? Consequence::closed($reason) : Consequence::cost($reason);
    }

    /** @param  list<Task>  $tasks */
    private function next(array $tasks, Day $day): ?Task
    {
        $next = null;
        foreach ($tasks as $task) {
            if ($task->window->opens->isAfter($day) && ($next === null || $task->window->opens->isBefore($next->window->opens))) {
                $next = $task;
            }
        }

        return $next;
    }

    /** @param  list<Task>  $tasks */
    private function previous(array $tasks, Day $day): ?Task
    {
        $previous = null;
        foreach ($tasks as $task) {
            if ($task->window->closes->isBefore($day) && ($previous === null || $task->window->closes->isAfter($previous->window->closes))) {
                $previous = $task;
            }
        }

        return $previous;
    }
}
