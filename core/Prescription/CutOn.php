<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription;

use PruningHook\Core\Amount\Budget;
use PruningHook\Core\Calendar\Closure;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\DayState;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\SiteYears;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Fault;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\OutsideWindow;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\PlantBook\TaskRule;
use PruningHook\Core\Prescription\Days\Consequence;
use PruningHook\Core\Prescription\Days\DayCase;
use PruningHook\Core\Prescription\Days\DayRule;
use PruningHook\Core\Prescription\Days\FlowerBudsLost;
use PruningHook\Core\Prescription\Days\Nesting;
use PruningHook\Core\Prescription\Days\NewlyPlanted;
use PruningHook\Core\Prescription\Days\OverBudget;
use PruningHook\Core\Prescription\Days\SeasonCase;
use PruningHook\Core\Prescription\Days\SwollenBuds;
use PruningHook\Core\Prescription\Days\TenderRegrowth;
use PruningHook\Core\Prescription\Days\WeatherAhead;
use PruningHook\Core\Reason;
use PruningHook\Core\Schools\ChosenSchools;
use PruningHook\Core\Weather\Forecast;

/**
 * Answers "what if we cut it on this day?": within a window, at what cost outside it, or not at all; and so for a whole
 * year.
 */
final readonly class CutOn
{
    private Prescriber $prescriber;

    /** @var list<DayRule> */
    private array $rules;

    private function __construct(private PlantBook $book)
    {
        $this->prescriber = Prescriber::with($book);
        $this->rules = [
            new FlowerBudsLost, new TenderRegrowth, new NewlyPlanted, new SwollenBuds, new OverBudget,
            new WeatherAhead, new Nesting,
        ];
    }

    public static function with(PlantBook $book): self
    {
        return new self($book);
    }

    /**
     * @param  ?Forecast  $forecast  the weather of the days ahead, where it is known
     *
     * @throws Fault when the kind is unknown or the plant not in the ground on that day
     */
    public function judge(
        Plant $plant,
        SiteYears $years,
        Day $day,
        ChosenSchools $practice,
        ?Forecast $forecast = null,
    ): CutVerdict {
        return $this->day(
            $this->season($plant, $years->holding($day), $practice),
            $this->tasks($plant, $years, Span::of($day, $day), $practice), $day, $forecast ?? Forecast::none(),
        );
    }

    /**
     * What each day of a stretch is to the plant, days alike taken together.
     *
     * @return list<DayRun> without a gap
     *
     * @throws Fault when the kind is unknown
     */
    public function through(
        Plant $plant,
        SiteYears $years,
        Span $span,
        ChosenSchools $practice,
        ?Forecast $forecast = null,
    ): array {
        $tasks = $this->tasks($plant, $years, $span, $practice);
        $forecast ??= Forecast::none();
        $runs = [];
        $run = null;
        foreach ($this->seasons($plant, $years, $span, $practice) as [$season, $part]) {
            // Between two turns every day is what the first of them is.
            foreach ($this->turns($season, $tasks, $part, $forecast) as $first => $last) {
                $verdict = $this->day($season, $tasks, Day::fromNumber($first), $forecast);
                if ($run === null || ! $run->goesOnWith($verdict)) {
                    $runs = $run === null ? [] : [...$runs, $run];
                    $run = DayRun::startedBy($verdict);
                }
                $run = $run->until(Day::fromNumber($last));
            }
        }

        return $run === null ? [] : [...$runs, $run];
    }

    /**
     * The seasons that share a stretch, each with its part of it.
     *
     * @return iterable<array{SeasonCase, Span}>
     */
    private function seasons(Plant $plant, SiteYears $years, Span $span, ChosenSchools $practice): iterable
    {
        for ($from = $span->from; ! $from->isAfter($span->to); $from = $to->plus(1)) {
            $year = $years->holding($from);
            $to = Day::earliest($span->to, $year->end()->minus(1));
            yield [$this->season($plant, $year, $practice), Span::of($from, $to)];
        }
    }

    /**
     * Stretches of a season within which nothing changes for the plant.
     *
     * @param  list<Task>  $tasks
     * @return array<int, int> first to last day of each, as days since 1970-01-01
     */
    private function turns(SeasonCase $season, array $tasks, Span $part, Forecast $forecast): array
    {
        $turns = [$part->from->number => true];
        $turn = static function (Day ...$days) use (&$turns, $part): void {
            foreach ($days as $day) {
                if ($part->holds($day)) {
                    $turns[$day->number] = true;
                }
            }
        };
        foreach ($tasks as $task) {
            $window = $task->window;
            $turn($window->opens, $window->bestFrom, $window->bestTo->plus(1), $window->closes->plus(1));
            // Half way from one closing to an opening "too late" becomes "too early".
            foreach ($tasks as $next) {
                $half = intdiv($window->closes->number + $next->window->opens->number, 2);
                $turn(Day::fromNumber($half), Day::fromNumber($half + 1));
            }
        }
        foreach ($season->closed as $closure) {
            $turn($closure->from, $closure->to->plus(1));
        }
        foreach ($this->rules as $rule) {
            $turn(...$rule->turns($season, $this->book->figures));
        }
        $turn(...$forecast->turns());
        $firsts = array_keys($turns);
        sort($firsts);
        $stretches = [];
        foreach ($firsts as $index => $first) {
            $stretches[$first] = ($firsts[$index + 1] ?? $part->to->number + 1) - 1;
        }

        return $stretches;
    }

    private function season(Plant $plant, SiteYear $season, ChosenSchools $practice): SeasonCase
    {
        $kind = $this->book->kind($plant->kind);
        $circumstances = Prescriber::circumstances($plant, $kind, $season, $practice, $this->book->keeping);

        return new SeasonCase(
            $plant,
            $kind,
            KindYear::of($season, $kind->phenology),
            KindYear::of($season->after(), $kind->phenology),
            $circumstances->yearInGround,
            array_values(
                array_filter($kind->tasks, static fn (TaskRule $rule): bool => $rule->when->holds($circumstances)),
            ),
            Prescriber::closed($kind, $season),
        );
    }

    /** @param  list<Task>  $tasks  of this season and those around it */
    private function day(SeasonCase $season, array $tasks, Day $day, Forecast $forecast): CutVerdict
    {
        $closed = self::closure($season->closed, $day);
        if ($closed !== null) {
            return new CutVerdict($day, DayState::Closed, [], [$closed], $this->next($tasks, $day));
        }
        $case = $this->dayCase($season, $tasks, $day, $forecast);
        $consequences = array_values(array_filter(array_map(
            static fn (DayRule $rule): ?Consequence => $rule->judge($case),
            $this->rules,
        )));
        $reasons = [];
        if ($case->isInWindow()) {
            $best = array_filter($case->open, static fn (Task $task): bool => $task->window->isBestOn($day));
            $state = $best === [] ? DayState::Open : DayState::Best;
            $reasons = array_merge(...array_map(static fn (Task $task): array => $task->whenReasons(), $case->open));
        } else {
            $state = DayState::AtACost;
            $consequences = [...$consequences, ...$this->besideTheWindow($season->kind, $tasks, $day)];
        }
        // What weighs most is said first.
        usort(
            $consequences,
            static fn (Consequence $a, Consequence $b): int => $b->state->severity() <=> $a->state->severity(),
        );
        foreach ($consequences as $consequence) {
            $state = $state->orWorse($consequence->state);
            $reasons[] = $consequence->reason;
        }
        if ($reasons === []) {
            $reasons[] = Reason::commonPractice(
                'Nothing to gain',
                'No task is open and none is near: the cut gains nothing.',
            );
        }

        return new CutVerdict(
            $day, $state, $case->open, $reasons, $case->isInWindow() ? null : $this->next($tasks, $day),
        );
    }

    /** @param  list<Task>  $tasks */
    private function dayCase(SeasonCase $season, array $tasks, Day $day, Forecast $forecast): DayCase
    {
        $open = array_values(array_filter($tasks, static fn (Task $task): bool => $task->window->contains($day)));
        [$cap, $source] = $open === []
            ? $this->book->caps->for($season->kind, null)
            : [$open[0]->budget->capPercent, $open[0]->budget->source];

        return new DayCase(
            $day, $season, $open, Budget::of($cap, $source, $season->plant->history, $season->year->site->season),
            $forecast, $this->book->figures,
        );
    }

    /**
     * The tasks of every season from the one before the stretch to the one after it.
     *
     * @return list<Task>
     */
    private function tasks(Plant $plant, SiteYears $years, Span $span, ChosenSchools $practice): array
    {
        $tasks = [];
        foreach (range($years->holding($span->from)->season - 1, $years->holding($span->to)->season + 1) as $season) {
            $year = $years->season($season);
            if ($plant->planted === null || ! $plant->planted->isAfter($year->end())) {
                $tasks = [...$tasks, ...$this->prescriber->prescribe($plant, $year, $practice)->tasks];
            }
        }

        return $tasks;
    }

    /** @param  list<Closure>  $closures */
    private static function closure(array $closures, Day $day): ?Reason
    {
        foreach ($closures as $closure) {
            if ($closure->contains($day)) {
                return self::closed($closure);
            }
        }

        return null;
    }

    private static function closed(Closure $closure): Reason
    {
        return new Reason($closure->name.' until '.$closure->to->inWords(), $closure->because, $closure->source);
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
            $said[] = $this->said(
                $kind->tasks[$late->key]->late, sprintf('Too late for %s', lcfirst($late->name)),
                'it closed on '.$late->window->closes->inWords(),
            );
        }
        if ($early !== null && (! $same || $until < $since)) {
            $said[] = $this->said(
                $kind->tasks[$early->key]->early, sprintf('Too early for %s', lcfirst($early->name)),
                'it opens on '.$early->window->opens->inWords(),
            );
        }

        return $said;
    }

    private function said(?OutsideWindow $outside, string $rule, string $when): Consequence
    {
        $reason = new Reason(
            $rule,
            rtrim($outside->because ?? 'Outside its window it gains nothing by the cut', '.')." ($when).",
            $outside->source ?? 'common practice',
        );

        return $outside?->closed === true ? Consequence::closed($reason) : Consequence::cost($reason);
    }

    /** @param  list<Task>  $tasks */
    private function next(array $tasks, Day $day): ?Task
    {
        $next = null;
        foreach ($tasks as $task) {
            if (
                $task->window->opens->isAfter($day)
                && ($next === null || $task->window->opens->isBefore($next->window->opens))
            ) {
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
            if (
                $task->window->closes->isBefore($day)
                && ($previous === null || $task->window->closes->isAfter($previous->window->closes))
            ) {
                $previous = $task;
            }
        }

        return $previous;
    }
}
