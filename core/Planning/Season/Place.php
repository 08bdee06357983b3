<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

use PruningHook\Core\Fault;

/** A point on the earth, in degrees. */
final readonly class Place
{
    /** Mean radius of the earth in km, as published with the price. */
    private const EARTH_KM = 6371.0;

    /** @throws Fault off the globe */
    public function __construct(public float $latitude, public float $longitude)
    {
        if (abs($latitude) > 90) {
            throw new Fault('a latitude lies between -90 and 90 degrees');
        }
        if (abs($longitude) > 180) {
            throw new Fault('a longitude lies between -180 and 180 degrees');
        }
    }

    /** Along the great circle, by the haversine formula (R. W. Sinnott, Sky and Telescope 68, 1984; from memory). */
    public function km(self $other): float
    {
        $half = static fn (float $from, float $to): float => sin(deg2rad($to - $from) / 2) ** 2;
        $chord =
            $half($this->latitude, $other->latitude)
            + cos(deg2rad($this->latitude)) * cos(deg2rad($other->latitude))
                * $half($this->longitude, $other->longitude);

        return 2 * self::EARTH_KM * asin(min(1.0, sqrt($chord)));
    }
}
