<?php

declare(strict_types=1);

namespace App\People;

use App\Ground\History\SecurityLog;
use App\Ground\Models\SecurityEventKind;
use App\Ground\Models\User;
use App\Ground\Policies\CurrentPassword;
use App\Ground\Support\Asked;
use App\Ground\Support\Network;
use Illuminate\Auth\Events\Failed;
use Illuminate\Auth\Events\Lockout;
use Illuminate\Auth\Events\Login;
use Illuminate\Auth\Events\Logout;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Hash;

/** Listens to authentication events: opens and closes devices, and writes the security log. */
final readonly class NotesSignIns
{
    public static function start(): void
    {
        Event::listen(Login::class, static function (Login $login): void {
            if ($login->user instanceof User) {
                $byPin = request()->attributes->has(Pin::BY_PIN);
                $browser = KnownBrowsers::remember(request(), $login->user);
                EndsStaleSessions::open($login->user, $browser);
                $byPin || Pin::trust($login->user, $browser);
                SecurityLog::note(SecurityEventKind::SignedIn, $login->user, says: $byPin ? 'with PIN' : null);
            }
        });
        Event::listen(Logout::class, static function (Logout $logout): void {
            if ($logout->user instanceof User) {
                EndsStaleSessions::close($logout->user);
                SecurityLog::note(SecurityEventKind::SignedOut, $logout->user);
            }
        });
        Event::listen(Failed::class, static function (Failed $failed): void {
            if (session()->has(SecondStepController::ASKED)) {
                // The password was right; a code is asked for as well.
                return;
            }
            // As much work as for a known address, so that response times tell nothing.
            $failed->user === null && Hash::make('nobody');
            SecurityLog::note(
                SecurityEventKind::SignInFailed, about: $failed->user instanceof User ? $failed->user : null,
            );
        });
        Event::listen(Lockout::class, static function (Lockout $lockout): void {
            // One entry per lock-out, however many attempts follow.
            $network = Network::of((string) $lockout->request->ip());
            $address = mb_strtolower(Asked::text($lockout->request, 'email'));
            if (Cache::add('locked-out|'.hash('xxh128', "$address $network"), 1, CurrentPassword::WHILE_S)) {
                SecurityLog::note(
                    SecurityEventKind::LockedOut, about: User::query()->where('email', $address)->first(),
                );
            }
        });
    }
}
