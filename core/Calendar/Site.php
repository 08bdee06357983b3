<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

use PruningHook\Core\Fault;

/**
 * Where a plant grows, as far as the calendar cares: latitude and longitude in degrees (north and east positive),
 * height above the sea in metres, average last and first frost, the class of its winter, and
 * the region as far as diseases go.
 */
final readonly class Site
{
    private function __construct(
        public float $latitude,
        public float $longitude,
        public int $elevationM,
        public ?MonthDay $lastFrost,
        public ?MonthDay $firstFrost,
        public WinterClass $winter,
        public Region $region,
    ) {
    }

    /**
     * @param  ?MonthDay  $lastFrost  null only where there is no frost, on a warm site
     * @param  ?MonthDay  $firstFrost  as above
     * @param  ?Region  $region  guessed from the place where nobody says
     *
     * @throws Fault when the place is not on earth, or a site with frost lacks a frost date
     */
    public static function of(
        float $latitude,
        float $longitude,
        int $elevationM,
        ?MonthDay $lastFrost,
        ?MonthDay $firstFrost,
        WinterClass $winter,
        ?Region $region = null,
    ): self {
        if (abs($latitude) > 90) {
            throw new Fault(sprintf('a latitude lies between -90 and 90 degrees, not at %s', $latitude));
        }
        if (abs($longitude) > 180) {
            throw new Fault(sprintf('a longitude lies between -180 and 180 degrees, not at %s', $longitude));
        }
        if ($winter !== WinterClass::Warm && ($lastFrost === null || $firstFrost === null)) {
            throw new Fault('only a warm site may go without frost dates');
        }

        return new self(
            $latitude, $longitude, $elevationM, $lastFrost, $firstFrost, $winter,
            $region ?? Region::guess($latitude, $longitude),
        );
    }

    /** The way over the earth's surface, as on a ball of 6371 km radius (haversine formula). */
    public function kilometresTo(self $other): float
    {
        $north = sin(deg2rad($other->latitude - $this->latitude) / 2);
        $east = sin(deg2rad($other->longitude - $this->longitude) / 2);
        $chord = $north ** 2 + cos(deg2rad($this->latitude)) * cos(deg2rad($other->latitude)) * $east ** 2;

        return 2 * 6371 * asin(min(1.0, sqrt($chord)));
    }

    public function hemisphere(): Hemisphere
    {
        return Hemisphere::at($this->latitude);
    }
}
