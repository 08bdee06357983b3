<?php

declare(strict_types=1);

namespace App\Visits;

use App\Models\Garden;
use App\Season\DueRow;
use App\Season\DueRows;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Fault;
use PruningHook\Core\Planning\CommonWindow;
use PruningHook\Core\Planning\DueTask;
use PruningHook\Core\Planning\Job;
use PruningHook\Core\Planning\Urgency;

/** What the planning page shows: what could be done, what is chosen, and the days the chosen share. */
final readonly class PlanScreen
{
    /** How far ahead tasks are offered. */
    private const DAYS_AHEAD = 180;

    public function __construct(
        private DueRows $rows,
        private PlanVisit $plan,
    ) {
    }

    /** @return array<string, mixed> */
    public function show(Garden $garden, Request $request, Day $today): array
    {
        $garden->load(['plants' => ['garden', 'workLogs', 'visitTasks.visit']]);
        /** @var list<string> $chosen */
        $chosen = array_values(array_filter((array) $request->old('tasks', $request->input('tasks', [])), is_string(...)));
        $jobs = $this->jobs($garden, $chosen);
        $common = PlanVisit::common($jobs);

        return [
            'garden' => $garden,
            'today' => $today,
            'rows' => $this->offered($garden, $today),
            'chosen' => $chosen,
            'jobs' => $jobs,
            'common' => $common,
            'minutes' => array_sum(array_map(static fn (Job $job): int => $job->task->minutes, $jobs)),
            'suggested' => self::suggested($common, $today),
            'on' => $this->day($request) ?? self::suggested($common, $today),
        ];
    }

    /** @return list<DueRow> */
    private function offered(Garden $garden, Day $today): array
    {
        $rows = array_filter(
            $this->rows->for($garden->plants, $today, $today->minus(DueTask::MISSED_DAYS), $today->plus(self::DAYS_AHEAD)),
            static fn (DueRow $row): bool => $row->due->urgency !== Urgency::Done && $row->visit === null,
        );
        usort($rows, static fn (DueRow $a, DueRow $b): int => $a->due->task->window->opens->number <=> $b->due->task->window->opens->number);

        return $rows;
    }

    /**
     * @param  list<string>  $chosen
     * @return list<Job>
     */
    private function jobs(Garden $garden, array $chosen): array
    {
        try {
            return $this->plan->jobs($garden, array_map(TaskChoice::parse(...), $chosen));
        } catch (Fault|ValidationException) {
            // A link to tasks that are no longer there still opens the page, with nothing chosen.
            return [];
        }
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
        $first = $common->bestFrom !== null && $common->bestTo !== null && ! $common->bestTo->isBefore($today) ? $common->bestFrom : $common->from;

        return Day::latest($today, $first);
    }
}
