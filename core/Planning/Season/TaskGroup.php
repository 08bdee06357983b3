<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

/**
 * Tasks of one garden with one window that go together: moved as one, so that forty roses are not moved forty times.
 * Days are counted from the beginning of the horizon.
 */
final readonly class TaskGroup
{
    /**
     * @param  list<int>  $tasks  their places in the brief
     * @param  int  $garden  its place in the brief
     * @param  int  $opens  the first day possible within the horizon, and `$closes` the last; none where it is later
     * @param  int  $bestFrom  also before the horizon or after it, as `$bestTo`
     * @param  float  $weight  of all of them
     * @param  list<int>  $crews  places of those that can do it
     * @param  int  $people  who must be there at once
     * @param  ?int  $pinned  the crew day it stands on and may not leave
     */
    public function __construct(
        public array $tasks,
        public int $garden,
        public int $opens,
        public int $bestFrom,
        public int $bestTo,
        public int $closes,
        public int $minutes,
        public float $weight,
        public array $crews,
        public int $people,
        public ?int $pinned,
    ) {
    }

    /** What lying on a day costs. */
    public function outside(int $day): float
    {
        return Price::OUTSIDE_BEST * $this->weight * max(0, $this->bestFrom - $day, $day - $this->bestTo);
    }

    /** What leaving it out costs. */
    public function leftOut(): float
    {
        return Price::LEFT_OUT * $this->weight;
    }
}
