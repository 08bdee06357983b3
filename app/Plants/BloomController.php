<?php

declare(strict_types=1);

namespace App\Plants;

use App\Bridge\CorePlants;
use App\History\Undo;
use App\Models\BloomNote;
use App\Models\Plant;
use App\Models\Regrowth;
use App\Support\Controller;
use App\Support\Today;
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
