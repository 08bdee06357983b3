<?php

declare(strict_types=1);

namespace App\Io\Import;

use App\Field\Record\LogWork;
use App\Ground\Models\Change;
use App\Ground\Models\Import;
use App\Ground\Models\User;
use App\Ground\Models\Visit;
use Closure;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use PruningHook\Core\Prescription\Snapshot;

/**
 * Work of the years before as the record has it: each day in a garden a visit, each line a task of it with its log. One
 * is made for each file that is taken in.
 *
 * @phpstan-import-type Written from Snapshot
 *
 * @phpstan-type Past array{garden_id: int, crew_id: ?int, plant_id: int, task: string, season: int, minutes: int,
 *     prescribed: Written, said: array{outcome: string, on: string}}
 */
final class PastWork implements TakesBack
{
    /** Visits that are taken out at once, each with its logs. */
    private const AT_ONCE = 4;

    /** @var array<string, Visit> by garden, day and crew */
    private array $visits = [];

    public function __construct(private readonly LogWork $logs)
    {
    }

    /** @param  Past  $past */
    public function keep(array $past, ?User $by): void
    {
        $on = $past['said']['on'];
        $visit = $this->visits["$past[garden_id] $on $past[crew_id]"] ??= self::begun($past) ?? Visit::query()->create([
            'garden_id' => $past['garden_id'], 'crew_id' => $past['crew_id'], 'on' => $on, 'planned_by' => $by?->id,
        ]);
        $task = $visit->tasks()->create([
            'plant_id' => $past['plant_id'], 'task' => $past['task'], 'season' => $past['season'],
            'position' => $visit->tasks()->count(), 'minutes' => $past['minutes'],
            'prescribed' => Snapshot::read($past['prescribed']),
        ]);
        $this->logs->log($task, $past['said'], $by);
        Visit::recount($visit->id);
    }

    /**
     * The visit that an earlier piece of the file made, where a worker was stopped since.
     *
     * @param  Past  $past
     */
    private static function begun(array $past): ?Visit
    {
        $import = Import::bringing();
        if ($import === null) {
            return null;
        }
        $visits = self::made($import);
        $visits->where('garden_id', $past['garden_id'])->where('on', $past['said']['on'])
            ->where('crew_id', $past['crew_id']);

        return $visits->first();
    }

    public function check(Import $import, Closure $between): void
    {
        self::made($import->id)->with('tasks.log')->chunkById(
            self::AT_ONCE,
            static function (Collection $visits) use ($import, $between): void {
                $visits->each(static fn (Visit $visit) => self::isAsItCame($visit, $import));
                $between();
            },
        );
    }

    /** Takes out the visits that a file brought, with their logs. */
    public function takeBack(Import $import, Closure $after): void
    {
        self::made($import->id)->chunkById(self::AT_ONCE, function (Collection $visits) use ($import, $after): void {
            $lines = DB::transaction(function () use ($visits, $import): int {
                $lines = 0;
                foreach ($visits as $visit) {
                    self::isAsItCame($visit->load('tasks.log'), $import);
                    foreach ($visit->tasks as $task) {
                        $this->logs->takeBack($task, $import->user);
                    }
                    $visit->delete();
                    $lines += count($visit->tasks);
                }

                return $lines;
            });
            $after($lines);
        });
    }

    /** @return Builder<Visit> those that the file brought and that are there */
    private static function made(int $import): Builder
    {
        $visits = Visit::query();
        $visits->whereIn('id', Change::query()->select('row_id')->where('import_id', $import)->where('of', 'visit')
            ->where('did', 'made'));

        return $visits;
    }

    private static function isAsItCame(Visit $visit, Import $import): void
    {
        foreach ($visit->tasks as $task) {
            if ($task->log === null || ! self::isOf($import, $task->log)) {
                throw self::changed($task->log?->versionLabel() ?? "$task->task $task->season");
            }
        }
        if (! self::isOf($import, $visit)) {
            throw self::changed("The visit of $visit->on");
        }
    }

    /** Whether a row's last version is the file's. */
    private static function isOf(Import $import, Model $row): bool
    {
        return Change::query()->whereKey(Change::last($row))->value('import_id') === $import->id;
    }

    private static function changed(string $what): ValidationException
    {
        return ValidationException::withMessages(['undo' => "$what has changed since."]);
    }
}
