<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\SiteYears;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Fault;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Prescription\Prescriber;
use PruningHook\Core\Prescription\Task;
use PruningHook\Core\Schools\ChosenSchools;

/** What a plant is due for round about a day: every task of the seasons whose windows reach into the time looked at. */
final readonly class Agenda
{
    private function __construct(private Prescriber $prescriber)
    {
    }

    public static function with(PlantBook $book): self
    {
        return new self(Prescriber::with($book));
    }

    /**
     * Every task whose window touches the days from `$from` to `$to`, by opening.
     *
     * @return list<DueTask>
     *
     * @throws Fault when the kind is unknown
     */
    public function between(
        Plant $plant,
        SiteYears $years,
        ChosenSchools $practice,
        Day $today,
        Day $from,
        Day $to,
    ): array {
        $due = [];
        foreach ($years->reaching($from, $to) as $year) {
            if ($plant->planted !== null && $plant->planted->isAfter($year->end())) {
                continue;
            }
            $span = Span::of($from, $to);
            $tasks = $this->prescriber->windows($plant, $year, $practice, $span);
            foreach ($this->prescriber->followUps($plant, $year, $practice) as $task) {
                if ($span->touches($task->window->opens, $task->window->closes)) {
                    $tasks[] = $task;
                }
            }
            foreach ($tasks as $task) {
                // A window that was over before the plant was in the ground is not its own.
                if ($plant->planted === null || ! $task->window->closes->isBefore($plant->planted)) {
                    $due[] = DueTask::of($task, $plant->logged($task->key, $year->season), $today);
                }
            }
        }
        usort(
            $due,
            static fn (DueTask $a, DueTask $b): int => $a->task->window->opens->number <=>
                $b->task->window->opens->number,
        );

        return $due;
    }

    /**
     * What bears on today: passed lately, open, or coming.
     *
     * @return list<DueTask>
     */
    public function around(Plant $plant, SiteYears $years, ChosenSchools $practice, Day $today): array
    {
        return $this->between(
            $plant, $years, $practice, $today, $today->minus(DueTask::MISSED_DAYS),
            $today->plus(DueTask::COMING_DAYS),
        );
    }
}
