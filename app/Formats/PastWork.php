<?php

declare(strict_types=1);

namespace App\Formats;

use App\Models\Change;
use App\Models\Import;
use App\Models\User;
use App\Models\Visit;
use App\Models\VisitTask;
use App\Record\LogWork;
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
final class PastWork
{
    /** @var array<string, Visit> by garden, day and crew */
    private array $visits = [];

    public function __construct(private readonly LogWork $logs)
    {
    }

    /** @param  Past  $past */
    public function keep(array $past, ?User $by): void
    {
        $on = $past['said']['on'];
        $visit = $this->visits["$past[garden_id] $on $past[crew_id]"] ??= Visit::query()->create([
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
     * Takes out the visits that a file brought, with their logs.
     *
     * @throws ValidationException where anything of them has changed since
     */
    public function takeBack(Import $import): void
    {
        $made = Change::query();
        $made->where('of', 'visit')->where('did', 'made')->whereBetween('id', [
            $import->first_change, $import->last_change,
        ]);
        $done = 0;
        $visits = Visit::query()->with('tasks.log');
        $visits->whereIn('id', $made->pluck('row_id'));
        foreach ($visits->get() as $visit) {
            foreach ($visit->tasks as $task) {
                $this->takeOut($task, (int) $import->last_change, $import->user);
            }
            if (Change::last($visit) > $import->last_change) {
                throw self::changed("The visit of $visit->on");
            }
            $visit->delete();
            $import->come($done += count($visit->tasks));
        }
    }

    private function takeOut(VisitTask $task, int $last, ?User $by): void
    {
        $log = $task->log;
        if ($log === null || Change::last($log) > $last) {
            throw self::changed($log?->versionLabel() ?? "$task->task $task->season");
        }
        $this->logs->takeBack($task, $by);
    }

    private static function changed(string $what): ValidationException
    {
        return ValidationException::withMessages(['undo' => "$what has changed since."]);
    }
}
