<?php

declare(strict_types=1);

namespace App\Season\Weather;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Weather\DayWeather;

/** Where the product learns the weather from: days that have been, and a forecast. A real feed would implement this. */
interface WeatherStation
{
    /** @return list<DayWeather> the days from first to last, both included, as they were or are forecast */
    public function days(Site $site, Day $first, Day $last): array;
}
