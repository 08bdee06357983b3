<?php

declare(strict_types=1);

namespace App\Gardens;

use App\History\FreshForm;
use App\History\Undo;
use App\Models\Crew;
use App\Models\Garden;
use App\Support\Controller;
use App\Support\Today;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use PruningHook\Core\Calendar\Region;
use PruningHook\Core\PlantBook\PlantBook;

final class GardenController extends Controller
{
    public function index(Request $request, GardensScreen $screen): View
    {
        return view('gardens.index', $screen->show($request, Today::day()));
    }

    public function show(Request $request, Garden $garden, GardenScreen $screen): View
    {
        return view('gardens.show', $screen->show($garden, $request, Today::day()));
    }

    public function create(PlantBook $book): View
    {
        $this->authorize('create', Garden::class);

        return $this->form(new Garden(['winter' => 'cool']), $book);
    }

    public function store(GardenRequest $request): RedirectResponse
    {
        $garden = Garden::query()->create($request->facts());

        return redirect()
            ->route('gardens.show', $garden)
            ->with('said', "$garden->name is in the book. Add its plants next.");
    }

    public function edit(Garden $garden, PlantBook $book): View
    {
        $this->authorize('update', $garden);

        return $this->form($garden, $book);
    }

    public function update(GardenRequest $request, Garden $garden, SaveGarden $save): RedirectResponse
    {
        FreshForm::hold($request, $garden);
        $save->update($garden, $request->facts(), Today::day());

        return redirect()
            ->route('gardens.show', $garden)
            ->with('said', 'Saved. All windows of this garden are worked out anew.')
            ->with('undo', Undo::of($garden));
    }

    private function form(Garden $garden, PlantBook $book): View
    {
        return view('gardens.form', [
            'garden' => $garden,
            'crews' => Crew::names(),
            'questions' => $book->questions,
            'regions' => array_column(
                array_map(
                    static fn (Region $region): array => [$region->value, ucfirst($region->inWords())],
                    Region::cases(),
                ),
                1,
                0,
            ),
            'guess' => $garden->exists ? Region::guess($garden->latitude, $garden->longitude)->inWords() : null,
        ]);
    }
}
