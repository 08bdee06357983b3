<?php

declare(strict_types=1);

namespace App\Io\Api;

use App\Ground\Models\Visit;
use App\Ground\Models\VisitTask;
use App\Ground\Support\Controller;
use App\Ground\Support\Today;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Visits in the order of their days; one of them with its tasks. */
final class VisitsController extends Controller
{
    private const DAYS = 28;

    private const MOST_DAYS = 366;

    public function index(Request $request): JsonResponse
    {
        $filters = Listing::filters($request, [
            'from' => ['date_format:Y-m-d'], 'to' => ['date_format:Y-m-d'],
            'garden' => ['integer', 'min:1'], 'crew' => ['integer', 'min:1'],
        ]);
        [$from, $to] = Listing::days($filters, Today::day(), self::DAYS, self::MOST_DAYS);
        $visits = Visit::query();
        $visits->whereBetween('on', [(string) $from, (string) $to]);
        foreach (['garden' => 'garden_id', 'crew' => 'crew_id'] as $filter => $column) {
            if (isset($filters[$filter])) {
                $visits->where($column, (int) $filters[$filter]);
            }
        }
        $visits->withCount('tasks')->withSum('tasks as minutes', 'minutes')->orderBy('on')->orderBy('id');

        return Listing::answer($request, $visits, static fn (Visit $visit): array => self::row($visit));
    }

    public function show(Visit $visit): JsonResponse
    {
        $visit->load(['tasks', 'tasks.log:id,visit_task_id,outcome'])->loadCount('tasks')
            ->loadSum('tasks as minutes', 'minutes');

        return Listing::one([
            ...self::row($visit),
            'tasks' => array_values($visit->tasks->map(static fn (VisitTask $task): array => [
                'plant_id' => $task->plant_id,
                'task' => $task->task,
                'season' => $task->season,
                'minutes' => $task->minutes,
                'outcome' => $task->log?->outcome->value,
            ])->all()),
        ]);
    }

    /** @return array<string, mixed> */
    private static function row(Visit $visit): array
    {
        return [
            'id' => $visit->id,
            'garden_id' => $visit->garden_id,
            'crew_id' => $visit->crew_id,
            'on' => (string) $visit->on,
            'locked' => $visit->locked,
            'confirmed' => $visit->confirmed,
            'outside_window_reason' => $visit->outside_reason,
            'task_count' => (int) $visit->getAttribute('tasks_count'),
            'unlogged_count' => $visit->unlogged,
            'minutes' => (int) $visit->getAttribute('minutes'),
        ];
    }
}
