<?php

declare(strict_types=1);

namespace App\People;

use App\Models\User;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/**
 * Ends a session whose person has a new password since, or signed out everywhere: what was opened by the old door is
 * shut.
 */
final readonly class SameDoor
{
    private const KEPT = 'door';

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        if (! $user instanceof User) {
            return $next($request);
        }
        $opened = $request->session()->get(self::KEPT);
        if ($opened === null) {
            self::open($user);
        } elseif ($opened !== $user->door) {
            Auth::logout();
            $request->session()->invalidate();
            $request->session()->regenerateToken();

            return $request->expectsJson()
                ? response()->json(['message' => 'You were signed out. Sign in again.'], 401)
                : redirect()->guest(route('login'))->with('status', 'You were signed out everywhere. Sign in again.');
        }

        return $next($request);
    }

    /** From now on this session is one of this person's present ones. */
    public static function open(User $user): void
    {
        session()->put(self::KEPT, $user->door);
    }
}
