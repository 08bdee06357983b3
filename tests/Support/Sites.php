<?php

declare(strict_types=1);

namespace Tests\Support;

use PruningHook\Core\Calendar\Climate;
use PruningHook\Core\Calendar\Hemisphere;
use PruningHook\Core\Calendar\MonthDay;
use PruningHook\Core\Calendar\Normals;
use PruningHook\Core\Calendar\Region;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\WinterClass;

/** Places of the kinds that published calendars speak of. Frost dates are round figures for such places. */
final class Sites
{
    /** Southern England, which the RHS calendars are written for. */
    public static function southernEngland(): Site
    {
        return self::site('Oxford', 51.5, '04-22', '10-28', WinterClass::Cool, Region::EuropeMaritime);
    }

    /** The same, mirrored over the equator. */
    public static function southernEnglandMirrored(): Site
    {
        return self::site('Oxford', -51.5, '10-22', '04-28', WinterClass::Cool, Region::EuropeMaritime);
    }

    /** The US Midwest: Missouri, where winters are cold. */
    public static function missouri(): Site
    {
        return self::site('Saint Louis', 38.6, '04-15', '10-20', WinterClass::Cold, Region::NorthAmericaEast);
    }

    /** The Carolina piedmont. */
    public static function northCarolina(): Site
    {
        return self::site('Raleigh', 35.8, '04-10', '10-28', WinterClass::Cool, Region::NorthAmericaEast);
    }

    /** The Willamette valley of Oregon. */
    public static function oregon(): Site
    {
        return self::site('Portland', 44.6, '04-20', '10-25', WinterClass::Cool, Region::NorthAmericaWest);
    }

    /** A coast without frost. */
    public static function frostless(): Site
    {
        return new Site(33.0, -117.0, 20, null, null, WinterClass::Warm, climate: self::climate('San Diego'));
    }

    /** @return list<Site> */
    public static function all(): array
    {
        return [
            self::southernEngland(), self::southernEnglandMirrored(), self::missouri(), self::northCarolina(),
            self::oregon(), self::frostless(), self::site('Helsinki', 60.0, '05-25', '09-15', WinterClass::Cold),
            self::site('Christchurch', -43.5, '10-15', '04-25', WinterClass::Cool),
        ];
    }

    private static function site(
        string $like,
        float $latitude,
        string $last,
        string $first,
        WinterClass $winter,
        ?Region $region = null,
    ): Site {
        $normals = self::normals($like);

        return new Site(
            $latitude, -1.2, 90, MonthDay::parse($last), MonthDay::parse($first), $winter, $region,
            Climate::measured($normals->hemisphere() === Hemisphere::at($latitude) ? $normals : $normals->mirrored()),
        );
    }

    private static function climate(string $like): Climate
    {
        return Climate::measured(self::normals($like));
    }

    private static function normals(string $station): Normals
    {
        return TestBook::read()->stations->named($station)->normals;
    }
}
