<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription\Days;

use PruningHook\Core\Calendar\Anchor;
use PruningHook\Core\PlantBook\Figure;
use PruningHook\Core\PlantBook\Figures;
use PruningHook\Core\PlantBook\TaskRule;

/** The late-season stop: nothing that sets growth going from some weeks before the first frost until rest. */
final readonly class TenderRegrowth implements DayRule
{
    public function judge(DayCase $case): ?Consequence
    {
        $growing = array_filter($case->rules, static fn (TaskRule $task): bool => $task->stimulates);
        $frost = $case->year->day(Anchor::FirstFrost);
        $rest = $case->year->has(Anchor::LeafFall)
            ? $case->year->day(Anchor::LeafFall)
            : $frost->plus($case->figures->number(Figure::RestAfterFirstFrost));
        $from = $frost->minus($case->figures->number(Figure::StopBeforeFirstFrost));
        if ($case->isInWindow() || $growing === [] || $case->day->isBefore($from) || ! $case->day->isBefore($rest)) {
            return null;
        }

        return Consequence::closed($case->figures->reason(Figure::StopBeforeFirstFrost, 'Late-season stop', sprintf(
            'The first frost comes about %s: shoots that a cut sets growing now will not ripen before it.',
            $frost->inWords(),
        )));
    }

    public function turns(SeasonCase $season, Figures $figures): array
    {
        $frost = $season->year->day(Anchor::FirstFrost);

        return [
            $frost->minus($figures->number(Figure::StopBeforeFirstFrost)),
            $season->year->has(Anchor::LeafFall)
                ? $season->year->day(Anchor::LeafFall)
                : $frost->plus($figures->number(Figure::RestAfterFirstFrost)),
        ];
    }
}
