<?php

declare(strict_types=1);

namespace App\History;

use App\Models\Change;
use App\Models\Did;
use App\Models\Firm;
use App\Support\Controller;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Who changed what, with the way back; what was taken out can be searched here and brought back. */
final class ChangeController extends Controller
{
    public function index(Request $request, ChangesScreen $screen): View
    {
        $this->authorize('update', Firm::class);

        return view('history.index', $screen->show($request));
    }

    public function undo(Change $change, Undo $undo): RedirectResponse
    {
        $this->authorize('undo', $change);
        $undo->undo($change);

        return back(fallback: '/')->with('said', $change->did === Did::TakenOut
            ? "$change->label is back."
            : "$change->label is as it was before.");
    }
}
