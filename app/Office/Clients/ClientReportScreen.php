<?php

declare(strict_types=1);

namespace App\Office\Clients;

use App\Ground\Models\Firm;
use App\Ground\Models\Visit;
use App\Ground\Models\VisitTask;
use PruningHook\Core\Calendar\Day;

/** What a client is told after a visit: what was done and why, what to expect of it, and what comes next. */
final readonly class ClientReportScreen
{
    public function of(Visit $visit, Day $today): ClientReportPage
    {
        $visit->load(['garden', 'crew', 'tasks' => ['plant', 'log', 'photos']]);
        $logged = $visit->tasks->filter(static fn (VisitTask $task): bool => $task->log !== null);
        $next = Visit::query();
        $next->where('garden_id', $visit->garden_id)->where('on', '>', (string) $visit->on)
            ->where('on', '>=', (string) $today)->orderBy('on');

        return new ClientReportPage(
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
