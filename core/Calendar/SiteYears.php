<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

/** A site through its seasons, with the springs that were seen to come early or late. */
final readonly class SiteYears
{
    /** @param  array<int, Spring>  $springs by season */
    private function __construct(
        public Site $site,
        private array $springs,
    ) {
    }

    /** @param  array<int, Spring>  $springs by season; seasons not named have an average one */
    public static function of(Site $site, array $springs = []): self
    {
        return new self($site, $springs);
    }

    public function season(int $season): SiteYear
    {
        return SiteYear::of($this->site, $season, $this->springs[$season] ?? null);
    }

    /** The season whose year, from midwinter to midwinter, holds the day. */
    public function holding(Day $day): SiteYear
    {
        $season = SiteYear::seasonOn($this->site, $day);

        return $this->season($day->isBefore($this->site->hemisphere()->midwinterOf($season)) ? $season - 1 : $season);
    }
}
