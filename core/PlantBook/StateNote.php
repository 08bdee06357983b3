<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use PruningHook\Core\Fault;

/** What follows from something that was seen of a plant: a step, less that may go, more time, and why. */
final readonly class StateNote
{
    /**
     * @param  ?string  $step  told once the plant is clean
     * @param  int  $budgetPercent  how much of the usual cap is left
     * @param  int  $timePercent  of the usual minutes
     */
    public function __construct(
        public ?string $step,
        public int $budgetPercent,
        public int $timePercent,
        public string $because,
        public string $source,
    ) {
    }

    /** @throws Fault naming the place in the entry */
    public static function fromEntry(Entry $entry, Sources $sources, string $because): self
    {
        return new self(
            $entry->has('step') ? $entry->string('step') : null,
            $entry->int('budget') ?? 100,
            $entry->int('time') ?? 100,
            $because,
            $entry->has('source') ? $entry->parsed('source', $sources->quote(...)) : $sources->quote(Sources::COMMON),
        );
    }
}
