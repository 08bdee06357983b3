<?php

declare(strict_types=1);

namespace App\Exercise;

use App\Ground\Models\BenchAnswer;
use App\Ground\Models\User;
use App\Ground\Support\Asked;
use App\Ground\Support\Controller;
use App\Ground\Support\SentOnce;
use App\Ground\Support\Today;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use PruningHook\Core\Fault;

/** Practice on plants that cannot be harmed. */
final class ExercisesController extends Controller
{
    public function index(Request $request, ExercisesScreen $screen, CrewScreen $crew): View
    {
        $user = self::user($request);

        return view('bench.index', [
            ...$screen->show($user, Today::day(), [
                'kind' => Asked::text($request, 'kind'), 'level' => Asked::text($request, 'level'),
                'method' => Asked::text($request, 'method'),
            ])->toArray(),
            ...$crew->show($user)->toArray(),
        ]);
    }

    public function show(
        ExerciseRequest $request,
        string $case,
        Exercises $exercises,
        ExerciseScreen $screen,
    ): View|RedirectResponse {
        $seed = $request->seed();
        if ($seed === null) {
            return self::none(sprintf(
                'A plant has a number from 0 to %d; "%s" is none.', ExerciseRequest::MOST_SEED, $request->line('seed'),
            ));
        }
        try {
            $practised = $exercises->of($case, $seed, Today::day());
        } catch (Fault $fault) {
            return self::none(ucfirst($fault->getMessage()).'.');
        }
        $next = $request->nextCuts();
        if ($next !== null) {
            // What was done stands in the link, so that going back undoes it and reading anew does not do it again.
            return redirect()->route('bench.show', array_filter([
                'case' => $case, 'seed' => $seed, 'cuts' => $next, 'view' => $request->side()->value,
                'pick' => $request->picked(),
            ], static fn (string|int|null $part): bool => $part !== null && $part !== ''));
        }

        try {
            $page = $screen->show(
                $practised, $request->cuts(), $request->side(), $request->picked(), $request->stepsBack(),
                $request->lacks(),
            );
        } catch (Fault $fault) {
            return self::none(ucfirst($fault->getMessage()).'.');
        }

        return view('bench.show', [...$page->toArray(), 'page' => $page]);
    }

    public function store(AnswerRequest $request, string $case, HandIn $handIn): RedirectResponse
    {
        $answer = $handIn->marked(self::user($request), $request->practised(), $request->cuts(), $request->day());

        return SentOnce::write(static function () use ($answer): RedirectResponse {
            $answer->save();

            return redirect()->route('bench.answer', $answer)->with('said', "Handed in: $answer->score of 100.");
        });
    }

    public function answer(Request $request, BenchAnswer $answer, MarkScreen $screen): View|RedirectResponse
    {
        $this->authorize('view', $answer);
        try {
            return view('bench.answer', $screen->show($answer, Asked::text($request, 'at'), Today::day()));
        } catch (Fault $fault) {
            return self::none(ucfirst($fault->getMessage()).'.');
        }
    }

    /** Nothing is lost by a link that leads to no plant: the bench is shown, with the reason. */
    private static function none(string $says): RedirectResponse
    {
        return redirect()->route('bench')->with('said', $says);
    }

    private static function user(Request $request): User
    {
        $user = $request->user();

        return $user instanceof User ? $user : abort(403);
    }
}
