<?php

declare(strict_types=1);

namespace App\Gardens\Stems;

use App\Ground\Models\Plant;
use App\Ground\Models\User;
use App\Ground\Models\VisitTask;
use App\Ground\Support\KeptPictures;
use App\Ground\Support\Say;
use Illuminate\Contracts\View\Factory;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\HtmlString;
use Illuminate\Validation\ValidationException;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Drawing\Bowl;
use PruningHook\Core\PlantBook\PlantBook;
use PruningHook\Core\Structure\Judgement;
use PruningHook\Core\Structure\StemAim;
use PruningHook\Core\Structure\StemAims;
use PruningHook\Core\Structure\StemJudge;

/** The judgement as it stood when it was put on a visit's sheet: a later survey does not change it behind the crew. */
final readonly class CutPlan
{
    public function __construct(
        private PlantBook $book,
        private SurveyedPlants $plants,
        private KeptPictures $pictures,
        private Factory $views,
    ) {
    }

    /**
     * @throws ValidationException when the task is not a coming one of this plant
     * @throws \Illuminate\Auth\Access\AuthorizationException when the visit is another crew's
     */
    public function keep(Plant $plant, StemBoard $board, int $taskId, User $by, Day $today): VisitTask
    {
        $survey = $board->survey($plant, $today);
        if ($survey->state['stems'] === []) {
            throw ValidationException::withMessages([
                'task' => 'Survey the stems first: there is nothing to plan yet.',
            ]);
        }
        $judged = $board->judge($plant, $survey, $today);

        return DB::transaction(static function () use ($plant, $survey, $taskId, $judged, $today, $by): VisitTask {
            // Looked for within the transaction: a log that comes in between is not overwritten.
            $task = VisitTask::query()->doesntHave('log')->where('plant_id', $plant->id)
                ->whereHas('visit', static fn ($visit) => $visit->where('on', '>=', (string) $today))->find($taskId)
                ?? throw ValidationException::withMessages([
                    'task' => 'That visit is no longer planned for this plant.',
                ]);
            if (! $task->isCut()) {
                throw ValidationException::withMessages([
                    'task' => "{$task->prescribed->name}: nothing is cut then. Put the plan on the sheet of a cut.",
                ]);
            }
            Gate::forUser($by)->authorize('log', $task->visit);
            $task->cut_plan = [
                'state' => $survey->state,
                'aim' => $judged->aim->toArray(),
                'judged' => $judged->toArray(),
            ];
            $task->save();
            // What was counted stem by stem is better than what somebody once wrote down.
            $plant->update(StemBoard::counts($survey->state, $judged->aim));

            return $task;
        });
    }

    /**
     * What is on a sheet, as it was judged when it was put there: whatever the rules say of such stems since, "B, C, A"
     * stays.
     *
     * @return ?array{bowl: HtmlString, judged: Judgement} null where the task has no cut plan, or nobody knows the
     *     kind any more
     */
    public function drawn(VisitTask $task): ?array
    {
        $kept = $task->cut_plan;
        if ($kept === null || ! $this->book->has($task->plant->kind)) {
            return null;
        }
        $survey = StemBoard::core($kept['state']);
        $aim = StemAim::fromArray($kept['aim']);
        $judged = isset($kept['judged'])
            ? Judgement::recalled($aim, array_column($survey->stems, null, 'ref'), $kept['judged'])
            // Put there before judgements were kept.
            : StemJudge::with(StemAims::with($this->book)->clearance($this->book->kind($task->plant->kind)))
                ->judge($survey, $aim);

        return [
            'bowl' => $this->pictures->show(
                "cut plan $task->id",
                [
                    $kept, $judged->toArray(), $task->plant->only(['id', 'kind', 'form']), $task->season,
                    $this->book->mark, Say::units(),
                ],
                fn (): string => $this->views->make('components.bowl', [
                    'bowl' => Bowl::of($survey, $judged, $this->plants->of($task->plant, $survey, $task->season)),
                ])->render(),
            ),
            'judged' => $judged,
        ];
    }
}
