<?php

declare(strict_types=1);

namespace App\Exchange;

use PruningHook\Core\Calendar\MonthDay;
use PruningHook\Core\Calendar\Region;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\Stations;
use PruningHook\Core\Calendar\WinterClass;
use PruningHook\Core\Fault;

/**
 * A site as the formats give it.
 *
 * @phpstan-type SiteGiven array{latitude: float|int, longitude: float|int, elevation_m?: int, last_frost?: ?string,
 *     first_frost?: ?string, winter: string, region?: ?string}
 */
final readonly class SiteFacts
{
    /**
     * @param  SiteGiven  $site
     * @param  Stations  $stations  from which its year is carried
     *
     * @throws InputFaults with one line for each fault
     */
    public static function read(array $site, Stations $stations): Site
    {
        $faults = [];
        $frosts = [];
        foreach (['last_frost', 'first_frost'] as $frost) {
            try {
                $frosts[$frost] = isset($site[$frost]) ? MonthDay::parse($site[$frost]) : null;
            } catch (Fault $fault) {
                $faults[] = "\$.site.$frost: ".$fault->getMessage();
            }
        }
        if ($faults !== []) {
            throw new InputFaults($faults);
        }
        try {
            return $stations->site(
                $site['latitude'],
                $site['longitude'],
                $site['elevation_m'] ?? 0,
                $frosts['last_frost'] ?? null,
                $frosts['first_frost'] ?? null,
                WinterClass::from($site['winter']),
                isset($site['region']) ? Region::from($site['region']) : null,
            );
        } catch (Fault $fault) {
            throw new InputFaults(['$.site: '.$fault->getMessage()]);
        }
    }
}
