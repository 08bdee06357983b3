<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

enum Hemisphere: string
{
    case North = 'north';
    case South = 'south';

    public static function at(float $latitude): self
    {
        return $latitude < 0 ? self::South : self::North;
    }

    /**
     * The midwinter that opens a season. A season is the calendar year of its spring, so in the north it opens
     * with the midwinter of the year before, in the south with the midwinter of the same year.
     */
    public function midwinterOf(int $season): Day
    {
        return match ($this) {
            self::North => Day::of($season - 1, 12, 21),
            self::South => Day::of($season, 6, 21),
        };
    }

    public function midsummerOf(int $season): Day
    {
        return match ($this) {
            self::North => Day::of($season, 6, 21),
            self::South => Day::of($season, 12, 21),
        };
    }
}
