<?php

declare(strict_types=1);

namespace App\People;

use App\Ground\History\SecurityLog;
use App\Ground\Models\SecurityEventKind;
use App\Ground\Models\User;
use App\Ground\Support\Asked;
use App\Ground\Support\Controller;
use Illuminate\Contracts\View\View;
use Illuminate\Foundation\Auth\ResetsPasswords;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Password;

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
        $user->endSessions();
        SecurityLog::note(SecurityEventKind::PasswordChanged, $user, says: 'by the link of a letter');
        // The letter does not replace the second step.
        if ($user->code_since === null) {
            Auth::login($user);
        }
    }

    /** The same answer whether the address is known or the link has run out. */
    protected function sendResetFailedResponse(Request $request, string $response): RedirectResponse
    {
        // As much work as checking a token, so that response times tell nothing.
        if ($response === Password::INVALID_USER || ! self::wasAsked(Asked::text($request, 'email'))) {
            Hash::make('nobody');
        }

        return back()->withInput($request->only('email'))
            ->withErrors(['email' => 'This link fits no address, or has run out. Ask for a new one.']);
    }

    private static function wasAsked(string $address): bool
    {
        $letters = DB::table('password_reset_tokens')->where('email', $address);

        return $letters->where('created_at', '>', Carbon::now()->subMinutes(
            Config::integer('auth.passwords.users.expire'),
        ))->exists();
    }

    protected function redirectTo(): string
    {
        $user = Auth::user();

        return $user instanceof User ? $user->home() : route('login');
    }
}
