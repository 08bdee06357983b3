<?php

declare(strict_types=1);

namespace PruningHook\Core\Weather;

use PruningHook\Core\Calendar\Day;

/**
 * Warmth gathered since the turn of the year: for each day the mean of least and greatest temperature above 50 F
 * (10 C), nothing where it is below. Sums are in Fahrenheit degree days, as the published ones are.
 *
 * Simple average method, base 50 F, from 1 January: OSU Extension phenology calendar, D. Herms (from memory).
 */
final readonly class GrowingDegreeDays
{
    public const BASE_C = 10.0;

    private const F_PER_C = 1.8;

    /** Sums of fractions fall short of a round number by a hair. */
    private const NOTHING = 1e-6;

    public static function ofDay(DayWeather $weather): float
    {
        return max(0.0, ($weather->min + $weather->max) / 2 - self::BASE_C) * self::F_PER_C;
    }

    /** @param  iterable<DayWeather>  $days */
    public static function sum(iterable $days): float
    {
        $sum = 0.0;
        foreach ($days as $day) {
            $sum += self::ofDay($day);
        }

        return $sum;
    }

    /**
     * The day by which a sum will be reached, if from here on each day is as warm as the same day was on average in
     * years that have been.
     *
     * @param  float  $sum  gathered up to and with the given day
     * @param  list<list<DayWeather>>  $years  for each year the days that follow the given one, in order
     * @return ?Day null where those years do not reach it
     */
    public static function foretell(float $sum, Day $until, array $years, float $wanted): ?Day
    {
        if ($sum >= $wanted - self::NOTHING) {
            return $until;
        }
        $days = $years === [] ? 0 : min(array_map(count(...), $years));
        for ($ahead = 0; $ahead < $days; $ahead++) {
            $sum +=
                array_sum(array_map(static fn (array $year): float => self::ofDay($year[$ahead]), $years)) /
                count($years);
            if ($sum >= $wanted - self::NOTHING) {
                return $until->plus($ahead + 1);
            }
        }

        return null;
    }

    /**
     * The first day on which the sum is reached.
     *
     * @param  iterable<DayWeather>  $days  in order
     * @return ?Day null where they do not reach it
     */
    public static function reached(iterable $days, float $wanted): ?Day
    {
        $sum = 0.0;
        foreach ($days as $day) {
            $sum += self::ofDay($day);
            if ($sum >= $wanted - self::NOTHING) {
                return $day->day;
            }
        }

        return null;
    }
}
