<?php

declare(strict_types=1);

namespace App\Io\Calendar;

use App\Ground\History\SecurityLog;
use App\Ground\Models\Feed;
use App\Ground\Models\Firm;
use App\Ground\Models\Garden;
use App\Ground\Models\SecurityEventKind;
use App\Ground\Support\Asked;
use App\Ground\Support\Controller;
use App\Ground\Support\OutsideLink;
use App\Ground\Support\SentOnce;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Calendars to subscribe to: a crew's, a garden's or all; each by a link of its own that can be shut. */
final class FeedController extends Controller
{
    public function store(Request $request): RedirectResponse
    {
        $this->authorize('update', Firm::class);
        $this->validate($request, [
            'crew_id' => ['nullable', 'integer', Rule::exists('crews', 'id')],
            'garden' => ['nullable', 'string', 'max:120'],
        ], ['crew_id' => 'There is no such crew.']);
        $garden = Garden::called(Asked::text($request, 'garden'));
        if ($garden === null && Asked::text($request, 'garden') !== '') {
            return back()->withInput()->withErrors(['garden' => 'No garden is called so.']);
        }
        $token = OutsideLink::secret();

        return SentOnce::write(static function () use ($request, $garden, $token): RedirectResponse {
            Feed::query()->create([
                'digest' => OutsideLink::digest($token), 'garden_id' => $garden?->id,
                'made_by' => $request->user()?->id,
                'crew_id' => Asked::text($request, 'crew_id') === '' ? null : $request->integer('crew_id'),
            ]);
            SecurityLog::note(SecurityEventKind::LinkMade, says: 'a calendar');

            return redirect()->to(route('files').'#feeds')->with('said', 'The calendar is there. Copy its link now: '
                .'it is shown this once.')->with('feed', OutsideLink::to(route('feed', $token, false)));
        });
    }

    /** Whoever has the link reads it; a link that was shut is none. */
    public function show(Request $request, string $token, VisitCalendar $calendar): StreamedResponse
    {
        $feed = Feed::query()->with(['crew', 'garden'])->where('digest', OutsideLink::digest($token))->firstOrFail();

        return $calendar->sent($request, $feed->crew, $feed->garden);
    }

    public function destroy(Feed $feed): RedirectResponse
    {
        $this->authorize('update', Firm::class);
        $feed->delete();
        SecurityLog::note(SecurityEventKind::LinkShut, says: 'a calendar');

        return redirect()->to(route('files').'#feeds')
            ->with('said', 'The link is shut: whoever subscribed to it gets nothing more.');
    }
}
