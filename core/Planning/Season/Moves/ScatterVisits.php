<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season\Moves;

use PruningHook\Core\Planning\Season\Board;
use PruningHook\Core\Planning\Season\Move;
use PruningHook\Core\Planning\Season\Refill;

/** A few visits from anywhere are taken off and put back in another order. */
final readonly class ScatterVisits implements Move
{
    public function __construct(private int $most)
    {
    }

    public function try(Board $board): void
    {
        $off = [];
        for ($times = $board->chance->getInt(2, $this->most); $times > 0; $times--) {
            $visit = $board->anyVisit();
            if ($visit !== null) {
                $off[] = $board->clear(...$visit);
            }
        }
        Refill::with($board, $board->chance->shuffleArray($off), $board->chance->getInt(0, 1) * 10.0);
    }
}
