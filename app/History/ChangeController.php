<?php

declare(strict_types=1);

namespace App\History;

use App\Models\Change;
use App\Models\Did;
use App\Models\Firm;
use App\Models\User;
use App\Search\SearchTables;
use App\Support\Asked;
use App\Support\Controller;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Who changed what, with the way back; what was taken out can be searched here and brought back. */
final class ChangeController extends Controller
{
    private const LINES = 40;

    public function index(Request $request): View
    {
        $this->authorize('update', Firm::class);
        [$text, $did, $of] = [
            Asked::text($request, 'q'), Did::tryFrom(Asked::text($request, 'did')), Asked::text($request, 'of'),
        ];
        $before = Asked::text($request, 'before');
        $changes = Change::query();
        $changes->with('user')->orderByDesc('id')->limit(self::LINES + 1);
        if (ctype_digit($before) && strlen($before) < 19) {
            $changes->where('id', '<', (int) $before);
        }
        if ($did !== null) {
            $changes->where('did', $did);
        }
        if (isset(Change::ROWS[$of])) {
            $changes->where('of', $of);
        }
        $who = (int) Asked::text($request, 'who');
        if ($who > 0) {
            $changes->where('user_id', $who);
        }
        if ($text !== '') {
            SearchTables::narrow($changes->getQuery(), 'changes', 'changes.id', $text);
        }
        $found = $changes->get();
        $shown = $found->take(self::LINES);

        return view('history.index', [
            'changes' => $shown, 'text' => $text, 'did' => $did, 'of' => $of, 'who' => $who,
            'people' => User::query()->orderBy('name')->limit(200)->pluck('name', 'id'),
            'older' => $found->count() > self::LINES ? $shown->last()?->id : null,
        ]);
    }

    public function undo(Request $request, Change $change, Undo $undo): RedirectResponse
    {
        $this->authorize('undo', $change);
        $undo->undo($change);

        return back(fallback: '/')->with('said', $change->did === Did::TakenOut
            ? "$change->label is back."
            : "$change->label is as it was before.");
    }
}
