<?php

declare(strict_types=1);

namespace App\Field;

use App\Ground\History\FreshForm;
use App\Ground\History\Undo;
use App\Ground\Models\Crew;
use App\Ground\Models\Garden;
use App\Ground\Models\Visit;
use App\Ground\Support\Asked;
use App\Ground\Support\Controller;
use App\Ground\Support\SentOnce;
use App\Ground\Support\Today;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final class VisitController extends Controller
{
    public function create(Request $request, Garden $garden, PlanVisitScreen $screen): View
    {
        $this->authorize('plan', $garden);

        return view('visits.plan', [
            ...$screen->show($garden, $request, Today::day())->toArray(),
            'crews' => Crew::names(),
        ]);
    }

    public function preview(Request $request, Garden $garden, PlanVisitScreen $screen): View
    {
        $this->authorize('plan', $garden);

        return view('visits.common', $screen->show($garden, $request, Today::day()));
    }

    public function store(PlanRequest $request, Garden $garden, PlanVisit $plan): RedirectResponse
    {
        $ready = $plan->ready($garden, $request->day(), $request->choices(), $request->reason(), Today::day());

        return SentOnce::write(static function () use ($request, $plan, $ready): RedirectResponse {
            $visit = $plan->write($ready, $request->crew(), $request->user());

            return redirect()->route('visits.show', $visit)
                ->with('said', 'The visit is planned.')
                ->with('undo', [route('visits.destroy', $visit), 'DELETE']);
        });
    }

    public function show(Visit $visit, SheetScreen $screen): View
    {
        return view('visits.show', $screen->show($visit, Today::day()));
    }

    public function update(Request $request, Visit $visit, MoveVisit $move): RedirectResponse
    {
        $this->authorize('update', $visit);
        $this->validate($request, [
            'on' => PlanDay::rules(), 'outside_reason' => ['nullable', 'string', 'max:500'],
        ], PlanDay::MESSAGES);
        FreshForm::hold($request, $visit);
        $move->move($visit, Asked::text($request, 'on'), Asked::text($request, 'outside_reason'));

        return redirect()->route('visits.show', $visit)->with('said', 'The visit is moved.')
            ->with('undo', Undo::of($visit));
    }

    public function destroy(Visit $visit): RedirectResponse
    {
        $this->authorize('delete', $visit);
        if ($visit->load('tasks.log')->isTouched()) {
            return back()->withErrors(['visit' => 'Work is logged on this visit, so it stays. Undo the log first.']);
        }
        $visit->delete();

        return redirect()
            ->route('gardens.show', $visit->garden_id)
            ->with('said', 'The visit is cancelled; its tasks are open again.')
            ->with('undo', Undo::of($visit));
    }
}
