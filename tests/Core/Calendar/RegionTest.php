<?php

declare(strict_types=1);

namespace Tests\Core\Calendar;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Calendar\Region;

/** A place's region by its latitude and longitude. The places' coordinates are of general knowledge, rounded. */
final class RegionTest extends TestCase
{
    #[DataProvider('places')]
    public function test_a_place_is_in_its_region(float $latitude, float $longitude, Region $region): void
    {
        self::assertSame($region, Region::guess($latitude, $longitude));
    }

    /** @return array<string, array{float, float, Region}> */
    public static function places(): array
    {
        return [
            'Oxford' => [51.8, -1.3, Region::EuropeMaritime],
            'Penzance' => [50.1, -5.5, Region::EuropeMaritime],
            'Amsterdam' => [52.4, 4.9, Region::EuropeMaritime],
            'Bordeaux' => [44.8, -0.6, Region::EuropeMaritime],
            'Copenhagen, which lies inland of the line' => [55.7, 12.6, Region::EuropeInland],
            'Vienna' => [48.2, 16.4, Region::EuropeInland],
            'Rome' => [41.9, 12.5, Region::EuropeInland],
            'Minneapolis' => [45.0, -93.3, Region::UpperMidwest],
            'Saint Louis' => [38.6, -90.2, Region::NorthAmericaEast],
            'Austin' => [30.3, -97.7, Region::NorthAmericaEast],
            'Raleigh' => [35.8, -78.6, Region::NorthAmericaEast],
            'Denver' => [39.7, -105.0, Region::NorthAmericaWest],
            'Portland, Oregon' => [45.5, -122.7, Region::NorthAmericaWest],
            'Anchorage' => [61.2, -149.9, Region::NorthAmericaWest],
            'Melbourne' => [-37.8, 145.0, Region::Australasia],
            'Christchurch' => [-43.5, 172.6, Region::Australasia],
            'Punta Arenas' => [-53.2, -70.9, Region::Elsewhere],
            'Kyoto' => [35.0, 135.8, Region::Elsewhere],
        ];
    }

    public function test_every_region_has_words(): void
    {
        $words = array_map(static fn (Region $region): string => $region->inWords(), Region::cases());
        self::assertSame($words, array_values(array_unique($words)));
    }
}
