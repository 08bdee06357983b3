<?php

declare(strict_types=1);

namespace App\Planning;

use App\Ground\Models\Crew;
use App\Ground\Models\DraftStatus;
use App\Ground\Models\Firm;
use App\Ground\Models\PlanDraft;
use App\Ground\Support\Asked;
use App\Ground\Support\Controller;
use App\Ground\Support\SentOnce;
use App\Ground\Support\Today;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Plans that are asked for: made on the queue, looked at, accepted in all or in part, taken back. */
final class DraftController extends Controller
{
    public const WEEKS = [
        2 => 'two weeks',
        6 => 'six weeks',
        12 => 'twelve weeks',
        26 => 'half a year',
        52 => 'a year',
    ];

    /** Minutes that moving a visit must be worth, by what is asked for. */
    public const STAY = ['little' => 90, 'some' => 30, 'anew' => 0];

    public function store(Request $request, Drafts $drafts): RedirectResponse
    {
        $this->authorize('update', Firm::class);
        $this->validate($request, [
            'weeks' => ['required', 'integer', 'in:'.implode(',', array_keys(self::WEEKS))],
            'stay' => ['required', 'in:'.implode(',', array_keys(self::STAY))],
        ]);
        if (Crew::query()->doesntExist()) {
            return back()->withErrors(['weeks' => 'There is no crew to plan for yet.']);
        }

        return SentOnce::write(static fn (): RedirectResponse => redirect()->route('drafts.show', $drafts->ask(
            Today::day(), 7 * $request->integer('weeks'), self::STAY[Asked::text($request, 'stay')],
            $request->user()?->id,
        )));
    }

    public function show(Request $request, PlanDraft $draft, DraftScreen $screen): View
    {
        return view($request->boolean('part') ? 'plan.progress' : 'plan.draft', $screen->show($draft, $request));
    }

    public function destroy(PlanDraft $draft): RedirectResponse
    {
        $this->authorize('update', Firm::class);
        PlanDraft::query()
            ->whereKey($draft->id)
            ->whereIn('status', [DraftStatus::Waiting, DraftStatus::Looking, DraftStatus::Ready])
            ->update(['status' => DraftStatus::Cancelled]);

        return redirect()->route('plan')->with('said', 'Called off; the plan is as it was.');
    }

    /** It is acknowledged at once, and carried out by the worker. */
    public function accept(Request $request, PlanDraft $draft): RedirectResponse
    {
        $this->authorize('update', Firm::class);
        $this->validate($request, ['changes' => ['array'], 'changes.*' => ['integer', 'min:0']]);
        $chosen = $request->boolean('all')
            ? array_keys($draft->result['changes'] ?? [])
            : array_values(array_map(intval(...), (array) $request->input('changes', [])));
        $changes = count(AcceptDraft::chosen($draft, $chosen));
        $ours = PlanDraft::query()->whereKey($draft->id)->where('status', DraftStatus::Ready)->update([
            'status' => DraftStatus::Accepting, 'share' => 0,
            'says' => $changes === 1 ? 'making one change' : "making $changes changes",
        ]);
        if ($ours === 1) {
            MakeTrue::dispatch($draft->id, $chosen, $request->user()?->id);
        }

        return redirect()->route('drafts.show', $draft);
    }

    public function undo(PlanDraft $draft, AcceptDraft $accept): RedirectResponse
    {
        $this->authorize('update', Firm::class);
        $accept->takeBack($draft, Today::day());

        return redirect()->route('plan')->with('said', 'Taken back; the plan is as it was.');
    }
}
