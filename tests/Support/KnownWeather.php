<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Season\Weather\WeatherStation;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Weather\DayWeather;

/** A station of which a test knows what it says, the same everywhere. */
final readonly class KnownWeather implements WeatherStation
{
    /**
     * @param  array<string, array{float, float, float}>  $days  least, greatest and rain of single days
     * @param  array{float, float, float}  $else  of all others
     */
    public function __construct(private array $days, private array $else = [3.0, 9.0, 0.0])
    {
    }

    public function days(Site $site, Day $first, Day $last): array
    {
        $weather = [];
        for ($day = $first; ! $day->isAfter($last); $day = $day->plus(1)) {
            $weather[] = DayWeather::of($day, ...($this->days[(string) $day] ?? $this->else));
        }

        return $weather;
    }
}
