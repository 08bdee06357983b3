<?php

declare(strict_types=1);

namespace App\People;

use App\Ground\History\SecurityLog;
use App\Ground\Models\Firm;
use App\Ground\Models\SecurityEventKind;
use App\Ground\Models\User;
use App\Ground\Support\Controller;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

/** Where the link of an invitation leads: whoever was invited chooses a password, once. */
final class WelcomeController extends Controller
{
    public function show(Request $request, User $person): View
    {
        return view('people.welcome', [
            'person' => $person, 'firm' => Firm::ours(), 'opens' => self::opens($request, $person),
            'link' => $request->getRequestUri(),
        ]);
    }

    public function store(Request $request, User $person): RedirectResponse
    {
        if (! self::opens($request, $person)) {
            return redirect()->to($request->getRequestUri());
        }
        $this->validate($request, [
            'password' => ['required', 'string', 'confirmed', new GoodPassword([$person->name, $person->email])],
        ], ['password.required' => 'Choose a password.', 'password.confirmed' => 'The two passwords differ.']);
        $person->forceFill(['joined_at' => now()]);
        $person->password = $request->string('password')->toString();
        $person->endSessions();
        SecurityLog::note(SecurityEventKind::Joined, $person);
        Auth::login($person);
        $request->session()->regenerate();

        return redirect()->to($person->home())->with('said', "Welcome, $person->name.");
    }

    /** Signed by us, not run out, the last that was written, and not used yet. */
    private static function opens(Request $request, User $person): bool
    {
        $version = $request->query('version');

        return $request->hasValidRelativeSignature() && $person->joined_at === null && $person->left_on === null
            && is_string($version) && hash_equals(Staff::version($person), $version);
    }
}
