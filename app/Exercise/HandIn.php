<?php

declare(strict_types=1);

namespace App\Exercise;

use App\Ground\Models\BenchAnswer;
use App\Ground\Models\User;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Exercise\Answer;
use PruningHook\Core\Exercise\CutCode;
use PruningHook\Core\Exercise\Judge;
use PruningHook\Core\Exercise\Remark;

/** Marks an answer that was handed in. */
final readonly class HandIn
{
    public function __construct(private Exercises $exercises)
    {
    }

    /** @return BenchAnswer marked, and not saved yet */
    public function marked(User $user, Practised $practised, string $cuts, Day $day): BenchAnswer
    {
        $exercise = $practised->exercise;
        $written = CutCode::read($cuts, $exercise->plant);
        $mark = (new Judge($exercise, $this->exercises->cases()->marking))->mark(new Answer($written->cuts(), $day));

        return new BenchAnswer([
            'user_id' => $user->id, 'case_key' => $practised->key, 'plant_id' => $practised->plant?->id,
            'seed' => $practised->seed, 'kind' => $exercise->kind->id, 'task' => $exercise->task->key,
            'method' => $exercise->task->methodKey, 'level' => $practised->level, 'cuts' => $written->code(),
            'day' => (string) $day, 'score' => $mark->score, 'mark' => [
                'found' => $mark->foundPercent, 'kept' => $mark->keptPercent, 'taken' => $mark->takenPercent,
                'remarks' => array_map(static fn (Remark $remark): array => [
                    'about' => $remark->inWords(), 'says' => $remark->says, 'axis' => $remark->axis,
                ], $mark->remarks),
            ],
        ]);
    }
}
