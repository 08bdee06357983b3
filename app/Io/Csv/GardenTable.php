<?php

declare(strict_types=1);

namespace App\Io\Csv;

use App\Ground\Models\Crew;
use App\Ground\Models\Garden;
use App\Ground\Models\User;
use App\Io\GeoJson\PlaceFile;
use App\Io\Import\AcceptedRow;
use App\Io\Import\KeepsRows;
use App\Io\Import\RowSort;
use App\Io\Import\TakenRow;
use Generator;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\GivenSite;
use PruningHook\Core\Calendar\Hopkins;
use PruningHook\Core\Calendar\MonthDay;
use PruningHook\Core\Calendar\Site;
use PruningHook\Core\Calendar\WinterClass;
use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\PlantBook;
use stdClass;

/** Gardens as a table: a line is the garden of its `id`, or else the one of its name, or else a new one. */
final class GardenTable implements Table
{
    use KeepsRows;

    private const COLUMNS = ['id', 'name', 'client', 'address', 'latitude', 'longitude', 'elevation_m', 'last_frost',
        'first_frost', 'winter', 'crew', 'setup_minutes', 'notes'];

    private const AT_ONCE = 500;

    /** @var ?array<string, int> crews by name */
    private ?array $crews = null;

    /** @var array<string, true> */
    private array $named = [];

    public function __construct(private readonly PlantBook $book)
    {
    }

    public function columns(): array
    {
        return self::COLUMNS;
    }

    public function lines(string $path): iterable
    {
        return PlaceFile::is($path)
            ? PlaceFile::open($path)->rows(self::COLUMNS)
            : CsvFile::open($path, self::COLUMNS, ['name', 'latitude', 'longitude'])->rows();
    }

    public function keep(array $rows, ?User $by): void
    {
        $names = array_map(
            static fn (AcceptedRow $row): string => (string) ($row->id === null ? $row->facts['name'] : ''), $rows,
        );
        self::refuseThose(array_values(array_filter(
            DB::table('gardens')->whereIn('name', array_filter($names))->pluck('name')->all(), is_string(...),
        )));
        self::keepEach(Garden::class, $rows);
    }

    public function cells(): Generator
    {
        $crews = Crew::names();
        $after = 0;
        do {
            $rows = DB::table('gardens')->where('id', '>', $after)->orderBy('id')->limit(self::AT_ONCE)->get();
            foreach ($rows as $row) {
                $after = (int) $row->id;
                yield [
                    $row->id, $row->name, $row->client, $row->address, (float) $row->latitude,
                    (float) $row->longitude,
                    $row->elevation_m, $row->last_frost, $row->first_frost, $row->winter,
                    $crews[$row->crew_id] ?? '', $row->setup_minutes, $row->notes,
                ];
            }
        } while (count($rows) === self::AT_ONCE);
    }

    public function read(array $row): TakenRow
    {
        $cells = new Cells($row);
        $name = $cells->text('name', 120, true) ?? '';
        $facts = $this->said($cells, $name);
        $before = $this->before($cells, $name);
        if ($before === false || $cells->faults !== []) {
            return new TakenRow(RowSort::Wrong, $name, null, [], $cells->faults);
        }
        $this->named[$name] = true;
        if ($before === null) {
            return $this->planted($name, ['client' => $name, 'elevation_m' => 0, 'winter' => '', ...$facts]);
        }
        $changed = array_filter(
            $facts, static fn (mixed $value, string $fact): bool => (string) $before->{$fact} !== (string) $value,
            ARRAY_FILTER_USE_BOTH,
        );

        return new TakenRow(
            $changed === [] ? RowSort::Same : RowSort::Changed, $name, (int) $before->id, $changed,
            array_map(static fn (string $fact): string => sprintf(
                '%s: %s, was %s', $fact, $facts[$fact] ?? 'nothing', $before->{$fact} ?? 'nothing',
            ), array_keys($changed)),
        );
    }

    /** @return array<string, mixed> what its columns say; a column that is not there changes nothing */
    private function said(Cells $cells, string $name): array
    {
        $facts = [
            'name' => $name, 'client' => $cells->text('client', 120) ?? $name,
            'address' => $cells->text('address', 200),
            'latitude' => $this->degrees($cells, 'latitude', 90),
            'longitude' => $this->degrees($cells, 'longitude', 180),
            'elevation_m' => $cells->whole('elevation_m', -430, 6000) ?? 0,
            'last_frost' => $this->frost($cells, 'last_frost'), 'first_frost' => $this->frost($cells, 'first_frost'),
            'winter' => $cells->one('winter', ['cold', 'cool', 'warm']) ?? '',
            'setup_minutes' => $cells->whole('setup_minutes', 0, 240) ?? 15, 'notes' => $cells->text('notes', 2000),
        ];
        if (($facts['last_frost'] === null) !== ($facts['first_frost'] === null)) {
            $cells->fault(
                $facts['last_frost'] === null ? 'last_frost' : 'first_frost', 'last and first frost go together',
            );
        }
        $facts = array_filter($facts, static fn (string $fact): bool => $cells->has($fact), ARRAY_FILTER_USE_KEY);
        if ($cells->has('crew')) {
            $facts['crew_id'] = $this->crew($cells);
        }

        return $facts;
    }

    /**
     * A new garden. Frost dates that its line does not give are carried over from the nearest station.
     *
     * @param  array<string, mixed>  $facts
     */
    private function planted(string $name, array $facts): TakenRow
    {
        [$latitude, $longitude] = [(float) $facts['latitude'], (float) $facts['longitude']];
        $says = [];
        try {
            $place = new Site($latitude, $longitude, (int) $facts['elevation_m'], null, null, WinterClass::Warm);
            $station = $this->book->stations->nearest($place);
            $carried = ($facts['last_frost'] ?? null) === null && $facts['winter'] !== 'warm'
                ? Hopkins::carry($station->site, $place)
                : null;
            if ($carried !== null) {
                [$facts['last_frost'], $facts['first_frost']] = [(string) $carried['last'], (string) $carried['first']];
                $says[] = "frost dates $facts[last_frost] and $facts[first_frost] carried over from $station->name";
            }
            $frost = static fn (string $of): ?MonthDay => isset($facts[$of]) ? MonthDay::parse($facts[$of]) : null;
            $this->book->stations->site(new GivenSite(
                $latitude, $longitude, (int) $facts['elevation_m'], $frost('last_frost'), $frost('first_frost'),
                WinterClass::tryFrom((string) $facts['winter']),
            ));
        } catch (Fault $fault) {
            return new TakenRow(RowSort::Wrong, $name, null, [], ['latitude: '.$fault->getMessage()]);
        }

        return new TakenRow(RowSort::New, $name, null, $facts, $says);
    }

    private function degrees(Cells $cells, string $column, float $most): ?float
    {
        $number = $cells->number($column, -$most, $most);
        if ($number === null && $cells->text($column, 40) === null) {
            $cells->fault($column, 'is empty: degrees, south and west with a minus');
        }

        return $number;
    }

    private function frost(Cells $cells, string $column): ?string
    {
        $said = $cells->text($column, 10);
        try {
            return $said === null ? null : (string) MonthDay::parse($said);
        } catch (Fault) {
            $cells->fault($column, sprintf('"%s" is no month and day: write 04-22 for 22 April', $said));

            return null;
        }
    }

    private function crew(Cells $cells): ?int
    {
        $said = $cells->text('crew', 60);
        $this->crews ??= array_flip(Crew::names());
        if ($said !== null && ! isset($this->crews[$said])) {
            $cells->fault('crew', "there is no crew called \"$said\"");
        }

        return $said === null ? null : $this->crews[$said] ?? null;
    }

    /** @return stdClass|false|null the row it stands for; null for a new one, false where that cannot be told */
    private function before(Cells $cells, string $name): stdClass|false|null
    {
        $id = $cells->whole('id', 1, PHP_INT_MAX);
        if ($id !== null) {
            $row = DB::table('gardens')->where('id', $id)->first();
            if ($row === null) {
                $cells->fault('id', "there is no garden $id: leave it empty for a new one");
            }

            return $row ?? false;
        }
        if (isset($this->named[$name])) {
            $cells->fault('name', "\"$name\" stands in this file twice");
        }

        return DB::table('gardens')->where('name', $name)->first();
    }
}
