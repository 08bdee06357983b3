<?php

declare(strict_types=1);

namespace App\Season\Weather;

use App\Ground\Bridge\CorePlants;
use App\Ground\Models\Garden;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\PlantBook\Figure;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Weather\Advice;
use PruningHook\Core\Weather\DayWeather;
use PruningHook\Core\Weather\Forecast;
use PruningHook\Core\Weather\Hold;
use PruningHook\Core\Weather\Spring;
use PruningHook\Core\Weather\Warmth;
use PruningHook\Core\Weather\WorkAdvice;

/** What the weather says to a garden: of the day of a visit, and of the spring that is coming. */
final class Outlook
{
    /** As far as a forecast is worth telling. */
    public const FORECAST_DAYS = 7;

    /** How far past years tell of days to come, and how many of them. */
    private const FORETOLD_DAYS = 150;

    private const YEARS = 5;

    /** @var array<string, ?Hold> by garden and days ahead: one forecast serves all its plants */
    private array $holds = [];

    /** @var array<int, Forecast> by garden */
    private array $forecasts = [];

    public function __construct(
        private readonly WeatherStation $station,
        private readonly PlantBook $book,
        private readonly CorePlants $bridge,
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
        return Forecast::of(
            $this->station->days(
                $site, $today,
                $today->plus(self::FORECAST_DAYS + $this->book->figures->number(Figure::FrostAfterCut)),
            ),
        );
    }

    /** How much rain has come between two days, both included, in mm; nothing is known of days to come. */
    public function rain(Site $site, Day $from, Day $to): float
    {
        return $from->isAfter($to)
            ? 0.0
            : array_sum(array_map(
                static fn (DayWeather $day): float => $day->rainMm, $this->station->days($site, $from, $to),
            ));
    }

    /** What holds work at a site today, and the first day the forecast lets it go on; null where nothing does. */
    public function hold(Site $site, Day $today): ?Hold
    {
        return WorkAdvice::with($this->book->figures)->hold(
            $this->forecast($site, $today), $today, self::FORECAST_DAYS,
        );
    }

    /** The same of a garden on a day within the forecast, worked out once; null where the forecast does not reach. */
    public function holdAt(Garden $garden, Day $today, ?Day $on = null): ?Hold
    {
        $ahead = $on === null ? 0 : $today->daysUntil($on);
        if ($ahead < 0 || $ahead > self::FORECAST_DAYS) {
            return null;
        }
        $key = "$garden->id $ahead";
        if (! array_key_exists($key, $this->holds)) {
            $this->forecasts[$garden->id] ??= $this->forecast($this->bridge->site($garden), $today);
            $this->holds[$key] = WorkAdvice::with($this->book->figures)->hold(
                $this->forecasts[$garden->id], $today->plus($ahead), self::FORECAST_DAYS - $ahead,
            );
        }

        return $this->holds[$key];
    }

    /** @return list<Advice> */
    public function advice(Site $site, Day $day, Day $today): array
    {
        return $this->on($site, $day, $today) === null
            ? []
            : WorkAdvice::with($this->book->figures)->on($this->forecast($site, $today)->from($day));
    }

    /**
     * Kinds whose bloom is known to come at a sum of warmth: by what was measured, the forecast, and then the averages
     * of past years.
     *
     * @return list<Warmth> the soonest first
     */
    public function warmth(SiteYear $year, Day $today): array
    {
        $spring = Spring::at($year, $today);
        if ($spring === null) {
            return [];
        }
        $known = $today->plus(self::FORECAST_DAYS);

        return $spring->warmth(
            $this->book->all(),
            $this->station->days($year->site, $spring->first(), $known),
            array_map(fn (int $ago): array => $this->station->days(
                $year->site, $known->minus(365 * $ago)->plus(1), $known->minus(365 * $ago)->plus(self::FORETOLD_DAYS),
            ), range(1, self::YEARS)),
            $this->book->figures,
        );
    }
}
