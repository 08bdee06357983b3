<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

/** One sign of a season, and how late it came where it was seen. */
final readonly class Sign
{
    /**
     * @param  int  $lateDays  against the usual day at its own site; negative where it came early
     * @param  ?string  $at  the neighbour's name; null where it was seen at the site itself
     */
    public function __construct(
        public Observation $seen,
        public int $lateDays,
        public ?string $at,
    ) {
    }

    /** "plum bloom at Weir House on 14 March, 6 days early" */
    public function inWords(): string
    {
        return sprintf(
            '%s%s on %s, %s', str_replace('-', ' ', $this->seen->event), $this->at === null ? '' : " at $this->at",
            $this->seen->on->inWords(), SeasonReader::late($this->lateDays),
        );
    }
}
