<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season\Moves;

use PruningHook\Core\Planning\Season\Move;
use PruningHook\Core\Planning\Season\Refill;
use PruningHook\Core\Planning\Season\Solution;

/** A few visits from anywhere are taken off and put back in another order. */
final readonly class ScatterVisits implements Move
{
    public function __construct(private int $most)
    {
    }

    public function try(Solution $solution): void
    {
        $off = [];
        for ($times = $solution->chance->getInt(2, $this->most); $times > 0; $times--) {
            $visit = $solution->anyVisit();
            if ($visit !== null) {
                $off[] = $solution->clear(...$visit);
            }
        }
        Refill::with($solution, $solution->chance->shuffleArray($off), $solution->chance->getInt(0, 1) * 10.0);
    }
}
