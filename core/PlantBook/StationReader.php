<?php

declare(strict_types=1);

namespace PruningHook\Core\PlantBook;

use PruningHook\Core\Calendar\MonthDay;
use PruningHook\Core\Calendar\Normals;
use PruningHook\Core\Calendar\Station;
use PruningHook\Core\Calendar\Stations;
use PruningHook\Core\Fault;

/** Reads the stations of the plant book: `{name, latitude, longitude, elevation_m, frosts, means}` each. */
final readonly class StationReader
{
    /** @throws Fault naming the station */
    public static function read(Entry $file): Stations
    {
        $source = $file->string('source');
        $stations = [];
        foreach ($file->entries('stations') as $entry) {
            $frosts = $entry->strings('frosts');
            try {
                $stations[] = new Station(
                    $entry->string('name'),
                    $entry->number('latitude'),
                    $entry->number('longitude'),
                    (int) $entry->int('elevation_m'),
                    isset($frosts[0]) ? MonthDay::parse($frosts[0]) : null,
                    isset($frosts[1]) ? MonthDay::parse($frosts[1]) : null,
                    Normals::of($entry->numbers('means')),
                    $entry->string('source', $source),
                );
            } catch (Fault $fault) {
                throw new Fault($entry->string('name').': '.$fault->getMessage(), previous: $fault);
            }
        }

        return Stations::of($stations);
    }
}
