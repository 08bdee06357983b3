<?php

declare(strict_types=1);

namespace App\Formats;

use Generator;
use JsonException;
use PruningHook\Core\Fault;

/** Gardens from a map (GeoJSON, RFC 7946): each point a line, its properties the other columns. */
final readonly class PlaceFile
{
    /** @param  list<array<array-key, mixed>>  $features */
    private function __construct(private array $features)
    {
    }

    public static function is(string $path): bool
    {
        $file = fopen($path, 'r');
        $begins = $file === false ? '' : (string) fread($file, 64);

        return preg_match('/^(\xEF\xBB\xBF)?\s*[{[]/', $begins) === 1;
    }

    /** @throws Fault for what is no map of points */
    public static function open(string $path): self
    {
        try {
            $map = json_decode((string) file_get_contents($path), true, 64, JSON_THROW_ON_ERROR);
        } catch (JsonException $thrown) {
            throw new Fault('this is no JSON: '.lcfirst($thrown->getMessage()));
        }
        $features = is_array($map) && ($map['type'] ?? null) === 'FeatureCollection' ? $map['features'] ?? null : null;
        if (! is_array($features)) {
            throw new Fault('the map holds no FeatureCollection: save it from the mapping program as GeoJSON');
        }
        if (count($features) > CsvFile::MOST) {
            throw new Fault(sprintf('the map has more than %s places', number_format(CsvFile::MOST)));
        }

        return new self(array_values(array_filter($features, is_array(...))));
    }

    /**
     * @param  list<string>  $columns  that are understood
     * @return Generator<int, array<string, string>> cells by column, by the number of the place, from 1
     */
    public function rows(array $columns): Generator
    {
        foreach ($this->features as $index => $feature) {
            $cells = self::cells($feature);
            $row = [];
            foreach ($columns as $column) {
                if (array_key_exists($column, $cells)) {
                    $row[$column] = is_scalar($cells[$column]) ? trim((string) $cells[$column]) : '';
                }
            }
            yield $index + 1 => $row;
        }
    }

    /**
     * @param  array<array-key, mixed>  $feature
     * @return array<array-key, mixed>
     */
    private static function cells(array $feature): array
    {
        $list = static fn (mixed $value): array => is_array($value) ? $value : [];
        $geometry = $list($feature['geometry'] ?? null);
        // Other shapes than points name no one place.
        $at = ($geometry['type'] ?? null) === 'Point' ? $list($geometry['coordinates'] ?? null) : [];

        return [
            ...$list($feature['properties'] ?? null), 'longitude' => $at[0] ?? null, 'latitude' => $at[1] ?? null,
            ...isset($feature['id']) ? ['id' => $feature['id']] : [],
        ];
    }
}
