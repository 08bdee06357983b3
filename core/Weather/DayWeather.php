<?php

declare(strict_types=1);

namespace PruningHook\Core\Weather;

use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Fault;

/** One day's weather at one place: least and greatest temperature in degrees Celsius, rain in millimetres. */
final readonly class DayWeather
{
    private function __construct(
        public Day $day,
        public float $min,
        public float $max,
        public float $rainMm,
    ) {
    }

    /** @throws Fault when the least is above the greatest or the rain below none */
    public static function of(Day $day, float $min, float $max, float $rainMm): self
    {
        if ($min > $max || $rainMm < 0) {
            throw new Fault("$day cannot have had $min to $max degrees and $rainMm mm of rain");
        }

        return new self($day, $min, $max, $rainMm);
    }
}
