<?php

declare(strict_types=1);

namespace PruningHook\Core\Prescription\Days;

use PruningHook\Core\PlantBook\Figures;
use PruningHook\Core\Weather\WorkAdvice;

/** What the forecast says to a day: hold it, or mind something. Silent on days no forecast reaches. */
final readonly class WeatherAhead implements DayRule
{
    public function judge(DayCase $case): ?Consequence
    {
        $advice = WorkAdvice::with($case->figures)->on($case->forecast->from($case->day));
        if ($advice === []) {
            return null;
        }

        return $advice[0]->hold ? Consequence::cost($advice[0]->reason) : Consequence::mind($advice[0]->reason);
    }

    public function turns(SeasonCase $season, Figures $figures): array
    {
        // The forecast turns from day to day: whoever has one asks on each of its days.
        return [];
    }
}
