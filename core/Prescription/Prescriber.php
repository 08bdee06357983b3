<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription;

use PruningHook\Core\Calendar\Closure;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\Span;
use PruningHook\Core\Calendar\Window;
use PruningHook\Core\Effort\EffortRule;
use PruningHook\Core\Fault;
use PruningHook\Core\Method\Kit;
use PruningHook\Core\Method\Packing;
use PruningHook\Core\Method\Steps;
use PruningHook\Core\Plant\Circumstances;
use PruningHook\Core\Plant\Keeping;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\PlantBook\TaskRule;
use PruningHook\Core\PlantBook\TaskWindow;
use PruningHook\Core\Safety\HandsOff;
use PruningHook\Core\Schools\ChosenSchools;

/** The way in: a plant, its site's season and the practice in force give its prescription with reasons. */
final readonly class Prescriber
{
    private function __construct(private PlantBook $book)
    {
    }

    public static function with(PlantBook $book): self
    {
        return new self($book);
    }

    /**
     * @param  ChosenSchools  $practice  of firm and garden; the plant's own choices are laid on top here
     * @param  ?Span  $within  only the tasks whose windows touch these days; all of them where left out
     *
     * @throws Fault when the kind is unknown or the plant not in the ground in this season
     */
    public function prescribe(Plant $plant, SiteYear $year, ChosenSchools $practice, ?Span $within = null): Prescription
    {
        $kind = $this->book->kind($plant->kind);
        $kindYear = KindYear::of($year, $kind->phenology);
        $circumstances = self::circumstances($plant, $kind, $year, $practice, $this->book->keeping);
        $tasks = [];
        foreach (
            self::timed($kind, $kindYear, $circumstances, $plant->rootedFrom(), $within) as [$rule, $timing, $window]
        ) {
            $case = new TaskCase(
                $this->book, $rule, $timing, $window, $plant, $kind, $kindYear, $circumstances,
            );
            $tasks[] = $case->task();
        }

        return new Prescription(
            $plant->ref, $kind, $year->season, $tasks, self::closed($kind, $year),
            $plant->history === []
                ? []
                : FollowUps::with($this->book)->inFull($plant, $kind, $year, $circumstances),
        );
    }

    /**
     * The cheap way in: when each task falls, how long it takes and who can do it. The same tasks as `prescribe` gives,
     * with the same windows and minutes, without steps, amounts and reasons: most of a season's cost lies there.
     *
     * @param  ChosenSchools  $practice  of firm and garden
     * @param  ?Span  $within  only the tasks whose windows touch these days; all of them where left out
     * @return list<SeasonTask> by opening
     *
     * @throws Fault when the kind is unknown or the plant not in the ground in this season
     */
    public function windows(Plant $plant, SiteYear $year, ChosenSchools $practice, ?Span $within = null): array
    {
        $kind = $this->book->kind($plant->kind);
        $circumstances = self::circumstances($plant, $kind, $year, $practice, $this->book->keeping);
        $packing = Packing::with($this->book->figures);
        $tasks = [];
        foreach (
            self::timed(
                $kind, KindYear::of($year, $kind->phenology), $circumstances, $plant->rootedFrom(), $within,
            ) as [$rule, , $window]
        ) {
            $recipe = $this->book->recipes->get($rule->method($circumstances));
            $handsOff = HandsOff::of($plant, $kind, $recipe, $this->book->figures, $circumstances->yearInGround);
            if ($handsOff !== null) {
                $tasks[] = new SeasonTask(
                    $rule->key, $rule->name, $recipe->key, $year->season, $window, 0, 1, [Kit::ARBORIST],
                    $handsOff->why,
                );

                continue;
            }
            $tasks[] = new SeasonTask(
                $rule->key,
                $rule->name,
                $recipe->key,
                $year->season,
                $window,
                (new EffortRule($rule->effort, $this->book->keeping->hedgeTopMm))->alone(
                    $plant, $kind, $rule->key, TaskCase::factor($rule, $plant, $kind, $year->season, $this->book),
                ),
                $packing->people($plant, $kind, $rule, $recipe),
                $packing->skills($plant, $kind, $recipe),
            );
        }

        return $tasks;
    }

    /**
     * What the record asks for in a season, beside what the kind does.
     *
     * @return list<SeasonTask> by opening
     */
    public function followUps(Plant $plant, SiteYear $year, ChosenSchools $practice): array
    {
        if ($plant->history === []) {
            return [];
        }
        $kind = $this->book->kind($plant->kind);

        return FollowUps::with($this->book)->in(
            $plant, $kind, $year, self::circumstances($plant, $kind, $year, $practice, $this->book->keeping),
        );
    }

    /**
     * The tasks that hold for a plant in a season, each with its window there, by opening.
     *
     * @return list<array{TaskRule, TaskWindow, Window}>
     */
    private static function timed(
        Kind $kind,
        KindYear $year,
        Circumstances $circumstances,
        ?Day $rooted,
        ?Span $within,
    ): array {
        $timed = [];
        foreach ($kind->tasks as $rule) {
            $timing = $rule->when->holds($circumstances) ? $rule->window($circumstances) : null;
            $window = $timing?->rule->in($year);
            // What was over before it stood there is not its work.
            $before = $window !== null && $rooted !== null && $window->closes->isBefore($rooted);
            if (
                $timing !== null
                && $window !== null
                && ! $before
                && ($within === null || $within->touches($window->opens, $window->closes))
            ) {
                $timed[] = [$rule, $timing, $window];
            }
        }
        usort($timed, static fn (array $a, array $b): int => $a[2]->opens->number <=> $b[2]->opens->number);

        return $timed;
    }

    /** @throws Fault when the plant is not in the ground in this season */
    public static function circumstances(
        Plant $plant,
        Kind $kind,
        SiteYear $year,
        ChosenSchools $practice,
        Keeping $keeping,
    ): Circumstances {
        return new Circumstances(
            $year->site->winter,
            $practice->forPlant($plant->practice),
            $plant->yearInGround($year, $keeping),
            $plant->form,
            $plant->aims($year->season, $keeping),
            $plant->grafted ?? $kind->has('grafted'),
            $kind->traits,
            $year->site->region,
            $plant->upkeep($year->season, $keeping)?->value,
            $plant->state,
        );
    }

    /**
     * The closures of a season, and those of the next that begin before this one is over.
     *
     * @return list<Closure>
     */
    public static function closed(Kind $kind, SiteYear $year): array
    {
        if ($kind->closures === []) {
            return [];
        }
        $next = $year->after();
        $closed = [];
        foreach ($kind->closures as $rule) {
            if (! $rule->holdsIn($year->site->region)) {
                continue;
            }
            $closed[] = $rule->in(KindYear::of($year, $kind->phenology));
            $coming = $rule->in(KindYear::of($next, $kind->phenology));
            if ($coming->from->isBefore($year->end())) {
                $closed[] = $coming;
            }
        }

        return $closed;
    }
}
