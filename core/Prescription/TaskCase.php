<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription;

use Closure;
use PruningHook\Core\Amount\Amount;
use PruningHook\Core\Amount\AmountCase;
use PruningHook\Core\Amount\AmountRules;
use PruningHook\Core\Amount\Amounts;
use PruningHook\Core\Amount\Budget;
use PruningHook\Core\Amount\TargetSize;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\Calendar\Window;
use PruningHook\Core\Effort\EffortRule;
use PruningHook\Core\Method\Kit;
use PruningHook\Core\Method\Packing;
use PruningHook\Core\Method\Steps;
use PruningHook\Core\Plant\Circumstances;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\Conditional;
use PruningHook\Core\PlantBook\HardCutting;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\PlantBook\Recipe;
use PruningHook\Core\PlantBook\TaskRule;
use PruningHook\Core\PlantBook\TaskWindow;
use PruningHook\Core\Reason;
use PruningHook\Core\Safety\Cautions;
use PruningHook\Core\Safety\HandsOff;
use PruningHook\Core\Schools\Choice;

/** One task of one plant in one season, and all that bears on it: what the crew is told follows from this alone. */
final readonly class TaskCase
{
    /** The rules whose reasons say when. */
    public const WHEN = ['Window', 'Moved by this season', 'Missed pass'];

    public function __construct(
        private PlantBook $book,
        private TaskRule $rule,
        private TaskWindow $timing,
        private Window $window,
        private Plant $plant,
        private Kind $kind,
        private KindYear $year,
        private Circumstances $circumstances,
    ) {
    }

    public function task(): Task
    {
        $season = $this->year->site->season;
        $recipe = $this->book->recipes->get($this->rule->method($this->circumstances));
        $effects = StateEffects::of($this->plant, $this->kind, $this->rule, $season, $this->book);
        $budget = $effects->budget($this->kind, $recipe, $this->book, $season);
        $case = new AmountCase($this->plant, $this->kind, $season, $recipe->key, $budget);
        $handsOff = HandsOff::of(
            $this->plant, $this->kind, $recipe, $this->book->figures, $this->circumstances->yearInGround,
        );

        return $handsOff === null
            ? $this->forCrew($recipe, $effects, $case)
            : $this->forArborist($recipe, $case, $handsOff);
    }

    /** How many times as long it takes: because a pass was missed, or because of what was seen of the plant. */
    public static function factor(TaskRule $rule, Plant $plant, Kind $kind, int $season, PlantBook $book): float
    {
        // Most plants of a season's list: nothing was seen of them, and nothing is on record.
        return $plant->history === [] && $plant->state->isPlain ? 1.0 : max(
            self::missedPass($rule, $plant, $kind, $season)->factor ?? 1.0,
            StateEffects::of($plant, $kind, $rule, $season, $book)->factor(),
        );
    }

    /** It has no steps and minutes of the crew's, only what to ask for. */
    private function forArborist(Recipe $recipe, AmountCase $case, HandsOff $handsOff): Task
    {
        $amounts = $this->amounts($case)->amounts;

        return $this->made($recipe, $case->budget, [], 0, $handsOff, fn (): Told => new Told(
            $handsOff->steps($recipe, $this->window, $amounts), [$handsOff->reason(), $this->when()], Kit::none(), [],
        ));
    }

    private function forCrew(Recipe $recipe, StateEffects $effects, AmountCase $case): Task
    {
        $answer = $this->amounts($case);
        $missed = self::missedPass($this->rule, $this->plant, $this->kind, $case->season);
        $effort = (new EffortRule($this->rule->effort, $this->book->keeping->hedgeTopMm))->minutes(
            $this->plant, $this->kind, $this->rule->key, max($missed->factor ?? 1.0, $effects->factor()),
        );
        [$line, $held, $lineBecause] = $recipe->holdsLine
            ? (new TargetSize($this->book->figures->growing($this->kind)->extensionMm))->for($case)
            : [[], [], []];
        $amounts = [...$answer->amounts, ...$line];
        $tell = function () use (
            $recipe, $effects, $case, $answer, $missed, $effort, $held, $lineBecause, $amounts,
        ): Told {
            $packing = Packing::with($this->book->figures);
            [$litres, $debris] = $packing->debris(
                $this->plant, $this->kind, $recipe, $amounts, $case->budget->capPercent,
            );

            return new Told(
                Steps::for($recipe, $this->rule, $this->plant, $this->circumstances, $amounts, [
                    ...$missed === null ? [] : [$missed->step], ...$effects->steps(), ...$held,
                ]),
                [
                    ...$this->because($effects), ...$answer->reasons, ...$lineBecause,
                    ...($missed === null ? [] : [$missed->reason]), $effort->reason, $case->budget->reason(),
                ],
                $packing->for($this->plant, $this->kind, $this->rule, $recipe, $this->circumstances, $litres),
                [...$answer->workings, $effort->working, $case->budget->working(), $debris],
            );
        };

        return $this->made($recipe, $case->budget, $amounts, $effort->minutes, null, $tell);
    }

    /**
     * @param  list<Amount>  $amounts
     * @param  Closure(): Told  $tell  made only where it is read
     */
    private function made(
        Recipe $recipe,
        Budget $budget,
        array $amounts,
        int $minutes,
        ?HandsOff $handsOff,
        Closure $tell,
    ): Task {
        $cautions = Cautions::from($this->book->cautions, $this->book->figures)->for(
            $this->kind, $this->plant, $this->rule, $this->window, $this->year->site,
            $handsOff === null && ! $recipe->low,
        );

        return new Task(
            $this->rule->key, $this->rule->name, $recipe->name, $recipe->key, $recipe->rank,
            $this->year->site->season, $this->schools(), $this->window, $amounts, $minutes, $cautions, $budget, $tell,
            $handsOff?->why,
        );
    }

    /** @return list<Choice> */
    private function schools(): array
    {
        return array_map(fn (string $key): Choice => $this->circumstances->choice($key), $this->rule->questions());
    }

    private function when(): Reason
    {
        $timing = $this->timing;

        return new Reason(self::WHEN[0], $timing->because.' ('.$timing->rule->inWords.')', $timing->source);
    }

    /** @return list<Reason> what does not follow from amounts, minutes and budget */
    private function because(StateEffects $effects): array
    {
        return [
            new Reason(
                'Wood', ucfirst($this->kind->name).' '.$this->kind->wood->inWords().'.', $this->timing->source,
            ),
            $this->when(),
            ...$this->moved(),
            ...$this->age(),
            ...$effects->reasons(),
            ...$this->aim(),
            ...array_map(static fn (Choice $choice): Reason => $choice->reason(), $this->schools()),
        ];
    }

    private function amounts(AmountCase $case): Amounts
    {
        $amounts = Amounts::of([]);
        foreach (Conditional::holding($this->rule->amounts, $this->circumstances) as $spec) {
            $amounts = $amounts->and(AmountRules::of($spec)->for($case));
        }

        return $amounts;
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
    private function moved(): array
    {
        [$window, $year] = [$this->window, $this->year];
        if ($year->site->isAverage()) {
            return [];
        }
        $usual = $this->timing->rule->in(KindYear::of($year->site->average(), $this->kind->phenology));
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
    private function aim(): array
    {
        $aim = $this->plant->aims($this->year->site->season, $this->book->keeping);
        if (! in_array($aim, ['renewal', 'clear-stem'], true)) {
            return [];
        }
        foreach ($this->kind->tasks as $task) {
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
                        $this->kind->hardCutting === HardCutting::Badly
                            ? 'it responds poorly to hard pruning, so an old one is replaced'
                            : 'its usual cut renews it as far as it can be',
                    )
                    : 'the aim clear stem changes nothing here: it is not grown on a stem',
            ),
        ];
    }

    /** @return list<Reason> */
    private function age(): array
    {
        $year = $this->circumstances->yearInGround;
        if ($year === null || $this->plant->rootedFrom() === null || $year > 5) {
            return [];
        }

        return [Reason::commonPractice('Young plant', sprintf(
            '%s on %s, so this is season %d in the ground%s',
            $this->plant->state->transplanted === null ? 'planted' : 'moved',
            $this->plant->rootedFrom(),
            $year,
            $year === 1 ? ': only dead, damaged and broken wood and spent heads come off; shaping waits a year' : '',
        ))];
    }
}
