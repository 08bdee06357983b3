<?php

declare(strict_types=1);

namespace App\People;

use App\History\SecurityLog;
use App\Models\Firm;
use App\Models\SecurityEventKind;
use App\Models\User;
use App\Support\Asked;
use App\Support\Controller;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Validation\ValidationException;

/** A code besides the password: asked for at the door, set up and given up in one's own account. */
final class SecondStepController extends Controller
{
    /** In the session of somebody whose password was right: who it is, and since when. */
    public const ASKED = 'second-step';

    /** Seconds in which the code must come. */
    private const WAITS_S = 300;

    /** Wrong codes before none is looked at for a while. */
    private const TRIES = 6;

    public function ask(Request $request): View|RedirectResponse
    {
        return self::whoIsAsked($request) === null ? redirect()->route('login') : view('auth.code');
    }

    public function answer(Request $request): RedirectResponse
    {
        $person = self::whoIsAsked($request);
        if ($person === null) {
            return redirect()->route('login')->with('status', 'That took too long. Begin again.');
        }
        $this->validate($request, ['code' => ['required', 'string', 'max:40']], [
            'code.*' => 'Type the six figures, or one of the codes on paper.',
        ]);
        $tries = "second-step|$person->id";
        if (RateLimiter::tooManyAttempts($tries, self::TRIES)) {
            throw ValidationException::withMessages(['code' => sprintf(
                'Too many tries. Try again in %d minutes.', max(1, (int) ceil(RateLimiter::availableIn($tries) / 60)),
            )]);
        }
        // Counted before it is looked at: many at once are no way round.
        RateLimiter::hit($tries, LoginController::WHILE_S);
        if (! SecondStep::takes($person, Asked::text($request, 'code'))) {
            SecurityLog::note(SecurityEventKind::CodeFailed, about: $person);
            throw ValidationException::withMessages(['code' => 'That is no code of now, or it was used before. Each '
                .'holds for half a minute: wait for the next, and see that the clock of the phone is right.']);
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
            throw ValidationException::withMessages(['code' => 'That is no code of now: wait for the next, and see '
                .'that the clock of the phone is right.']);
        }
        $request->session()->forget(Arrival::CODE_DUE);

        return redirect()->to(route('account').'#code')->with('spares', $spares)
            ->with('said', 'From now on a code is asked for besides your password.');
    }

    public function remove(Request $request, CurrentPassword $password): RedirectResponse
    {
        $person = self::person($request);
        $password->hold($request, 'password_for_code');
        SecondStep::remove($person);

        return redirect()->to(route('account').'#code')->with('said', 'No code is asked for any more.');
    }

    /** The firm asks its planners for it, or no longer. Only one who has it asks the others. */
    public function demand(Request $request): RedirectResponse
    {
        $this->authorize('update', Firm::class);
        $wants = $request->boolean('wants');
        if ($wants && self::person($request)->code_since === null) {
            return redirect()->route('people.index')
                ->withErrors(['wants' => 'Set up your own code first, in your account.']);
        }
        $firm = Firm::ours();
        $firm->planners_code = $wants;
        $firm->save();

        return redirect()->route('people.index')->with('said', $wants
            ? 'From their next sign-in on planners set up a code besides the password.'
            : 'Planners may have a code besides the password, and need not.');
    }

    /** Somebody has lost the phone and the paper. */
    public function lift(User $person): RedirectResponse
    {
        $this->authorize('update', $person);
        SecondStep::remove($person);

        return redirect()->route('people.edit', $person)
            ->with('said', "$person->name signs in by password alone until they set up a new code.");
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
