<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

use ArrayObject;
use PruningHook\Core\Fault;

/**
 * Where a plant grows, as far as the calendar cares: latitude and longitude in degrees (north and east positive),
 * height above the sea in metres, average last and first frost, how warm its year is, the class of its winter, and
 * the region as far as diseases go.
 */
final readonly class Site
{
    /** Nearer to the equator summer and winter hardly differ. */
    private const TROPICAL = 12;

    /** @var ArrayObject<int, ThermalYear> worked out once */
    private ArrayObject $thermal;

    public WinterClass $winter;

    public Region $region;

    public Climate $climate;

    /**
     * @param  ?MonthDay  $lastFrost  null only where there is no frost, on a warm site
     * @param  ?MonthDay  $firstFrost  as above
     * @param  ?WinterClass  $winter  by the coldest month where nobody says
     * @param  ?Region  $region  guessed from the place where nobody says
     * @param  ?Climate  $climate  a rough one where left out
     *
     * @throws Fault when the place is not on earth, a site with frost lacks a frost date, or its summer falls into its
     *     winter
     */
    public function __construct(
        public float $latitude,
        public float $longitude,
        public int $elevationM,
        public ?MonthDay $lastFrost,
        public ?MonthDay $firstFrost,
        ?WinterClass $winter,
        ?Region $region = null,
        ?Climate $climate = null,
    ) {
        if (abs($latitude) > 90) {
            throw new Fault(sprintf('a latitude lies between -90 and 90 degrees, not at %s', $latitude));
        }
        if (abs($longitude) > 180) {
            throw new Fault(sprintf('a longitude lies between -180 and 180 degrees, not at %s', $longitude));
        }
        $climate ??= Climate::rough($latitude, $elevationM, $winter ?? WinterClass::Cool);
        $half = $climate->normals->hemisphere();
        if ($half !== null && abs($latitude) > self::TROPICAL && $half !== Hemisphere::at($latitude)) {
            throw new Fault(sprintf(
                'its months are warm when those of the %s half of the earth are cold: is a sign wrong, or do they '
                    .'begin with July?', Hemisphere::at($latitude)->value,
            ));
        }
        $class = $winter ?? $climate->normals->winter();
        if ($class !== WinterClass::Warm && ($lastFrost === null || $firstFrost === null)) {
            throw new Fault('only a warm site may go without frost dates');
        }
        $this->winter = $class;
        $this->region = $region ?? Region::guess($latitude, $longitude);
        $this->climate = $climate;
        /** @var ArrayObject<int, ThermalYear> $thermal */
        $thermal = new ArrayObject;
        $this->thermal = $thermal;
    }

    /** How its normal year adds up. */
    public function thermal(): ThermalYear
    {
        return $this->thermal[0] ??= ThermalYear::at($this->latitude, $this->climate->normals);
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
