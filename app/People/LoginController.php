<?php

declare(strict_types=1);

namespace App\People;

use App\Models\User;
use App\Support\Asked;
use App\Support\Controller;
use Illuminate\Contracts\View\View;
use Illuminate\Foundation\Auth\AuthenticatesUsers;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

final class LoginController extends Controller
{
    use AuthenticatesUsers;

    /** Wrong tries before nobody may for a while: at one address from one network, at one address, from one network. */
    private const TRIES = ['both' => 6, 'address' => 30, 'network' => 60];

    private const WHILE_S = 900;

    public function showLoginForm(): View
    {
        return view('auth.sign-in');
    }

    /** Whoever only opened the door, and asked for no page in particular, is taken to where the day begins. */
    protected function authenticated(Request $request, User $user): RedirectResponse
    {
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
        $this->limiter()->clear(self::doors($request)['both']);
    }

    /** @throws ValidationException */
    protected function sendLockoutResponse(Request $request): never
    {
        $seconds = max(array_map($this->limiter()->availableIn(...), self::doors($request)));
        throw ValidationException::withMessages(['email' => sprintf(
            'Too many tries. Try again in %d minutes, or ask for a new password.', max(1, (int) ceil($seconds / 60)),
        )])->status(429);
    }

    /** @return array{both: string, address: string, network: string} */
    private static function doors(Request $request): array
    {
        $address = hash('xxh128', mb_strtolower(Asked::text($request, 'email')));
        $network = self::network((string) $request->ip());

        return [
            'both' => "sign-in|$address|$network", 'address' => "sign-in|$address", 'network' => "sign-in||$network",
        ];
    }

    /** Whoever has one number of a network has its neighbours too: 256 of the old sort, 2^64 of the new. */
    private static function network(string $ip): string
    {
        $packed = @inet_pton($ip);

        return $packed === false ? $ip : bin2hex(substr($packed, 0, strlen($packed) === 4 ? 3 : 8));
    }
}
