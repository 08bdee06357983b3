<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription;

use ArrayObject;
use Closure;
use PruningHook\Core\Amount\Amount;
use PruningHook\Core\Amount\Budget;
use PruningHook\Core\Amount\Effect;
use PruningHook\Core\Calendar\Window;
use PruningHook\Core\Fault;
use PruningHook\Core\Method\Kit;
use PruningHook\Core\Reason;
use PruningHook\Core\Schools\Choice;
use PruningHook\Core\Working;

/**
 * What is to be done to one plant in one season, once: when, how, how much, how long, with what care, and why. What the
 * crew is told of it takes longest to work out, and is worked out when the first of it is read.
 *
 * @property-read list<string> $steps
 * @property-read list<Reason> $reasons
 * @property-read Kit $kit
 * @property-read list<Working> $workings how its numbers came about
 */
final readonly class Task
{
    /** @var ArrayObject<int, Told> one, as soon as it is worked out */
    private ArrayObject $told;

    /**
     * @param  string  $method  the recipe's name in words
     * @param  string  $methodKey  the recipe
     * @param  int  $rank  place in the order of work, low first
     * @param  ?string  $handsOff  why the crew leaves it to an arborist; null where it is theirs
     * @param  list<Choice>  $schools  the schools it depends on, as they are in force
     * @param  list<Amount>  $amounts
     * @param  list<string>  $cautions  at once: one that has no words is a fault, and never silence
     * @param  Closure(): Told  $tell
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
        public int $minutes,
        public array $cautions,
        public Budget $budget,
        private Closure $tell,
        public ?string $handsOff = null,
    ) {
        /** @var ArrayObject<int, Told> $told */
        $told = new ArrayObject;
        $this->told = $told;
    }

    public function __get(string $name): mixed
    {
        $told = $this->told[0] ??= ($this->tell)();

        return match ($name) {
            'steps' => $told->steps,
            'reasons' => $told->reasons,
            'kit' => $told->kit,
            'workings' => $told->workings,
            default => throw new Fault("a task has no \"$name\""),
        };
    }

    /** So that `??` sees it too. */
    public function __isset(string $name): bool
    {
        return in_array($name, ['steps', 'reasons', 'kit', 'workings'], true);
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
            static fn (Reason $reason): bool => in_array($reason->rule, TaskCase::WHEN, true),
        ));
    }

    /**
     * All that decides it; what the crew is told follows from this, from the plant and from the book.
     *
     * @return list<mixed>
     */
    public function facts(): array
    {
        return [
            $this->key, $this->methodKey, $this->season, $this->schools, $this->window, $this->amounts, $this->minutes,
            $this->cautions, $this->budget, $this->handsOff,
        ];
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
