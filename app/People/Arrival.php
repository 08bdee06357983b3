<?php

declare(strict_types=1);

namespace App\People;

use App\Ground\Models\Device;
use App\Ground\Models\Firm;
use App\Ground\Models\User;
use App\Ground\Support\Say;
use App\Ground\Support\Today;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;

/** What follows a successful sign-in, with or without a second step. */
final readonly class Arrival
{
    /** Session key: a planner who still has to set up two-step sign-in. */
    public const CODE_DUE = 'code-due';

    /** Redirects to the page that was asked for, or to the person's home page. */
    public static function of(Request $request, User $user): RedirectResponse
    {
        if (KnownBrowsers::name($request, $user->email) === null) {
            $user->notify(new NewDeviceNotification(
                $user->name, $user->email, Device::kindOf((string) $request->userAgent()),
                Say::date(Today::day()).', '.Say::time(Carbon::now()),
            ));
        }
        $asked = $request->session()->pull('url.intended');
        if ($user->isPlanner() && $user->code_since === null && Firm::ours()->planners_code) {
            $request->session()->put(self::CODE_DUE, true);
        }

        return redirect()->to(is_string($asked) && $asked !== url('/') ? $asked : $user->home());
    }

    public static function signIn(Request $request, User $user): RedirectResponse
    {
        Auth::login($user);
        $request->session()->regenerate();

        return self::of($request, $user);
    }
}
