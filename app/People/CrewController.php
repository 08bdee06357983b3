<?php

declare(strict_types=1);

namespace App\People;

use App\Ground\History\FreshForm;
use App\Ground\History\Undo;
use App\Ground\Models\Crew;
use App\Ground\Models\CrewDayOff;
use App\Ground\Models\Firm;
use App\Ground\Support\Asked;
use App\Ground\Support\Controller;
use App\Ground\Support\Pages;
use App\Ground\Support\Say;
use App\Ground\Support\SentOnce;
use App\Ground\Support\Today;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use PruningHook\Core\Calendar\Day;

final class CrewController extends Controller
{
    private const ON_A_PAGE = 20;

    public function index(Request $request): View
    {
        $pages = Pages::of($request, Crew::query()->count(), self::ON_A_PAGE);
        $crews = Crew::query()->with('members');
        $crews->orderBy('name')->orderBy('id')->limit($pages->per)->offset($pages->offset());

        return view('crews.index', ['crews' => $crews->get(), 'pages' => $pages, 'firm' => Firm::ours()]);
    }

    public function create(): View
    {
        $this->authorize('update', Firm::class);

        return view('crews.form', ['crew' => new Crew, 'off' => [], 'today' => Today::day()]);
    }

    public function store(CrewRequest $request): RedirectResponse
    {
        $facts = $request->facts();

        return SentOnce::write(static function () use ($facts): RedirectResponse {
            $crew = Crew::query()->create($facts);

            return redirect()->route('crews.index')->with('said', "$crew->name has been added.");
        });
    }

    public function edit(Crew $crew): View
    {
        $this->authorize('update', Firm::class);
        $today = Today::day();

        return view('crews.form', [
            'crew' => $crew, 'today' => $today,
            'off' => $crew->daysOff()->where('on', '>=', (string) $today)->get(),
        ]);
    }

    public function update(CrewRequest $request, Crew $crew): RedirectResponse
    {
        FreshForm::hold($request, $crew);
        $crew->update($request->facts());

        return redirect()->route('crews.index')->with('said', "Saved. Plans follow $crew->name from now on.")
            ->with('undo', Undo::of($crew));
    }

    /** A day off, or a day lost: its visits wait to be planned anew. */
    public function off(Request $request, Crew $crew): RedirectResponse
    {
        $this->authorize('update', Firm::class);
        // The page has the crew's own fields as well, one of the same name.
        $this->validateWithBag('off', $request, [
            'on' => [
                'required', 'date_format:Y-m-d', 'after_or_equal:'.Today::day(),
                Rule::unique('crew_days_off')->where('crew_id', $crew->id),
            ],
            'why' => ['required', 'string', 'max:60'],
            'people' => ['nullable', 'integer', 'min:1', "max:$crew->people"],
        ], [
            'on.unique' => "$crew->name is off on that day already.",
            'on.after_or_equal' => 'Days that are over cannot be taken off.',
            'people.*' => "$crew->name has $crew->people people; leave it empty where nobody comes.",
            'why.required' => 'Say why: holiday, ill, frost.',
        ]);

        return SentOnce::write(static function () use ($request, $crew): RedirectResponse {
            $off = $crew->daysOff()->create($request->only('on', 'why', 'people'));

            return back()
                ->with('said', sprintf(
                    $off->people === null ? '%s does not work on %s: %s.' : '%s is not complete on %s: %s.',
                    $crew->name, Say::date(Day::parse(Asked::text($request, 'on'))), $off->why,
                ))
                ->with('undo', [route('crews.on', $off), 'DELETE']);
        });
    }

    /** Removes a day off. */
    public function on(CrewDayOff $off): RedirectResponse
    {
        $this->authorize('update', Firm::class);
        $off->delete();

        return back()->with('said', sprintf('%s works on %s.', $off->crew->name, Say::date($off->on)));
    }

    /** Where crew days begin and end, and the usual way to what nobody has placed. */
    public function depot(Request $request): RedirectResponse
    {
        $this->authorize('update', Firm::class);
        $facts = $this->validate($request, [
            'depot_latitude' => ['nullable', 'required_with:depot_longitude', 'numeric', 'between:-90,90'],
            'depot_longitude' => ['nullable', 'required_with:depot_latitude', 'numeric', 'between:-180,180'],
            'usual_travel' => ['required', 'integer', 'between:0,240'],
            'log_days' => ['sometimes', 'required', 'integer', 'between:0,400'],
        ], [
            'log_days.between' => 'Between 0 and 400 days.',
            'depot_latitude.between' => 'A latitude lies between -90 (south) and 90 (north) degrees.',
            'depot_longitude.between' => 'A longitude lies between -180 (west) and 180 (east) degrees.',
            'usual_travel.between' => 'Travel takes between 0 and 240 minutes.',
        ]);
        $firm = Firm::ours();
        FreshForm::hold($request, $firm);
        $firm->fill((array) $facts)->save();

        return redirect()->route('crews.index')->with('said', 'Saved. Travel is calculated from there.')
            ->with('undo', Undo::of($firm));
    }
}
