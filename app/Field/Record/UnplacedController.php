<?php

declare(strict_types=1);

namespace App\Field\Record;

use App\Ground\Models\Entry;
use App\Ground\Models\Firm;
use App\Ground\Models\User;
use App\Ground\Support\Asked;
use App\Ground\Support\Controller;
use App\Ground\Support\Pages;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Entries from the garden that have no visit: where they belong is the planner's to say. */
final class UnplacedController extends Controller
{
    private const ON_A_PAGE = 20;

    public function __construct(private readonly PlaceEntry $places)
    {
    }

    public function index(Request $request): View
    {
        $this->authorize('update', Firm::class);
        $entries = Entry::query()->with('saidBy')->whereNotNull('unplaced');
        $pages = Pages::of($request, (clone $entries)->count(), self::ON_A_PAGE);
        $entries->orderBy('id')->skip($pages->offset())->limit($pages->per);
        /** @var Collection<int, Entry> $shown */
        $shown = $entries->get();

        return view('record.unplaced', ['pages' => $pages, 'rows' => $shown->map(fn (Entry $entry): array => [
            'entry' => $entry, 'day' => PlaceEntry::day($entry), 'meant' => $this->places->meant($entry),
            'candidates' => $this->places->candidates($entry),
        ])->all()]);
    }

    public function update(Request $request, Entry $entry): RedirectResponse
    {
        $this->authorize('update', Firm::class);
        /** @var User $user */
        $user = $request->user();
        abort_if($entry->unplaced === null, 404);
        $task = Asked::whole($request, 'task');
        $placed = $this->places->place($entry, $task > 0 ? $task : null, $user);

        return redirect()->to(route('visits.show', $placed->visit_id)."#task-$placed->id")
            ->with('said', "{$placed->plant->label}: logged.");
    }

    public function destroy(Entry $entry): RedirectResponse
    {
        $this->authorize('update', Firm::class);
        abort_if($entry->unplaced === null, 404);
        $this->places->putAway($entry);

        return redirect()->route('unplaced')->with('said', 'Put away. Nothing was logged.');
    }
}
