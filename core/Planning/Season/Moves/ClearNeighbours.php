<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season\Moves;

use PruningHook\Core\Planning\Season\Board;
use PruningHook\Core\Planning\Season\Move;
use PruningHook\Core\Planning\Season\Refill;

/** Visits near each other in place and time are taken off, so that neighbours can come onto one round. */
final readonly class ClearNeighbours implements Move
{
    /** @param  int  $days  so far apart at the most */
    public function __construct(private int $most, private int $days)
    {
    }

    public function try(Board $board): void
    {
        $visit = $board->anyVisit();
        if ($visit === null) {
            return;
        }
        [$crewDay, $garden] = $visit;
        $ground = $board->ground;
        $day = $crewDay % $ground->days;
        $near = [];
        foreach ($ground->brief->crews as $crew => $each) {
            for (
                $other = max(0, $day - $this->days), $to = min($ground->days - 1, $day + $this->days);
                $other <= $to; $other++
            ) {
                foreach ($board->round[$crew * $ground->days + $other] ?? [] as $its) {
                    $near[] = [$ground->travel[$garden + 1][$its + 1], $crew * $ground->days + $other, $its];
                }
            }
        }
        sort($near);
        $off = [];
        foreach (array_slice($near, 0, $board->chance->getInt(2, $this->most)) as [, $at, $its]) {
            $off[] = $board->clear($at, $its);
        }
        Refill::with($board, $board->chance->shuffleArray($off), $board->chance->getInt(0, 1) * 10.0);
    }
}
