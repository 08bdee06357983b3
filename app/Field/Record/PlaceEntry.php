<?php

declare(strict_types=1);

namespace App\Field\Record;

use App\Ground\Models\Change;
use App\Ground\Models\Did;
use App\Ground\Models\Entry;
use App\Ground\Models\Plant;
use App\Ground\Models\User;
use App\Ground\Models\Visit;
use App\Ground\Models\VisitTask;
use App\Ground\Support\Today;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Validator;
use Illuminate\Validation\ValidationException;
use PruningHook\Core\Calendar\Day;

/**
 * Work that was logged for a visit that was cancelled meanwhile, is another crew's or long over: it was done, and the
 * planner says where it belongs.
 */
final readonly class PlaceEntry
{
    /** Days before and after on which a task of the same plant may have been meant. */
    private const NEAR = 60;

    private const OFFERED = 20;

    public function __construct(private LogRules $rules)
    {
    }

    /** The task it was sent for, as it is or as it was when its visit was cancelled; null where nobody knows. */
    public function meant(Entry $entry): ?VisitTask
    {
        $task = $entry->unplaced['task'] ?? null;
        if ($task === null) {
            return null;
        }
        $there = VisitTask::query()->with(['plant.garden', 'visit'])->find($task);
        if ($there !== null) {
            return $there;
        }
        $gone = Change::query()->where('of', 'visit')->where('row_id', $entry->unplaced['visit'] ?? 0)
            ->where('did', Did::TakenOut)->orderByDesc('id')->first();
        $below = $gone->before['+visit_tasks'] ?? '[]';
        foreach ((array) json_decode(is_string($below) ? $below : '[]', true) as $row) {
            if (is_array($row) && (int) ($row['id'] ?? 0) === $task) {
                return (new VisitTask)->setRawAttributes(array_intersect_key($row, array_flip([
                    'plant_id', 'task', 'season', 'position', 'minutes', 'prescribed',
                ])));
            }
        }

        return null;
    }

    /**
     * Tasks it may be logged on: of the same plant, near its day and without a log.
     *
     * @return Collection<int, VisitTask>
     */
    public function candidates(Entry $entry): Collection
    {
        $meant = $this->meant($entry);
        $day = self::day($entry);
        $near = VisitTask::query()->with(['visit.crew', 'plant'])->doesntHave('log');
        $near->where('plant_id', $meant->plant_id ?? 0)->whereIn('visit_id', DB::table('visits')->select('id')
            ->whereBetween('on', [(string) $day->minus(self::NEAR), (string) $day->plus(self::NEAR)]));
        $near->orderBy('id')->limit(self::OFFERED);

        return $near->get()->toBase();
    }

    /**
     * Logs it on a task, or on a visit of its own that is made for it. Where it cannot be logged there, a
     * `ValidationException` says why.
     */
    public function place(Entry $entry, ?int $task, User $by): VisitTask
    {
        $on = $task === null
            ? $this->onVisitOfItsOwn($entry, $by)
            : $this->candidates($entry)->firstWhere('id', $task) ?? throw self::isLogged();
        $body = $entry->body;
        $validator = Validator::make($body, LogRules::rules(), LogRules::messages());
        $validator->after(fn () => $this->rules->look($validator, $on, [...$body, 'sure' => '1']));
        if ($validator->fails()) {
            throw ValidationException::withMessages(['task' => $validator->errors()->all()]);
        }

        return DB::transaction(static function () use ($entry, $on, $by, $body): VisitTask {
            if (! $on->exists) {
                $on->visit->save();
                $on->visit()->associate($on->visit)->save();
            }
            $entry->forceFill([
                'visit_id' => $on->visit_id, 'visit_task_id' => $on->id, 'unplaced' => null,
                'body' => [...LogRules::said($on, $body), 'on' => (string) self::day($entry)],
            ])->save();
            if ($on->log()->exists()) {
                throw self::isLogged();
            }
            LogWork::settle($on, $by);

            return $on;
        });
    }

    /** Nothing is logged; what was said stays to be read. */
    public function putAway(Entry $entry): void
    {
        $entry->forceFill(['unplaced' => null])->save();
    }

    /** The day on which it was done. */
    public static function day(Entry $entry): Day
    {
        $on = $entry->body['on'] ?? null;

        return is_string($on) ? Day::parse($on) : Today::of($entry->said_at);
    }

    /** A task of a visit that is made for it; neither is kept yet. */
    private function onVisitOfItsOwn(Entry $entry, User $by): VisitTask
    {
        $meant = $this->meant($entry);
        $plant = $meant === null ? null : Plant::query()->find($meant->plant_id);
        if ($meant === null || $plant === null) {
            throw ValidationException::withMessages(['task' => 'Its plant is not in the book any more.']);
        }
        $visit = new Visit([
            'garden_id' => $plant->garden_id, 'crew_id' => $entry->saidBy?->crew_id, 'on' => (string) self::day($entry),
            'planned_by' => $by->id,
        ]);
        $task = new VisitTask([
            ...$meant->only(['plant_id', 'task', 'season', 'minutes', 'prescribed']), 'position' => 0,
        ]);

        return $task->setRelation('plant', $plant)->setRelation('visit', $visit);
    }

    private static function isLogged(): ValidationException
    {
        return ValidationException::withMessages(['task' => 'That task has a log. Choose another.']);
    }
}
