<?php

declare(strict_types=1);

namespace App\Season\Weather;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Weather\DayWeather;

/**
 * A small made-up station: a year's wave of warmth for the latitude and height, with spells and single days drawn from
 * the date itself, so that the same place and day always have the same weather. It stands in for a real feed and
 * forecasts nothing.
 */
final readonly class SimulatedStation implements WeatherStation
{
    /** The coldest day comes this long after midwinter. */
    private const COLDEST_AFTER_MIDWINTER = 28;

    public function __construct(private int $seed = 1)
    {
    }

    public function days(Site $site, Day $first, Day $last): array
    {
        $days = [];
        for ($day = $first; ! $day->isAfter($last); $day = $day->plus(1)) {
            $days[] = $this->day($site, $day);
        }

        return $days;
    }

    private function day(Site $site, Day $day): DayWeather
    {
        $latitude = abs($site->latitude);
        $coldest = $site->hemisphere()->midwinterOf($day->year())->plus(self::COLDEST_AFTER_MIDWINTER);
        $wave = -cos(2 * M_PI * $coldest->daysUntil($day) / 365.25);
        $mean = 28 - 0.35 * $latitude - 0.0065 * $site->elevationM + 0.15 * $latitude * $wave
            + 6 * ($this->draw('spell', $site, intdiv($day->number, 6)) - 0.5)
            + 4 * ($this->draw('day', $site, $day->number) - 0.5);
        $half = 3 + 3 * $this->draw('sky', $site, $day->number);
        $wet = $this->draw('rain', $site, $day->number);

        return DayWeather::of(
            $day, round($mean - $half, 1), round($mean + $half, 1),
            $wet < 0.6 ? 0.0 : round(30 * ($wet - 0.6) ** 2 / 0.16, 1),
        );
    }

    /** A number from 0 to 1 that belongs to this place and day; neighbours within a degree share it. */
    private function draw(string $what, Site $site, int $number): float
    {
        $draw = sprintf(
            '%d %s %d %d %d',
            $this->seed, $what, (int) $site->latitude, (int) $site->longitude, $number,
        );

        return crc32($draw) / 0xFFFFFFFF;
    }
}
