<?php

declare(strict_types=1);

namespace App\People;

use App\Ground\History\SecurityLog;
use App\Ground\Models\Firm;
use App\Ground\Models\SecurityEventKind;
use App\Ground\Models\User;
use App\Ground\Policies\CurrentPassword;
use App\Ground\Support\Asked;
use App\Ground\Support\Controller;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Validation\ValidationException;

/** Two-step sign-in: asks for the code, and turns it on and off in the person's own account. */
final class SecondStepController extends Controller
{
    /** Session key: who has given the right password and still owes the code, and since when. */
    public const ASKED = 'second-step';

    /** Seconds in which the code must be entered. */
    private const WAITS_S = 300;

    /** Wrong codes before a pause. */
    private const TRIES = 6;

    public function ask(Request $request): View|RedirectResponse
    {
        return self::whoIsAsked($request) === null ? redirect()->route('login') : view('auth.code');
    }

    public function answer(Request $request): RedirectResponse
    {
        $person = self::whoIsAsked($request);
        if ($person === null) {
            return redirect()->route('login')->with('status', 'That took too long. Please sign in again.');
        }
        $this->validate($request, ['code' => ['required', 'string', 'max:40']], [
            'code.*' => 'Enter the six-digit code or a recovery code.',
        ]);
        $tries = "second-step|$person->id";
        if (RateLimiter::tooManyAttempts($tries, self::TRIES)) {
            throw ValidationException::withMessages(['code' => sprintf(
                'Too many attempts. Try again in %d minutes.',
                max(1, (int) ceil(RateLimiter::availableIn($tries) / 60)),
            )]);
        }
        // Counted before it is checked, so that parallel requests are limited too.
        RateLimiter::hit($tries, CurrentPassword::WHILE_S);
        if (! SecondStep::takes($person, Asked::text($request, 'code'))) {
            SecurityLog::note(SecurityEventKind::CodeFailed, about: $person);
            throw ValidationException::withMessages(['code' => 'That code is wrong or has been used. Codes '
                .'change every 30 seconds: wait for the next one, and check that your phone\'s clock is right.']);
        }
        RateLimiter::clear($tries);
        $request->session()->forget(self::ASKED);

        return Arrival::signIn($request, $person);
    }

    public function begin(Request $request): RedirectResponse
    {
        $person = self::person($request);
        abort_unless($person->code_since === null, 403);
        SecondStep::begin($person);

        return redirect()->to(route('account').'#code');
    }

    public function confirm(Request $request): RedirectResponse
    {
        $person = self::person($request);
        abort_unless($person->code_secret !== null && $person->code_since === null, 403);
        $spares = SecondStep::confirm($person, Asked::text($request, 'code'));
        if ($spares === null) {
            throw ValidationException::withMessages(['code' => 'That code is wrong. Wait for the next one, and check '
                .'that your phone\'s clock is right.']);
        }
        $request->session()->forget(Arrival::CODE_DUE);

        return redirect()->to(route('account').'#code')->with('spares', $spares)
            ->with('said', 'Two-step sign-in is on.');
    }

    public function remove(Request $request, CurrentPassword $password): RedirectResponse
    {
        $person = self::person($request);
        $password->hold($request, 'password_for_code');
        SecondStep::remove($person);

        return redirect()->to(route('account').'#code')->with('said', 'Two-step sign-in is off.');
    }

    /** Requires it of all planners, or stops requiring it. Only a planner who uses it can require it. */
    public function demand(Request $request): RedirectResponse
    {
        $this->authorize('update', Firm::class);
        $wants = $request->boolean('wants');
        if ($wants && self::person($request)->code_since === null) {
            return redirect()->route('people.index')
                ->withErrors(['wants' => 'Set up your own two-step sign-in first.']);
        }
        $firm = Firm::ours();
        $firm->planners_code = $wants;
        $firm->save();

        return redirect()->route('people.index')->with('said', $wants
            ? 'Planners must set up two-step sign-in when they next sign in.'
            : 'Two-step sign-in is optional for planners.');
    }

    /** Resets it for somebody who has lost their phone and recovery codes. */
    public function lift(User $person): RedirectResponse
    {
        $this->authorize('update', $person);
        SecondStep::remove($person);

        return redirect()->route('people.edit', $person)
            ->with('said', "$person->name can sign in with the password alone until they set it up again.");
    }

    private static function whoIsAsked(Request $request): ?User
    {
        $asked = $request->session()->get(self::ASKED);
        $since = is_array($asked) ? $asked['since'] ?? null : null;
        if (! is_array($asked) || ! is_int($since) || $since < Carbon::now()->getTimestamp() - self::WAITS_S) {
            return null;
        }
        $people = User::query();
        $people->whereNull('left_on')->whereNotNull('code_since');

        return $people->find(is_int($asked['who'] ?? null) ? $asked['who'] : 0);
    }

    private static function person(Request $request): User
    {
        /** @var User nobody comes here who is not signed in */
        return $request->user();
    }
}
