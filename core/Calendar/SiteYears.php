<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

use ArrayObject;

/** A site through its seasons, with what was seen of each. */
final readonly class SiteYears
{
    /** Days before its midwinter in which a season's first windows open; a test holds the plant book to it. */
    public const REACH_BEFORE = 110;

    /** Days after the midwinter that ends it in which a season's last windows close. */
    public const REACH_AFTER = 30;

    /** @param  array<int, SeasonSeen>  $seen by season */
    private function __construct(
        public Site $site,
        private array $seen,
        /**
         * @var ArrayObject<int, SiteYear> seasons worked out so far: thousands of plants ask one site for the same few
         */
        private ArrayObject $known,
    ) {
    }

    /** @param  array<int, SeasonSeen>  $seen by season; seasons not named are average ones */
    public static function of(Site $site, array $seen = []): self
    {
        return new self($site, $seen, new ArrayObject);
    }

    public function season(int $season): SiteYear
    {
        return $this->known[$season] ??= SiteYear::of(
            $this->site, $season, $this->seen[$season] ?? null, $this->seen[$season - 1] ?? null,
        );
    }

    /**
     * The seasons whose windows can reach into the days from `$from` to `$to`. A window of a season opens no earlier
     * than `REACH_BEFORE` days before its midwinter and closes no later than `REACH_AFTER` after the next.
     *
     * @return list<SiteYear>
     */
    public function reaching(Day $from, Day $to): array
    {
        $first = $this->holding($from->minus(self::REACH_AFTER))->season;
        $last = $this->holding($to->plus(self::REACH_BEFORE))->season;

        return array_map($this->season(...), range($first, max($first, $last)));
    }

    /** The season whose year, from midwinter to midwinter, holds the day. */
    public function holding(Day $day): SiteYear
    {
        $season = SiteYear::seasonOn($this->site, $day);

        return $this->season($day->isBefore($this->site->hemisphere()->midwinterOf($season)) ? $season - 1 : $season);
    }
}
