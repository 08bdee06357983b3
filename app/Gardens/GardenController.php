<?php

declare(strict_types=1);

namespace App\Gardens;

use App\Ground\Bridge\CorePlants;
use App\Ground\History\Erase;
use App\Ground\History\FreshForm;
use App\Ground\History\Undo;
use App\Ground\Models\Crew;
use App\Ground\Models\Garden;
use App\Ground\Support\Controller;
use App\Ground\Support\SentOnce;
use App\Ground\Support\Today;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use PruningHook\Core\Calendar\Region;
use PruningHook\Core\Calendar\WinterClass;
use PruningHook\Core\Drawing\WarmthChart;
use PruningHook\Core\Fault;
use PruningHook\Core\PlantBook\PlantBook;

final class GardenController extends Controller
{
    public function __construct(private readonly CorePlants $bridge)
    {
    }

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

        return $this->form(new Garden(['winter' => '']), $book);
    }

    public function store(GardenRequest $request): RedirectResponse
    {
        $facts = $request->facts();

        return SentOnce::write(static function () use ($facts): RedirectResponse {
            $garden = Garden::query()->create($facts);

            return redirect()
                ->route('gardens.show', $garden)
                ->with('said', "$garden->name has been added. Add its plants next.");
        });
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

    /** The firm works there no more: nothing is due, and all that was done stays. */
    public function archive(Garden $garden): RedirectResponse
    {
        $this->authorize('archive', $garden);
        $coming = $garden->visits()->where('on', '>=', (string) Today::day())->where('waiting', true)->count();
        if ($coming > 0) {
            return redirect()->route('gardens.show', $garden)->withErrors(['archive' => $coming === 1
                ? 'A visit is planned there: cancel it first, or do it.'
                : "$coming visits are planned there: cancel them first, or do them."]);
        }
        $garden->forceFill(['archived_on' => (string) Today::day()])->save();

        return redirect()->route('gardens.index')
            ->with('said', "$garden->name is archived. What was done there stays in the record.")
            ->with('undo', [route('gardens.back', $garden), 'POST']);
    }

    /** Who the client was; what was done in the garden stays in the record. */
    public function eraseClient(Garden $garden): RedirectResponse
    {
        $this->authorize('archive', $garden);
        Erase::client($garden);

        return redirect()->route('gardens.edit', $garden)->with('said', 'The client\'s data has been erased.');
    }

    public function back(Garden $garden): RedirectResponse
    {
        $this->authorize('archive', $garden);
        $garden->forceFill(['archived_on' => null])->save();

        return redirect()->route('gardens.show', $garden)
            ->with('said', "$garden->name is back: what is due there is worked out anew.");
    }

    /** @return ?array{chart: WarmthChart, winter: WinterClass} null where the garden's site cannot be */
    private function year(Garden $garden): ?array
    {
        try {
            $year = $this->bridge->years($garden)->holding(Today::day());
        } catch (Fault) {
            return null;
        }

        return ['chart' => WarmthChart::of($year), 'winter' => $year->site->winter];
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
            'year' => $garden->exists ? $this->year($garden) : null,
            'guess' => $garden->exists ? Region::guess($garden->latitude, $garden->longitude)->inWords() : null,
        ]);
    }
}
