<?php

declare(strict_types=1);

namespace App\Io\Api;

use App\Ground\Support\Controller;
use App\Ground\Support\Today;
use App\Season\Due\DueKeeper;
use App\Season\KeptTasks;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Day;
use stdClass;

/** Tasks that are not done yet and whose windows touch the days asked for, the first to close first. */
final class DueController extends Controller
{
    private const DAYS = 28;

    private const MOST_DAYS = 366;

    public function index(Request $request, DueKeeper $keeper): JsonResponse
    {
        $filters = Listing::filters($request, [
            'from' => ['date_format:Y-m-d'], 'to' => ['date_format:Y-m-d'],
            'garden' => ['integer', 'min:1'], 'crew' => ['integer', 'min:1'],
        ]);
        [$from, $to] = Listing::days($filters, Today::day(), self::DAYS, self::MOST_DAYS);
        $ready = $keeper->ready();
        $tasks = KeptTasks::query($ready)
            ->where('done', false)
            ->where('closes', '>=', $from->number)
            // As a sum it leads to no index: the order is that of the closing days.
            ->whereRaw('opens + 0 <= ?', [$to->number]);
        if (isset($filters['garden'])) {
            $tasks->where('garden_id', (int) $filters['garden']);
        }
        if (isset($filters['crew'])) {
            $tasks->whereIn(
                'garden_id', DB::table('gardens')->select('id')->where('crew_id', (int) $filters['crew']),
            );
        }
        foreach (['closes', 'plant_id', 'task', 'season'] as $column) {
            $tasks->orderBy($column);
        }

        return Listing::answer($request, $tasks, self::row(...), ['recalculating_gardens' => $ready->stale]);
    }

    /** @return array<string, mixed> */
    private static function row(stdClass $row): array
    {
        $day = static fn (mixed $number): string => (string) Day::fromNumber((int) $number);

        return [
            'plant_id' => (int) $row->plant_id,
            'garden_id' => (int) $row->garden_id,
            'task' => (string) $row->task,
            'season' => (int) $row->season,
            'name' => (string) $row->name,
            'method' => (string) $row->method,
            'opens' => $day($row->opens),
            'best_from' => $day($row->best_from),
            'best_to' => $day($row->best_to),
            'closes' => $day($row->closes),
            'minutes' => (int) $row->minutes,
            'people' => (int) $row->people,
            'skills' => array_values((array) json_decode((string) $row->skills, true)),
            'hands_off' => $row->hands_off,
        ];
    }
}
