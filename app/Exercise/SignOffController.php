<?php

declare(strict_types=1);

namespace App\Exercise;

use App\Ground\History\Undo;
use App\Ground\Models\SignOff;
use App\Ground\Models\User;
use App\Ground\Support\Asked;
use App\Ground\Support\Controller;
use App\Ground\Support\Today;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** A lead's word that somebody does a method alone, and its taking back. */
final class SignOffController extends Controller
{
    public function store(
        Request $request,
        User $person,
        ExercisesScreen $bench,
        Exercises $exercises,
    ): RedirectResponse {
        $this->authorize('signOff', $person);
        $methods = $exercises->methods();
        $method = Asked::text($request, 'method');
        $names = $bench->names($methods);
        $needs = $bench->progress($person, $methods)->needs($method);
        if (! isset($names[$method]) || $needs['cases'] > 0 || $needs['visits'] > 0) {
            throw ValidationException::withMessages(["method-$person->id" => isset($names[$method])
                ? sprintf('%s still needs, for %s: %s.', $person->name, lcfirst($names[$method]), self::inWords($needs))
                : 'There is no such method on the bench.']);
        }
        $signOff = SignOff::query()->firstOrCreate(
            ['user_id' => $person->id, 'method' => $method],
            ['by_id' => $request->user()?->id, 'on' => (string) Today::day()],
        );

        return redirect()->to(route('bench').'#crew')
            ->with('said', "$person->name is signed off: ".lcfirst($names[$method]).'.')
            ->with('undo', Undo::of($signOff));
    }

    public function destroy(SignOff $signOff): RedirectResponse
    {
        $this->authorize('signOff', $signOff->user);
        $signOff->delete();

        return redirect()->to(route('bench').'#crew')->with('said', 'Taken back.')->with('undo', Undo::of($signOff));
    }

    /** @param  array{cases: int, visits: int}  $needs */
    public static function inWords(array $needs): string
    {
        return implode(' and ', array_filter([
            $needs['cases'] === 0 ? '' : sprintf(
                '%d %s done well', $needs['cases'], $needs['cases'] === 1 ? 'case' : 'cases',
            ),
            $needs['visits'] === 0 ? '' : sprintf(
                '%d logged %s', $needs['visits'], $needs['visits'] === 1 ? 'visit' : 'visits',
            ),
        ], static fn (string $words): bool => $words !== ''));
    }
}
