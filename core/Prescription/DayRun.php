<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\DayState;
use PruningHook\Core\Reason;

/** Days in a row, first and last included, that mean the same to a plant for the same reasons. */
final readonly class DayRun
{
    /**
     * @param  list<string>  $tasks  names of the tasks whose windows hold them
     * @param  list<Reason>  $reasons
     */
    private function __construct(
        public Day $from,
        public Day $to,
        public DayState $state,
        public array $tasks,
        public array $reasons,
    ) {
    }

    public static function startedBy(CutVerdict $verdict): self
    {
        return new self($verdict->day, $verdict->day, $verdict->state, self::names($verdict), $verdict->reasons);
    }

    public function goesOnWith(CutVerdict $verdict): bool
    {
        return $this->state === $verdict->state
            && $this->tasks === self::names($verdict)
            && self::rules($this->reasons) === self::rules($verdict->reasons);
    }

    public function until(Day $day): self
    {
        return new self($this->from, $day, $this->state, $this->tasks, $this->reasons);
    }

    /** "Closed from 8 September to 10 November: late-season stop" */
    public function inWords(): string
    {
        return sprintf(
            '%s from %s to %s: %s', ucfirst($this->state->inWords()), $this->from->inWords(), $this->to->inWords(),
            $this->why(),
        );
    }

    /** The tasks, or the rules that speak, in a few words. */
    public function why(): string
    {
        $said =
            $this->tasks === []
                ? self::rules($this->reasons)
                : [...$this->tasks, ...array_diff(self::rules($this->reasons), TaskCase::WHEN)];

        return lcfirst(implode('; ', array_map(lcfirst(...), array_values(array_unique($said)))));
    }

    /** @return list<string> */
    private static function names(CutVerdict $verdict): array
    {
        return array_map(static fn (Task $task): string => $task->name, $verdict->tasks);
    }

    /**
     * @param  list<Reason>  $reasons
     * @return list<string>
     */
    private static function rules(array $reasons): array
    {
        return array_map(static fn (Reason $reason): string => $reason->rule, $reasons);
    }
}
