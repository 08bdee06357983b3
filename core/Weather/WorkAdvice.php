<?php

declare(strict_types=1);

namespace PruningHook\Core\Weather;

use PruningHook\Core\Reason;

/** What the forecast says to a day's pruning: hold it, or mind something. Thresholds are common practice, no source. */
final readonly class WorkAdvice
{
    /** Frost that harms fresh cuts and makes bark brittle, in degrees Celsius. */
    public const HARD_FROST = -3.0;

    /** Heat in which people and fresh-cut green suffer, in degrees Celsius. */
    public const HEAT = 30.0;

    /** Rain that carries disease from cut to cut and makes ladders slip, in mm a day. */
    public const RAIN = 5.0;

    /** Days over which frost after the cut still matters. */
    public const FROST_DAYS = 3;

    /**
     * @param  list<DayWeather>  $days  the day of the work first, then the days after it
     * @return list<Reason> empty where the weather has nothing to say
     */
    public static function on(array $days): array
    {
        $advice = [];
        $first = $days[0] ?? null;
        foreach (array_slice($days, 0, self::FROST_DAYS) as $day) {
            if ($day->min <= self::HARD_FROST) {
                $advice[] = Reason::commonPractice('Hold: hard frost', sprintf(
                    '%d degrees are forecast for %s: fresh cuts die back and frozen wood tears; wait until it has passed', (int) round($day->min), $day->day->inWords(),
                ));
                break;
            }
        }
        if ($first !== null && $first->max >= self::HEAT) {
            $advice[] = Reason::commonPractice('Mind the heat', sprintf('%d degrees: start early, shade and water for the crew, lay no soft growth bare', (int) round($first->max)));
        }
        if ($first !== null && $first->rainMm >= self::RAIN) {
            $advice[] = Reason::commonPractice('Hold: rain', sprintf('%d mm of rain: wet cuts carry disease and ladders slip; box, cherries and roses wait for a dry day', (int) round($first->rainMm)));
        }

        return $advice;
    }
}
