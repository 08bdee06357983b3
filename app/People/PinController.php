<?php

declare(strict_types=1);

namespace App\People;

use App\Ground\Models\User;
use App\Ground\Policies\CurrentPassword;
use App\Ground\Support\Asked;
use App\Ground\Support\Controller;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;

/** Sets a PIN, and changes the person on a shared phone by it. */
final class PinController extends Controller
{
    public function update(Request $request, CurrentPassword $password): RedirectResponse
    {
        $person = self::person($request);
        abort_unless(Pin::isFor($person), 403);
        $wrong = Pin::wrong(Asked::text($request, 'pin'));
        if ($wrong !== null) {
            throw ValidationException::withMessages(['pin' => $wrong]);
        }
        $password->hold($request, 'password_for_pin');
        Pin::set($person, Asked::text($request, 'pin'), KnownBrowsers::name($request, $person->email));

        return self::toAccount('PIN saved. It works on this phone for 30 days, then sign in with your password.');
    }

    public function destroy(Request $request): RedirectResponse
    {
        Pin::remove(self::person($request));

        return self::toAccount('PIN removed.');
    }

    public function show(Request $request): View
    {
        $people = Pin::here($request)->pluck('user')->reject(
            static fn (User $person): bool => $person->is($request->user()),
        );

        return view('auth.change-person', [
            'people' => $people,
            'chosen' => Asked::before('who', $people->count() === 1 ? $people->first()?->id : null),
        ]);
    }

    public function change(Request $request): RedirectResponse
    {
        $row = Pin::here($request)->firstWhere('user_id', Asked::whole($request, 'who'));
        if ($row === null) {
            throw ValidationException::withMessages(['who' => 'Choose who you are.']);
        }
        $left = Pin::takes($row, Asked::text($request, 'pin'));
        if ($left !== true) {
            throw ValidationException::withMessages(['pin' => match ($left) {
                0 => "Too many wrong PINs. {$row->user->name} must sign in with the password.",
                1 => 'Wrong PIN. One attempt left.',
                default => "Wrong PIN. $left attempts left.",
            }]);
        }
        if (Auth::check()) {
            Auth::logout();
        }
        $request->session()->invalidate();
        $request->attributes->set(Pin::BY_PIN, true);

        return Arrival::signIn($request, $row->user)->withHeaders(['Clear-Site-Data' => '"cache"']);
    }

    private static function toAccount(string $said): RedirectResponse
    {
        return redirect()->to(route('account').'#pin')->with('said', $said);
    }

    private static function person(Request $request): User
    {
        /** @var User nobody comes here who is not signed in */
        return $request->user();
    }
}
