<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

/**
 * The published price of a plan, in minutes, the same for anyone who works it out: travel, set-up of each visit, days
 * outside the best window, weekdays nobody asked for, overtime, and what is left out.
 */
final readonly class Price
{
    /** For each day a task lies outside its best window, times its weight. */
    public const OUTSIDE_BEST = 4;

    /** For each task on a weekday its client did not ask for, times its weight: as much as two days outside. */
    public const UNASKED = 8;

    /** For each minute beyond a crew day's length. */
    public const OVERTIME = 1.5;

    /** For each task left out, times its weight. */
    public const LEFT_OUT = 10_000;

    /** The most minutes a crew day may be lengthened where overtime is allowed. */
    public const MOST_OVERTIME = 60;

    /** Roads are so many times as long as the great circle, and driven at so many km a minute. */
    private const ROAD = 1.3;

    private const KM_A_MINUTE = 0.6;

    /** Whole minutes from one place to another. */
    public static function travel(Place $from, Place $to): int
    {
        return (int) round(self::ROAD * $from->km($to) / self::KM_A_MINUTE);
    }

    /** Whole minutes a crew is in a garden: its work shared among its people, and the set-up. */
    public static function visit(int $personMinutes, int $people, int $setUp): int
    {
        return intdiv($personMinutes + $people - 1, $people) + $setUp;
    }
}
