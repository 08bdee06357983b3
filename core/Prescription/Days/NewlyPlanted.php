<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription\Days;

use PruningHook\Core\PlantBook\Figures;
use PruningHook\Core\Reason;

/** In its first season a plant roots on what its leaves make: only dead, damaged and broken wood comes off. */
final readonly class NewlyPlanted implements DayRule
{
    public function judge(DayCase $case): ?Consequence
    {
        if ($case->isInWindow() || $case->yearInGround !== 1 || $case->plant->planted === null) {
            return null;
        }

        return Consequence::cost(
            Reason::commonPractice(
                'Newly planted',
                sprintf(
                    'Planted on %s: this season only dead, damaged and broken wood comes off. Whatever is alive '
                        .'feeds the roots; shaping now sets it back a year.',
                    $case->plant->planted->inWords(),
                ),
            ),
        );
    }

    public function turns(SeasonCase $season, Figures $figures): array
    {
        return [];
    }
}
