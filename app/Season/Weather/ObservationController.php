<?php

declare(strict_types=1);

namespace App\Season\Weather;

use App\Ground\Bridge\CorePlants;
use App\Ground\History\Undo;
use App\Ground\Models\Garden;
use App\Ground\Models\Observation;
use App\Ground\Support\Controller;
use App\Ground\Support\SentOnce;
use App\Ground\Support\Today;
use App\Season\Due\DueKeeper;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use PruningHook\Core\Calendar\Anchor;

final class ObservationController extends Controller
{
    public function index(Garden $garden, CorePlants $bridge, Outlook $outlook, DueKeeper $keeper): View
    {
        $isHearing = $keeper->hear();
        $year = $bridge->years($garden)->holding(Today::day());

        return view('observations.index', [
            'garden' => $garden,
            'isHearing' => $isHearing,
            'today' => Today::day(),
            'year' => $year,
            'half' => Today::day()->isAfter($year->day(Anchor::Midsummer)) ? 'autumn' : 'spring',
            'warmth' => $outlook->warmth($year, Today::day()),
            'seen' => Observation::query()
                ->with('seenBy')
                ->where(['garden_id' => $garden->id, 'season' => $year->season])
                ->orderByDesc('on')
                ->get(),
        ]);
    }

    public function store(ObservationRequest $request, Garden $garden): RedirectResponse
    {
        $what = ['garden_id' => $garden->id, 'event' => $request->seen()->event, 'season' => $request->season()];
        $seen = ['on' => (string) $request->seen()->on, 'seen_by' => $request->user()?->id];

        return SentOnce::write(static function () use ($garden, $what, $seen): RedirectResponse {
            $noted = Observation::query()->updateOrCreate($what, $seen);

            return redirect()->route('observations.index', $garden)
                ->with('said', Observation::SIGNS[$noted->event].': noted.')
                ->with('undo', Undo::of($noted));
        });
    }

    public function destroy(Observation $observation): RedirectResponse
    {
        $this->authorize('delete', $observation);
        $observation->delete();

        return redirect()->route('observations.index', $observation->garden_id)->with('said', 'Taken back.');
    }
}
