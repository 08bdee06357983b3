<?php

declare(strict_types=1);

namespace App\Visits;

use App\Due\Basis;
use App\Due\DueKeeper;
use App\Models\Garden;
use App\Season\DueRow;
use App\Season\KeptTasks;
use App\Season\TaskChoice;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\Window;
use PruningHook\Core\Fault;
use PruningHook\Core\Planning\CommonWindow;
use PruningHook\Core\Planning\DueTask;
use PruningHook\Core\Prescription\SeasonTask;
use stdClass;

/** What the planning page shows: what could be done, what is chosen, and the days the chosen share. */
final readonly class PlanScreen
{
    public function __construct(private DueKeeper $keeper, private KeptTasks $tasks)
    {
    }

    public function show(Garden $garden, Request $request, Day $today): PlanPage
    {
        $this->keeper->ensure([$garden->id]);
        /** @var list<string> $chosen */
        $chosen = array_values(
            array_filter((array) $request->old('tasks', $request->input('tasks', [])), is_string(...)),
        );
        $tasks = $this->chosen($garden, $chosen);
        $common = CommonWindow::of(...array_map(static fn (SeasonTask $task): Window => $task->window, $tasks));

        return new PlanPage(
            garden: $garden,
            today: $today,
            rows: $this->offered($garden, $today),
            chosen: $chosen,
            tasks: $tasks,
            common: $common,
            minutes: array_sum(array_map(static fn (SeasonTask $task): int => $task->minutes, $tasks)),
            suggested: self::suggested($common, $today),
            on: $this->day($request) ?? self::suggested($common, $today),
        );
    }

    /** @return list<DueRow> by opening */
    private function offered(Garden $garden, Day $today): array
    {
        return array_values(
            array_filter(
                $this->tasks->rows(
                    DB::table('season_tasks')
                        ->where('garden_id', $garden->id)
                        ->where('done', false)
                        ->where('closes', '>=', $today->number - DueTask::MISSED_DAYS)
                        ->where('opens', '<=', $today->number + Basis::PLANNED_AHEAD)
                        ->orderBy('opens')
                        ->orderBy('id'),
                    $today,
                ),
                static fn (DueRow $row): bool => $row->visit === null,
            ),
        );
    }

    /**
     * What is kept of the chosen tasks. A link to tasks that are no longer there still opens the page, without them.
     *
     * @param  list<string>  $chosen
     * @return list<SeasonTask>
     */
    private function chosen(Garden $garden, array $chosen): array
    {
        $choices = [];
        foreach ($chosen as $text) {
            try {
                $choices[$text] = TaskChoice::parse($text);
            } catch (Fault) {
                continue;
            }
        }
        $kept = DB::table('season_tasks')
            ->where('garden_id', $garden->id)
            ->whereIn('plant_id', array_map(static fn (TaskChoice $choice): int => $choice->plant, $choices))
            ->orderBy('opens')
            ->get();

        return array_values(
            array_map(
                KeptTasks::task(...),
                array_filter(
                    $kept->all(),
                    static fn (stdClass $row): bool => isset(
                        $choices[(string) TaskChoice::of((int) $row->plant_id, $row->task, (int) $row->season)],
                    ),
                ),
            ),
        );
    }

    private function day(Request $request): ?Day
    {
        $on = $request->old('on', $request->input('on'));
        try {
            return is_string($on) && $on !== '' ? Day::parse($on) : null;
        } catch (Fault) {
            return null;
        }
    }

    /** The first best day from today on, or the first open one. */
    private static function suggested(?CommonWindow $common, Day $today): Day
    {
        if ($common === null) {
            return $today;
        }
        $first =
            $common->bestFrom !== null && $common->bestTo !== null && ! $common->bestTo->isBefore($today)
                ? $common->bestFrom
                : $common->from;

        return Day::latest($today, $first);
    }
}
