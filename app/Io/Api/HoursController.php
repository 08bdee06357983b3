<?php

declare(strict_types=1);

namespace App\Io\Api;

use App\Ground\Support\Controller;
use App\Ground\Support\Today;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Minutes that were forecast and minutes that were logged, by day and crew. */
final class HoursController extends Controller
{
    private const DAYS = 6;

    /** A quarter: days and crews are few, what is summed is not. */
    private const MOST_DAYS = 92;

    public function index(Request $request): JsonResponse
    {
        $filters = Listing::filters($request, [
            'from' => ['date_format:Y-m-d'], 'to' => ['date_format:Y-m-d'], 'crew' => ['integer', 'min:1'],
        ]);
        [$from, $to] = Listing::days($filters, Today::day()->minus(self::DAYS), self::DAYS, self::MOST_DAYS);
        $logs = DB::table('work_logs')
            ->join('visit_tasks', 'visit_tasks.id', 'work_logs.visit_task_id')
            ->join('visits', 'visits.id', 'visit_tasks.visit_id')
            ->whereBetween('work_logs.on', [(string) $from, (string) $to])
            ->whereNotNull('work_logs.minutes')
            // No crew is 0: nothing comes before or after what is not known.
            ->select('work_logs.on', 'visit_tasks.minutes as forecast', 'work_logs.minutes as logged')
            ->selectRaw('coalesce(visits.crew_id, 0) as crew');
        if (isset($filters['crew'])) {
            $logs->where('visits.crew_id', (int) $filters['crew']);
        }
        $hours = DB::query()->fromSub($logs, 'logs')
            ->groupBy('on', 'crew')
            ->select('on', 'crew')
            ->selectRaw('sum(forecast) as forecast, sum(logged) as logged, count(*) as tasks');

        return Listing::answer(
            $request, DB::query()->fromSub($hours, 'hours')->orderBy('on')->orderBy('crew'), self::row(...),
        );
    }

    /** @return array<string, mixed> */
    private static function row(stdClass $row): array
    {
        return [
            'on' => (string) $row->on,
            'crew_id' => (int) $row->crew ?: null,
            'forecast_minutes' => (int) $row->forecast,
            'logged_minutes' => (int) $row->logged,
            'task_count' => (int) $row->tasks,
        ];
    }
}
