<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription;

use PruningHook\Core\Amount\Amount;
use PruningHook\Core\Amount\Budget;
use PruningHook\Core\Amount\Effect;
use PruningHook\Core\Calendar\Window;
use PruningHook\Core\Method\Kit;
use PruningHook\Core\Practice\Choice;
use PruningHook\Core\Reason;
use PruningHook\Core\Working;

/** What is to be done to one plant in one season, once: when, how, how much, how long, with what care, and why. */
final readonly class Task
{
    /**
     * @param  string  $method  the recipe's name in words
     * @param  string  $methodKey  the recipe
     * @param  int  $rank  place in the order of work, low first
     * @param  ?string  $handsOff  why the crew leaves it to an arborist; null where it is theirs
     * @param  list<Choice>  $schools  the schools it depends on, as they are in force
     * @param  list<Amount>  $amounts
     * @param  list<string>  $steps
     * @param  list<string>  $cautions
     * @param  list<Reason>  $reasons
     * @param  list<Working>  $workings  how its numbers came about
     */
    public function __construct(
        public string $key,
        public string $name,
        public string $method,
        public string $methodKey,
        public int $rank,
        public int $season,
        public array $schools,
        public Window $window,
        public array $amounts,
        public array $steps,
        public int $minutes,
        public array $cautions,
        public array $reasons,
        public Kit $kit,
        public array $workings,
        public Budget $budget,
        public ?string $handsOff = null,
    ) {
    }

    /** The same task as planning sees it. */
    public function timed(): SeasonTask
    {
        return new SeasonTask(
            $this->key, $this->name, $this->methodKey, $this->season, $this->window, $this->minutes,
            $this->kit->people, $this->kit->skills, $this->handsOff,
        );
    }

    /** The first of its amounts with an effect, or null where it has no such. */
    public function amount(Effect $effect): ?Amount
    {
        return Amount::withEffect($this->amounts, $effect);
    }

    /** True where its amount follows from the height the flowers are wanted at. */
    public function isCutToFlower(): bool
    {
        return $this->amount(Effect::CutHeight) !== null;
    }

    /** True where its amount follows from the number of old stems. */
    public function countsOldStems(): bool
    {
        return ($this->amount(Effect::OldStemsOut) ?? $this->amount(Effect::StemsShare)) !== null;
    }

    /** The schools in force in one word each, or null where none bears on the task. */
    public function school(): ?string
    {
        return $this->schools === []
            ? null
            : implode(', ', array_map(static fn (Choice $choice): string => $choice->option, $this->schools));
    }

    /**
     * The reasons that speak of when, and not of how or how much.
     *
     * @return list<Reason>
     */
    public function whenReasons(): array
    {
        return array_values(array_filter(
            $this->reasons,
            static fn (Reason $reason): bool => in_array($reason->rule, Prescriber::WHEN, true),
        ));
    }

    public function snapshot(): Snapshot
    {
        return Snapshot::of($this);
    }

    /** @return array<string, mixed> the shape of docs/formats/prescription.schema.json */
    public function toArray(): array
    {
        return $this->snapshot()->toArray();
    }
}
