<?php

declare(strict_types=1);

namespace App\Ground\Policies;

use App\Ground\Models\User;
use App\Ground\Support\Asked;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Validation\ValidationException;

/** Asks for the current password before a sensitive change; attempts are limited. */
final readonly class CurrentPassword
{
    private const TRIES = 6;

    /** Seconds in which tries are counted, here and at sign-in. */
    public const WHILE_S = 900;

    /** @throws ValidationException for the field, if it is wrong or was tried too often */
    public function hold(Request $request, string $field): void
    {
        /** @var User $person nobody is asked who is not signed in */
        $person = $request->user();
        $tries = "current-password|$person->id";
        if (RateLimiter::tooManyAttempts($tries, self::TRIES)) {
            throw ValidationException::withMessages([$field => sprintf(
                'Too many attempts. Try again in %d minutes.',
                max(1, (int) ceil(RateLimiter::availableIn($tries) / 60)),
            )]);
        }
        $said = Asked::text($request, $field);
        if ($said === '') {
            throw ValidationException::withMessages([$field => 'Enter your current password.']);
        }
        // Counted before it is checked, so that parallel requests are limited too.
        RateLimiter::hit($tries, self::WHILE_S);
        if (! Hash::check($said, $person->password)) {
            throw ValidationException::withMessages([$field => 'That is not your current password.']);
        }
        RateLimiter::clear($tries);
    }
}
