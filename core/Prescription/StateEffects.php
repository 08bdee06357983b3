<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription;

use PruningHook\Core\Amount\Budget;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\PlantBook\Figure;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\PlantBook\Recipe;
use PruningHook\Core\PlantBook\StateNote;
use PruningHook\Core\PlantBook\TaskRule;
use PruningHook\Core\Reason;

/** What was seen of a plant and bears on one of its tasks: steps more, less that may go, more time, and why. */
final readonly class StateEffects
{
    /** @param  list<StateNote>  $notes */
    private function __construct(
        private array $notes,
        private Plant $plant,
        /** seasons in which the task was left out since it was last done */
        private int $leftOut,
        private float $leftOutTime,
    ) {
    }

    public static function of(Plant $plant, Kind $kind, TaskRule $rule, int $season, PlantBook $book): self
    {
        $state = $plant->state;
        $leftOutTime = $book->figures->number(Figure::LeftOutTime) / 100;
        if ($state->isPlain) {
            // Most plants: nothing was seen of them.
            return new self(
                [],
                $plant,
                $plant->history === [] ? 0 : self::leftOut($plant, $rule, $season),
                $leftOutTime,
            );
        }
        $upkeep = $plant->upkeep($season, $book->keeping);
        $disease = $state->disease === null ? null : $book->states->disease($state->disease);
        $keys = array_keys(
            array_filter([
                $upkeep->value ?? '' => $upkeep !== null,
                self::dieback(
                    $state->diebackPercent ?? 0,
                    $book->figures->number(Figure::DiebackHeavy),
                ) => ($state->diebackPercent ?? 0) > 0,
                'variegated' => $state->variegated,
                $state->stress->value ?? '' => $state->stress !== null,
                'container' => $state->container,
                'exposed' => $state->exposed,
                'one-side' => $state->sides === 1,
                'transplanted' => $state->transplanted !== null,
            ]),
        );

        return new self(
            [
                ...array_map($book->states->note(...), $keys),
                ...($disease !== null && $disease->takes($kind) ? [$disease->note] : []),
            ],
            $plant,
            self::leftOut($plant, $rule, $season),
            $leftOutTime,
        );
    }

    /** The season's budget: what was seen leaves less to go, but for a recipe that takes all there is by design. */
    public function budget(Kind $kind, Recipe $recipe, PlantBook $book, int $season): Budget
    {
        [$cap, $source] = $book->caps->for($kind, $recipe->key);
        $left = $recipe->cap === null ? min(
            [100, ...array_map(static fn (StateNote $note): int => $note->budgetPercent, $this->notes)],
        ) : 100;

        return Budget::of(intdiv($cap * $left, 100), $source, $this->plant->history, $season);
    }

    /** How many times the usual minutes it takes. */
    public function factor(): float
    {
        return max(
            1.0,
            $this->leftOut >= 2 ? $this->leftOutTime : 1.0,
            ...array_map(static fn (StateNote $note): float => $note->timePercent / 100, $this->notes),
        );
    }

    /** @return list<string> */
    public function steps(): array
    {
        $steps = [];
        foreach ($this->notes as $note) {
            if ($note->step !== null) {
                $steps[] = $this->filled($note->step);
            }
        }

        return $steps;
    }

    /** @return list<Reason> */
    public function reasons(): array
    {
        $reasons = array_map(
            fn (StateNote $note): Reason => new Reason('State', $this->filled($note->because), $note->source),
            $this->notes,
        );
        if ($this->leftOut >= 2) {
            $reasons[] = Reason::commonPractice(
                'Left out',
                sprintf(
                    'not done for %d seasons: it takes about %s times as long. Where it has grown out of hand, say '
                        .'that it is neglected',
                    $this->leftOut, rtrim(rtrim(number_format($this->leftOutTime, 1), '0'), '.'),
                ),
            );
        }
        if ($this->plant->state->cultivar !== null) {
            $reasons[] = Reason::commonPractice(
                'Cultivar',
                "of this cultivar: '{$this->plant->state->cultivar}'. Look at its label for what it does otherwise "
                    .'than its kind',
            );
        }

        return $reasons;
    }

    private static function dieback(int $percent, int $heavy): string
    {
        return match (true) {
            $percent >= 100 => 'dead',
            $percent >= $heavy => 'dieback-heavy',
            default => 'dieback',
        };
    }

    /** An empty record accuses nobody: only what was done once can have been left out since. */
    private static function leftOut(Plant $plant, TaskRule $rule, int $season): int
    {
        $last = null;
        foreach ($plant->history as $work) {
            if ($work->task === $rule->key && $work->outcome->isSomething() && $work->season < $season) {
                $last = max($last ?? 0, $work->season);
            }
        }

        return $last === null ? 0 : $season - $last - 1;
    }

    private function filled(string $says): string
    {
        $moved = $this->plant->state->transplanted;

        return strtr($says, [
            '{dieback}' => ($this->plant->state->diebackPercent ?? 0).' %',
            '{transplanted}' => $moved === null ? '' : $moved->inWords().' '.$moved->year(),
        ]);
    }
}
