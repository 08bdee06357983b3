<?php

declare(strict_types=1);

namespace App\Gardens\Stems;

use App\Ground\Models\Plant;
use App\Ground\Support\Asked;
use App\Ground\Support\Controller;
use App\Ground\Support\Today;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Survey and judge: each tap is kept at once, and the plant is judged anew after it. */
final class StemController extends Controller
{
    public function __construct(private readonly StemBoard $board)
    {
    }

    public function show(Request $request, Plant $plant, SideView $side): View
    {
        $shown = $this->board->show(
            $plant->load('garden'), $this->board->survey($plant, Today::day()),
            Asked::text($request, 'stem') ?: null, Today::day(), $request->user(),
        );

        return $request->boolean('side')
            ? view('stems.side', [...$shown->toArray(), 'portraits' => $side->of($shown)])
            : view($request->boolean('board') ? 'stems.board' : 'stems.show', $shown);
    }

    public function update(Request $request, Plant $plant, SurveyTaps $taps): View|RedirectResponse
    {
        $this->authorize('survey', $plant);
        /** @var array<string, mixed> $said */
        $said = $request->all();
        $stems = $taps->keep($plant, $said, $request->user(), Today::day())->state['stems'];

        return $this->answer(
            $request, $plant,
            Asked::text($request, 'op') === 'add' ? $stems[count($stems) - 1]['ref'] ?? null : null,
        );
    }

    public function undo(Request $request, Plant $plant, SurveyTaps $taps): View|RedirectResponse
    {
        $this->authorize('survey', $plant);
        /** @var array<string, mixed> $said */
        $said = $request->all();
        $taps->takeBack($plant, $said, $request->user(), Today::day());

        return $this->answer($request, $plant, null);
    }

    /** Keeps the judgement with a planned task, where the crew finds it on the sheet. */
    public function plan(Request $request, Plant $plant, CutPlan $plan): RedirectResponse
    {
        $this->authorize('survey', $plant);
        $by = $request->user() ?? abort(403);
        $task = $plan->keep($plant, $this->board, $request->integer('task'), $by, Today::day());

        return redirect()
            ->route('visits.show', $task->visit_id)
            ->with('said', "The cut plan of $plant->label is on the sheet.");
    }

    private function answer(Request $request, Plant $plant, ?string $new): View|RedirectResponse
    {
        $hand = $new ?? (Asked::text($request, 'ref') ?: null);

        return $request->header('X-Board') === null
            ? redirect()->route('stems.show', [$plant, ...($hand === null ? [] : ['stem' => $hand])])
            : view('stems.board', $this->board->show(
                $plant->load('garden'), $this->board->survey($plant, Today::day()), $hand, Today::day(),
                $request->user(),
            ));
    }
}
