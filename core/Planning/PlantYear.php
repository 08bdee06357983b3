<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning;

use PruningHook\Core\Calendar\Closure;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\SiteYears;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Fault;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Prescription\Prescriber;
use PruningHook\Core\Schools\ChosenSchools;

/** A stretch of one plant's time, gathered for drawing: tasks, closures, bloom, visits and today. */
final readonly class PlantYear
{
    /**
     * @param  list<DueTask>  $tasks
     * @param  list<Closure>  $closed
     * @param  list<Span>  $bloom
     * @param  list<Day>  $visits
     * @param  list<string>  $faults  what could not be worked out, and why
     */
    public function __construct(
        public Span $span,
        public Day $today,
        public array $tasks,
        public array $closed,
        public array $bloom,
        public array $visits,
        public array $faults = [],
    ) {
    }

    /** @throws \PruningHook\Core\Fault when the kind is unknown */
    public static function gather(
        PlantBook $book,
        Plant $plant,
        SiteYears $years,
        ChosenSchools $practice,
        Day $today,
        Span $span,
    ): self {
        $kind = $book->kind($plant->kind);
        [$closed, $bloom, $faults] = self::nature($kind, $years->reaching($span->from, $span->to));

        return new self(
            $span,
            $today,
            Agenda::with($book)->between($plant, $years, $practice, $today, $span->from, $span->to),
            array_values(
                array_filter(
                    $closed,
                    static fn (Closure $closure): bool => $span->touches($closure->from, $closure->to),
                ),
            ),
            array_values(
                array_filter($bloom, static fn (Span $flowers): bool => $span->touches($flowers->from, $flowers->to)),
            ),
            [],
            $faults,
        );
    }

    /**
     * The same with the days of its visits.
     *
     * @param  list<Day>  $visits
     */
    public function visitedOn(array $visits): self
    {
        return new self(
            $this->span, $this->today, $this->tasks, $this->closed, $this->bloom,
            array_values(array_filter($visits, $this->span->holds(...))), $this->faults,
        );
    }

    /**
     * What a kind does of itself in some seasons: when it is closed, when it is in bloom, and what cannot be told.
     *
     * @param  list<SiteYear>  $seasons
     * @return array{list<Closure>, list<Span>, list<string>} closures, bloom, faults; each fault once
     */
    public static function nature(Kind $kind, array $seasons): array
    {
        $closed = [];
        $bloom = [];
        $faults = [];
        foreach ($seasons as $year) {
            try {
                $flowers = KindYear::of($year, $kind->phenology)->bloom();
                $bloom = $flowers === null ? $bloom : [...$bloom, $flowers];
            } catch (Fault $fault) {
                $faults[] = ucfirst($fault->getMessage()).'.';
            }
            foreach (Prescriber::closed($kind, $year) as $closure) {
                $closed[(string) $closure->from] = $closure;
            }
        }

        return [array_values($closed), $bloom, array_slice($faults, 0, 1)];
    }

    /** The same plant's time, narrowed to a stretch of it. */
    public function within(Span $span): self
    {
        return new self(
            $span,
            $this->today,
            array_values(
                array_filter(
                    $this->tasks,
                    static fn (DueTask $due): bool => $span->touches(
                        $due->task->window->opens,
                        $due->task->window->closes,
                    ),
                ),
            ),
            array_values(
                array_filter(
                    $this->closed,
                    static fn (Closure $closure): bool => $span->touches($closure->from, $closure->to),
                ),
            ),
            array_values(
                array_filter(
                    $this->bloom,
                    static fn (Span $flowers): bool => $span->touches($flowers->from, $flowers->to),
                ),
            ),
            array_values(array_filter($this->visits, $span->holds(...))),
            $this->faults,
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

        return array_values(
            array_filter(
                $this->tasks,
                static fn (DueTask $due): bool => $span->touches($due->task->window->opens, $due->task->window->closes),
            ),
        );
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
