<?php

declare(strict_types=1);

namespace App\Io\Api;

use App\Ground\Models\WorkLog;
use App\Ground\Support\Controller;
use App\Ground\Support\Today;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What was done, in the order of the days. */
final class LogsController extends Controller
{
    private const DAYS = 28;

    private const MOST_DAYS = 366;

    public function index(Request $request): JsonResponse
    {
        $filters = Listing::filters($request, [
            'from' => ['date_format:Y-m-d'], 'to' => ['date_format:Y-m-d'], 'plant' => ['integer', 'min:1'],
        ]);
        [$from, $to] = Listing::days($filters, Today::day()->minus(self::DAYS), self::DAYS, self::MOST_DAYS);
        $logs = WorkLog::query();
        $logs->with('visitTask:id,visit_id')->whereBetween('on', [(string) $from, (string) $to]);
        if (isset($filters['plant'])) {
            $logs->where('plant_id', (int) $filters['plant']);
        }

        return Listing::answer($request, $logs->orderBy('on')->orderBy('id'), self::row(...));
    }

    /** @return array<string, mixed> */
    private static function row(WorkLog $log): array
    {
        return [
            'id' => $log->id,
            'visit_id' => $log->visitTask->visit_id,
            'plant_id' => $log->plant_id,
            'task' => $log->task,
            'season' => $log->season,
            'on' => (string) $log->on,
            'recipe' => $log->recipe,
            'outcome' => $log->outcome->value,
            'reason' => $log->why?->value,
            'minutes' => $log->minutes,
            'removed_percent' => $log->removed_percent,
            'amounts' => $log->amounts,
            'findings' => $log->findings,
            'note' => $log->note,
            'left_for_next_year' => $log->left_for_next_year,
        ];
    }
}
