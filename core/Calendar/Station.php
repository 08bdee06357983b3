<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

/** A place whose normal year is known, from which others carry theirs. */
final readonly class Station
{
    public Site $site;

    public function __construct(
        public string $name,
        float $latitude,
        float $longitude,
        int $elevationM,
        ?MonthDay $lastFrost,
        ?MonthDay $firstFrost,
        public Normals $normals,
        public string $source,
    ) {
        $this->site = new Site(
            $latitude, $longitude, $elevationM, $lastFrost, $firstFrost, $lastFrost === null ? WinterClass::Warm : null,
            climate: Climate::measured($normals),
        );
    }
}
