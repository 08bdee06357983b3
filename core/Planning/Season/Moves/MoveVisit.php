<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season\Moves;

use PruningHook\Core\Planning\Season\Move;
use PruningHook\Core\Planning\Season\Refill;
use PruningHook\Core\Planning\Season\Solution;

/** One visit goes to another crew day as it is, or its work to other visits of the garden. */
final readonly class MoveVisit implements Move
{
    public function try(Solution $solution): void
    {
        $visit = $solution->anyVisit();
        if ($visit === null) {
            return;
        }
        [$crewDay, $garden] = $visit;
        $groups = $solution->clear($crewDay, $garden);
        $together = $solution->chance->getInt(0, 1) === 0;
        Refill::with(
            $solution,
            $together ? [$groups] : array_map(static fn (int $group): array => [$group], $groups),
            0.0,
            $crewDay,
        );
    }
}
