<?php

declare(strict_types=1);

namespace App\Ground\History;

use App\Ground\Models\Change;
use App\Ground\Models\Did;
use App\Ground\Models\Firm;
use App\Ground\Support\Controller;
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
