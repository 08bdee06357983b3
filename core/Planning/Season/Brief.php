<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

use PruningHook\Core\Calendar\Span;

/** All that a plan is made from. What contradicts itself is told by `BriefFaults`, not here. */
final readonly class Brief
{
    /**
     * @param  ?Place  $depot  where crew days begin and end; null where every way from it takes the usual minutes
     * @param  list<Crew>  $crews
     * @param  list<Garden>  $gardens
     * @param  list<Work>  $tasks
     * @param  list<Visit>  $fixed  visits that stand, with at least these tasks, whatever their windows say
     * @param  int  $usualTravel  minutes to and from what has no place
     * @param  list<Visit>  $present  the plan that is in force, where little should move
     * @param  int  $stay  minutes that moving a whole visit of the present plan must be worth
     */
    public function __construct(
        public Span $horizon,
        public ?Place $depot,
        public array $crews,
        public array $gardens,
        public array $tasks,
        public array $fixed = [],
        public int $usualTravel = 20,
        public array $present = [],
        public int $stay = 0,
    ) {
    }

    /** Minutes from one place to another, or the usual ones where either is not known. */
    public function way(?Place $from, ?Place $to): int
    {
        return $from === null || $to === null ? $this->usualTravel : Price::travel($from, $to);
    }
}
