<?php

declare(strict_types=1);

namespace App\Field\Record;

use App\Ground\Models\VisitTask;
use App\Ground\Support\Controller;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final class WorkLogController extends Controller
{
    public function store(LogRequest $request, VisitTask $task, LogWork $work): RedirectResponse
    {
        $work->log($task, $request->said(), $request->user());

        return redirect()->to(route('visits.show', $task->visit_id)."#task-$task->id")
            ->with('said', "{$task->plant->label}: logged.")
            ->with('undo', [route('logs.destroy', $task), 'DELETE']);
    }

    public function destroy(Request $request, VisitTask $task, LogWork $work): RedirectResponse
    {
        $this->authorize('log', $task->visit);
        $work->takeBack($task, $request->user());

        return redirect()
            ->to(route('visits.show', $task->visit_id)."#task-$task->id")
            ->with('said', "{$task->plant->label}: the log is taken back.");
    }
}
