<?php

declare(strict_types=1);

namespace App\Io\Csv;

use App\Ground\Bridge\CorePlants;
use App\Ground\Models\Crew;
use App\Ground\Models\Finding;
use App\Ground\Models\Hindrance;
use App\Ground\Models\Import;
use App\Ground\Models\Plant;
use App\Ground\Models\User;
use App\Ground\Support\Say;
use App\Ground\Support\Today;
use App\Io\Import\GardenNames;
use App\Io\Import\KeepsRows;
use App\Io\Import\Near;
use App\Io\Import\PastWork;
use App\Io\Import\RowSort;
use App\Io\Import\TakenRow;
use App\Io\Import\TakesBack;
use App\Io\Import\TakesIn;
use Closure;
use Generator;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Fault;
use PruningHook\Core\Plant\Outcome;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Prescription\Prescriber;
use PruningHook\Core\Prescription\Task;

/**
 * The record as a table: a line for each line of it. Lines of the years before come in, each to the plant it was done
 * to; what stands in the record is not changed by a file.
 *
 * @phpstan-import-type Past from PastWork
 */
final class LogTable implements TakesBack, TakesIn
{
    use KeepsRows;

    /** Each line of the past is worked out as its season stood: more are taken in season by season. */
    private const MOST = 2000;

    private const NEEDED = ['on', 'garden', 'plant', 'task'];

    /** @var ?array<string, int> by name */
    private ?array $crews = null;

    /** @var array<string, true> plants, tasks, seasons and days that lines of this file name */
    private array $named = [];

    public const COLUMNS = ['id', 'on', 'garden', 'plant_id', 'plant', 'kind', 'task', 'season', 'outcome', 'why',
        'minutes', 'minutes_planned', 'removed_percent', 'findings', 'note', 'left_for_next_year', 'crew', 'logged_by'];

    private const AT_ONCE = 500;

    public function __construct(
        private readonly PlantBook $book,
        private readonly CorePlants $bridge,
        private readonly GardenNames $gardens,
        private readonly PastWork $past,
    ) {
    }

    /** @return Generator<int, list<scalar|null>> */
    public function cells(): Generator
    {
        $after = 0;
        do {
            $rows = DB::table('work_logs')->where('work_logs.id', '>', $after)->orderBy('work_logs.id')
                ->leftJoin('plants', 'plants.id', 'work_logs.plant_id')
                ->leftJoin('gardens', 'gardens.id', 'plants.garden_id')
                ->leftJoin('visit_tasks', 'visit_tasks.id', 'work_logs.visit_task_id')
                ->leftJoin('visits', 'visits.id', 'visit_tasks.visit_id')
                ->leftJoin('crews', 'crews.id', 'visits.crew_id')
                ->leftJoin('users', 'users.id', 'work_logs.logged_by')
                ->limit(self::AT_ONCE)->get([
                    'work_logs.*', 'plants.label', 'plants.kind', 'gardens.name as garden',
                    'visit_tasks.minutes as planned', 'crews.name as crew', 'users.name as person',
                ]);
            foreach ($rows as $row) {
                $after = (int) $row->id;
                yield [
                    $row->id, $row->on, $row->garden, $row->plant_id, $row->label, $row->kind, $row->task, $row->season,
                    $row->outcome, $row->why, $row->minutes, $row->planned, $row->removed_percent,
                    implode(' ', array_filter((array) json_decode((string) $row->findings, true), is_string(...))),
                    $row->note, $row->left_for_next_year, $row->crew, $row->person,
                ];
            }
        } while (count($rows) === self::AT_ONCE);
    }

    public function lines(string $path): iterable
    {
        $count = 0;
        foreach (CsvFile::open($path, self::COLUMNS, self::NEEDED)->rows() as $line => $row) {
            if (++$count > self::MOST) {
                throw new Fault(sprintf(
                    'the file has more than %s lines: take the record in season by season', number_format(self::MOST),
                ));
            }
            yield $line => $row;
        }
    }

    public function keep(array $rows, ?User $by): void
    {
        foreach ($rows as $row) {
            /** @var Past $past as it was read */
            $past = $row->facts;
            self::refuseThose(self::isThere($past['plant_id'], $past['task'], $past['season'], $past['said']['on'])
                ? [sprintf('the log of %s of %s', $past['task'], $past['said']['on'])]
                : []);
            $this->past->keep($past, $by);
        }
    }

    private static function isThere(int $plant, string $task, int $season, string $on): bool
    {
        return DB::table('work_logs')->where('plant_id', $plant)->where('task', $task)->where('season', $season)
            ->where('on', $on)->exists();
    }

    public function check(Import $import, Closure $between): void
    {
        $this->past->check($import, $between);
    }

    public function takeBack(Import $import, Closure $after): void
    {
        $this->past->takeBack($import, $after);
    }

    public function read(array $row): TakenRow
    {
        $cells = new Cells($row);
        $plant = $this->plant($cells);
        $on = $cells->day('on', Today::day());
        if ($on === null && $cells->faults === []) {
            $cells->fault('on', 'is empty');
        }
        $said = $this->said($cells);
        $label = $plant->label ?? $row['plant'] ?? '';
        $task = $plant === null || $on === null ? null : $this->task($cells, $plant, $on);
        if ($plant === null || $on === null || $task === null || $cells->faults !== []) {
            return new TakenRow(RowSort::Wrong, $label, null, [], $cells->faults);
        }
        $names = "$plant->id $task->key $task->season $on";
        if (self::isThere($plant->id, $task->key, $task->season, (string) $on)) {
            return new TakenRow(RowSort::Same, $label, null, [], []);
        }
        if (isset($this->named[$names])) {
            return new TakenRow(RowSort::Wrong, $label, null, [], ['task: stands in this file twice for that day']);
        }
        $this->named[$names] = true;

        return new TakenRow(RowSort::New, $label, null, [
            'garden_id' => $plant->garden_id, 'crew_id' => $this->crew($row['crew'] ?? ''), 'plant_id' => $plant->id,
            'task' => $task->key, 'season' => $task->season, 'minutes' => $task->minutes,
            'prescribed' => $task->snapshot()->toArray(), 'said' => [...$said, 'on' => (string) $on],
        ], [$task->name.', '.Say::date($on)]);
    }

    /** @return array<string, mixed> what was done, as a sheet says it */
    private function said(Cells $cells): array
    {
        $outcome = Outcome::from($cells->one('outcome', array_column(Outcome::cases(), 'value')) ?? 'done');
        $said = [
            'outcome' => $outcome->value, 'why' => $cells->one('why', array_column(Hindrance::cases(), 'value')),
            'minutes' => $cells->whole('minutes', 0, 10_000),
            'removed_percent' => $cells->whole('removed_percent', 0, 100),
            'note' => $cells->text('note', 2000), 'left_for_next_year' => $cells->text('left_for_next_year', 2000),
            'findings' => $this->findings($cells),
        ];
        if (! $outcome->isSomething() && $said['why'] === null) {
            $cells->fault('why', 'is empty: what was not done has a reason');
        }

        return array_filter($said, static fn (mixed $value): bool => $value !== null && $value !== []);
    }

    /** @return list<string> */
    private function findings(Cells $cells): array
    {
        $known = array_column(Finding::cases(), 'value');
        $said = preg_split('/[\s,;]+/', strtolower($cells->text('findings', 300) ?? ''), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        foreach (array_diff($said, $known) as $unknown) {
            $near = Near::to($unknown, $known);
            $cells->fault('findings', "\"$unknown\" is nothing we know".($near === null
                ? ''
                : ". Did you mean $near?"));
        }

        return array_values(array_unique($said));
    }

    private function plant(Cells $cells): ?Plant
    {
        $garden = $this->gardens->of($cells);
        $label = $cells->text('plant', 120, true);
        if ($garden === null || $label === null) {
            return null;
        }
        $query = Plant::query()->with(['garden', 'workLogs', 'bloomNotes']);
        $query->where('garden_id', $garden);
        $query->where('label', $label)->limit(2);
        $found = $query->get();
        $plant = $found->first();
        if ($plant === null || ! $this->book->has($plant->kind)) {
            $cells->fault('plant', "there is no plant called \"$label\" there: take in the plants first");

            return null;
        }
        if (count($found) > 1) {
            $cells->fault('plant', "there is more than one \"$label\" there: give each a label of its own");

            return null;
        }

        return $plant;
    }

    /** The task as it was due in its season; told by its key or its name. */
    private function task(Cells $cells, Plant $plant, Day $on): ?Task
    {
        $said = $cells->text('task', 80, true);
        $years = $this->bridge->years($plant->garden);
        $season = $cells->whole('season', 1900, 2200) ?? SiteYear::seasonOn($years->site, $on);
        if ($said === null || $cells->faults !== []) {
            return null;
        }
        try {
            $tasks = Prescriber::with($this->book)->prescribe(
                $this->bridge->plant($plant, $on), $years->season($season), $this->bridge->practice($plant->garden),
            )->tasks;
        } catch (Fault $fault) {
            // Such as a day before it was planted.
            $cells->fault('on', rtrim(lcfirst($fault->getMessage()), '.'));

            return null;
        }
        $names = [];
        foreach ($tasks as $task) {
            if ($task->key === $said || strcasecmp($task->name, $said) === 0) {
                return $task;
            }
            $names[] = $task->name;
        }
        $near = Near::to($said, $names);
        $cells->fault('task', sprintf(
            '"%s" is no work on %s in %d%s', $said, $this->book->nameOf($plant->kind), $season,
            $near === null ? ($names === [] ? '' : ': '.implode(', ', $names)) : ". Did you mean \"$near\"?",
        ));

        return null;
    }

    /** Null where the crew is none of today's. */
    private function crew(string $name): ?int
    {
        $this->crews ??= array_flip(Crew::names());

        return $this->crews[$name] ?? null;
    }
}
