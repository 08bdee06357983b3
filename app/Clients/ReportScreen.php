<?php

declare(strict_types=1);

namespace App\Clients;

use App\Models\Firm;
use App\Models\Visit;
use App\Models\VisitTask;
use PruningHook\Core\Calendar\Day;

/** What a client is told after a visit: what was done and why, what to expect of it, and what comes next. */
final readonly class ReportScreen
{
    public function of(Visit $visit, Day $today): ReportPage
    {
        $visit->load(['garden', 'crew', 'tasks' => ['plant', 'log', 'photos']]);
        $logged = $visit->tasks->filter(static fn (VisitTask $task): bool => $task->log !== null);
        $next = Visit::query();
        $next->where('garden_id', $visit->garden_id)->where('on', '>', (string) $visit->on)
            ->where('on', '>=', (string) $today)->orderBy('on');

        return new ReportPage(
            Firm::ours(), $visit,
            array_values($logged->map(static fn (VisitTask $task): ReportLine => new ReportLine(
                $task, $task->log?->outcome->isSomething() === true
                    ? AfterWords::of($task->prescribed->amounts)
                    : null,
            ))->all()),
            $next->first(),
        );
    }
}
