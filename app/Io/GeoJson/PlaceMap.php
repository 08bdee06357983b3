<?php

declare(strict_types=1);

namespace App\Io\GeoJson;

use App\Io\Csv\GardenTable;
use App\Io\Csv\PlantTable;
use Illuminate\Support\Arr;

/** Gardens as places on a map, each with its plants (GeoJSON, RFC 7946: longitude before latitude). */
final readonly class PlaceMap
{
    private const AT_ONCE = 100;

    public function __construct(private GardenTable $gardens)
    {
    }

    /** Writes it out garden by garden: a firm of a thousand is never held at once. */
    public function write(): void
    {
        echo '{"type":"FeatureCollection","features":[';
        $waiting = [];
        $first = true;
        foreach ($this->gardens->cells() as $cells) {
            $waiting[] = array_combine($this->gardens->columns(), $cells);
            if (count($waiting) === self::AT_ONCE) {
                $first = $this->features($waiting, $first);
                $waiting = [];
            }
        }
        $this->features($waiting, $first);
        echo "]}\n";
    }

    /** @param  list<array<string, scalar|null>>  $gardens */
    private function features(array $gardens, bool $isFirst): bool
    {
        $plants = PlantTable::within(array_map(intval(...), array_column($gardens, 'id')));
        foreach ($gardens as $garden) {
            $facts = Arr::except($garden, ['latitude', 'longitude', 'id']);
            echo $isFirst ? '' : ',', json_encode([
                'type' => 'Feature', 'id' => $garden['id'],
                'geometry' => ['type' => 'Point', 'coordinates' => [$garden['longitude'], $garden['latitude']]],
                'properties' => [...$facts, 'plants' => $plants[(int) $garden['id']] ?? []],
            ], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION);
            $isFirst = false;
        }

        return $isFirst;
    }
}
