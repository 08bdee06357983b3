<?php

declare(strict_types=1);

namespace App\Office\Clients;

use App\Ground\Models\ClientWord;
use App\Ground\Models\Firm;
use App\Ground\Models\Garden;
use App\Ground\Models\Visit;
use App\Ground\Support\Controller;
use App\Ground\Support\SentOnce;
use App\Ground\Support\Today;
use App\Office\Messages\TextChannel;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Notification;

/** What the firm tells its clients, and what they said. */
final class LetterController extends Controller
{
    public function show(Garden $garden, LetterScreen $letter, ClientLinks $links): View
    {
        $this->authorize('update', $garden);
        $words = ClientWord::query()->with('visit')->where('garden_id', $garden->id);
        $words->orderByDesc('id')->limit(20);

        return view('clients.letter', [
            ...$letter->of($garden, Today::day())->toArray(), 'link' => $links->of($garden), 'words' => $words->get(),
        ]);
    }

    /** Writes to the client; the link of an earlier letter opens nothing any longer. */
    public function send(Request $request, Garden $garden, ClientLinks $links): RedirectResponse
    {
        $this->authorize('update', $garden);
        if ($garden->client_email === null && $garden->client_phone === null) {
            return redirect()->route('letters.show', $garden)
                ->withErrors(['send' => 'Nobody has said how to reach the client: add an e-mail address or a number.']);
        }
        $firm = Firm::ours()->name;

        return SentOnce::write(static function () use ($request, $garden, $links, $firm): RedirectResponse {
            $link = $links->open($garden, $request->user());
            Notification::route('mail', $garden->client_email)->route(TextChannel::class, $garden->client_phone)
                ->notify(new SeasonLetterNotification($garden, $firm, $link));

            return redirect()->route('letters.show', $garden)
                ->with('said', "The letter to $garden->client is on its way. The link to their page is in it.");
        });
    }

    public function shut(Garden $garden, ClientLinks $links): RedirectResponse
    {
        $this->authorize('update', $garden);
        $links->shut($garden);

        return redirect()->route('letters.show', $garden)->with('said', 'The client\'s page is closed: the link in the '
            .'letter no longer works. Write again to open it.');
    }

    public function report(Visit $visit, ClientReportScreen $report): View
    {
        $this->authorize('update', $visit->garden);

        return view('clients.report', $report->of($visit, Today::day())->toArray());
    }

    public function heard(Request $request, ClientWord $word): RedirectResponse
    {
        $this->authorize('update', $word->garden);
        $word->update(['heard_at' => Carbon::now(), 'heard_by' => $request->user()?->id]);

        return back()->with('said', "Seen to: {$word->garden->client}.");
    }
}
