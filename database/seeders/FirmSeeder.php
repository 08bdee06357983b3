<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Role;
use App\Support\Today;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use PruningHook\Core\Calendar\Day;
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
use PruningHook\Core\Practice\Practice;
use PruningHook\Core\Prescription\Prescriber;

/**
 * An invented firm of any size, to measure with: gardens in two counties, forty plants each, two seasons logged, visits
 * to come, signs noted. The same for a size and a day. Rows are written in bulk, so what is kept of them is stale at
 * first.
 */
final class FirmSeeder
{
    public const PLANTS = 40;

    private const GARDENS_A_CREW = 20;

    private const GARDENS_A_DAY = 3;

    private const PAST_DAYS = 730;

    private const TASKS_A_VISIT = 9;

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

    /** @var list<string> */
    private array $kinds;

    private int $crews = 1;

    public function __construct(private readonly PlantBook $book)
    {
        $this->kinds = array_keys($book->names);
    }

    /** @param  int  $plants  in each garden */
    public function fill(int $gardens, int $plants = self::PLANTS): void
    {
        mt_srand(20270301);
        $today = Today::day();
        DB::transaction(function () use ($gardens, $plants, $today): void {
            $crews = $this->people($gardens);
            for ($index = 0; $index < $gardens; $index++) {
                $this->garden($index, $crews[$index % count($crews)], $plants, $today);
                if ($index % 20 === 19) {
                    $this->write();
                }
            }
            $this->write();
        });
    }

    /** @return non-empty-list<int> crews */
    private function people(int $gardens): array
    {
        $this->row('firms', ['name' => 'Two Counties Garden Care', 'practice' => '{}']);
        $crews = [];
        foreach (range(1, max(1, intdiv($gardens, self::GARDENS_A_CREW))) as $number) {
            $crews[] = $this->row('crews', ['name' => sprintf('Crew %02d', $number)]);
        }
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

        $this->crews = count($crews);

        return $crews;
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
        $years = SiteYears::of(
            $this->book->stations->site(
                $latitude, $longitude, $height, MonthDay::of($last), MonthDay::of($first), $winter,
            ),
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
            $due = [...$due, ...$this->plant($garden, $index * $plants + $number, $years, $today)];
        }
        $this->visits($garden, $crew, $index, $due, $today);
    }

    /**
     * @return list<array{plant: int, due: DueTask,
     *     prescribed: callable(): array<string, mixed>}> what it was and is due for
     */
    private function plant(int $garden, int $number, SiteYears $years, Day $today): array
    {
        // Every garden has its roses.
        $kind = $this->book->kind(
            $number % 7 === 0 ? 'bush-rose' : $this->kinds[($number * 31) % count($this->kinds)],
        );
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
        $plant = new Plant(
            (string) $id,
            $kind->id,
            planted: $planted,
            heightMm: $height,
            stems: $stems[0] === null ? null : StemCount::of($stems[0], (int) $stems[1]),
        );
        $practice = Practice::of($this->book->questions);
        $seasons = [];
        $due = [];
        foreach (
            Agenda::with($this->book)->between(
                $plant,
                $years,
                $practice,
                $today,
                $today->minus(self::PAST_DAYS),
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

    /** So many days of work on from a day, weekends left out. */
    private static function workday(Day $today, int $days): Day
    {
        $day = $today;
        while ($days > 0) {
            $day = $day->plus($day->weekday() === 5 ? 3 : 1);
            $days--;
        }

        return $day;
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
                // In one garden of three the last weeks' work was not logged.
                $this->visit($garden, $crew, $on, $together, $index % 3 !== 1 || $on->isBefore($today->minus(45)));
            } elseif (! $on->isBefore($today)) {
                $this->visit(
                    $garden,
                    $crew,
                    // As many gardens a day as a crew can see, from today on.
                    self::workday($today, intdiv(intdiv($index, $this->crews), self::GARDENS_A_DAY)),
                    array_slice($together, 0, 3),
                    false,
                );
                break;
            }
            $due = $rest;
        }
    }

    /** @param  list<array{plant: int, due: DueTask, prescribed: callable(): array<string, mixed>}>  $items */
    private function visit(int $garden, int $crew, Day $on, array $items, bool $logged): void
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
            $row = $this->row('visit_tasks', [
                'visit_id' => $visit,
                'plant_id' => $item['plant'],
                'task' => $task->key,
                'season' => $task->season,
                'position' => $position,
                'minutes' => $task->minutes,
                'prescribed' => json_encode($item['prescribed'](), JSON_THROW_ON_ERROR),
            ]);
            if ($logged) {
                $draw = crc32("$task->key {$item['plant']} $task->season");
                $outcome = match ($draw % 14) {
                    0 => 'not-done',
                    1 => 'partly',
                    default => 'done',
                };
                $this->row('work_logs', [
                    'visit_task_id' => $row,
                    'plant_id' => $item['plant'],
                    'task' => $task->key,
                    'recipe' => $task->methodKey,
                    'season' => $task->season,
                    'on' => (string) $on,
                    'outcome' => $outcome,
                    'minutes' => $outcome === 'not-done'
                            ? null
                            : max(1, (int) ($task->minutes * (0.7 + ($draw % 60) / 100))),
                    'removed_percent' => $outcome === 'not-done' ? null : [10, 15, 20, 25][$draw % 4],
                    'amounts' => '[]',
                    'findings' => $draw % 9 === 0 ? '["dead-wood"]' : '[]',
                ]);
            }
        }
    }

    /** @param  array<string, mixed>  $row */
    private function row(string $table, array $row): int
    {
        $id = $this->ids[$table] = ($this->ids[$table] ?? 0) + 1;
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
