<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

/**
 * How a normal year adds up at a place. Each day gives max(0, mean - 5 C) x daylength / 12 h: photothermal time, by
 * which buds break, flowers open and fruit ripens. (Masle et al. 1989 for the product of warmth and daylength, from
 * memory; 5 C is the usual base of woody plants of temperate climates.)
 *
 * It adds up once the buds have had their rest: from the coldest day on, and not before the end of January of the
 * north where the winter chills. Where it does not, more warmth is asked for: thermal time to bud burst falls off
 * exponentially with the days of chilling (Cannell and Smith 1983, from memory; the figures here are set by the bloom
 * of garden plants in mild climates, common practice). Where the year has no seasons there is no rest to break.
 */
final readonly class ThermalYear
{
    private const BASE = 5.0;

    /** Days with a lower mean chill. */
    private const CHILLS = 9.0;

    /** Degree days more that are asked for where no day chills, and the days over which that wears off. */
    private const UNCHILLED = 200.0;

    private const CHILLED_BY = 20.0;

    /** Days after midwinter until which a chilled bud rests. */
    private const RESTS_UNTIL = 40;

    /** Degrees between the coldest and the warmest month from which a year has seasons in full. */
    private const SEASONS = 8.0;

    /** The worst of the cold is over once the mean is above this. Common practice, no source. */
    private const WORST_COLD = -2.0;

    private const COLD_UNTIL = 25;

    /** The coldest day is looked for so long after midwinter. */
    private const COLDEST_BY = 60;

    private const DAYS = 365;

    /** What needs less comes as soon as the worst of the cold is over. */
    private const FIRST = 1.0;

    private const TILT = 23.44;

    /**
     * @param  list<float>  $sums  at the end of each day from midwinter on
     * @param  int  $coldest  days after midwinter
     * @param  int  $coldOver  the same, from when the worst of the cold is over
     */
    private function __construct(private array $sums, public int $coldest, public int $coldOver)
    {
    }

    /** @param  float  $latitude  in degrees */
    public static function at(float $latitude, Normals $normals): self
    {
        $midwinter = Hemisphere::at($latitude)->midwinterOf(2027)->dayOfYear();
        $means = [];
        for ($day = 0; $day < self::DAYS; $day++) {
            $means[] = $normals->onDay(($midwinter + $day - 1) % self::DAYS + 1);
        }
        $chilled = count(array_filter($means, static fn (float $mean): bool => $mean < self::CHILLS));
        $unchilled = exp(-$chilled / self::CHILLED_BY);
        $coldest = 0;
        for ($day = 1; $day <= self::COLDEST_BY; $day++) {
            $coldest = $means[$day] < $means[$coldest] ? $day : $coldest;
        }
        // Where the winter chills, its worst is never over before the middle of January of the north.
        $over = (int) max($coldest, round(self::COLD_UNTIL * (1 - $unchilled)));
        while ($over < self::DAYS - 1 && $means[$over] < self::WORST_COLD) {
            $over++;
        }
        $seasons = min(1.0, ($normals->warmest() - $normals->coldest()) / self::SEASONS);
        $begins = max($coldest, self::RESTS_UNTIL * (1 - $unchilled));
        $sum = -self::UNCHILLED * $unchilled * $seasons;
        $sums = [];
        foreach ($means as $day => $mean) {
            $sum += $day < $begins ? 0.0 : max(0.0, $mean - self::BASE) * self::daylength($latitude, $day) / 12;
            $sums[] = $sum;
        }

        return new self($sums, $coldest, $over);
    }

    /** Degree days there are at the end of a day, counted from midwinter. */
    public function sumOn(int $day): float
    {
        return $this->sums[max(0, min($day, self::DAYS - 1))];
    }

    /** The first day, counted from midwinter, on which so much is there; null where the year has not so much. */
    public function reaches(float $sum): ?int
    {
        if ($sum < self::FIRST) {
            return $this->coldOver;
        }
        [$low, $high] = [$this->coldOver, self::DAYS];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            if ($this->sums[$middle] >= $sum) {
                $high = $middle;
            } else {
                $low = $middle + 1;
            }
        }

        return $low < self::DAYS ? $low : null;
    }

    /**
     * Hours from sunrise to sunset, so many days after the midwinter of one's own half of the earth.
     *
     * The sun's declination by a cosine, and the hour angle at which it meets the horizon (Cooper 1969, from memory).
     */
    public static function daylength(float $latitude, int $day): float
    {
        $sun = deg2rad(-self::TILT * cos(2 * M_PI * $day / self::DAYS));
        $cosine = -tan(deg2rad(min(abs($latitude), 89.0))) * tan($sun);

        return 24 / M_PI * acos(max(-1.0, min(1.0, $cosine)));
    }
}
