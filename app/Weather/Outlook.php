<?php

declare(strict_types=1);

namespace App\Weather;

use PruningHook\Core\Calendar\Anchor;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Calendar\WinterClass;
use PruningHook\Core\PlantBook\Figure;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Weather\Advice;
use PruningHook\Core\Weather\DayWeather;
use PruningHook\Core\Weather\Forecast;
use PruningHook\Core\Weather\GrowingDegreeDays;
use PruningHook\Core\Weather\WorkAdvice;

/** What the weather says to a garden: of the day of a visit, and of the spring that is coming. */
final readonly class Outlook
{
    /** As far as a forecast is worth telling. */
    public const FORECAST_DAYS = 7;

    /** Degree days are counted from 1 January in the north: so long after midwinter. */
    private const COUNT_FROM = 11;

    public function __construct(
        private WeatherStation $station,
        private PlantBook $book,
    ) {
    }

    /** The weather of a day within the forecast, or null for days that are over or too far off. */
    public function on(Site $site, Day $day, Day $today): ?DayWeather
    {
        $ahead = $today->daysUntil($day);

        return $ahead < 0 || $ahead > self::FORECAST_DAYS ? null : $this->station->days($site, $day, $day)[0];
    }

    /** The days ahead as they are forecast, today included. */
    public function forecast(Site $site, Day $today): Forecast
    {
        return Forecast::of($this->station->days($site, $today, $today->plus(self::FORECAST_DAYS + $this->book->figures->number(Figure::FrostAfterCut))));
    }

    /** What holds work at a site today, and the first day the forecast lets it go on; null where nothing does. */
    public function hold(Site $site, Day $today): ?Hold
    {
        $forecast = $this->forecast($site, $today);
        $advice = WorkAdvice::with($this->book->figures);
        $holds = static fn (Day $day): ?Advice => array_values(array_filter($advice->on($forecast->from($day)), static fn (Advice $each): bool => $each->hold))[0] ?? null;
        $now = $holds($today);
        if ($now === null) {
            return null;
        }
        for ($ahead = 1; $ahead <= self::FORECAST_DAYS; $ahead++) {
            if ($holds($today->plus($ahead)) === null) {
                return new Hold($now->reason, $today->plus($ahead));
            }
        }

        return new Hold($now->reason, null);
    }

    /** @return list<Advice> */
    public function advice(Site $site, Day $day, Day $today): array
    {
        return $this->on($site, $day, $today) === null
            ? []
            : WorkAdvice::with($this->book->figures)->on($this->forecast($site, $today)->from($day));
    }

    /**
     * Kinds whose bloom is known to come at a sum of warmth: what has been gathered, what is needed, and the day if it
     * has been reached.
     *
     * @return list<array{kind: Kind, sum: int, needed: int, reached: ?Day}>
     */
    public function warmth(SiteYear $year, Day $today): array
    {
        $first = $year->day(Anchor::Midwinter)->plus(self::COUNT_FROM);
        // The published sums come from a continental spring; in mild maritime ones plants flower long before them.
        if ($year->site->winter !== WinterClass::Cold || $today->isBefore($first)) {
            return [];
        }
        $days = $this->station->days($year->site, $first, $today);
        $warmth = [];
        foreach ($this->book->kinds as $kind) {
            if ($kind->bloomDegreeDays !== null) {
                $warmth[] = ['kind' => $kind, 'sum' => (int) round(GrowingDegreeDays::sum($days)), 'needed' => $kind->bloomDegreeDays,
                    'reached' => GrowingDegreeDays::reached($days, $kind->bloomDegreeDays)];
            }
        }

        return $warmth;
    }
}
