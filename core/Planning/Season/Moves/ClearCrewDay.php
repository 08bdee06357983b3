<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season\Moves;

use PruningHook\Core\Planning\Season\Board;
use PruningHook\Core\Planning\Season\Move;
use PruningHook\Core\Planning\Season\Refill;

/** A whole crew day is taken off: perhaps others can do it by the way. */
final readonly class ClearCrewDay implements Move
{
    public function try(Board $board): void
    {
        $visit = $board->anyVisit();
        if ($visit === null) {
            return;
        }
        $off = [];
        foreach ($board->round[$visit[0]] as $garden) {
            $off[] = $board->clear($visit[0], $garden);
        }
        Refill::with($board, $board->chance->shuffleArray($off), $board->chance->getInt(0, 1) * 10.0);
    }
}
