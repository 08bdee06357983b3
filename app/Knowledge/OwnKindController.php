<?php

declare(strict_types=1);

namespace App\Knowledge;

use App\Ground\History\FreshForm;
use App\Ground\Models\Firm;
use App\Ground\Models\OwnKind;
use App\Ground\Models\Plant;
use App\Ground\Support\Asked;
use App\Ground\Support\Controller;
use App\Ground\Support\SentOnce;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use PruningHook\Core\PlantBook\PlantBook;

/** Kinds the planner adds or corrects: the firm's own, laid over the plant book. */
final class OwnKindController extends Controller
{
    public function create(Request $request, PlantBook $book, KindForm $form): View
    {
        $this->authorize('update', Firm::class);
        $like = $book->find(Asked::text($request, 'like'));

        return view('plant-book.form', [
            'kind' => null,
            'like' => $like,
            'book' => $book,
            'entry' => $like === null ? null : $form->base('new', $like->id),
        ]);
    }

    public function store(OwnKindRequest $request, OwnKinds $kinds): RedirectResponse
    {
        $own = $request->own();

        return SentOnce::write(fn (): RedirectResponse => $this->saved(
            $kinds->write($own, Asked::text($request, 'note'), $request->user()),
            'is in the plant book as the firm\'s own.',
        ));
    }

    public function edit(string $kind, PlantBook $book, OwnKinds $kinds): View
    {
        $this->authorize('update', Firm::class);

        return view('plant-book.form', [
            'kind' => $book->has($kind) ? $book->kind($kind) : abort(404),
            'like' => null,
            'book' => $book,
            'entry' => $kinds->entry($kind),
            'version' => OwnKinds::version($kind),
        ]);
    }

    public function update(OwnKindRequest $request, string $kind, OwnKinds $kinds): RedirectResponse
    {
        $seen = Asked::text($request, '_version');
        FreshForm::refuse(ctype_digit($seen) ? $kinds->since($kind, (int) $seen) : []);
        $version = $kinds->write($request->own(), Asked::text($request, 'note'), $request->user());

        return $this->saved(
            $version,
            'is corrected. Every prescription follows it from now on; planned visits keep what they were given.',
        );
    }

    public function destroy(string $kind, OwnKinds $kinds): RedirectResponse
    {
        $this->authorize('update', Firm::class);
        $refused = $kinds->takeBack($kind);
        if ($refused !== null) {
            return back()->withErrors(['own' => $refused]);
        }

        return redirect()->route('plant-book.index')->with('said', "The firm's own word on it is taken back.")
            ->with('undo', [route('own-kinds.restore', $kind), 'POST']);
    }

    public function restore(string $kind, OwnKinds $kinds): RedirectResponse
    {
        $this->authorize('update', Firm::class);
        $kinds->bringBack($kind);

        return redirect()->route('plant-book.show', $kind)->with('said', "The firm's own word on it is back.");
    }

    /** Takes one version back, so that the one before it rules again. */
    public function undo(OwnKind $version, OwnKinds $kinds): RedirectResponse
    {
        $this->authorize('update', Firm::class);
        $refused = $kinds->undo($version);

        return $refused === null
            ? redirect()
                ->route('plant-book.index', ['q' => str_replace('-', ' ', $version->kind)])
                ->with('said', 'Taken back.')
            : back()->withErrors(['own' => $refused]);
    }

    private function saved(OwnKind $version, string $says): RedirectResponse
    {
        // The worker goes through them; how far it is, the season tells.
        $gardens = Plant::query()->where('kind', $version->kind)->distinct()->count('garden_id');

        return redirect()->route('plant-book.show', $version->kind)
            ->with('said', ucfirst(str_replace('-', ' ', $version->kind)).' '.$says.match ($gardens) {
                0 => '',
                1 => ' The one garden that has it is being worked out anew.',
                default => ' The '.number_format($gardens).' gardens that have it are being worked out anew.',
            })
            ->with('undo', [route('own-kinds.undo', $version), 'DELETE']);
    }
}
