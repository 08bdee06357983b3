<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Fault;

/** Where work is done. */
final readonly class Garden
{
    /**
     * @param  ?Place  $place  null where nobody has said: then every way to it takes the firm's usual minutes
     * @param  int  $setUp  minutes of each visit before and after the work
     * @param  list<int>  $closed  weekdays on which nobody may come, 1 for Monday
     * @param  list<Day>  $off  single days on which nobody may come, or the weather lets nobody work
     * @param  list<int>  $wished  weekdays its client asked for; none where any will do
     *
     * @throws Fault with a set-up below nothing
     */
    public function __construct(
        public string $ref,
        public ?Place $place,
        public int $setUp = 0,
        public array $closed = [],
        public array $off = [],
        public array $wished = [],
    ) {
        if ($setUp < 0) {
            throw new Fault('set-up takes no less than nothing');
        }
    }

    /** True where its client asked for other weekdays. */
    public function isUnasked(Day $day): bool
    {
        return $this->wished !== [] && ! in_array($day->weekday(), $this->wished, true);
    }

    public function isShut(Day $day): bool
    {
        return in_array($day->weekday(), $this->closed, true)
            || in_array($day->number, array_map(static fn (Day $off): int => $off->number, $this->off), true);
    }
}
