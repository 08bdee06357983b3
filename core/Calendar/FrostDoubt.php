<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

/**
 * Frost dates that hardly fit the place: the last frost of spring falls between midwinter and midsummer, the first of
 * autumn after it, in either hemisphere. What does not is questioned once, with what was probably meant.
 */
final readonly class FrostDoubt
{
    /** Any year that is no leap year will do: only month and day are looked at. */
    private const YEAR = 2027;

    /**
     * @param  bool  $ofPlace  true where the dates fit the other hemisphere, so that the latitude may be what slipped
     */
    private function __construct(public bool $ofPlace, public string $says)
    {
    }

    /**
     * @param  int  $late  days after midwinter until which a first frost may still come where winters are mild
     * @return ?self null where nothing is odd
     */
    public static function of(float $latitude, MonthDay $last, MonthDay $first, int $late): ?self
    {
        if (self::fit($latitude, $last, $first, $late)) {
            return null;
        }
        $there = sprintf(
            'At %s° %s the last frost falls between midwinter and midsummer, and the first after midsummer.',
            abs($latitude),
            $latitude < 0 ? 'south' : 'north',
        );

        return match (true) {
            self::fit(-$latitude, $last, $first, $late) => new self(
                true,
                $there.
                    sprintf(
                        ' These dates belong to the other hemisphere: did you mean %s, or are the two frosts the '
                            .'wrong way round?',
                        -$latitude,
                    ),
            ),
            self::fit($latitude, $first, $last, $late) => new self(false, $there.' Are the two the wrong way round?'),
            default => new self(false, $there.' Is one of the two dates slipped?'),
        };
    }

    private static function fit(float $latitude, MonthDay $last, MonthDay $first, int $late): bool
    {
        $hemisphere = Hemisphere::at($latitude);

        return self::inSpring($hemisphere, $last->in(self::YEAR))
            && ! self::inSpring($hemisphere, $first->in(self::YEAR)->minus($late));
    }

    /** True in the half year from midwinter to midsummer. */
    private static function inSpring(Hemisphere $hemisphere, Day $day): bool
    {
        foreach ([self::YEAR - 1, self::YEAR, self::YEAR + 1] as $season) {
            if (
                ! $day->isBefore($hemisphere->midwinterOf($season))
                && ! $day->isAfter($hemisphere->midsummerOf($season))
            ) {
                return true;
            }
        }

        return false;
    }
}
