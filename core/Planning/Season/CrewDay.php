<?php

declare(strict_types=1);

namespace PruningHook\Core\Planning\Season;

/**
 * The hours of a crew on a day, in minutes: when it leaves the depot, how long it works, how long it may at the most.
 */
final readonly class CrewDay
{
    public function __construct(public int $opens, public int $length, public int $overtime, public int $people)
    {
    }

    public function most(): int
    {
        return $this->length + $this->overtime;
    }
}
