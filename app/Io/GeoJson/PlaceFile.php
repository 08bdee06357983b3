<?php

declare(strict_types=1);

namespace App\Io\GeoJson;

use App\Io\Csv\CsvFile;
use Generator;
use JsonException;
use PruningHook\Core\Fault;

/** Gardens and their plants from a map (GeoJSON, RFC 7946): each point a line, its properties the other columns. */
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
            yield $index + 1 => self::row(self::cells($feature), $columns);
        }
    }

    /**
     * The plants of its places: each in the garden whose place it is.
     *
     * @param  list<string>  $columns  that are understood
     * @return Generator<int, array<string, string>> cells by column, by the number of the plant, from 1
     *
     * @throws Fault for more plants than are taken in at once
     */
    public function plants(array $columns): Generator
    {
        $number = 0;
        foreach ($this->features as $feature) {
            $place = self::list($feature['properties'] ?? null);
            foreach (self::list($place['plants'] ?? null) as $plant) {
                if (++$number > CsvFile::MOST) {
                    throw new Fault(sprintf('the map has more than %s plants', number_format(CsvFile::MOST)));
                }
                yield $number => self::row(['garden' => $place['name'] ?? null, ...self::list($plant)], $columns);
            }
        }
    }

    /**
     * @param  array<array-key, mixed>  $cells
     * @param  list<string>  $columns
     * @return array<string, string>
     */
    private static function row(array $cells, array $columns): array
    {
        $row = [];
        foreach ($columns as $column) {
            if (array_key_exists($column, $cells)) {
                $cell = is_bool($cells[$column]) ? ($cells[$column] ? 'yes' : 'no') : $cells[$column];
                $row[$column] = is_scalar($cell) ? trim((string) $cell) : '';
            }
        }

        return $row;
    }

    /** @return array<array-key, mixed> */
    private static function list(mixed $value): array
    {
        return is_array($value) ? $value : [];
    }

    /**
     * @param  array<array-key, mixed>  $feature
     * @return array<array-key, mixed>
     */
    private static function cells(array $feature): array
    {
        $geometry = self::list($feature['geometry'] ?? null);
        // Other shapes than points name no one place.
        $at = ($geometry['type'] ?? null) === 'Point' ? self::list($geometry['coordinates'] ?? null) : [];

        return [
            ...self::list($feature['properties'] ?? null), 'longitude' => $at[0] ?? null, 'latitude' => $at[1] ?? null,
            ...isset($feature['id']) ? ['id' => $feature['id']] : [],
        ];
    }
}
