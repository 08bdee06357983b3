<?php

declare(strict_types=1);

namespace App\Gardens\Stems;

use App\Ground\Models\StemSurvey;
use App\Ground\Models\User;
use App\Ground\Models\VisitTask;
use App\Ground\Models\WorkLog;
use App\Ground\Support\Today;
use PruningHook\Core\Amount\Effect;
use PruningHook\Core\Amount\LoggedAmounts;
use PruningHook\Core\Plant\Outcome;

/** A logged task with a cut plan: its very stems are out, so that nobody has to tap them once more. */
final readonly class LoggedCuts
{
    /**
     * The old stems that went by the plan, for the record, where the crew did not count them.
     *
     * @param  list<array{effect?: string, what: string, unit: string, value: int}>  $amounts
     * @return list<array{effect?: string, what: string, unit: string, value: int}>
     */
    public static function counted(VisitTask $task, Outcome $outcome, array $amounts): array
    {
        $asked = $task->prescribed->amount(Effect::OldStemsOut);
        $cuts = $task->cut_plan['judged']['remove'] ?? [];
        if (
            $outcome !== Outcome::Done
            || $cuts === []
            || $asked === null
            || LoggedAmounts::oldStems($amounts) !== null
        ) {
            return $amounts;
        }
        $young = $task->cut_plan['aim']['young'] ?? 0;
        $ages = array_column($task->cut_plan['state']['stems'] ?? [], 'age_years', 'ref');
        $old = array_filter(
            $cuts,
            static fn (array $cut): bool => ! $cut['free'] && ($ages[$cut['ref']] ?? PHP_INT_MAX) > $young,
        );

        return [...$amounts, $asked->logged(count($old))];
    }

    /** Marks what the log says went, in the order of the plan; a log taken back lets the stems stand again. */
    public static function mark(VisitTask $task, ?WorkLog $log, ?User $by): void
    {
        $planned = array_column($task->cut_plan['judged']['remove'] ?? [], 'ref');
        $survey = $planned === [] ? null : StemSurvey::query()->where(
            ['plant_id' => $task->plant_id, 'season' => $task->season],
        )->first();
        if ($survey === null) {
            return;
        }
        $out = array_slice($planned, 0, self::went($task, $log));
        $there = array_column($survey->state['stems'], 'ref');
        $cut = array_values(array_intersect([...array_diff($survey->state['cut'], $planned), ...$out], $there));
        if ($cut !== $survey->state['cut']) {
            SurveyTaps::goOn($survey, [...$survey->state, 'cut' => $cut], $by, Today::day());
        }
    }

    /** How many of the plan's stems went: all where it was done and nobody counted otherwise, none where it was not. */
    private static function went(VisitTask $task, ?WorkLog $log): int
    {
        $cuts = $task->cut_plan['judged']['remove'] ?? [];
        $taken = LoggedAmounts::oldStems($log->amounts ?? []);

        return match (true) {
            $log === null || $log->outcome === Outcome::NotDone => 0,
            // What is dead or ill goes first and is not counted among the old ones.
            $taken !== null => count(array_filter($cuts, static fn (array $cut): bool => $cut['free'])) + $taken,
            $log->outcome === Outcome::Partly => 0,
            default => count($cuts),
        };
    }
}
