<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription\Days;

use PruningHook\Core\PlantBook\Figures;
use PruningHook\Core\Reason;

/** As much of the plant has come off this season as it may: what more comes off is paid in vigour. */
final readonly class OverBudget implements DayRule
{
    public function judge(DayCase $case): ?Consequence
    {
        if (! $case->budget->isSpent()) {
            return null;
        }

        return Consequence::cost(
            new Reason(
                'Already over budget',
                sprintf(
                    '%d %% of its live growth has come off this season and %d %% is its cap: what more comes off '
                        .'costs vigour, flowers and sound wood. Dead, diseased and damaged wood may always go.',
                    $case->budget->usedPercent, $case->budget->capPercent,
                ),
                $case->budget->source,
            ),
        );
    }

    public function turns(SeasonCase $season, Figures $figures): array
    {
        return [];
    }
}
