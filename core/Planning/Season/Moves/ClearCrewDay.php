<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season\Moves;

use PruningHook\Core\Planning\Season\Move;
use PruningHook\Core\Planning\Season\Refill;
use PruningHook\Core\Planning\Season\Solution;

/** A whole crew day is taken off: perhaps others can do it by the way. */
final readonly class ClearCrewDay implements Move
{
    public function try(Solution $solution): void
    {
        $visit = $solution->anyVisit();
        if ($visit === null) {
            return;
        }
        $off = [];
        foreach ($solution->round[$visit[0]] as $garden) {
            $off[] = $solution->clear($visit[0], $garden);
        }
        Refill::with($solution, $solution->chance->shuffleArray($off), $solution->chance->getInt(0, 1) * 10.0);
    }
}
