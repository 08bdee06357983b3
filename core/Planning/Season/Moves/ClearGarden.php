<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season\Moves;

use PruningHook\Core\Planning\Season\Board;
use PruningHook\Core\Planning\Season\Move;
use PruningHook\Core\Planning\Season\Refill;

/** Some visits of one garden that follow each other are taken off, and its tasks grouped anew. */
final readonly class ClearGarden implements Move
{
    public function __construct(private int $most)
    {
    }

    public function try(Board $board): void
    {
        $visit = $board->anyVisit();
        if ($visit === null) {
            return;
        }
        $garden = $visit[1];
        $days = $board->ground->days;
        $crewDays = array_keys($board->crewDays[$garden]);
        usort($crewDays, static fn (int $a, int $b): int => [$a % $days, $a] <=> [$b % $days, $b]);
        $first = max(0, (int) array_search($visit[0], $crewDays, true) - $board->chance->getInt(0, $this->most - 1));
        $lots = [];
        foreach (array_slice($crewDays, $first, $this->most) as $crewDay) {
            array_push($lots, ...$board->clear($crewDay, $garden));
        }
        $lots = $board->chance->shuffleArray($lots);
        // Those whose window closes first say where a visit must be; the others join it.
        if ($board->chance->getInt(0, 1) === 0) {
            usort($lots, static fn (int $a, int $b): int => $board->ground->lots[$a]->bestTo
                <=> $board->ground->lots[$b]->bestTo);
        }
        Refill::with(
            $board, array_map(static fn (int $lot): array => [$lot], $lots), $board->chance->getInt(0, 2) * 5.0,
        );
    }
}
