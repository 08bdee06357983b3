<?php

declare(strict_types=1);

namespace App\Gardens\Plants;

use App\Ground\Bridge\CorePlants;
use App\Ground\History\FreshForm;
use App\Ground\History\Undo;
use App\Ground\Models\Garden;
use App\Ground\Models\Plant;
use App\Ground\Support\Asked;
use App\Ground\Support\Controller;
use App\Ground\Support\SentOnce;
use App\Ground\Support\Today;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Calendar\SiteYear;
use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\KindNames;
use PruningHook\Core\PlantBook\PlantBook;

final class PlantController extends Controller
{
    public function show(Request $request, Plant $plant, PlantScreen $screen, PlantBook $book): View
    {
        try {
            $day = $request->filled('cut') ? Day::parse(Asked::text($request, 'cut')) : Today::day();
        } catch (Fault) {
            $day = Today::day();
        }

        try {
            return view('plants.show', $screen->show($plant, Today::day(), $day));
        } catch (Fault $fault) {
            return view('plants.unknown', [
                'plant' => $plant->load('garden'),
                'says' => ucfirst($fault->getMessage()).'.',
                'known' => $book->has($plant->kind),
                'name' => $book->nameOf($plant->kind),
            ]);
        }
    }

    public function record(Plant $plant, PlantBook $book, PlantRecord $record, CorePlants $bridge): View
    {
        $season = SiteYear::seasonOn($bridge->site($plant->garden), Today::day());

        return view('plants.record', [
            'seasons' => $record->of($plant),
            'shares' => $record->shares($plant, $season, Today::day()),
            'season' => $season,
            'plant' => $plant,
            'kind' => $book->has($plant->kind)
                ? $book->kind($plant->kind)
                : new KindNames($plant->kind, $book->nameOf($plant->kind), '', [], ''),
        ]);
    }

    public function create(Garden $garden, PlantBook $book): View
    {
        $this->authorize('update', $garden);

        return $this->form(new Plant(['count' => 1]), $garden, $book);
    }

    public function store(PlantRequest $request, Garden $garden): RedirectResponse
    {
        $facts = $request->facts();

        return SentOnce::write(static function () use ($garden, $facts): RedirectResponse {
            $plant = $garden->plants()->create($facts);

            return redirect()->route('plants.show', $plant)->with('said', "$plant->label is planted in the book.");
        });
    }

    public function edit(Plant $plant, PlantBook $book): View
    {
        $this->authorize('update', $plant);

        return $this->form($plant, $plant->garden, $book);
    }

    public function update(PlantRequest $request, Plant $plant): RedirectResponse
    {
        FreshForm::hold($request, $plant);
        $plant->update($request->facts());

        return redirect()->route('plants.show', $plant)->with('said', 'Saved. Its prescription is worked out anew.')
            ->with('undo', Undo::of($plant));
    }

    /** One tap on what is seen of it, on its page or on a visit's sheet. */
    public function seen(Request $request, Plant $plant, SayWhatIsSeen $seen): RedirectResponse
    {
        $this->authorize('survey', $plant);
        [$fact, $value] = [...explode(':', Asked::text($request, 'seen'), 2), ''];
        $before = $seen->say($plant, $fact, $value === '' ? null : $value, Today::day());

        // Back to where the hand was, and not to the top of a long sheet.
        $at = Asked::text($request, 'at');
        $at = preg_match('/^seen-\d{1,18}$/', $at) === 1 ? $at : 'seen';

        return redirect()
            ->to(url()->previous()."#$at")
            ->with('said', "$plant->label: what you saw is kept, and its prescription is worked out anew.")
            ->with('undo', [route('plants.seen', [$plant, 'seen' => "$fact:$before"]), 'PUT']);
    }

    public function destroy(Plant $plant): RedirectResponse
    {
        $this->authorize('delete', $plant);
        $plant->delete();

        return redirect()->route('gardens.show', $plant->garden_id)
            ->with('said', "$plant->label is taken out of the book.")
            ->with('undo', [route('plants.restore', $plant->id), 'POST']);
    }

    public function restore(int $plant): RedirectResponse
    {
        $row = Plant::withTrashed()->findOrFail($plant);
        $this->authorize('update', $row);
        $row->restore();

        return redirect()->route('plants.show', $row)->with('said', "$row->label is back, with its record.");
    }

    private function form(Plant $plant, Garden $garden, PlantBook $book): View
    {
        return view('plants.form', [
            'plant' => $plant,
            'garden' => $garden,
            'book' => $book,
            'fields' => app(PlantForm::class)->fields($plant, Today::day()),
        ]);
    }
}
