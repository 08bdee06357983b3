<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning;

use PruningHook\Core\Calendar\Anchor;
use PruningHook\Core\Calendar\Closure;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\Calendar\SiteYears;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Practice\Practice;
use PruningHook\Core\Prescription\Plant;
use PruningHook\Core\Prescription\Prescriber;

/** A stretch of one plant's time, gathered for drawing: tasks, closures, bloom, visits and today. */
final readonly class PlantYear
{
    /**
     * @param  list<DueTask>  $tasks
     * @param  list<Closure>  $closed
     * @param  list<Span>  $bloom
     * @param  list<Day>  $visits
     */
    private function __construct(
        public Span $span,
        public Day $today,
        public array $tasks,
        public array $closed,
        public array $bloom,
        public array $visits,
    ) {
    }

    /**
     * @param  list<Day>  $visits
     *
     * @throws \PruningHook\Core\Fault when the kind is unknown
     */
    public static function gather(
        PlantBook $book,
        Plant $plant,
        SiteYears $years,
        Practice $practice,
        Day $today,
        Span $span,
        array $visits,
    ): self {
        $kind = $book->kind($plant->kind);
        $closed = [];
        $bloom = [];
        foreach ($years->reaching($span->from, $span->to) as $year) {
            $kindYear = KindYear::of($year, $kind->phenology);
            if ($kindYear->has(Anchor::BloomStart) && $kindYear->has(Anchor::BloomEnd)) {
                $bloom[] = Span::of($kindYear->day(Anchor::BloomStart), $kindYear->day(Anchor::BloomEnd));
            }
            foreach (Prescriber::closed($kind, $year) as $closure) {
                $closed[(string) $closure->from] = $closure;
            }
        }

        return new self(
            $span,
            $today,
            Agenda::with($book)->between($plant, $years, $practice, $today, $span->from, $span->to),
            array_values(array_filter($closed, static fn (Closure $closure): bool => $span->touches($closure->from, $closure->to))),
            array_values(array_filter($bloom, static fn (Span $flowers): bool => $span->touches($flowers->from, $flowers->to))),
            array_values(array_filter($visits, $span->holds(...))),
        );
    }

    /** The same plant's time, narrowed to a stretch of it. */
    public function within(Span $span): self
    {
        return new self(
            $span,
            $this->today,
            array_values(array_filter($this->tasks, static fn (DueTask $due): bool => $span->touches($due->task->window->opens, $due->task->window->closes))),
            array_values(array_filter($this->closed, static fn (Closure $closure): bool => $span->touches($closure->from, $closure->to))),
            array_values(array_filter($this->bloom, static fn (Span $flowers): bool => $span->touches($flowers->from, $flowers->to))),
            array_values(array_filter($this->visits, $span->holds(...))),
        );
    }

    /**
     * What bears on today: passed lately, open, or coming.
     *
     * @return list<DueTask>
     */
    public function around(): array
    {
        $span = Span::of($this->today->minus(DueTask::MISSED_DAYS), $this->today->plus(DueTask::COMING_DAYS));

        return array_values(array_filter($this->tasks, static fn (DueTask $due): bool => $span->touches($due->task->window->opens, $due->task->window->closes)));
    }

    /** The most pressing of what bears on today. */
    public function mostPressing(): Urgency
    {
        $order = [Urgency::Closing, Urgency::Missed, Urgency::Open, Urgency::Coming, Urgency::Done];
        $now = array_map(static fn (DueTask $due): Urgency => $due->urgency, $this->around());
        foreach ($order as $urgency) {
            if (in_array($urgency, $now, true)) {
                return $urgency;
            }
        }

        return Urgency::Later;
    }
}
