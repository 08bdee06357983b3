<?php

declare(strict_types=1);

namespace PruningHook\Core\Plant;

use PruningHook\Core\Calendar\Day;

/** One line of a plant's record, as far as it bears on what is prescribed next. */
final readonly class LoggedWork
{
    /** The recipe of what only looks after an earlier cut. */
    public const FOLLOW_UP = 'follow-up';

    /** Days, its own included, over which rain waters it in. */
    public const RAIN_DAYS = 3;

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
        /** mm of rain that came on its day and the two after it; null where that is not known, or not yet */
        public ?int $rainMm = null,
    ) {
    }

    /** True where nothing was pruned: somebody came back and looked. */
    public function isFollowUp(): bool
    {
        return $this->recipe === self::FOLLOW_UP;
    }
}
