<?php

declare(strict_types=1);

namespace PruningHook\Core\Plant;

use PruningHook\Core\Calendar\Day;

/** One line of a plant's record, as far as it bears on what is prescribed next. */
final readonly class LoggedWork
{
    /** The recipe of what only looks after an earlier cut. */
    public const FOLLOW_UP = 'follow-up';

    public function __construct(
        public string $task,
        public int $season,
        public Day $on,
        public Outcome $outcome,
        public ?int $minutes,
        /** live growth that came off, in per cent of what stood there; null where nobody said */
        public ?int $removedPercent = null,
        /** true where a nest was found */
        public bool $nest = false,
        /** the recipe it was done by, where the record says */
        public ?string $recipe = null,
        /** what came off, where the record says */
        public ?Taken $taken = null,
        /** true where disease was found on the plant */
        public bool $diseased = false,
    ) {
    }

    /** True where nothing was pruned: somebody came back and looked. */
    public function isFollowUp(): bool
    {
        return $this->recipe === self::FOLLOW_UP;
    }
}
