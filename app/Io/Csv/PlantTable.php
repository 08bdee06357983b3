<?php

declare(strict_types=1);

namespace App\Io\Csv;

use App\Gardens\Plants\PlantRequest;
use App\Ground\Models\Plant;
use App\Ground\Models\User;
use App\Ground\Support\Today;
use App\Io\GeoJson\PlaceFile;
use App\Io\Import\AcceptedRow;
use App\Io\Import\GardenNames;
use App\Io\Import\KeepsRows;
use App\Io\Import\Near;
use App\Io\Import\NewPlants;
use App\Io\Import\RowSort;
use App\Io\Import\TakenRow;
use Generator;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\PlantBook\PlantBook;
use stdClass;

/** Plants as a table: a line is the plant of its `id`, or else the one of its garden and label, or else a new one. */
final class PlantTable implements Table
{
    use KeepsRows;

    private const COLUMNS = ['id', 'garden', 'kind', 'label', 'bed', 'planted', 'count', 'height_cm', 'spread_cm',
        'run_cm', 'flowering_height_cm', 'stems_old', 'stems_young', 'form', 'aim', 'grafted', 'hazards', 'notes'];

    /** Lengths are told in centimetres, and kept in millimetres. */
    private const LENGTHS = ['height', 'spread', 'run', 'flowering_height'];

    private const AT_ONCE = 500;

    /** @var array<string, ?string> kinds by what was written */
    private array $kinds = [];

    /** @var array<string, true> gardens and labels that lines of this file name */
    private array $named = [];

    public function __construct(private readonly PlantBook $book, private readonly GardenNames $gardens)
    {
    }

    public function columns(): array
    {
        return self::COLUMNS;
    }

    public function lines(string $path): iterable
    {
        return PlaceFile::is($path)
            ? PlaceFile::open($path)->plants(self::COLUMNS)
            : CsvFile::open($path, self::COLUMNS, ['garden', 'kind'])->rows();
    }

    public function keep(array $rows, ?User $by): void
    {
        $new = array_values(array_filter($rows, static fn (AcceptedRow $row): bool => $row->id === null));
        if ($new !== []) {
            self::refuseThose($this->there($new));
            NewPlants::plant($new, $by);
        }
        self::keepEach(Plant::class, array_values(array_filter(
            $rows, static fn (AcceptedRow $row): bool => $row->id !== null,
        )));
    }

    /**
     * Labels of lines read as new whose plants have come into the book since: another file like it perhaps.
     *
     * @param  list<AcceptedRow>  $new
     * @return list<string>
     */
    private function there(array $new): array
    {
        $labels = [];
        foreach ($new as $row) {
            $labels["{$row->facts['garden_id']} {$row->facts['label']}"] = (string) $row->facts['label'];
        }
        $there = DB::table('plants')->whereNull('deleted_at')
            ->whereIn('garden_id', array_unique(array_map(static fn (AcceptedRow $row): int => (int) $row->facts[
                'garden_id'
            ], $new)))
            ->whereIn('label', array_unique(array_values($labels)))->get(['garden_id', 'label']);

        return array_values(array_unique(array_filter($there->map(
            static fn (stdClass $plant): ?string => $labels["$plant->garden_id $plant->label"] ?? null,
        )->all(), is_string(...))));
    }

    public function cells(): Generator
    {
        $gardens = array_flip($this->gardens->all());
        $after = 0;
        do {
            $rows = DB::table('plants')->whereNull('deleted_at')->where('id', '>', $after)->orderBy('id')
                ->limit(self::AT_ONCE)->get();
            foreach ($rows as $row) {
                $after = (int) $row->id;
                yield self::line($row, $gardens[$row->garden_id] ?? '');
            }
        } while (count($rows) === self::AT_ONCE);
    }

    /**
     * The plants of some gardens, as a map tells them: by column, without what nobody knows.
     *
     * @param  list<int>  $gardens
     * @return array<int, list<array<string, scalar>>> by garden
     */
    public static function within(array $gardens): array
    {
        $plants = [];
        foreach (DB::table('plants')->whereNull('deleted_at')->whereIn('garden_id', $gardens)->orderBy('id')
            ->get() as $row) {
            $plants[(int) $row->garden_id][] = array_filter(
                array_diff_key(array_combine(self::COLUMNS, self::line($row, '')), ['garden' => '']),
                static fn (mixed $cell): bool => $cell !== null && $cell !== '',
            );
        }

        return $plants;
    }

    /** @return list<scalar|null> */
    private static function line(stdClass $row, string $garden): array
    {
        $cm = static fn (?int $mm): ?float => $mm === null ? null : $mm / 10;

        return [
            $row->id, $garden, $row->kind, $row->label, $row->bed, $row->planted_on,
            $row->count, $cm($row->height_mm), $cm($row->spread_mm), $cm($row->run_mm),
            $cm($row->flowering_height_mm), $row->stems_old, $row->stems_young, $row->form, $row->aim,
            $row->grafted === null ? null : (bool) $row->grafted,
            implode(' ', array_filter((array) json_decode((string) $row->hazards, true), is_string(...))),
            $row->notes,
        ];
    }

    public function read(array $row): TakenRow
    {
        $cells = new Cells($row);
        $garden = $this->gardens->of($cells);
        $kind = $this->kind($cells, $row['kind'] ?? '');
        $label = $cells->text('label', 120) ?? $this->book->names[$kind ?? '']->name ?? $row['kind'] ?? '';
        $facts = ['garden_id' => $garden, 'kind' => $kind, 'label' => $label, ...$this->said($cells)];
        $before = $this->before($cells, $garden, $label);
        if ($before === false || $cells->faults !== []) {
            return new TakenRow(RowSort::Wrong, $label, null, [], $cells->faults);
        }
        $this->named["$garden $label"] = true;
        if ($before === null) {
            return new TakenRow(RowSort::New, $label, null, $facts, []);
        }
        $changes = $this->changes($before, $facts);

        return new TakenRow(
            $changes === [] ? RowSort::Same : RowSort::Changed, $label, (int) $before->id,
            array_intersect_key($facts, $changes), array_values($changes),
        );
    }

    /** @return array<string, mixed> what its columns say; a column that is not there changes nothing */
    private function said(Cells $cells): array
    {
        $facts = [
            'bed' => $cells->text('bed', 120),
            'planted_on' => $cells->day('planted', Today::day())?->__toString(),
            'count' => $cells->whole('count', 1, 10_000) ?? 1,
            'stems_old' => $cells->whole('stems_old', 0, 1000),
            'stems_young' => $cells->whole('stems_young', 0, 1000),
            'form' => $cells->one('form', PlantRequest::FORMS),
            'aim' => $cells->one('aim', PlantRequest::AIMS),
            'grafted' => $cells->yes('grafted'),
            'hazards' => $this->hazards($cells),
            'notes' => $cells->text('notes', 2000),
        ];
        foreach (self::LENGTHS as $length) {
            $cm = $cells->number("{$length}_cm", 0.1, $length === 'run' ? 100_000 : 6000);
            $facts["{$length}_mm"] = $cm === null ? null : (int) round(10 * $cm);
        }
        $columns = ['planted_on' => 'planted', ...array_combine(
            array_map(static fn (string $length): string => "{$length}_mm", self::LENGTHS),
            array_map(static fn (string $length): string => "{$length}_cm", self::LENGTHS),
        )];

        return array_filter(
            $facts, static fn (string $fact): bool => $cells->has($columns[$fact] ?? $fact), ARRAY_FILTER_USE_KEY,
        );
    }

    /** @return list<string> */
    private function hazards(Cells $cells): array
    {
        $said = preg_split('/[\s,;]+/', strtolower($cells->text('hazards', 200) ?? ''), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        foreach (array_diff($said, array_keys(PlantRequest::HAZARDS)) as $unknown) {
            $cells->fault('hazards', sprintf(
                '"%s" is none of %s', $unknown, implode(', ', array_keys(PlantRequest::HAZARDS)),
            ));
        }

        return array_values(array_unique($said));
    }

    private function kind(Cells $cells, string $said): ?string
    {
        if (! array_key_exists($said, $this->kinds)) {
            $this->kinds[$said] = $this->book->has($said) ? $said : $this->book->find($said)?->id;
        }
        if ($this->kinds[$said] === null) {
            $near = $said === '' ? null : $this->book->names()->find($said, [])[0]->name ?? Near::to(
                $said, array_values(array_map(static fn ($names): string => $names->name, $this->book->names)),
            );
            $cells->fault('kind', $said === ''
                ? 'is empty'
                : "the plant book has no kind \"$said\"".($near === null ? '' : ". Did you mean \"$near\"?"));
        }

        return $this->kinds[$said];
    }

    /** @return stdClass|false|null the row it stands for; null for a new one, false where that cannot be told */
    private function before(Cells $cells, ?int $garden, string $label): stdClass|false|null
    {
        $id = $cells->whole('id', 1, PHP_INT_MAX);
        if ($id !== null) {
            $row = DB::table('plants')->where('id', $id)->whereNull('deleted_at')->first();
            if ($row === null) {
                $cells->fault('id', "there is no plant $id: leave it empty for a new one");
            }

            return $row ?? false;
        }
        if (isset($this->named["$garden $label"])) {
            $cells->fault('label', "\"$label\" stands in this file twice for its garden: give each a label of its own");
        }

        return DB::table('plants')->where('garden_id', $garden)->where('label', $label)->whereNull('deleted_at')
            ->first();
    }

    /**
     * @param  array<string, mixed>  $facts
     * @return array<string, string> in words, by column
     */
    private function changes(stdClass $before, array $facts): array
    {
        $changes = [];
        foreach ($facts as $column => $value) {
            $was = $before->{$column};
            $was = $column === 'hazards' ? json_decode((string) $was, true) : $was;
            // A truth is a number to one database and itself to another.
            $was = is_bool($was) ? (int) $was : $was;
            $is = is_bool($value) ? (int) $value : $value;
            if ($was !== $is) {
                $changes[$column] = sprintf(
                    '%s: %s, was %s', str_replace(['_mm', 'planted_on'], ['_cm', 'planted'], $column),
                    self::inWords($value, $column), self::inWords($was, $column),
                );
            }
        }

        return $changes;
    }

    /** As the table has it. */
    private static function inWords(mixed $value, string $column): string
    {
        return match (true) {
            is_numeric($value) && str_ends_with($column, '_mm') => (string) ($value / 10),
            $value === null, $value === '', $value === [] => 'nothing',
            is_array($value) => implode(' ', array_filter($value, is_string(...))),
            is_bool($value) => $value ? 'yes' : 'no',
            is_scalar($value) => (string) $value,
            default => '',
        };
    }
}
