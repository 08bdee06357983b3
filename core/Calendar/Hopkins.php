<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

/**
 * Hopkins' bioclimatic law: spring events come about 4 days later for each degree of latitude towards the pole, each
 * 5 degrees of longitude eastward (in North America) and each 122 m (400 ft) of height.
 *
 * A. D. Hopkins, Bioclimatics, USDA Misc. Publ. 280, 1938; the 4-day rule from his paper of 1918 (from memory).
 */
final readonly class Hopkins
{
    private const DAYS = 4.0;

    private const DEGREES_EAST = 5.0;

    private const METRES = 122.0;

    /** Days by which spring comes later at the second site than at the first; negative where it comes earlier. */
    public static function delay(Site $from, Site $to): int
    {
        $poleward = abs($to->latitude) - abs($from->latitude);
        $east = self::inNorthAmerica($from) && self::inNorthAmerica($to)
            ? ($to->longitude - $from->longitude) / self::DEGREES_EAST
            : 0.0;

        return (int) round(self::DAYS * ($poleward + $east + ($to->elevationM - $from->elevationM) / self::METRES));
    }

    /** Days by which spring comes later so many metres higher. */
    public static function forHeight(int $metres): float
    {
        return self::DAYS * $metres / self::METRES;
    }

    /**
     * The frost dates of a place nobody has watched, carried from one that somebody has: the last frost comes later by
     * the delay, the first as much earlier.
     *
     * @return ?array{last: MonthDay, first: MonthDay} null where the watched site has no frost
     */
    public static function carry(Site $from, Site $to): ?array
    {
        if ($from->lastFrost === null || $from->firstFrost === null) {
            return null;
        }
        $delay = self::delay($from, $to);
        // Any year that is no leap year will do: only month and day are kept.
        $carried = static fn (MonthDay $date, int $days): MonthDay => MonthDay::of($date->in(2027)->plus($days));

        return ['last' => $carried($from->lastFrost, $delay), 'first' => $carried($from->firstFrost, -$delay)];
    }

    private static function inNorthAmerica(Site $site): bool
    {
        return $site->latitude > 14 && $site->longitude < -50 && $site->longitude > -170;
    }
}
