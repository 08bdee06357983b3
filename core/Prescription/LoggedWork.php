<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription;

use PruningHook\Core\Calendar\Day;

/** One line of a plant's record, as far as it bears on what is prescribed next. */
final readonly class LoggedWork
{
    private function __construct(
        public string $task,
        public int $season,
        public Day $on,
        public Outcome $outcome,
        public ?int $minutes,
    ) {
    }

    public static function of(string $task, int $season, Day $on, Outcome $outcome, ?int $minutes): self
    {
        return new self($task, $season, $on, $outcome, $minutes);
    }
}
