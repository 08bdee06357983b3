<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Ground\Models\Role;
use App\Ground\Support\Dialect;
use App\Ground\Support\Today;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\GivenSite;
use PruningHook\Core\Calendar\MonthDay;
use PruningHook\Core\Calendar\SiteYears;
use PruningHook\Core\Calendar\WinterClass;
use PruningHook\Core\Planning\Agenda;
use PruningHook\Core\Planning\DueTask;
use PruningHook\Core\Plant\Plant;
use PruningHook\Core\Plant\StemCount;
use PruningHook\Core\PlantBook\Habit;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\PlantBook\SeasonReader;
use PruningHook\Core\Prescription\Prescriber;
use PruningHook\Core\Prescription\SeasonTask;
use PruningHook\Core\Schools\ChosenSchools;

/**
 * An invented firm, to measure with: gardens in two counties with what gardens have most of, six years of visits, logs,
 * entries, pictures, changes and letters, visits to come, signs noted. The same for a size and a day. Rows are written
 * in bulk, so what is kept of them is stale at first; `FirmBlocks` makes a large firm of it.
 */
final class FirmSeeder
{
    public const PLANTS = 50;

    public const YEARS = 6;

    private const TASKS_A_VISIT = 9;

    /** One log of so many has a picture, one plant of so many a survey of its stems. */
    private const LOGS_A_PICTURE = 8;

    private const PLANTS_A_SURVEY = 40;

    /** Days for which each log is among the changes too: for longer, it is not needed to measure with. */
    private const CHANGES_DAYS = 730;

    /** What gardens have most of, the commonest first (common practice, no source). */
    private const COMMON = [
        'bush-rose', 'lavender', 'box-hedge', 'climbing-rose', 'apple', 'bigleaf-hydrangea', 'privet', 'yew',
        'wisteria', 'lilac', 'butterfly-bush', 'forsythia', 'shrub-rose-repeat', 'panicle-hydrangea', 'photinia',
        'beech-hedge', 'large-clematis', 'holly', 'rosemary', 'camellia', 'mock-orange', 'cherry-laurel', 'pear',
        'grape-vine', 'hardy-fuchsia', 'weigela', 'mahonia', 'plum', 'viburnum', 'dogwood-coloured', 'hazel', 'ivy',
    ];

    private const FIRST = [
        'Alder',
        'Barley',
        'Copper',
        'Dovecote',
        'Elder',
        'Ferry',
        'Granary',
        'Hazel',
        'Ivory',
        'Juniper',
        'Kiln',
        'Lantern',
        'Mallow',
        'Nettle',
        'Otter',
        'Plover',
        'Quince',
        'Rushy',
        'Sorrel',
        'Thistle',
        'Upper',
        'Vetch',
        'Willow',
        'Yarrow',
    ];

    private const SECOND = [
        'House',
        'Cottage',
        'Court',
        'Lodge',
        'Mill',
        'Bank',
        'Close',
        'Grange',
        'Hill',
        'Meadow',
        'Row',
        'Yard',
        'Reach',
        'Steps',
        'Garth',
        'End',
    ];

    private const BEDS = [
        'South wall',
        'Drive',
        'Long border',
        'Orchard',
        'Terrace',
        'Pond',
        'Gate',
        'Kitchen garden',
        'Lawn',
        'Path',
    ];

    /** @var array<string, int> the last id given out, by table */
    private array $ids = [];

    /** @var array<string, list<array<string, mixed>>> rows waiting to be written */
    private array $waiting = [];

    /** @var list<string> the commonest first */
    private array $kinds;

    /** @var list<float> up to which number each of them is drawn */
    private array $upTo = [];

    private int $years = self::YEARS;

    public function __construct(private readonly PlantBook $book)
    {
        $all = array_keys($book->names);
        $common = array_values(array_intersect(self::COMMON, $all));
        $this->kinds = [...$common, ...array_values(array_diff($all, $common))];
        $sum = 0.0;
        foreach (array_keys($this->kinds) as $rank) {
            $this->upTo[] = $sum += 1 / ($rank + 8);
        }
    }

    /** @param  int  $plants  in each garden */
    public function fill(int $gardens, int $plants = self::PLANTS, int $years = self::YEARS): void
    {
        mt_srand(20270301);
        $this->years = $years;
        $today = Today::day();
        DB::transaction(function () use ($gardens, $plants, $today): void {
            $crew = $this->people();
            for ($index = 0; $index < $gardens; $index++) {
                $this->garden($index, $crew, $plants, $today);
                if ($index % 5 === 4) {
                    $this->write();
                }
            }
            $this->write();
            Dialect::of(DB::connection())->countOn(array_keys($this->ids));
        });
    }

    /** What a number from 0 to 1 draws of the kinds, those that gardens have most of most often. */
    private function drawn(float $number): string
    {
        [$low, $high] = [0, count($this->upTo) - 1];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            [$low, $high] = $this->upTo[$middle] < $number * end($this->upTo) ? [$middle + 1, $high] : [$low, $middle];
        }

        return $this->kinds[$low];
    }

    private static function chance(string $of): float
    {
        return (crc32($of) % 100_000) / 100_000;
    }

    /** @return int the first crew: how many there must be is known once their work is */
    private function people(): int
    {
        $this->row('firms', ['name' => 'Two Counties Garden Care', 'practice' => '{}']);
        $crews = [$this->row('crews', ['name' => 'Crew 001'])];
        $password = Hash::make(DemoSeeder::PASSWORD);
        foreach (
            [
                ['Maren Holt', 'planner', Role::Planner, null],
                ['Tobin Ashe', 'lead', Role::Lead, $crews[0]],
                ['Isla Fenn', 'hand', Role::Hand, $crews[0]],
            ] as [$name, $mail, $role, $crew]
        ) {
            $this->row('users', [
                'name' => $name,
                'email' => "$mail@hollowbrook.test",
                'password' => $password,
                'role' => $role->value,
                'crew_id' => $crew,
            ]);
        }

        return $crews[0];
    }

    private function garden(int $index, int $crew, int $plants, Day $today): void
    {
        $height = 20 + (($index * 37) % 300);
        $last = Day::of($today->year(), 4, 12)->plus(($index % 12) + intdiv($height, 20));
        $first = Day::of($today->year(), 11, 4)->minus(($index % 12) + intdiv($height, 20));
        $winter = $height > 250 ? WinterClass::Cold : WinterClass::Cool;
        [$latitude, $longitude] = [
            51.6 + $index * 0.0137 - floor($index * 0.0137),
            -3.1 + $index * 0.0231 - floor($index * 0.0231),
        ];
        $garden = $this->row('gardens', [
            'crew_id' => $crew,
            'name' => self::FIRST[$index % 24].
                ' '.
                self::SECOND[intdiv($index, 24) % 16].
                ($index < 384 ? '' : ' '.(intdiv($index, 384) + 1)),
            'client' => 'Family '.self::SECOND[($index * 7) % 16],
            'address' => ($index % 90) + 1 .' '.self::FIRST[($index * 5) % 24].' Lane',
            'latitude' => round($latitude, 5),
            'longitude' => round($longitude, 5),
            'elevation_m' => $height,
            'last_frost' => (string) MonthDay::of($last),
            'first_frost' => (string) MonthDay::of($first),
            'winter' => $winter->value,
            'practice' => '{}',
            'notes' => null,
        ]);
        $this->version('garden', $garden, self::FIRST[$index % 24], $today->minus(365 * $this->years));
        $this->letters($garden, $index, $today);
        $years = SiteYears::of(
            $this->book->stations->site(new GivenSite(
                $latitude, $longitude, $height, MonthDay::of($last), MonthDay::of($first), $winter,
            )),
        );
        if ($index % 5 === 0) {
            $season = $years->holding($today)->season;
            $reader = SeasonReader::with($this->book);
            foreach (['witch-hazel-bloom' => -9, 'forsythia-bloom' => -4, 'plum-bloom' => -4] as $event => $late) {
                $on = $reader->expected($event, $years->season($season)->average())->plus($late + ($index % 4));
                if (! $on->isAfter($today)) {
                    $this->row('observations', [
                        'garden_id' => $garden,
                        'event' => $event,
                        'on' => (string) $on,
                        'season' => $season,
                    ]);
                }
            }
        }
        $due = [];
        for ($number = 0; $number < $plants; $number++) {
            array_push($due, ...$this->plant($garden, $index * $plants + $number, $years, $today));
        }
        $this->visits($garden, $crew, $index, $due, $today);
    }

    /**
     * @return list<array{plant: int, due: DueTask,
     *     prescribed: callable(): array<string, mixed>}> what it was and is due for
     */
    private function plant(int $garden, int $number, SiteYears $years, Day $today): array
    {
        $kind = $this->book->kind($this->drawn(self::chance("plant $number")));
        $planted = Day::of($today->year() - 1 - ($number % 23), 3, 1 + ($number % 28));
        $height = (int) ($kind->typicalHeightMm * (0.5 + (($number * 13) % 50) / 60));
        $stems = in_array($kind->habit, [Habit::Shrub, Habit::Cane], true)
            ? [2 + ($number % 8), 1 + ($number % 5)]
            : [null, null];
        $own = $number % 61 === 0;
        $id = $this->row('plants', [
            'garden_id' => $garden,
            'kind' => $kind->id,
            'label' => sprintf('%s %d', $kind->name, ($number % 97) + 1),
            'bed' => self::BEDS[$number % 10],
            'planted_on' => (string) $planted,
            'count' => 1 + ($number % 9 === 0 ? $number % 5 : 0),
            'height_mm' => $height,
            'spread_mm' => null,
            'stems_old' => $stems[0],
            'stems_young' => $stems[1],
            'hazards' => '[]',
            'practice' => $own ? '{"wisteria-look":"relaxed"}' : '{}',
            'own_practice' => $own,
        ]);
        $this->version('plant', $id, $kind->name, $today->minus(365 * $this->years - $number % 700));
        if ($stems[0] !== null && $number % self::PLANTS_A_SURVEY === 0) {
            $this->survey($id, $today);
        }
        $plant = new Plant(
            (string) $id,
            $kind->id,
            planted: $planted,
            heightMm: $height,
            stems: $stems[0] === null ? null : StemCount::of($stems[0], (int) $stems[1]),
        );
        $practice = ChosenSchools::of($this->book->questions);
        $seasons = [];
        $due = [];
        foreach (
            Agenda::with($this->book)->between(
                $plant,
                $years,
                $practice,
                $today,
                $today->minus(365 * $this->years),
                $today->plus(21),
            ) as $task
        ) {
            // What is an arborist's is on no visit.
            if ($task->task->handsOff !== null) {
                continue;
            }
            $due[] = [
                'plant' => $id,
                'due' => $task,
                'prescribed' => function () use (&$seasons, $plant, $years, $practice, $task): array {
                    $season = $task->task->season;
                    $seasons[$season] ??= Prescriber::with($this->book)->prescribe(
                        $plant,
                        $years->season($season),
                        $practice,
                    );

                    return $seasons[$season]->task($task->task->key)?->toArray() ?? [];
                },
            ];
        }

        return $due;
    }

    /** @param  list<array{plant: int, due: DueTask, prescribed: callable(): array<string, mixed>}>  $due */
    private function visits(int $garden, int $crew, int $index, array $due, Day $today): void
    {
        usort(
            $due,
            static fn (array $a, array $b): int => $a['due']->task->window->bestTo->number <=>
                $b['due']->task->window->bestTo->number,
        );
        while ($due !== []) {
            $window = $due[0]['due']->task->window;
            $on = $window->bestFrom->plus(intdiv($window->bestFrom->daysUntil($window->bestTo), 2));
            $rest = [];
            $together = [];
            foreach ($due as $item) {
                $fits = $item['due']->task->window->contains($on) && count($together) < self::TASKS_A_VISIT;
                $fits ? ($together[] = $item) : ($rest[] = $item);
            }
            // What fell within the last week is left for the planner.
            if ($on->isBefore($today->minus(6))) {
                // In one garden of ten the last weeks' work was not logged.
                $this->visit(
                    $garden, $crew, $on, $together, $index % 10 !== 1 || $on->isBefore($today->minus(45)), $today,
                );
            } elseif (! $on->isBefore($today)) {
                $this->visit(
                    $garden,
                    $crew,
                    // Within the fortnight to come, weekends left out.
                    $today->plus(7 * ($index % 2) + ($index % 5) + 1 - $today->weekday()),
                    array_slice($together, 0, 3),
                    false,
                    $today,
                );
                break;
            }
            $due = $rest;
        }
    }

    /** @param  list<array{plant: int, due: DueTask, prescribed: callable(): array<string, mixed>}>  $items */
    private function visit(int $garden, int $crew, Day $on, array $items, bool $logged, Day $today): void
    {
        $visit = $this->row('visits', [
            'garden_id' => $garden,
            'crew_id' => $crew,
            'on' => (string) $on,
            'unlogged' => $logged ? 0 : count($items),
            'waiting' => ! $logged && $items !== [],
        ]);
        foreach ($items as $position => $item) {
            $task = $item['due']->task;
            $prescribed = $item['prescribed']();
            $row = $this->row('visit_tasks', [
                'visit_id' => $visit,
                'plant_id' => $item['plant'],
                'task' => $task->key,
                'season' => $task->season,
                'position' => $position,
                'minutes' => $task->minutes,
                'prescribed' => json_encode($prescribed, JSON_THROW_ON_ERROR),
            ]);
            if ($logged) {
                $this->log($item['plant'], $task, $visit, $row, $on, (array) ($prescribed['amounts'] ?? []), $today);
            }
        }
    }

    /** @param  array<array-key, mixed>  $amounts  as they were prescribed */
    private function log(int $plant, SeasonTask $task, int $visit, int $row, Day $on, array $amounts, Day $today): void
    {
        $draw = crc32("$task->key $plant $task->season");
        $outcome = match ($draw % 14) {
            0 => 'not-done',
            1 => 'partly',
            default => 'done',
        };
        $isDone = $outcome !== 'not-done';
        $said = [
            'outcome' => $outcome,
            'minutes' => $isDone ? max(1, (int) ($task->minutes * (0.7 + ($draw % 60) / 100))) : null,
            'removed_percent' => $isDone ? [10, 15, 20, 25][$draw % 4] : null,
            'amounts' => $isDone ? array_values(array_map(static fn (array $amount): array => [
                'effect' => $amount['effect'], 'what' => $amount['what'], 'unit' => $amount['unit'],
                'value' => $amount['target'],
            ], array_filter(
                $amounts, static fn (mixed $amount): bool => is_array($amount) && isset($amount['effect']),
            ))) : [],
            'findings' => $draw % 9 === 0 ? ['dead-wood'] : [],
        ];
        $log = $this->row('work_logs', [
            ...$said,
            'amounts' => json_encode($said['amounts'], JSON_THROW_ON_ERROR),
            'findings' => json_encode($said['findings'], JSON_THROW_ON_ERROR),
            'visit_task_id' => $row,
            'plant_id' => $plant,
            'task' => $task->key,
            'recipe' => $task->methodKey,
            'season' => $task->season,
            'on' => (string) $on,
        ]);
        $this->plain('entries', [
            'uuid' => self::uuid('e', $row), 'kind' => 'log', 'visit_id' => $visit, 'visit_task_id' => $row,
            'corrects' => '[]', 'body' => json_encode([...$said, 'on' => (string) $on], JSON_THROW_ON_ERROR),
            'said_by' => 2, 'said_at' => "$on 15:00:00", 'created_at' => "$on 15:00:00",
        ]);
        if ($draw % self::LOGS_A_PICTURE === 0) {
            $this->plain('photos', [
                'uuid' => self::uuid('f', $row), 'visit_task_id' => $row, 'moment' => 'after', 'taken_by' => 2,
                'taken_at' => "$on 15:00:00", 'width' => 1280, 'height' => 960, 'bytes' => 240_000,
                'created_at' => "$on 15:00:00",
            ]);
        }
        if (! $on->isBefore($today->minus(self::CHANGES_DAYS))) {
            $this->version('log', $log, "$task->name, $on", $on, $said);
        }
    }

    /** @param  array<string, mixed>  $after */
    private function version(string $of, int $row, string $label, Day $on, array $after = []): void
    {
        $this->plain('changes', [
            'of' => $of, 'row_id' => $row, 'did' => 'made', 'label' => $label, 'before' => '[]',
            'after' => json_encode($after === [] ? ['label' => $label] : $after, JSON_THROW_ON_ERROR), 'user_id' => 1,
            'at' => "$on 15:00:00",
        ]);
    }

    /** Two letters a year, and now and then an answer; the last of these nobody has heard yet. */
    private function letters(int $garden, int $index, Day $today): void
    {
        foreach (range(1, 2 * $this->years) as $number) {
            $on = $today->minus(180 * $number - $index % 100);
            $this->plain('letters', [
                'channel' => 'mail', 'to' => "client$garden@example.test", 'subject' => 'Your garden this season',
                'body' => str_repeat('What we did, and what comes next. ', 30), 'created_at' => "$on 09:00:00",
            ]);
            if (($index + $number) % 5 === 0) {
                $this->plain('client_words', [
                    'garden_id' => $garden, 'kind' => 'ask', 'says' => 'Could the roses wait for a week?',
                    'created_at' => "$on 19:00:00",
                    'heard_at' => $number === 1 ? null : "$on 20:00:00", 'heard_by' => $number === 1 ? null : 1,
                ]);
            }
        }
    }

    private function survey(int $plant, Day $today): void
    {
        $stems = [];
        foreach (range('A', 'H') as $nth => $ref) {
            $stems[] = [
                'ref' => $ref, 'azimuth_deg' => 45 * $nth + $plant % 30, 'lean_deg' => 10 + 4 * $nth,
                'length_mm' => 900 + 60 * $nth, 'base_mm' => 10 + 2 * $nth, 'age_years' => 1 + $nth % 5,
                'faults' => $nth === 6 ? ['inward'] : [],
            ];
        }
        $this->row('stem_surveys', [
            'plant_id' => $plant, 'season' => $today->year(), 'surveyed_on' => (string) $today->minus(20),
            'state' => json_encode(
                ['stems' => $stems, 'cut' => [], 'word' => [], 'keep' => null, 'budget' => null], JSON_THROW_ON_ERROR,
            ),
        ]);
    }

    /** The same for the same row, and one that a block of gardens can count on from. */
    private static function uuid(string $of, int $row): string
    {
        return sprintf('%s0000000-0000-4000-8000-%012d', $of, $row);
    }

    /** @param  array<string, mixed>  $row  of a table that has no day of its own making, or another name for it */
    private function plain(string $table, array $row): int
    {
        $id = $this->ids[$table] = $this->last($table) + 1;
        $this->waiting[$table][] = ['id' => $id, ...$row];

        return $id;
    }

    /** @return int the last number given out */
    private function last(string $table): int
    {
        return $this->ids[$table] ??= (int) DB::table($table)->max('id');
    }

    /** @param  array<string, mixed>  $row */
    private function row(string $table, array $row): int
    {
        $id = $this->ids[$table] = $this->last($table) + 1;
        $this->waiting[$table][] = [
            'id' => $id,
            ...$row,
            'created_at' => '2026-01-01 00:00:00',
            'updated_at' => '2026-01-01 00:00:00',
        ];

        return $id;
    }

    private function write(): void
    {
        foreach ($this->waiting as $table => $rows) {
            foreach (array_chunk($rows, 500) as $chunk) {
                DB::table($table)->insert($chunk);
            }
        }
        $this->waiting = [];
    }
}
