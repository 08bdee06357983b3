<?php

declare(strict_types=1);

namespace App\Office\Clients;

use App\Ground\Models\ClientWord;
use App\Ground\Models\Garden;
use App\Ground\Models\Photo;
use App\Ground\Models\Visit;
use App\Ground\Support\Asked;
use App\Ground\Support\Controller;
use App\Ground\Support\SentOnce;
use App\Ground\Support\Today;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Storage;
use Illuminate\Validation\Rule;
use PruningHook\Core\Calendar\Day;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** A client's own page: the season's letter, the days, what was done; they agree, ask to move a day, ask anything. */
final class ClientController extends Controller
{
    private const REPORTS = 6;

    /** Words of one garden that wait to be heard: more are not taken, whoever sends them. */
    private const WAITING = 20;

    public function show(string $token, ClientLinks $links, LetterScreen $letter): View
    {
        $garden = $links->named($token)->garden;
        $today = Today::day();
        $done = Visit::query()->where('garden_id', $garden->id)->where('on', '<=', (string) $today);
        $done->whereHas('tasks.log')->orderByDesc('on')->limit(self::REPORTS);

        return view('clients.page', [
            ...$letter->of($garden, $today)->toArray(), 'token' => $token,
            'coming' => $this->coming($garden, $today)->get(), 'done' => $done->get(),
            'words' => self::waiting($garden)->orderBy('id')->get(),
        ]);
    }

    public function report(string $token, Visit $visit, ClientLinks $links, ClientReportScreen $report): View
    {
        abort_unless($visit->garden_id === $links->named($token)->garden_id, 404);

        return view('clients.report', [...$report->of($visit, Today::day())->toArray(), 'token' => $token]);
    }

    public function photo(string $token, Photo $photo, ClientLinks $links): BinaryFileResponse
    {
        $garden = $links->named($token)->garden;
        $disk = Storage::disk('local');
        abort_unless($garden->photos_ok === true && $photo->task->visit->garden_id === $garden->id
            && $disk->exists($photo->path()), 404);

        return response()->file($disk->path($photo->path()), ['Cache-Control' => 'private, no-store']);
    }

    public function say(Request $request, string $token, ClientLinks $links): RedirectResponse
    {
        $garden = $links->named($token)->garden;
        $coming = $this->coming($garden, Today::day())->pluck('id')->all();
        $this->validate($request, [
            'kind' => ['required', Rule::in(array_keys(ClientWord::KINDS))],
            'visit' => ['nullable', 'required_unless:kind,ask', 'integer', Rule::in($coming)],
            'says' => ['nullable', 'required_unless:kind,agree', 'string', 'max:2000'],
        ], [
            'kind' => 'Agree, move or ask?', 'visit' => 'That day is no longer planned.',
            'says.required_unless' => 'Write what we should know.', 'says.max' => 'At most 2000 letters.',
        ]);
        if (self::waiting($garden)->count() >= self::WAITING) {
            return back()->withInput()->withErrors(['says' => 'So much waits for us already: please telephone.']);
        }

        return SentOnce::write(static function () use ($request, $garden, $token): RedirectResponse {
            $visit = Visit::query()->find(Asked::whole($request, 'visit'));
            ClientWord::query()->create([
                'garden_id' => $garden->id, 'visit_id' => $visit?->id, 'kind' => Asked::text($request, 'kind'),
                'says' => Asked::text($request, 'says') ?: null,
            ]);
            if (Asked::text($request, 'kind') === 'agree') {
                $visit?->update(['confirmed' => true]);
            }

            return redirect()->to(route('client', $token, false))
                ->with('said', 'Thank you. We have it, and answer as soon as we can.');
        });
    }

    /** @return Builder<ClientWord> what nobody has seen to yet */
    private static function waiting(Garden $garden): Builder
    {
        $waiting = ClientWord::query()->where('garden_id', $garden->id);
        $waiting->whereNull('heard_at');

        return $waiting;
    }

    /** @return Builder<Visit> */
    private function coming(Garden $garden, Day $today): Builder
    {
        $coming = Visit::query()->with('tasks.plant')->where('garden_id', $garden->id);
        $coming->where('on', '>=', (string) $today)->orderBy('on')->limit(20);

        return $coming;
    }
}
