<?php

declare(strict_types=1);

namespace App\Ground\Bridge;

use PruningHook\Core\Calendar\GivenSite;
use PruningHook\Core\Calendar\MonthDay;
use PruningHook\Core\Calendar\Normals;
use PruningHook\Core\Calendar\Region;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\Stations;
use PruningHook\Core\Calendar\WinterClass;
use PruningHook\Core\Fault;

/**
 * A site as the formats give it.
 *
 * @phpstan-type SiteGiven array{latitude: float|int, longitude: float|int, elevation_m?: int, last_frost?: ?string,
 *     first_frost?: ?string, winter?: string, region?: ?string, normals?: list<float|int>}
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
        $tried = static function (string $key, callable $read) use ($site, &$faults): mixed {
            try {
                return isset($site[$key]) ? $read($site[$key]) : null;
            } catch (Fault $fault) {
                $faults[] = "\$.site.$key: ".$fault->getMessage();

                return null;
            }
        };
        $last = $tried('last_frost', MonthDay::parse(...));
        $first = $tried('first_frost', MonthDay::parse(...));
        $normals = $tried('normals', Normals::of(...));
        if ($faults !== []) {
            throw new InputFaults($faults);
        }
        try {
            return $stations->site(new GivenSite(
                $site['latitude'],
                $site['longitude'],
                $site['elevation_m'] ?? 0,
                $last,
                $first,
                isset($site['winter']) ? WinterClass::from($site['winter']) : null,
                isset($site['region']) ? Region::from($site['region']) : null,
                $normals,
            ));
        } catch (Fault $fault) {
            throw new InputFaults(['$.site: '.$fault->getMessage()]);
        }
    }
}
