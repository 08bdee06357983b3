<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season\Moves;

use PruningHook\Core\Planning\Season\Move;
use PruningHook\Core\Planning\Season\Refill;
use PruningHook\Core\Planning\Season\Solution;

/** Visits near each other in place and time are taken off, so that neighbours can come onto one round. */
final readonly class ClearNeighbours implements Move
{
    /** @param  int  $days  so far apart at the most */
    public function __construct(private int $most, private int $days)
    {
    }

    public function try(Solution $solution): void
    {
        $visit = $solution->anyVisit();
        if ($visit === null) {
            return;
        }
        [$crewDay, $garden] = $visit;
        $problem = $solution->problem;
        $day = $crewDay % $problem->days;
        $near = [];
        foreach ($problem->brief->crews as $crew => $each) {
            for (
                $other = max(0, $day - $this->days), $to = min($problem->days - 1, $day + $this->days);
                $other <= $to; $other++
            ) {
                foreach ($solution->round[$crew * $problem->days + $other] ?? [] as $its) {
                    $near[] = [$problem->travel[$garden + 1][$its + 1], $crew * $problem->days + $other, $its];
                }
            }
        }
        sort($near);
        $off = [];
        foreach (array_slice($near, 0, $solution->chance->getInt(2, $this->most)) as [, $at, $its]) {
            $off[] = $solution->clear($at, $its);
        }
        Refill::with($solution, $solution->chance->shuffleArray($off), $solution->chance->getInt(0, 1) * 10.0);
    }
}
