<?php

declare(strict_types=1);

namespace App\People;

use App\Ground\Models\User;
use App\Ground\Policies\CurrentPassword;
use App\Ground\Support\Asked;
use App\Ground\Support\Controller;
use App\Ground\Support\Network;
use Illuminate\Contracts\View\View;
use Illuminate\Foundation\Auth\AuthenticatesUsers;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;

final class LoginController extends Controller
{
    use AuthenticatesUsers;

    /**
     * Wrong tries before nobody may for a while: at one address from one network, at one address, from one network;
     * and in a browser where its person has been in before, whom no stranger keeps out.
     */
    private const TRIES = ['both' => 6, 'address' => 30, 'network' => 60, 'known' => 6];

    public function showLoginForm(Request $request): View
    {
        return view('auth.sign-in', ['hasPins' => Pin::here($request)->isNotEmpty()]);
    }

    protected function authenticated(Request $request, User $user): RedirectResponse
    {
        return Arrival::of($request, $user);
    }

    /**
     * Whoever has left does not come in.
     *
     * @return array<string, mixed>
     */
    protected function credentials(Request $request): array
    {
        return [...$request->only('email', 'password'), 'left_on' => null];
    }

    /** There is no "remember me": `Device` says how long a session lasts. */
    protected function attemptLogin(Request $request): bool
    {
        $request->session()->forget(SecondStepController::ASKED);

        return Auth::attemptWhen($this->credentials($request), static function (User $person) use ($request): bool {
            if ($person->code_since !== null) {
                $request->session()->put(SecondStepController::ASKED, [
                    'who' => $person->id, 'since' => Carbon::now()->getTimestamp(),
                ]);
            }

            return $person->code_since === null;
        });
    }

    /** @throws ValidationException */
    protected function validateLogin(Request $request): void
    {
        $this->validate($request, ['email' => ['required', 'string'], 'password' => ['required', 'string']], [
            'email.*' => 'Type the address you sign in with.', 'password.*' => 'Type your password.',
        ]);
    }

    /** @throws ValidationException where the password was wrong; where a code is asked for as well, it is next */
    protected function sendFailedLoginResponse(Request $request): RedirectResponse
    {
        if ($request->session()->has(SecondStepController::ASKED)) {
            return redirect()->route('login.code');
        }
        throw ValidationException::withMessages(['email' => 'This address and this password do not belong together.']);
    }

    /** What the browser kept of the pages goes as well; what waits on the phone lies there under a lock. */
    protected function loggedOut(Request $request): RedirectResponse
    {
        return redirect()->to('/')->withHeaders(['Clear-Site-Data' => '"cache"']);
    }

    protected function hasTooManyLoginAttempts(Request $request): bool
    {
        foreach (self::doors($request) as $door => $key) {
            if ($this->limiter()->tooManyAttempts($key, self::TRIES[$door])) {
                return true;
            }
        }

        return false;
    }

    protected function incrementLoginAttempts(Request $request): void
    {
        if ($request->session()->has(SecondStepController::ASKED)) {
            return;
        }
        foreach (self::doors($request) as $key) {
            $this->limiter()->hit($key, CurrentPassword::WHILE_S);
        }
    }

    /** Whoever gets in clears what they tried themselves, and not what others tried. */
    protected function clearLoginAttempts(Request $request): void
    {
        $doors = self::doors($request);
        $this->limiter()->clear($doors['known'] ?? $doors['both']);
    }

    /** @throws ValidationException */
    protected function sendLockoutResponse(Request $request): never
    {
        $seconds = max(array_map($this->limiter()->availableIn(...), self::doors($request)));
        throw ValidationException::withMessages(['email' => sprintf(
            'Too many tries. Try again in %d minutes, or ask for a new password.', max(1, (int) ceil($seconds / 60)),
        )])->status(429);
    }

    /** @return array{known: string}|array{both: string, address: string, network: string} */
    private static function doors(Request $request): array
    {
        $address = hash('xxh128', mb_strtolower(Asked::text($request, 'email')));
        $known = KnownBrowsers::name($request, Asked::text($request, 'email'));
        if ($known !== null) {
            return ['known' => "sign-in|$address|$known"];
        }
        $network = Network::of((string) $request->ip());

        return [
            'both' => "sign-in|$address|$network", 'address' => "sign-in|$address", 'network' => "sign-in||$network",
        ];
    }
}
