<?php

declare(strict_types=1);

namespace App\Gardens\Plants;

use App\Ground\Bridge\CorePlants;
use App\Ground\History\Undo;
use App\Ground\Models\BloomNote;
use App\Ground\Models\Plant;
use App\Ground\Models\Regrowth;
use App\Ground\Support\Controller;
use App\Ground\Support\Today;
use Illuminate\Http\RedirectResponse;

/** Notes at bloom: how high it flowered and how well, how it grew, and whether it is well. */
final class BloomController extends Controller
{
    public function store(BloomRequest $request, Plant $plant, CorePlants $bridge): RedirectResponse
    {
        $note = BloomNote::query()->updateOrCreate(
            ['plant_id' => $plant->id, 'season' => $bridge->years($plant->garden)->holding(Today::day())->season],
            [
                'flowering_height_mm' => $request->filled('flowering_height_cm')
                    ? $request->integer('flowering_height_cm') * 10
                    : null,
                'score' => $request->filled('score') ? $request->integer('score') : null,
                'regrowth' => $request->enum('regrowth', Regrowth::class),
                'diseased' => $request->filled('diseased') ? $request->boolean('diseased') : null,
                'noted_by' => $request->user()?->id,
            ],
        );

        return redirect()
            ->route('plants.show', $plant)
            ->with('said', 'Noted. Its growth is learned from it.')
            ->with('undo', Undo::of($note));
    }

    public function destroy(BloomNote $note): RedirectResponse
    {
        $this->authorize('survey', $note->plant);
        $note->delete();

        return redirect()->route('plants.show', $note->plant_id)->with('said', 'The note is taken back.');
    }
}
