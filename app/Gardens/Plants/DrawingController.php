<?php

declare(strict_types=1);

namespace App\Gardens\Plants;

use App\Ground\History\FreshForm;
use App\Ground\History\Undo;
use App\Ground\Models\Plant;
use App\Ground\Support\Asked;
use App\Ground\Support\Controller;
use App\Ground\Support\Today;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** A plant drawn with other measures, and measures kept. */
final class DrawingController extends Controller
{
    public function show(MeasuresRequest $request, Plant $plant, PlantDrawing $drawing): View
    {
        return view(
            'plants.drawing',
            $drawing->show(
                $plant->load(['garden', 'workLogs']), Asked::text($request, 'task') ?: null,
                Today::day(), $request->measures(),
            ),
        );
    }

    public function update(MeasuresRequest $request, Plant $plant): RedirectResponse
    {
        FreshForm::hold($request, $plant);
        $plant->update($request->measures());

        return redirect()
            ->route('plants.show', $plant)
            ->with('said', 'The measures are kept. Its prescription is worked out anew.')
            ->with('undo', Undo::of($plant));
    }
}
