<?php

declare(strict_types=1);

namespace App\People;

use App\Ground\History\SecurityLog;
use App\Ground\History\Undo;
use App\Ground\Models\Device;
use App\Ground\Models\Firm;
use App\Ground\Models\SecurityEventKind;
use App\Ground\Models\User;
use App\Ground\Policies\CurrentPassword;
use App\Ground\Support\Controller;
use App\Io\Download;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** What is a person's own: the password, the devices they are signed in on, the keys. */
final class AccountController extends Controller
{
    private const DEVICES = 30;

    public function show(Request $request): View
    {
        $person = self::person($request);
        $devices = $person->devices();
        $devices->orderByDesc('seen_at')->orderByDesc('id')->limit(self::DEVICES);
        $here = EndsStaleSessions::device($person);

        return view('people.account', [
            'person' => $person, 'here' => $here,
            'address' => $person->code_secret === null || $person->code_since !== null
                ? null
                : TimeCode::address($person->code_secret, $person->email, Firm::ours()->name),
            'others' => $devices->get()->reject(static fn (Device $device): bool => $device->is($here)),
        ]);
    }

    public function password(Request $request, CurrentPassword $current): RedirectResponse
    {
        $person = self::person($request);
        $current->hold($request, 'current');
        $this->validate($request, [
            'password' => ['required', 'string', 'confirmed', new GoodPassword([$person->name, $person->email])],
        ], [
            'password.required' => 'Choose a new password.',
            'password.confirmed' => 'The two new passwords differ.',
        ]);
        $person->password = $request->string('password')->toString();
        $person->endSessions();
        SecurityLog::note(SecurityEventKind::PasswordChanged);
        Auth::login($person);

        return redirect()->route('account')
            ->with('said', 'The new password is set. You are signed out on every other device.');
    }

    public function data(Request $request, OwnData $data): StreamedResponse
    {
        $person = self::person($request);

        return Download::of($request, 'account.json', 'application/json', static fn () => $data->write($person));
    }

    /** Ends the session of one lost phone, and leaves the others. */
    public function end(Request $request, int $device): RedirectResponse
    {
        $person = self::person($request);
        $lost = $person->devices()->findOrFail($device);
        $person->endSession($lost);
        SecurityLog::note(SecurityEventKind::DeviceEnded, says: $lost->kind);

        return redirect()->route('account')->with('said', 'It is signed out.');
    }

    public function everywhere(Request $request): RedirectResponse
    {
        self::person($request)->endSessions();
        SecurityLog::note(SecurityEventKind::SignedOutEverywhere);
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect()->route('login')->with('status', 'You are signed out on every device.');
    }

    /** The own name, and the units lengths are told in. */
    public function update(Request $request): RedirectResponse
    {
        $this->validate($request, [
            'name' => ['required', 'string', 'max:80'], 'units' => ['required', 'in:metric,imperial'],
        ], ['name.required' => 'What are you called?', 'units.*' => 'Metric or imperial.']);
        $person = self::person($request);
        $person->forceFill([
            'name' => $request->string('name')->trim()->toString(),
            'units' => $request->string('units')->toString(),
        ])->save();

        return redirect()->route('account')->with('said', 'Saved.')->with('undo', Undo::of($person));
    }

    public function keys(Request $request): RedirectResponse
    {
        $this->validate($request, ['keys' => ['required', 'boolean']]);
        $person = self::person($request);
        $person->keys = $request->boolean('keys');
        $person->save();

        return redirect()->route('account')
            ->with('said', $person->keys ? 'Single keys jump again.' : 'Single keys do nothing any more.');
    }

    private static function person(Request $request): User
    {
        /** @var User nobody comes here who is not signed in */
        return $request->user();
    }
}
