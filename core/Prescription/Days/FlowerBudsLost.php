<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription\Days;

use PruningHook\Core\Calendar\Anchor;
use PruningHook\Core\PlantBook\Figure;
use PruningHook\Core\PlantBook\Figures;
use PruningHook\Core\PlantBook\FloweringWood;
use PruningHook\Core\PlantBook\TaskRule;

/**
 * A plant that flowers on last year's wood sets its buds some weeks after bloom; from then until it has bloomed again,
 * a cut takes flowers.
 */
final readonly class FlowerBudsLost implements DayRule
{
    public function judge(DayCase $case): ?Consequence
    {
        $takes = array_filter($case->rules, static fn (TaskRule $task): bool => $task->takesFloweringWood);
        if (
            $case->isInWindow()
            || $case->kind->wood !== FloweringWood::Old
            || $takes === []
            || ! $case->year->has(Anchor::BloomStart)
        ) {
            return null;
        }
        $start = $case->year->day(Anchor::BloomStart);
        $end = $case->year->day(Anchor::BloomEnd);
        $because = match (true) {
            ! $case->day->isBefore($end->plus($case->figures->number(Figure::BudsSetAfterBloom))) => 'the buds for '
                .'the coming bloom, from about '.
                $case->next->day(Anchor::BloomStart)->inWords().
                ', are set',
            $case->day->isBefore($start) => 'it carries the buds that open from about '.$start->inWords(),
            ! $case->day->isAfter($end) => 'it is in bloom, until about '.$end->inWords(),
            default => null,
        };

        return $because === null ? null : Consequence::cost($case->figures->reason(
            Figure::BudsSetAfterBloom,
            'Flowers lost',
            "It flowers on last year's wood and $because: not fatal, but each shoot cut now throws its flowers away.",
        ));
    }

    public function turns(SeasonCase $season, Figures $figures): array
    {
        if (! $season->year->has(Anchor::BloomStart) || ! $season->year->has(Anchor::BloomEnd)) {
            return [];
        }
        $end = $season->year->day(Anchor::BloomEnd);

        return [
            $season->year->day(Anchor::BloomStart), $end->plus(1),
            $end->plus($figures->number(Figure::BudsSetAfterBloom)),
        ];
    }
}
