<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\GardenRequest;
use App\Models\Crew;
use App\Models\Garden;
use App\Models\Plant;
use App\Models\Visit;
use App\Season\DueRows;
use App\Season\PlantYears;
use App\Support\Today;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use PruningHook\Core\Drawing\Strip;
use PruningHook\Core\PlantBook\PlantBook;

final class GardenController extends Controller
{
    public function index(Request $request): View
    {
        $text = $request->string('q')->trim()->toString();
        $like = '%'.addcslashes($text, '%_\\').'%';

        return view('gardens.index', [
            'text' => $text,
            'gardens' => Garden::query()->with('crew')->withCount('plants')->orderBy('name')
                ->whereAny(['name', 'client', 'address'], 'like', $like)->get(),
        ]);
    }

    public function show(Garden $garden, DueRows $rows, PlantYears $years, PlantBook $book): View
    {
        $garden->load(['crew', 'plants' => ['garden', 'workLogs', 'visitTasks.visit'], 'visits' => ['tasks.log', 'crew']]);
        $today = Today::day();
        $span = PlantYears::span($today);

        return view('gardens.show', [
            'garden' => $garden,
            'today' => $today,
            'book' => $book,
            'rows' => $rows->for($garden->plants, $today),
            'months' => Strip::marks($span),
            'width' => $span->days(),
            'strips' => $garden->plants->sortBy(['bed', 'label'])->map(
                static fn (Plant $plant): array => ['plant' => $plant, 'strip' => Strip::of($years->of($plant, $today, $span))],
            )->all(),
            'coming' => $garden->visits->filter(static fn (Visit $visit): bool => ! $visit->isLogged())->sortBy('on'),
            'past' => $garden->visits->filter(static fn (Visit $visit): bool => $visit->isLogged())->sortByDesc('on'),
        ]);
    }

    public function create(PlantBook $book): View
    {
        $this->authorize('create', Garden::class);

        return $this->form(new Garden(['winter' => 'cool']), $book);
    }

    public function store(GardenRequest $request): RedirectResponse
    {
        $garden = Garden::query()->create($request->facts());

        return redirect()->route('gardens.show', $garden)->with('said', "$garden->name is in the book. Add its plants next.");
    }

    public function edit(Garden $garden, PlantBook $book): View
    {
        $this->authorize('update', $garden);

        return $this->form($garden, $book);
    }

    public function update(GardenRequest $request, Garden $garden): RedirectResponse
    {
        $garden->update($request->facts());

        return redirect()->route('gardens.show', $garden)->with('said', 'Saved. All windows of this garden are worked out anew.');
    }

    private function form(Garden $garden, PlantBook $book): View
    {
        return view('gardens.form', ['garden' => $garden, 'crews' => Crew::query()->orderBy('name')->get(), 'questions' => $book->questions]);
    }
}
