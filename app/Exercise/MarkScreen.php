<?php

declare(strict_types=1);

namespace App\Exercise;

use App\Ground\Models\BenchAnswer;
use PruningHook\Core\Calendar\Day;
use PruningHook\Core\Drawing\SideBySide;
use PruningHook\Core\Exercise\Answer;
use PruningHook\Core\Exercise\CutCode;
use PruningHook\Core\Exercise\Judge;
use PruningHook\Core\Regrowth\Course;
use PruningHook\Core\Regrowth\CutTime;
use PruningHook\Core\Regrowth\Future;
use PruningHook\Core\Regrowth\Stage;

/** An answer as it was marked, and what becomes of the plant with it and with the judge's. */
final readonly class MarkScreen
{
    public function __construct(private Exercises $exercises)
    {
    }

    public function show(BenchAnswer $answer, string $at, Day $today): MarkPage
    {
        $practised = $this->exercises->of($answer->case_key, $answer->seed, $today);
        $exercise = $practised->exercise;
        $written = CutCode::read($answer->cuts, $exercise->plant);
        $judge = new Judge($exercise, $this->exercises->cases()->marking);
        $mark = $judge->mark(new Answer($written->cuts(), $answer->day));
        $left = new Course('leave', 'Left alone', Future::left($exercise->winter, $exercise->time), 0, '');
        $yours = new Course('yours', $answer->user->name, Future::withCuts(
            $exercise->winter, $written->cuts(), $this->time($practised, $answer->day), $answer->user->name,
        ), 0, '');
        $judges = new Course('judge', 'The judge', Future::withCuts(
            $exercise->winter, $mark->judges, $exercise->time, 'The judge',
        ), 0, '');
        $at = isset(Stage::NAMES[$at]) ? $at : 'now';

        return new MarkPage(
            $answer, $practised, $at, SideBySide::of([$yours, $judges], $at), $left, count($written->faults),
        );
    }

    /** On its own day, but where that falls into summer or out of it: then other wood stands. */
    private function time(Practised $practised, Day $day): CutTime
    {
        $exercise = $practised->exercise;
        $time = CutTime::of($day, $exercise->kind->wood, $exercise->year);

        return $time === CutTime::Summer || $exercise->time === CutTime::Summer ? $exercise->time : $time;
    }
}
