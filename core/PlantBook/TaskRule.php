<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\Calendar\Window;
use PruningHook\Core\Plant\Circumstances;

/** One task of a kind's year, as the plant book knows it, before it meets a plant, a site and a school. */
final readonly class TaskRule
{
    /** @var list<string> */
    private array $questions;

    /**
     * @param  list<Conditional<string>>  $methods  keys of recipes; the first that holds is used
     * @param  list<Conditional<TaskWindow>>  $windows  the first that holds is used
     * @param  list<Conditional<AmountSpec>>  $amounts  all that hold are used
     * @param  array<string, Wording>  $steps  the kind's own word for steps of its recipes, by key
     * @param  list<string>  $cautions  keys of cautions that belong to this task
     */
    public function __construct(
        public string $key,
        public string $name,
        public Condition $when,
        public array $methods,
        public array $windows,
        public array $amounts,
        public array $steps,
        public EffortRates $effort,
        public ?PairedTask $pair,
        public ?OutsideWindow $early,
        public ?OutsideWindow $late,
        /** true where the cut sets the plant growing, so that it must not fall late in the season */
        public bool $stimulates,
        /** true where flowers are on the wood being cut */
        public bool $takesFloweringWood,
        public array $cautions,
        /** days after which it is done once more as long as its window is open; null where once is enough */
        public ?int $everyDays,
        /**
         * @var ?list<string> what the plant is given after this task; null where the kind's own follows a recipe that
         *     feeds
         */
        public ?array $aftercare = null,
    ) {
        $questions = $when->questions();
        foreach ([...$methods, ...$windows, ...$amounts] as $piece) {
            $questions = [...$questions, ...$piece->when->questions()];
        }
        foreach ($steps as $wording) {
            $questions = [...$questions, ...$wording->questions()];
        }
        $this->questions = array_values(array_unique($questions));
    }

    public function window(Circumstances $plant): ?TaskWindow
    {
        return Conditional::first($this->windows, $plant);
    }

    public function windowIn(KindYear $year, Circumstances $plant): ?Window
    {
        return $this->window($plant)?->rule->in($year);
    }

    public function method(Circumstances $plant): string
    {
        return Conditional::first($this->methods, $plant) ?? 'light-tidy';
    }

    /**
     * Every condition any piece of it hangs on.
     *
     * @return list<Condition>
     */
    public function conditions(): array
    {
        return [
            $this->when,
            ...array_map(static fn (Conditional $piece): Condition => $piece->when, [
                ...$this->methods,
                ...$this->windows,
                ...$this->amounts,
            ]),
            ...array_merge(
                ...array_values(array_map(static fn (Wording $wording): array => $wording->conditions(), $this->steps)),
            ),
        ];
    }

    /**
     * The questions of practice this task depends on.
     *
     * @return list<string>
     */
    public function questions(): array
    {
        return $this->questions;
    }
}
