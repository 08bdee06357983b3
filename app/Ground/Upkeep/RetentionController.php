<?php

declare(strict_types=1);

namespace App\Ground\Upkeep;

use App\Ground\History\Undo;
use App\Ground\Models\Firm;
use App\Ground\Support\Asked;
use App\Ground\Support\Controller;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** How long the firm keeps what names people, and what that would erase. */
final class RetentionController extends Controller
{
    public function show(Request $request): View
    {
        $this->authorize('update', Firm::class);
        $saved = Retention::inForce();
        $asked = $request->query('months') === null ? $saved : self::asked($request);

        return view('upkeep.retention', [
            'saved' => $saved, 'asked' => $asked, 'counts' => Retention::dryRun($asked),
        ]);
    }

    public function update(Request $request): RedirectResponse
    {
        $this->authorize('update', Firm::class);
        $this->validate($request, [
            'months' => ['required', 'array'], 'months.*' => ['nullable', Rule::in(Retained::MONTHS)],
        ], ['months.*' => 'Choose from the list.']);
        $firm = Firm::query()->firstOrFail();
        $firm->retention = self::asked($request);
        $firm->save();
        $count = array_sum(Retention::dryRun($firm->retention));

        return redirect()->route('retention')->with('undo', Undo::of($firm))->with('said', $count === 0
            ? 'Saved. Nothing is erased tonight.'
            : "Saved. Tonight $count rows are erased for good; until then this can be undone.");
    }

    /** @return array<string, ?int> */
    private static function asked(Request $request): array
    {
        $months = [];
        foreach (Retained::cases() as $kind) {
            $said = Asked::whole($request, "months.$kind->value");
            $months[$kind->value] = in_array($said, Retained::MONTHS, true) ? $said : null;
        }

        return $months;
    }
}
