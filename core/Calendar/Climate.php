<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

/** How warm a site's year is, and how anybody knows. */
final readonly class Climate
{
    /** Frost dates tell of the nights in a hollow, and half of that of its days. Common practice, no source. */
    private const SHARE_OF_FROST = 0.5;

    /** Days by which the frost dates may correct a spring: more says that one of them is wrong. */
    private const MOST_DAYS = 21;

    /**
     * @param  int  $lateDays  by which the site's own frosts make its spring later than the normals alone would
     * @param  string  $from  what it rests on, in words
     */
    private function __construct(
        public Normals $normals,
        public int $lateDays,
        public string $from,
    ) {
    }

    /** Measured at the site itself. */
    public static function measured(Normals $normals): self
    {
        return new self($normals, 0, 'as given for this site');
    }

    public static function rough(float $latitude, int $elevationM, WinterClass $winter): self
    {
        return new self(
            Normals::rough($latitude, $elevationM, $winter), 0, 'a rough year for its latitude, height and winter',
        );
    }

    /**
     * Carried from a station, colder by the height between them, its spring corrected by the site's own last frost.
     *
     * @param  ?MonthDay  $lastFrost  of the site
     */
    public static function carried(Station $station, Site $to, ?MonthDay $lastFrost): self
    {
        $higher = $to->elevationM - $station->site->elevationM;
        $there = $station->site->lastFrost;
        $late = $lastFrost === null || $there === null ? 0 : (int) round(self::SHARE_OF_FROST * (
            self::afterMidwinter($lastFrost, $to) - self::afterMidwinter($there, $station->site)
            - Hopkins::forHeight($higher)
        ));

        return new self(
            $station->site->hemisphere() === $to->hemisphere()
                ? $station->normals->raised($higher)
                : $station->normals->mirrored()->raised($higher),
            max(-self::MOST_DAYS, min(self::MOST_DAYS, $late)),
            sprintf(
                'carried from %s, %d km away%s%s', $station->name,
                (int) round($station->site->kilometresTo($to)),
                abs($higher) < 10 ? '' : sprintf(' and %d m %s', abs($higher), $higher > 0 ? 'lower' : 'higher'),
                $late === 0 ? '' : ', its spring corrected by the last frost',
            ),
        );
    }

    /** Days from the midwinter of one's own half of the earth to a last frost; any year will do. */
    private static function afterMidwinter(MonthDay $lastFrost, Site $site): int
    {
        $midwinter = $site->hemisphere()->midwinterOf(2027);

        return $midwinter->daysUntil($lastFrost->nearest($midwinter->plus(120)));
    }
}
