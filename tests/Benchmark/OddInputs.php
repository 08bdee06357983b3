<?php

declare(strict_types=1);

namespace Tests\Benchmark;

use Illuminate\Support\Facades\DB;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Inputs that nobody means: of the wrong sort, far too long, out of every range, in no writing; good ones between. */
final readonly class OddInputs
{
    private const MEGABYTE = 1_048_576;

    /** What is meant by a field, so that what lies behind its check is reached too. */
    private const MEANT = [
        'on' => ['2027-03-08', '2027-03-09', '2026-06-01'], 'day' => ['2027-03-08'], 'date' => ['2027-03-08'],
        'crew_id' => ['1', '2'], 'crew' => ['1', '2'], 'kind' => ['bush-rose', 'wisteria', 'yew'],
        'label' => ['By the gate'], 'name' => ['By the lane'], 'count' => ['1', '3'], 'latitude' => ['51.5', '-36.8'],
        'longitude' => ['-0.1', '174.7'], 'elevation_m' => ['20'], 'winter' => ['mild', 'cold', 'warm'],
        'height_cm' => ['120'], 'spread_cm' => ['90'], 'stems_old' => ['4'], 'stems_young' => ['3'],
        'planted_on' => ['2019-03-01'], 'outcome' => ['done', 'partly', 'not-done', 'changed'],
        'why' => ['time', 'nest'],
        'minutes' => ['20'], 'removed_percent' => ['15'], 'season' => ['2027', '2026'], 'event' => ['forsythia-bloom'],
        'email' => ['lead@hollowbrook.test'], 'password' => ['secateurs'], 'people' => ['2'], 'garden' => ['1', '2'],
        'op' => ['fault', 'add', 'mark', 'measure', 'carried'], 'ref' => ['A', 'B'], 'moment' => ['before', 'after'],
        'last_frost' => ['04-20'], 'first_frost' => ['10-20'], 'q' => ['rose', 'ro', 'lane'], 'months' => ['3'],
        'flowering_height_cm' => ['110'], 'score' => ['4'], 'fact' => ['stress', 'disease'], 'reason' => ['As asked'],
    ];

    private Randomizer $random;

    /** @var array<string, non-empty-list<string>> names of fields by room, as its code asks for them */
    private array $fields;

    /** @var array<string, list<string>> by table */
    private array $ids;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
        $this->fields = self::fields();
        $ids = [];
        foreach (
            ['gardens', 'plants', 'visits', 'visit_tasks', 'crews', 'observations', 'bloom_notes', 'photos',
                'plan_drafts', 'crew_days_off', 'own_kinds'] as $table
        ) {
            $column = $table === 'photos' ? 'uuid' : 'id';
            $ids[$table] = array_values(array_map(
                static fn (mixed $id): string => is_scalar($id) ? (string) $id : '',
                DB::table($table)->limit(200)->pluck($column)->all(),
            ));
        }
        $this->ids = $ids;
    }

    /**
     * @template T
     *
     * @param  array<int, T>  $of  not empty
     * @return T
     */
    public function oneOf(array $of): mixed
    {
        return $of[$this->random->getInt(0, count($of) - 1)];
    }

    public function chance(int $percent): bool
    {
        return $this->random->getInt(1, 100) <= $percent;
    }

    /** What stands for a part of an address. */
    public function part(string $name): string
    {
        if ($this->chance(25)) {
            return $this->oneOf([
                '0', '-1', '99999999999999999999999', '1e3', 'abc', "1'%20or%201=1", '%00', '%FF%FE', '1.5', '..%2F..',
                str_repeat('9', 300), '%F0%9F%8C%B3', '1%0A2',
            ]);
        }
        $tables = [
            'garden' => 'gardens', 'plant' => 'plants', 'visit' => 'visits', 'task' => 'visit_tasks', 'crew' => 'crews',
            'observation' => 'observations', 'note' => 'bloom_notes', 'photo' => 'photos', 'draft' => 'plan_drafts',
            'off' => 'crew_days_off', 'version' => 'own_kinds',
        ];
        $ids = $this->ids[$tables[$name] ?? ''] ?? [];

        return match (true) {
            $name === 'kind' => $this->oneOf(['bush-rose', 'wisteria', 'grapevine', 'no-such-kind', '0']),
            $name === 'token' => str_repeat('a', 64),
            $ids === [] => '1',
            default => $this->oneOf($ids),
        };
    }

    /**
     * @param  string  $room  whose fields are filled in: a folder of app/
     * @return array<array-key, mixed> by field
     */
    public function input(string $room): array
    {
        $input = [];
        $odd = $this->oneOf([5, 20, 50, 90]);
        foreach ($this->fields[$room] ?? [] as $field) {
            if ($this->chance(70)) {
                $value = $this->chance($odd) ? $this->value() : $this->oneOf(self::MEANT[$field] ?? [$this->sense()]);
                data_set($input, $field, $value);
            }
        }
        if ($this->chance(4)) {
            $input[$this->oneOf(["\xff", "a\0b", str_repeat('k', 2000), '0', '_method[]'])] = $this->value();
        }

        return $input;
    }

    public function value(): mixed
    {
        return $this->chance(40) ? $this->sense() : $this->oneOf([
            '', ' ', [], ['a'], ['a' => ['b' => ['c']]], [[]], [null], "\0", "a\0b", "\xff\xfe", "\xc3\x28",
            "\u{FEFF}x",
            '9223372036854775808', '-9223372036854775809', '99999999999999999999999', '1e309', '-1', '0', '1.5', 'NaN',
            'INF', '0x1A', '٣', '0001', '9999', '0001-01-01', '9999-12-31', '2027-02-30', '0000-00-00', '12027-01-01',
            '2027-1-1', '-0001-01-01', 'tomorrow', '24:00', '99:99', str_repeat('x', self::MEGABYTE), '<b>"\'&', "'--",
            '%', '_', '"', '*', '!', '\\', 'null', 'true', '[]', '{"a":', "a\nb\r\nc", '🌳', "\u{202E}x", null,
        ]);
    }

    /** Something that could have been meant. */
    private function sense(): mixed
    {
        return $this->oneOf([
            '1', '2', '5', '120', '51.5', '-0.1', '2026', '2027', '2028', '2027-03-08', '2027-03-09', '2026-06-01',
            '2031-12-24', '08:00', '16:30', 'done', 'partly', 'not-done', 'changed', 'nest', 'time', 'all-well',
            'disease', 'bush-rose', 'wisteria', 'main-pruning', 'winter-pass', 'forsythia-bloom', 'old', 'on', 'off',
            'A plain word', 'lead@hollowbrook.test', 'mild', 'cold', 'quarter', 'month', 'list', 'crew', 'urgency',
            ['1'], ['1', '2'], ['done'], ['1:main-pruning:2027'], ['height_before' => '90'], ['op' => 'fault'],
            $this->ids['plants'][0] ?? '1', $this->ids['visit_tasks'][0] ?? '1',
        ]);
    }

    /** @return array<string, non-empty-list<string>> */
    private static function fields(): array
    {
        $fields = [];
        foreach ((array) glob(app_path('*/*.php')) as $file) {
            preg_match_all(
                '/(?:string|integer|float|boolean|input|filled|enum|query|has|line|text)\(\s*["\']([a-z_.*]{1,40})["\']'
                    .'|["\']([a-z_.*]{1,40})["\'] => (?:\[|\$|self|Rule|\.\.\.|["\'](?:required|nullable|array))/',
                (string) file_get_contents((string) $file), $found,
            );
            foreach (array_filter([...$found[1], ...$found[2]]) as $field) {
                $fields[basename(dirname((string) $file))][$field] = str_replace('*', '0', $field);
            }
        }

        return array_map(array_values(...), $fields);
    }
}
