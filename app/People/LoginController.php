<?php

declare(strict_types=1);

namespace App\People;

use App\Models\Device;
use App\Models\User;
use App\Support\Asked;
use App\Support\Controller;
use App\Support\Network;
use App\Support\Say;
use App\Support\Today;
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

    public const WHILE_S = 900;

    public function showLoginForm(): View
    {
        return view('auth.sign-in');
    }

    /** Whoever only opened the door, and asked for no page in particular, is taken to where the day begins. */
    protected function authenticated(Request $request, User $user): RedirectResponse
    {
        if (KnownBrowsers::name($request, $user->email) === null) {
            $user->notify(new NewDeviceNotification(
                $user->name, $user->email, Device::kindOf((string) $request->userAgent()),
                Say::date(Today::day()).', '.Say::time(Carbon::now()),
            ));
        }
        $asked = $request->session()->pull('url.intended');

        return redirect()->to(is_string($asked) && $asked !== url('/') ? $asked : $user->home());
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

    /** No device is remembered beyond its session: how long that lasts, `Device` says. */
    protected function attemptLogin(Request $request): bool
    {
        return Auth::attempt($this->credentials($request));
    }

    /** @throws ValidationException */
    protected function validateLogin(Request $request): void
    {
        $this->validate($request, ['email' => ['required', 'string'], 'password' => ['required', 'string']], [
            'email.*' => 'Type the address you sign in with.', 'password.*' => 'Type your password.',
        ]);
    }

    /** @throws ValidationException */
    protected function sendFailedLoginResponse(Request $request): never
    {
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
        foreach (self::doors($request) as $key) {
            $this->limiter()->hit($key, self::WHILE_S);
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
