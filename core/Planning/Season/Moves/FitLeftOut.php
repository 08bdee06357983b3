<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season\Moves;

use PruningHook\Core\Planning\Season\Move;
use PruningHook\Core\Planning\Season\Refill;
use PruningHook\Core\Planning\Season\Solution;

/** Room is made in the window of a task that is left out: it comes first, what stood there looks for another day. */
final readonly class FitLeftOut implements Move
{
    public function try(Solution $solution): void
    {
        $out = $solution->leftOut();
        if ($out === []) {
            return;
        }
        $index = $out[$solution->chance->getInt(0, count($out) - 1)];
        $group = $solution->problem->groups[$index];
        if ($group->opens > $group->closes || $group->crews === []) {
            return;
        }
        $off = [];
        for ($times = $solution->chance->getInt(1, 3); $times > 0; $times--) {
            $crew = $group->crews[$solution->chance->getInt(0, count($group->crews) - 1)];
            $crewDay = $crew * $solution->problem->days + $solution->chance->getInt($group->opens, $group->closes);
            foreach ($solution->round[$crewDay] ?? [] as $garden) {
                if ($solution->chance->getInt(0, 2) > 0) {
                    $off[] = $solution->clear($crewDay, $garden);
                }
            }
        }
        Refill::with($solution, [[$index], ...$solution->chance->shuffleArray($off)]);
    }
}
