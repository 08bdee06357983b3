<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription\Days;

use PruningHook\Core\Calendar\Anchor;
use PruningHook\Core\PlantBook\Figure;
use PruningHook\Core\PlantBook\Figures;

/** Round about bud break the fat buds of canes and of trained plants come off at a touch. */
final readonly class SwollenBuds implements DayRule
{
    public function judge(DayCase $case): ?Consequence
    {
        if ($case->isInWindow() || ! $case->kind->has('buds-rub-off') || ! $case->year->has(Anchor::BudBreak)) {
            return null;
        }
        $break = $case->year->day(Anchor::BudBreak);
        if ($case->day->isBefore($break->minus($case->figures->number(Figure::SwollenBeforeBudBreak)))
            || $case->day->isAfter($break->plus($case->figures->number(Figure::TenderAfterBudBreak)))) {
            return null;
        }

        return Consequence::cost(
            $case->figures->reason(
                Figure::SwollenBeforeBudBreak,
                'Swollen buds',
                sprintf(
                    'Buds break about %s: they are fat now and rub off at a touch, and each one lost is a shoot less.',
                    $break->inWords(),
                ),
            ),
        );
    }

    public function turns(SeasonCase $season, Figures $figures): array
    {
        if (! $season->year->has(Anchor::BudBreak)) {
            return [];
        }
        $break = $season->year->day(Anchor::BudBreak);

        return [
            $break->minus($figures->number(Figure::SwollenBeforeBudBreak)),
            $break->plus($figures->number(Figure::TenderAfterBudBreak) + 1),
        ];
    }
}
