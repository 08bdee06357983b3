<?php

declare(strict_types=1);

namespace PruningHook\Core\Plant;

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
        /** live growth that came off, in per cent of what stood there; null where nobody said */
        public ?int $removedPercent,
        /** true where a nest was found */
        public bool $nest,
        /** the recipe it was done by, where the record says */
        public ?string $recipe,
        /** what came off, where the record says */
        public ?Taken $taken,
    ) {
    }

    public static function of(string $task, int $season, Day $on, Outcome $outcome, ?int $minutes, ?int $removedPercent = null, bool $nest = false, ?string $recipe = null, ?Taken $taken = null): self
    {
        return new self($task, $season, $on, $outcome, $minutes, $removedPercent, $nest, $recipe, $taken);
    }
}
