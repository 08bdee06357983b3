<?php

declare(strict_types=1);

namespace PruningHook\Core\Weather;

use PruningHook\Core\Calendar\Anchor;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\KindYear;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\WinterClass;
use PruningHook\Core\PlantBook\Figure;
use PruningHook\Core\PlantBook\Figures;
use PruningHook\Core\PlantBook\Kind;

/**
 * Which kinds the warmth gathered so far brings to bloom, and when. The published sums come from a continental spring:
 * where winters are mild, plants flower long before them, and nothing is foretold.
 */
final readonly class Spring
{
    /** Degree days are counted from 1 January in the north: so long after midwinter. */
    private const COUNT_FROM = 11;

    private function __construct(
        private SiteYear $year,
        private Day $first,
        private Day $today,
    ) {
    }

    /** Null where sums of warmth tell nothing: in mild winters, and before any warmth is counted. */
    public static function at(SiteYear $year, Day $today): ?self
    {
        $first = $year->day(Anchor::Midwinter)->plus(self::COUNT_FROM);

        return $year->site->winter !== WinterClass::Cold || $today->isBefore($first)
            ? null
            : new self($year, $first, $today);
    }

    /** The day from which warmth is counted. */
    public function first(): Day
    {
        return $this->first;
    }

    /**
     * @param  iterable<Kind>  $kinds
     * @param  list<DayWeather>  $days  from the first counted day on, as far as it is known or forecast
     * @param  list<list<DayWeather>>  $past  of former years, from the day after on, as long as they tell of it
     * @return list<Warmth> the soonest first; kinds whose published sum does not fit the climate are left out
     */
    public function warmth(iterable $kinds, array $days, array $past, Figures $figures): array
    {
        $sum = GrowingDegreeDays::sum($days);
        $soFar = (int) round(GrowingDegreeDays::sum(
            array_slice($days, 0, $this->first->daysUntil($this->today) + 1),
        ));
        $known = $this->first->plus(count($days) - 1);
        $warmth = [];
        foreach ($kinds as $kind) {
            $needed = $kind->bloomDegreeDays;
            if ($needed === null) {
                continue;
            }
            $when = GrowingDegreeDays::reached($days, $needed)
                ?? GrowingDegreeDays::foretell($sum, $known, $past, $needed);
            $expected = KindYear::of($this->year, $kind->phenology)->day(Anchor::BloomStart);
            if ($when === null || abs($expected->daysUntil($when)) > $figures->number(Figure::WarmthFits)) {
                continue;
            }
            $over = ! $when->isAfter($this->today);
            $warmth[] = new Warmth($kind, $soFar, $needed, $over ? $when : null, $over ? null : $when);
        }
        usort($warmth, static fn (Warmth $a, Warmth $b): int => $a->needed <=> $b->needed);

        return $warmth;
    }
}
