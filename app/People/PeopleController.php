<?php

declare(strict_types=1);

namespace App\People;

use App\Ground\History\Erase;
use App\Ground\History\FreshForm;
use App\Ground\History\Undo;
use App\Ground\Models\Crew;
use App\Ground\Models\Firm;
use App\Ground\Models\Role;
use App\Ground\Models\User;
use App\Ground\Support\Controller;
use App\Ground\Support\Pages;
use App\Ground\Support\SentOnce;
use App\Ground\Support\Today;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

/** Who works for the firm: inviting them, what they may do, and their leaving. What they did stays in the record. */
final class PeopleController extends Controller
{
    private const ON_A_PAGE = 30;

    public function index(Request $request): View
    {
        $here = User::query()->with('crew')->whereNull('left_on');
        $gone = User::query()->whereNotNull('left_on');
        $pages = Pages::of($request, (clone $here)->count(), self::ON_A_PAGE);
        $left = Pages::of($request, (clone $gone)->count(), self::ON_A_PAGE, 'left');
        $here->orderBy('name')->orderBy('id')->skip($pages->offset())->limit($pages->per);
        $gone->orderByDesc('left_on')->orderBy('id')->skip($left->offset())->limit($left->per);

        return view('people.index', [
            'firm' => Firm::ours(), 'here' => $here->get(), 'pages' => $pages, 'gone' => $gone->get(), 'left' => $left,
        ]);
    }

    public function create(): View
    {
        $this->authorize('create', User::class);

        return view('people.form', ['person' => new User(['role' => Role::Hand]), 'crews' => Crew::names()]);
    }

    public function store(PersonRequest $request, Staff $staff): RedirectResponse
    {
        $facts = $request->facts();

        return SentOnce::write(static function () use ($staff, $facts): RedirectResponse {
            $person = $staff->invite($facts);

            return redirect()->route('people.index')
                ->with('said', "A letter to $person->email invites $person->name to choose a password.");
        });
    }

    public function edit(User $person): View
    {
        $this->authorize('update', $person);

        return view('people.form', ['person' => $person, 'crews' => Crew::names()]);
    }

    public function update(PersonRequest $request, User $person, Staff $staff): RedirectResponse
    {
        FreshForm::hold($request, $person);
        $staff->change($person, $request->facts());

        return redirect()->route('people.index')->with('said', "Saved: $person->name.")
            ->with('undo', Undo::of($person));
    }

    /** The letter once more; the link of the one before opens nothing any longer. */
    public function again(User $person, Staff $staff): RedirectResponse
    {
        $this->authorize('invite', $person);
        $staff->write($person);

        return redirect()->route('people.index')->with('said', "A new letter is on its way to $person->email.");
    }

    public function leave(Request $request, User $person, Staff $staff): RedirectResponse
    {
        $this->authorize('leave', $person);
        $staff->leave($person, Today::day());
        if ($request->user()?->is($person)) {
            Auth::logout();
            $request->session()->invalidate();
            $request->session()->regenerateToken();

            return redirect()->route('login')
                ->with('status', 'You have left the firm. What you did stays in its record.');
        }

        return redirect()->route('people.index')
            ->with('said', "$person->name has left. What they did stays in the record.")
            ->with('undo', [route('people.back', $person), 'POST']);
    }

    /** Who they were; what they did stays in the record. */
    public function erase(User $person): RedirectResponse
    {
        $this->authorize('erase', $person);
        Erase::person($person);

        return redirect()->route('people.index')->with('said', 'The personal data has been erased.');
    }

    public function back(User $person, Staff $staff): RedirectResponse
    {
        $this->authorize('bringBack', $person);
        $staff->back($person);

        return redirect()->route('people.index')->with('said', "$person->name is back, in no crew yet.");
    }
}
