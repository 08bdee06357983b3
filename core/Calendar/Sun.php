<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

/**
 * Sunrise and sunset of one day at one place, in minutes after midnight UTC (a rise may lie before it, a set after the
 * next), good to about two minutes between the polar circles.
 *
 * The sunrise equation with the sun's position after J. Meeus, Astronomical Algorithms, 1991 (from memory); the sun's
 * upper rim on the horizon with ordinary refraction, 0.833 degrees below it.
 */
final readonly class Sun
{
    private const EPOCH = 10_957;

    private const RIM_AND_REFRACTION = -0.833;

    private const TILT = 23.4397;

    private function __construct(
        public int $rise,
        public int $set,
        /** minutes of daylight: 0 in the polar night, 1440 where the sun does not set */
        public int $daylight,
    ) {
    }

    /**
     * @param  float  $latitude  degrees, north positive
     * @param  float  $longitude  degrees, east positive
     */
    public static function on(Day $day, float $latitude, float $longitude): self
    {
        // Days since the noon of 1 January 2000, as the sun stands over this meridian.
        $days = $day->number - self::EPOCH - $longitude / 360;
        [$noon, $half] = self::at($days, $latitude, $longitude);
        $rise = $noon - $half;
        $set = $noon + $half;
        // The sun moves on between noon and its rise: look again at the moment itself.
        [$noonAtRise, $halfAtRise] = self::at($days - $half / 1440, $latitude, $longitude);
        [$noonAtSet, $halfAtSet] = self::at($days + $half / 1440, $latitude, $longitude);
        if ($half > 0.0 && $half < 720.0) {
            $rise = $noonAtRise - $halfAtRise;
            $set = $noonAtSet + $halfAtSet;
        }

        return new self((int) round($rise), (int) round($set), (int) round($set - $rise));
    }

    /**
     * @return array{float, float} solar noon in minutes UTC, and half the day's length, by the sun as it stands then
     */
    private static function at(float $days, float $latitude, float $longitude): array
    {
        $mean = deg2rad(fmod(357.5291 + 0.98560028 * $days, 360));
        $centre = 1.9148 * sin($mean) + 0.02 * sin(2 * $mean) + 0.0003 * sin(3 * $mean);
        $ecliptic = deg2rad(fmod(rad2deg($mean) + $centre + 180 + 102.9372, 360));
        $noon = 720 - 4 * $longitude + 1440 * (0.0053 * sin($mean) - 0.0069 * sin(2 * $ecliptic));
        $declination = asin(sin($ecliptic) * sin(deg2rad(self::TILT)));
        $cosine = (sin(deg2rad(self::RIM_AND_REFRACTION)) - sin(deg2rad($latitude)) * sin($declination))
            / (cos(deg2rad($latitude)) * cos($declination));

        return [$noon, 4 * rad2deg(acos(max(-1.0, min(1.0, $cosine))))];
    }
}
