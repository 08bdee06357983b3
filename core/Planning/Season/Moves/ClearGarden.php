<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season\Moves;

use PruningHook\Core\Planning\Season\Move;
use PruningHook\Core\Planning\Season\Refill;
use PruningHook\Core\Planning\Season\Solution;

/** Some visits of one garden that follow each other are taken off, and its tasks grouped anew. */
final readonly class ClearGarden implements Move
{
    public function __construct(private int $most)
    {
    }

    public function try(Solution $solution): void
    {
        $visit = $solution->anyVisit();
        if ($visit === null) {
            return;
        }
        $garden = $visit[1];
        $days = $solution->problem->days;
        $crewDays = array_keys($solution->crewDays[$garden]);
        usort($crewDays, static fn (int $a, int $b): int => [$a % $days, $a] <=> [$b % $days, $b]);
        $first = max(0, (int) array_search($visit[0], $crewDays, true) - $solution->chance->getInt(0, $this->most - 1));
        $groups = [];
        foreach (array_slice($crewDays, $first, $this->most) as $crewDay) {
            array_push($groups, ...$solution->clear($crewDay, $garden));
        }
        $groups = $solution->chance->shuffleArray($groups);
        // Those whose window closes first say where a visit must be; the others join it.
        if ($solution->chance->getInt(0, 1) === 0) {
            usort($groups, static fn (int $a, int $b): int => $solution->problem->groups[$a]->bestTo
                <=> $solution->problem->groups[$b]->bestTo);
        }
        Refill::with(
            $solution, array_map(static fn (int $group): array => [$group], $groups),
            $solution->chance->getInt(0, 2) * 5.0,
        );
    }
}
