<?php

declare(strict_types=1);

namespace App\People;

use App\Ground\Models\Device;
use App\Ground\Models\User;
use App\Ground\Support\Quietly;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/**
 * Ends a session whose person has a new password since, signed out everywhere, shut out this device or was away from it
 * for long.
 */
final readonly class EndsStaleSessions
{
    private const KEPT = 'session-version';

    /** With the person's number behind it: a phone that is handed on is each one's own device. */
    private const DEVICE = 'device-';

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        if (! $user instanceof User) {
            return $next($request);
        }
        $device = self::device($user);
        if ($device === null && ! $request->session()->has(self::DEVICE.$user->id)) {
            // What a script reads besides keeps no session, and would open one device after the other.
            if (in_array($request->headers->get('Sec-Fetch-Mode'), [null, 'navigate'], true)) {
                Quietly::write(static fn () => self::open($user));
            }
        } elseif ($device === null || $request->session()->get(self::KEPT) !== $user->session_version) {
            return self::end($request, 'You were signed out from elsewhere. Sign in again.');
        } elseif ($device->isOver()) {
            return self::end($request, 'Your session has ended. Please sign in again.');
        }
        Quietly::write(static fn () => $device?->seen());

        return $next($request);
    }

    private static function end(Request $request, string $says): Response
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return $request->expectsJson()
            ? response()->json(['message' => 'You were signed out. Sign in again.'], 401)
            : redirect()->guest(route('login'))->with('status', $says);
    }

    /** From now on this session is one of this person's present ones. */
    public static function open(User $user, ?string $browser = null): void
    {
        session()->put([self::KEPT => $user->session_version, self::DEVICE.$user->id => Device::query()->create([
            'user_id' => $user->id, 'kind' => Device::kindOf((string) request()->userAgent()),
            'seen_at' => Carbon::now(), 'browser' => $browser ?? KnownBrowsers::name(request(), $user->email),
        ])->id]);
    }

    /** Somebody signs out here, and stays signed in elsewhere. */
    public static function close(User $user): void
    {
        self::device($user)?->delete();
    }

    /** The device this session was opened on; null where it was shut out, or is not known yet. */
    public static function device(User $user): ?Device
    {
        $id = session()->get(self::DEVICE.$user->id);

        return is_int($id) ? Device::query()->where('user_id', $user->id)->find($id) : null;
    }
}
