<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Plant;
use App\Stems\CutPlan;
use App\Stems\StemBoard;
use App\Stems\SurveyChange;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Survey and judge: each tap is kept at once, and the plant is judged anew after it. */
final class StemController extends Controller
{
    public function show(Request $request, Plant $plant, StemBoard $board): View
    {
        $shown = $board->show($plant->load('garden'), $board->survey($plant), $request->string('stem')->toString() ?: null);

        return view($request->boolean('board') ? 'stems.board' : 'stems.show', $shown);
    }

    public function update(Request $request, Plant $plant, StemBoard $board, SurveyChange $change): View|RedirectResponse
    {
        $this->authorize('survey', $plant);
        $row = $board->survey($plant);
        /** @var array<string, mixed> $said */
        $said = $request->all();
        $row->goOn($change->apply($row->state, $said, $board->usualLength($plant)), $request->user());

        return $this->answer($request, $plant, $board, $request->string('op')->toString() === 'add' ? $row->state['stems'][count($row->state['stems']) - 1]['ref'] : null);
    }

    public function undo(Request $request, Plant $plant, StemBoard $board): View|RedirectResponse
    {
        $this->authorize('survey', $plant);
        $board->survey($plant)->goBack();

        return $this->answer($request, $plant, $board, null);
    }

    /** Keeps the judgement with a planned task, where the crew finds it on the sheet. */
    public function plan(Request $request, Plant $plant, StemBoard $board, CutPlan $plan): RedirectResponse
    {
        $this->authorize('survey', $plant);
        $task = $plan->keep($plant, $board, $request->integer('task'));

        return redirect()->route('visits.show', $task->visit_id)->with('said', "The cut plan of $plant->label is on the sheet.");
    }

    private function answer(Request $request, Plant $plant, StemBoard $board, ?string $new): View|RedirectResponse
    {
        $hand = $new ?? ($request->string('ref')->toString() ?: null);

        return $request->header('X-Board') === null
            ? redirect()->route('stems.show', [$plant, ...($hand === null ? [] : ['stem' => $hand])])
            : view('stems.board', $board->show($plant->load('garden'), $board->survey($plant), $hand));
    }
}
