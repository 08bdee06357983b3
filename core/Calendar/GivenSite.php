<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

/** What somebody says of a site, in degrees and metres. What is left out follows from its nearest station. */
final readonly class GivenSite
{
    public function __construct(
        public float $latitude,
        public float $longitude,
        public int $elevationM,
        public ?MonthDay $lastFrost,
        public ?MonthDay $firstFrost,
        public ?WinterClass $winter = null,
        public ?Region $region = null,
        public ?Normals $measured = null,
    ) {
    }
}
