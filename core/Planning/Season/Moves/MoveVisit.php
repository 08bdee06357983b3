<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season\Moves;

use PruningHook\Core\Planning\Season\Board;
use PruningHook\Core\Planning\Season\Move;
use PruningHook\Core\Planning\Season\Refill;

/** One visit goes to another crew day as it is, or its work to other visits of the garden. */
final readonly class MoveVisit implements Move
{
    public function try(Board $board): void
    {
        $visit = $board->anyVisit();
        if ($visit === null) {
            return;
        }
        [$crewDay, $garden] = $visit;
        $lots = $board->clear($crewDay, $garden);
        $together = $board->chance->getInt(0, 1) === 0;
        Refill::with(
            $board,
            $together ? [$lots] : array_map(static fn (int $lot): array => [$lot], $lots),
            0.0,
            $crewDay,
        );
    }
}
