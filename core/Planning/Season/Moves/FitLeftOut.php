<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season\Moves;

use PruningHook\Core\Planning\Season\Board;
use PruningHook\Core\Planning\Season\Move;
use PruningHook\Core\Planning\Season\Refill;

/** Room is made in the window of a task that is left out: it comes first, what stood there looks for another day. */
final readonly class FitLeftOut implements Move
{
    public function try(Board $board): void
    {
        $out = $board->leftOut();
        if ($out === []) {
            return;
        }
        $index = $out[$board->chance->getInt(0, count($out) - 1)];
        $lot = $board->ground->lots[$index];
        if ($lot->opens > $lot->closes || $lot->crews === []) {
            return;
        }
        $off = [];
        for ($times = $board->chance->getInt(1, 3); $times > 0; $times--) {
            $crew = $lot->crews[$board->chance->getInt(0, count($lot->crews) - 1)];
            $crewDay = $crew * $board->ground->days + $board->chance->getInt($lot->opens, $lot->closes);
            foreach ($board->round[$crewDay] ?? [] as $garden) {
                if ($board->chance->getInt(0, 2) > 0) {
                    $off[] = $board->clear($crewDay, $garden);
                }
            }
        }
        Refill::with($board, [[$index], ...$board->chance->shuffleArray($off)]);
    }
}
