<?php

declare(strict_types=1);

namespace App\Planning;

use App\Field\PlanDay;
use App\Field\PlanVisit;
use App\Ground\History\Undo;
use App\Ground\Models\Change;
use App\Ground\Models\Crew;
use App\Ground\Models\Visit;
use App\Ground\Support\Asked;
use App\Ground\Support\Controller;
use App\Ground\Support\Say;
use App\Ground\Support\Today;
use App\Season\Weather\Outlook;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use PruningHook\Core\Calendar\Day;

final class PlanController extends Controller
{
    public function __construct(private readonly Outlook $outlook)
    {
    }

    public function show(Request $request, PlanScreen $screen): View
    {
        return view('plan.show', $screen->show($request, Today::day()));
    }

    /** What moving a visit would cost and break, before it is done. */
    public function cost(Request $request, Visit $visit): View
    {
        $this->authorize('update', $visit);
        [$on, $crew] = $this->place($request);

        return view('plan.cost', ['moved' => $this->moved($visit, $on, $crew)]);
    }

    public function move(Request $request, Visit $visit): RedirectResponse
    {
        $this->authorize('update', $visit);
        [$on, $crew] = $this->place($request);
        // A lead keeps the visit with the crew: giving it away is the planner's.
        abort_unless($request->user()?->isPlanner() || $crew->id === $visit->crew_id, 403);
        if ($visit->load('tasks.log')->isTouched()) {
            throw ValidationException::withMessages([
                'move' => "Work is logged on the visit to {$visit->garden->name}, so it stays on its day.",
            ]);
        }
        self::stillThere($request, $visit);
        $moved = $this->moved($visit, $on, $crew);
        if (! $moved->isFree() && ! $request->boolean('sure')) {
            throw ValidationException::withMessages([
                'move' => "{$visit->garden->name} was not moved: ".implode('; ', $moved->breaks).'.',
            ]);
        }
        $outside = array_filter($moved->breaks, static fn (string $break): bool => str_starts_with($break, 'outside'));
        DB::transaction(static function () use ($visit, $on, $crew, $outside): void {
            $visit->update([
                'on' => (string) $on, 'crew_id' => $crew->id, 'confirmed' => false,
                'outside_reason' => $outside === [] ? null : 'moved on the plan',
            ]);
            PlanVisit::claim($visit);
        });

        return redirect()
            ->route('plan', ['week' => (string) $on->monday(), 'visit' => $visit->id])
            ->with('said', sprintf(
                '%s is moved to %s, %s.', $visit->garden->name, Say::weekday($on), $crew->name,
            ))
            ->with('undo', Undo::of($visit));
    }

    /**
     * A visit is moved from where it was seen to stand: whoever moved it meanwhile is not overruled unseen.
     *
     * @throws ValidationException
     */
    private static function stillThere(Request $request, Visit $visit): void
    {
        $from = Asked::text($request, 'from');
        if ($from !== '' && $from !== "$visit->on $visit->crew_id") {
            throw ValidationException::withMessages(['move' => sprintf(
                '%s moved %s meanwhile: it stands on %s, %s. Nothing was changed; move it from there.',
                Change::by($visit) ?? 'Somebody', $visit->garden->name, Say::weekday($visit->on),
                $visit->crew->name ?? 'without a crew',
            )]);
        }
    }

    /** Locks a visit, or says that the client knows the day; and takes that back. */
    public function stand(Request $request, Visit $visit): RedirectResponse
    {
        $this->authorize('update', $visit);
        $this->validate($request, ['what' => ['required', 'in:locked,confirmed'], 'is' => ['required', 'boolean']]);
        $visit->update([Asked::text($request, 'what') => $request->boolean('is')]);

        return redirect()->route('plan', ['week' => (string) $visit->on->monday(), 'visit' => $visit->id]);
    }

    private function moved(Visit $visit, Day $on, Crew $crew): MovedVisit
    {
        return MovedVisit::of(
            $visit->load('tasks.plant', 'garden'), $on, $crew,
            $this->outlook->holdAt($visit->garden, Today::day(), $on),
        );
    }

    /** @return array{Day, Crew} */
    private function place(Request $request): array
    {
        $this->validate($request, [
            'on' => PlanDay::rules(), 'crew' => ['required', 'integer', 'exists:crews,id'],
        ], [...PlanDay::MESSAGES, 'crew.required' => 'Choose a crew.', 'crew.*' => 'There is no such crew.']);

        return [
            Day::parse(Asked::text($request, 'on')), Crew::query()->findOrFail($request->integer('crew')),
        ];
    }
}
