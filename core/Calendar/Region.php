<?php

declare(strict_types=1);

namespace PruningHook\Core\Calendar;

/**
 * Where in the world a site lies, as far as diseases and the law go: oak wilt is not everywhere, and silver leaf does
 * not matter everywhere. Guessed from the place; whoever knows better says so.
 */
enum Region: string
{
    /** British Isles, the western seaboard from Portugal to Denmark and Norway. */
    case EuropeMaritime = 'europe-maritime';
    case EuropeInland = 'europe-inland';
    /** From the Atlantic to the Great Plains, Texas included. */
    case NorthAmericaEast = 'north-america-east';
    /** The upper Midwest: Minnesota, Wisconsin, Michigan and their neighbours. */
    case UpperMidwest = 'upper-midwest';
    /** The Rocky Mountains and the Pacific coast. */
    case NorthAmericaWest = 'north-america-west';
    case Australasia = 'australasia';
    case Elsewhere = 'elsewhere';

    public function inWords(): string
    {
        return match ($this) {
            self::EuropeMaritime => 'maritime Europe',
            self::EuropeInland => 'inland and southern Europe',
            self::NorthAmericaEast => 'eastern and central North America, Texas',
            self::UpperMidwest => 'the upper Midwest of North America',
            self::NorthAmericaWest => 'western North America',
            self::Australasia => 'Australia and New Zealand',
            self::Elsewhere => 'elsewhere',
        };
    }

    /** By latitude and longitude in degrees, in rough boxes: shown to whoever keeps the garden, and correctable. */
    public static function guess(float $latitude, float $longitude): self
    {
        $within = static fn (float $south, float $north, float $west, float $east): bool => $latitude >= $south
            && $latitude <= $north
            && $longitude >= $west
            && $longitude <= $east;

        return match (true) {
            // The coast draws back to the east as it goes north: Brittany, the Low Countries, Jutland, Norway.
            $within(36, 43, -11, -6),
            $within(43, 50, -11, 2),
            $within(50, 54, -11, 7),
            $within(54, 71, -25, 10.5) => self::EuropeMaritime,
            $within(34, 72, -25, 45) => self::EuropeInland,
            $within(41, 50, -97.5, -82) => self::UpperMidwest,
            $within(24, 60, -104, -50) => self::NorthAmericaEast,
            $within(14, 72, -170, -104) => self::NorthAmericaWest,
            $within(-50, -10, 110, 180) => self::Australasia,
            default => self::Elsewhere,
        };
    }
}
