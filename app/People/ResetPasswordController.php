<?php

declare(strict_types=1);

namespace App\People;

use App\Models\User;
use App\Support\Asked;
use App\Support\Controller;
use Illuminate\Contracts\View\View;
use Illuminate\Foundation\Auth\ResetsPasswords;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;

final class ResetPasswordController extends Controller
{
    use ResetsPasswords;

    public function showResetForm(Request $request, string $token): View
    {
        return view('auth.reset-password', ['token' => $token, 'email' => Asked::text($request, 'email')]);
    }

    /** @return array<string, mixed> */
    protected function rules(): array
    {
        return [
            'token' => ['required', 'string'],
            'email' => ['required', 'string', 'email'],
            'password' => [
                'required', 'string', 'confirmed', new GoodPassword([Asked::text(request(), 'email')]),
            ],
        ];
    }

    /**
     * Whoever left since the letter was written does not come in by it.
     *
     * @return array<string, mixed>
     */
    protected function credentials(Request $request): array
    {
        return [...$request->only('email', 'password', 'password_confirmation', 'token'), 'left_on' => null];
    }

    /** @return array<string, string> */
    protected function validationErrorMessages(): array
    {
        return ['password.confirmed' => 'The two passwords differ.', 'password.required' => 'Choose a new password.'];
    }

    /**
     * Whoever knew the password before is signed out with it.
     *
     * @param  User  $user
     * @param  string  $password
     */
    protected function resetPassword($user, #[\SensitiveParameter] $password): void
    {
        $user->password = $password;
        $user->joined_at ??= Carbon::now();
        $user->shutDoor();
        Auth::login($user);
    }

    /** The same answer whether the address is known or the link has run out. */
    protected function sendResetFailedResponse(Request $request): RedirectResponse
    {
        return back()->withInput($request->only('email'))
            ->withErrors(['email' => 'This link fits no address, or has run out. Ask for a new one.']);
    }

    protected function redirectTo(): string
    {
        $user = Auth::user();

        return $user instanceof User ? $user->home() : '/';
    }
}
