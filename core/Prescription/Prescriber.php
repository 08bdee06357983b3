<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription;

use PruningHook\Core\Amount\Amount;
use PruningHook\Core\Amount\AmountCase;
use PruningHook\Core\Amount\AmountRules;
use PruningHook\Core\Amount\TargetSize;
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
use PruningHook\Core\PlantBook\Conditional;
use PruningHook\Core\PlantBook\HardCutting;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\PlantBook\TaskRule;
use PruningHook\Core\PlantBook\TaskWindow;
use PruningHook\Core\Reason;
use PruningHook\Core\Safety\Cautions;
use PruningHook\Core\Safety\HandsOff;
use PruningHook\Core\Schools\Choice;
use PruningHook\Core\Schools\ChosenSchools;
use PruningHook\Core\Working;

/** The way in: a plant, its site's season and the practice in force give its prescription with reasons. */
final readonly class Prescriber
{
    /** The rules whose reasons say when. */
    public const WHEN = ['Window', 'Moved by this season', 'Missed pass'];

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
            $tasks[] = $this->task($rule, $timing, $window, $plant, $kind, $kindYear, $circumstances);
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
                    $plant, $kind, $rule->key, $this->factor($rule, $plant, $kind, $year->season),
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

    private function task(
        TaskRule $rule,
        TaskWindow $timing,
        Window $window,
        Plant $plant,
        Kind $kind,
        KindYear $year,
        Circumstances $circumstances,
    ): Task {
        $recipe = $this->book->recipes->get($rule->method($circumstances));
        $season = $year->site->season;
        $standing = StateEffects::of($plant, $kind, $rule, $season, $this->book);
        $budget = $standing->budget($kind, $recipe, $this->book, $season);
        $case = new AmountCase($plant, $kind, $season, $recipe->key, $budget);
        [$amounts, $because, $workings] = self::amounts($rule, $case, $circumstances);
        $schools = array_map(static fn (string $key): Choice => $circumstances->choice($key), $rule->questions());
        $handsOff = HandsOff::of($plant, $kind, $recipe, $this->book->figures, $circumstances->yearInGround);
        $cautions = Cautions::from($this->book->cautions, $this->book->figures)->for(
            $kind, $plant, $rule, $window, $year->site, $recipe, $handsOff,
        );
        $when = static fn (): Reason => Reason::of(
            self::WHEN[0], $timing->because.' ('.$timing->rule->inWords.')', $timing->source,
        );
        if ($handsOff !== null) {
            return new Task(
                $rule->key, $rule->name, $recipe->name, $recipe->key, $recipe->rank, $season, $schools, $window, [], 0,
                $cautions, $budget, static fn (): Told => new Told(
                    $handsOff->steps($recipe, $window, $amounts), [$handsOff->reason(), $when()], Kit::none(), [],
                ), $handsOff->why,
            );
        }
        $missed = self::missedPass($rule, $plant, $kind, $season);
        $effort = (new EffortRule($rule->effort, $this->book->keeping->hedgeTopMm))->minutes(
            $plant, $kind, $rule->key, max($missed->factor ?? 1.0, $standing->factor()),
        );
        [$line, $held, $lineBecause] = $recipe->holdsLine
            ? (new TargetSize($this->book->figures->growing($kind)->extensionMm))->for($case)
            : [[], [], []];
        $amounts = [...$amounts, ...$line];

        $tell = function () use (
            $rule, $timing, $window, $plant, $kind, $year, $circumstances, $recipe, $standing, $budget, $amounts,
            $because, $workings, $schools, $when, $missed, $effort, $held, $lineBecause,
        ): Told {
            $packing = Packing::with($this->book->figures);
            [$litres, $debris] = $packing->debris($plant, $kind, $recipe, $amounts, $budget->capPercent);

            return new Told(
                Steps::for($recipe, $rule, $plant, $circumstances, $amounts, [
                    ...$missed === null ? [] : [$missed->step],
                    ...$standing->steps(),
                    ...$held,
                ]),
                [
                    Reason::of('Wood', ucfirst($kind->name).' '.$kind->wood->inWords().'.', $timing->source),
                    $when(),
                    ...self::moved($window, $timing, $kind, $year),
                    ...self::age($plant, $circumstances),
                    ...$standing->reasons(),
                    ...self::aim($plant->aims($year->site->season, $this->book->keeping), $kind),
                    ...array_map(static fn (Choice $choice): Reason => $choice->reason(), $schools),
                    ...$because,
                    ...$lineBecause,
                    ...($missed === null ? [] : [$missed->reason]),
                    $effort->reason,
                    $budget->reason(),
                ],
                $packing->for($plant, $kind, $rule, $recipe, $circumstances, $litres),
                [...$workings, $effort->working, $budget->working(), $debris],
            );
        };

        return new Task(
            $rule->key, $rule->name, $recipe->name, $recipe->key, $recipe->rank, $season, $schools, $window, $amounts,
            $effort->minutes, $cautions, $budget, $tell,
        );
    }

    /** How many times as long it takes: because a pass was missed, or because of what was seen of the plant. */
    private function factor(TaskRule $rule, Plant $plant, Kind $kind, int $season): float
    {
        // Most plants of a season's list: nothing was seen of them, and nothing is on record.
        return $plant->history === [] && $plant->state->isPlain ? 1.0 : max(
            self::missedPass($rule, $plant, $kind, $season)->factor ?? 1.0,
            StateEffects::of($plant, $kind, $rule, $season, $this->book)->factor(),
        );
    }

    /** @return array{list<Amount>, list<Reason>, list<Working>} */
    private static function amounts(TaskRule $rule, AmountCase $case, Circumstances $circumstances): array
    {
        $amounts = [];
        $reasons = [];
        $workings = [];
        foreach (Conditional::holding($rule->amounts, $circumstances) as $spec) {
            $answer = AmountRules::of($spec)->for($case);
            $amounts = [...$amounts, ...$answer->amounts];
            $reasons = [...$reasons, ...$answer->reasons];
            $workings = [...$workings, ...$answer->workings];
        }

        return [$amounts, $reasons, $workings];
    }

    /** The other pass of the pair, where the record shows that it was not done. An empty record accuses nobody. */
    private static function missedPass(TaskRule $rule, Plant $plant, Kind $kind, int $season): ?MissedPass
    {
        if ($rule->pair === null) {
            return null;
        }
        $of = $rule->pair->seasonBefore ? $season - 1 : $season;
        $other = $plant->logged($rule->pair->task, $of);
        if ($other?->outcome->isDone() === true || ($other === null && ! $plant->hasRecordOf($of))) {
            return null;
        }

        return MissedPass::of($rule->pair, $kind->tasks[$rule->pair->task]->name, $of, $other);
    }

    /**
     * Where this season's signs have moved the window: by how much, and from what.
     *
     * @return list<Reason>
     */
    private static function moved(Window $window, TaskWindow $timing, Kind $kind, KindYear $year): array
    {
        if ($year->site->isAverage()) {
            return [];
        }
        $usual = $timing->rule->in(KindYear::of($year->site->average(), $kind->phenology));
        $late = $usual->bestFrom->daysUntil($window->bestFrom);
        if ($late === 0 && $usual->bestTo->equals($window->bestTo)) {
            return [];
        }

        return [
            Reason::commonPractice(
                self::WHEN[1],
                sprintf(
                    'best from %s to %s instead of %s to %s, seen from: %s', $window->bestFrom->inWords(),
                    $window->bestTo->inWords(), $usual->bestFrom->inWords(), $usual->bestTo->inWords(),
                    implode(
                        '; ',
                        array_diff(
                            [$year->site->before()->seen->autumn->inWords(), $year->site->seen->inWords()],
                            [''],
                        ),
                    ),
                ),
            ),
        ];
    }

    /**
     * What somebody aims at that no task of the kind takes account of: said, and never silently passed over.
     *
     * @return list<Reason>
     */
    private static function aim(?string $aim, Kind $kind): array
    {
        if (! in_array($aim, ['renewal', 'clear-stem'], true)) {
            return [];
        }
        foreach ($kind->tasks as $task) {
            foreach ($task->conditions() as $condition) {
                if (in_array($aim, $condition->looksAt()['aim'] ?? [], true)) {
                    return [];
                }
            }
        }

        return [
            Reason::commonPractice(
                'Aim',
                $aim === 'renewal'
                    ? sprintf(
                        'the aim renewal changes nothing here: %s',
                        $kind->hardCutting === HardCutting::Badly
                            ? 'it responds poorly to hard pruning, so an old one is replaced'
                            : 'its usual cut renews it as far as it can be',
                    )
                    : 'the aim clear stem changes nothing here: it is not grown on a stem',
            ),
        ];
    }

    /** @return list<Reason> */
    private static function age(Plant $plant, Circumstances $circumstances): array
    {
        $year = $circumstances->yearInGround;
        if ($year === null || $plant->rootedFrom() === null || $year > 5) {
            return [];
        }

        return [Reason::commonPractice('Young plant', sprintf(
            '%s on %s, so this is season %d in the ground%s',
            $plant->state->transplanted === null ? 'planted' : 'moved',
            $plant->rootedFrom(),
            $year,
            $year === 1 ? ': only dead, damaged and broken wood and spent heads come off; shaping waits a year' : '',
        ))];
    }
}
