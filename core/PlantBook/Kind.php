<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use PruningHook\Core\Calendar\Phenology;

/** What is known of a kind of plant. Lengths in millimetres. */
final readonly class Kind
{
    /**
     * @param  list<string>  $alsoCalled  other botanical and common names
     * @param  list<string>  $traits  of `thorny`, `dense` (birds nest in it), `opposite-buds`, `tied` (trained and
     *     tied),
     *     `grafted`
     * @param  ?array{int, int}  $growthMm  least and most growth before it flowers, where it flowers on new wood
     * @param  list<string>  $cautions
     * @param  list<ClosureRule>  $closures
     * @param  array<string, TaskRule>  $tasks  by key
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $botanical,
        public array $alsoCalled,
        public Habit $habit,
        public FloweringWood $wood,
        public Phenology $phenology,
        public array $traits,
        public int $typicalHeightMm,
        public ?array $growthMm,
        public ?int $lowestFrameworkMm,
        public ?int $usualCutMm,
        public array $cautions,
        public array $closures,
        public array $tasks,
        public string $about,
        public string $family,
        /** `weak`, `medium` or `strong` */
        public Vigour $vigour,
        /** how it answers a cut into old wood: `well`, `slowly` or `badly` */
        public HardCutting $hardCutting,
        /** growing degree days (base 50 F, from 1 January) at first bloom, where they are published */
        public ?int $bloomDegreeDays,
        /**
         * @var ?array{int, string} the share of its live growth that may go in a season, in per cent, and the source
         */
        public ?array $removalCap,
        /** @var array<string, string> aims it cannot serve, and why */
        public array $notFor,
        /** @var list<string> what it is given after the cut, with the dose */
        public array $aftercare,
        /** @var list<string> the forms it is trained to; `free` where it is left to itself */
        public array $forms,
    ) {
    }

    public function has(string $trait): bool
    {
        return in_array($trait, $this->traits, true);
    }

    /**
     * The questions of practice any of its tasks depends on.
     *
     * @return list<string>
     */
    public function questions(): array
    {
        $questions = [];
        foreach ($this->tasks as $task) {
            $questions = [...$questions, ...$task->questions()];
        }

        return array_values(array_unique($questions));
    }

    /**
     * Every name it answers to.
     *
     * @return list<string>
     */
    public function names(): array
    {
        return [$this->id, $this->name, $this->botanical, ...$this->alsoCalled];
    }
}
